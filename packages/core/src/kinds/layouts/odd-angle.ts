import { finding, type PlanFinding } from '../../findings';
import { radians } from '../../geometry';
import { extruded, MAIN_AXES, solidOf, type Vec2 } from '../../solids';
import type { Aid, ClampsOnBlocks } from '../../assembly';
import type { LayOut } from '../kind';
import type { ODD_ANGLE } from '../odd-angle';
import { PADS_MM } from './pieces';
import { frameOf } from './mitre-outline';

/** Friction of an abrasive-faced block on wood [judgement]. */
const BLOCK_FRICTION = 0.75;
/** Half the length of a block's face under the jaw, mm; smaller where the members are short. */
const HALF_FACE_MM = 25;
/** Foot of a block along its member, by which a clamp of its own holds it where it would slide: length and height, mm. */
const FOOT_MM = 70;
const FOOT_HIGH_MM = 20;
/** A pad with a little beside it; on less foot than this no clamp stands. */
const LEAST_FOOT_MM = 30;
/** With less face than this a jaw does not sit. */
const LEAST_HALF_FACE_MM = 8;

/** What reaches from block to block, the light ones first; a bar pulled just snug does it too. */
const BLOCK_TO_BLOCK = ['f-heavy', 'f-light', 'hand-screw', 'trigger', 'parallel-jaw', 't-bar', 'pipe'];

export const layOddAngle: LayOut<typeof ODD_ANGLE> = ({ angleDeg, firstMm, secondMm, ...answers }) => {
  // A chain of two sides of a triangle whose third side is left open.
  const third = Math.sqrt(
    firstMm ** 2 + secondMm ** 2 - 2 * firstMm * secondMm * Math.cos(radians(angleDeg)),
  );
  const cosine = (a: number, b: number, c: number) =>
    (Math.acos((a * a + b * b - c * c) / (2 * a * b)) * 180) / Math.PI;
  const atStart = cosine(firstMm, third, secondMm);
  const corner = frameOf({
    ...answers,
    sidesMm: [firstMm, secondMm, third],
    anglesDeg: [atStart, angleDeg, 180 - atStart - angleDeg],
    open: true,
    names: ['first member', 'second member'],
  });
  const blocks = blocksFor(angleDeg, firstMm, secondMm, answers);
  return {
    ...corner,
    aids: (['block', 'foot'] as const).flatMap((role) =>
      blocks[role].map((outline, i): Aid => ({
        id: `${role}-${i + 1}`,
        role,
        solid: solidOf(extruded('z', outline, 0, answers.thicknessMm)),
      })),
    ),
    ...(blocks.clamps === null ? {} : { blockClamps: blocks.clamps }),
    findings: [...corner.findings, ...blocks.findings],
    pulls: corner.pulls.map((pull) => ({
      ...pull,
      need: 'line' as const,
      stacked: true,
      // The blocks spread it over the whole joint.
      everyMm: Math.hypot(answers.widthMm / Math.sin(radians(angleDeg / 2)), answers.thicknessMm),
      kinds: BLOCK_TO_BLOCK,
      openingMm: blocks.openingMm,
    })),
  };
};

interface Blocks {
  /** Outlines: the block under the jaw, and its foot where it has one. */
  readonly block: readonly (readonly Vec2[])[];
  readonly foot: readonly (readonly Vec2[])[];
  /** What holds them to their members; null where they stay by themselves, or there is no room. */
  readonly clamps: ClampsOnBlocks | null;
  readonly openingMm: number;
  readonly findings: readonly PlanFinding[];
}

/**
 * A block on the outside of either member, its face square to the pull. The pull crosses the middle of the joint
 * line at right angles and meets the outer edges at w / sin θ from the corner, θ/2 away from square to them: beyond
 * atan μ the block slides on its own and must be clamped or pinned to the member. Source: plane geometry.
 */
function blocksFor(
  angleDeg: number,
  firstMm: number,
  secondMm: number,
  { widthMm, thicknessMm }: { readonly widthMm: number; readonly thicknessMm: number },
): Blocks {
  const half = radians(angleDeg / 2);
  const [sin, cos] = [Math.sin(half), Math.cos(half)];
  const atMm = widthMm / Math.sin(radians(angleDeg));
  const roomMm = Math.min(firstMm, secondMm) - atMm;
  const halfFaceMm = Math.min(HALF_FACE_MM, roomMm * cos, atMm * cos);
  if (halfFaceMm < LEAST_HALF_FACE_MM) {
    return {
      block: [],
      foot: [],
      clamps: null,
      openingMm: firstMm + secondMm,
      findings: [finding('no-room-for-blocks', 'warns', { angleDeg, atMm })],
    };
  }
  // Along the member from the corner, and outward from its edge; the right angle lies under the jaw.
  const triangle: Vec2[] = [
    [atMm + halfFaceMm / cos, 0],
    [atMm + halfFaceMm * (sin ** 2 / cos - cos), 2 * halfFaceMm * sin],
    [atMm - halfFaceMm / cos, 0],
  ];
  const heading = Math.PI - 2 * half;
  const corner: Vec2 = [firstMm, 0];
  const placed =
    (along: Vec2, outward: Vec2) =>
    (outline: readonly Vec2[]): Vec2[] =>
      outline.map(([x, y]) => [
        corner[0] + along[0] * x + outward[0] * y,
        corner[1] + along[1] * x + outward[1] * y,
      ]);
  const members = [
    placed([-1, 0], [0, -1]),
    placed([Math.cos(heading), Math.sin(heading)], [Math.sin(heading), -Math.cos(heading)]),
  ];
  const slides = Math.tan(half) > BLOCK_FRICTION;
  const footFromMm = atMm + halfFaceMm / cos;
  const footMm = Math.min(FOOT_MM, Math.min(firstMm, secondMm) - footFromMm);
  const held = slides && footMm >= LEAST_FOOT_MM;
  const foot: Vec2[] = [
    [footFromMm, 0],
    [footFromMm + footMm, 0],
    [footFromMm + footMm, FOOT_HIGH_MM],
    [footFromMm, FOOT_HIGH_MM],
  ];
  return {
    block: members.map((place) => place(triangle)),
    foot: held ? members.map((place) => place(foot)) : [],
    clamps: held
      ? {
          places: members.map((place) => {
            const [outer, inner] = place([
              [footFromMm + footMm / 2, FOOT_HIGH_MM],
              [footFromMm + footMm / 2, -widthMm],
            ]) as [Vec2, Vec2];
            return {
              from: [...outer, thicknessMm / 2],
              to: [...inner, thicknessMm / 2],
              off: MAIN_AXES[2],
            };
          }),
          openingMm: widthMm + FOOT_HIGH_MM + PADS_MM,
          forceN: 0,
          // What friction under the pull itself leaves, over the friction under the foot.
          shareOfPull: (sin - BLOCK_FRICTION * cos) / BLOCK_FRICTION,
          fromJawMm: halfFaceMm / cos + footMm / 2,
        }
      : null,
    openingMm: widthMm / cos + 2 * halfFaceMm * Math.tan(half),
    findings: [
      finding('blocks-at', 'informs', {
        atMm,
        faceDeg: angleDeg / 2,
        friction: BLOCK_FRICTION,
        slides: Number(slides),
      }),
      ...(slides && !held
        ? [finding('no-room-for-feet', 'warns', { wantMm: LEAST_FOOT_MM, haveMm: Math.max(0, footMm) })]
        : []),
    ],
  };
}
