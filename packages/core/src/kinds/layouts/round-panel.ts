import type { Aid } from '../../assembly';
import { InputError } from '../../basics/checks';
import { finding, type PlanFinding } from '../../findings';
import { extruded, solidOf, type Vec2 } from '../../solids';
import type { BlockFixing } from '../block-fixing';
import type { LayOut, Layout } from '../kind';
import { upTo } from '../names';
import type { ROUND_PANEL } from '../round-panel';
import { joint, part, partId, usualRing, X } from './pieces';
import { acrossRow, squareRow } from './side-by-side';
import { clampsOver, curvedBlock, holdOf, reachSlope } from './curved-blocks';

/** Less of the outer line than this under a block leaves its ends unpressed [judgement]. */
const LEAST_REACH_SHARE = 0.6;
/** Points on each stretch of a curved outline. */
const CURVE_STEPS = 14;
/** A live edge is drawn wandering by this share of the width, in waves about this long, mm. */
const LIVE_SHARE = 0.03;
const LIVE_WAVE_MM = 420;
const LIVE_STEPS = 20;
/** Blocks along a live edge stand about this far apart, and are this long, mm. */
const LIVE_BLOCK_EVERY_MM = 300;
const LIVE_BLOCK_MM = 110;

interface Shape {
  readonly species: string;
  readonly boards: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly blockMm: number;
  readonly fixing: BlockFixing;
}

/** A live edge as it was drawn: by how much it stays inside the straight one, station by station; empty where nobody drew it. */
interface Drawn {
  readonly nearMm: readonly number[];
  readonly farMm: readonly number[];
}

/** The part of a layout that depends on the outline. */
interface Outlined {
  readonly boards: readonly (readonly Vec2[])[];
  readonly blocks: readonly Aid[];
  readonly findings: readonly PlanFinding[];
}

export const layRoundPanel: LayOut<typeof ROUND_PANEL> = ({ outline, nearMm, farMm, ...shape }) => {
  if (outline === 'oval-after') {
    // The oval is sawn out of them once they are one piece.
    return {
      ...squareRow(shape.species, shape.boards, shape),
      findings: [finding('sawn-after', 'informs')],
    };
  }
  if (outline === 'live-edge') return laidOut(shape, liveEdge(shape, { nearMm, farMm }));
  const whole = ovalLayout(shape);
  if (outline === 'oval') return whole;
  if (shape.boards % 2 === 1) {
    throw new InputError(
      'inconsistent',
      'answers.boards',
      `${shape.boards} boards do not make two halves alike.`,
      `${shape.boards - 1} or ${shape.boards + 1} boards`,
    );
  }
  return {
    ...whole,
    // The straight edges in the middle only press each other.
    joints: whole.joints.map((each, i) => (i === shape.boards / 2 - 1 ? { ...each, gluedShare: 0 } : each)),
    findings: [...whole.findings, finding('halves-with-film', 'informs')],
  };
};

/** An oval of boards, sawn before gluing, between its blocks. */
export const ovalLayout = (shape: Shape) => laidOut(shape, oval(shape));

function laidOut(shape: Shape, { boards, blocks, findings }: Outlined) {
  const { species, widthMm, lengthMm, thicknessMm, blockMm } = shape;
  const joints = upTo(shape.boards - 1).map((n) => joint('edge', partId('board', n), partId('board', n + 1)));
  return {
    parts: boards.map((corners, i) => ({
      ...part('board', i + 1, species, solidOf(extruded('z', corners, 0, thicknessMm)), X, [
        extent(corners, 0),
        extent(corners, 1),
        thicknessMm,
      ]),
      ring: usualRing(i),
    })),
    joints,
    aids: blocks,
    ...clampsOver(shape.fixing, blocks, thicknessMm),
    pulls: [
      acrossRow(
        joints.map(({ id }) => id),
        widthMm + 2 * blockMm,
      ),
    ],
    flat: { kind: 'wind' },
    dimensions: [{ from: [-lengthMm / 2, -widthMm / 2, 0], to: [lengthMm / 2, -widthMm / 2, 0] }],
    findings,
  } satisfies Partial<Layout>;
}

function extent(corners: readonly Vec2[], axis: 0 | 1): number {
  const values = corners.map((corner) => corner[axis]);
  return Math.max(...values) - Math.min(...values);
}

/** An ellipse, sawn before gluing; one block a side, as far round as it is kept from sliding. */
function oval({ boards, lengthMm, widthMm, thicknessMm, blockMm, fixing }: Shape): Outlined {
  const [a, b] = [lengthMm / 2, widthMm / 2];
  const halfChord = (y: number) => a * Math.sqrt(Math.max(0, 1 - (y / b) ** 2));
  const stripMm = widthMm / boards;
  // Even steps round the edge, so that it is as smooth at its ends as at its sides.
  const arc = (from: number, to: number): Vec2[] => {
    const [start, end] = [from, to].map((y) => Math.asin(Math.max(-1, Math.min(1, y / b)))) as [
      number,
      number,
    ];
    return Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
      // Both ends exactly, so that neighbouring boards share their corners.
      const y =
        i === 0 ? from : i === CURVE_STEPS ? to : b * Math.sin(start + ((end - start) * i) / CURVE_STEPS);
      return [halfChord(y), y];
    });
  };
  const mirrored = (right: readonly Vec2[]) => [...right].reverse().map(([x, y]): Vec2 => [-x, y]);
  const hold = holdOf(fixing);
  const slope = reachSlope(hold);
  const outerLine = halfChord(-b + stripMm);
  // Where the edge of the ellipse falls away at that slope.
  const reachMm = Math.min(outerLine, (slope * a * a) / Math.hypot(b, slope * a));
  const blockFrom = b * Math.sqrt(1 - (reachMm / a) ** 2);
  return {
    boards: upTo(boards).map((n) => {
      const right = arc(-b + (n - 1) * stripMm, -b + n * stripMm);
      return [...right, ...mirrored(right)];
    }),
    blocks: [-1, 1].map((side, i) => {
      const right = arc(blockFrom, b).map(([x, y]): Vec2 => [x, side * y]);
      const face = [...right, ...mirrored(right)];
      return curvedBlock({ face, flatAtMm: side * (b + blockMm), thicknessMm }, hold, i + 1);
    }),
    findings: [
      finding('block-reach', reachMm < LEAST_REACH_SHARE * outerLine ? 'warns' : 'informs', {
        blockMm: 2 * reachMm,
        lineMm: 2 * outerLine,
        fixing,
        ...hold,
      }),
    ],
  };
}

/** What a drawn edge leaves of its board at the least, mm [judgement]. */
const LEAST_LEFT_MM = 15;

/** @throws InputError where an edge goes through its board into the next. */
function refuseDeepEdges(stripMm: number, { nearMm, farMm }: Drawn): void {
  const deepest = Math.max(0, ...nearMm, ...farMm);
  if (deepest <= stripMm - LEAST_LEFT_MM) return;
  throw new InputError(
    'inconsistent',
    'answers.boards',
    `The edge goes ${deepest.toFixed(0)} mm in, and the outer boards are ${stripMm.toFixed(0)} mm wide.`,
    `fewer and wider boards, or an outline that goes in ${Math.max(0, stripMm - LEAST_LEFT_MM).toFixed(0)} mm at most`,
  );
}

/** Between two stations an edge runs straight. */
function insetAt(stations: readonly number[], share: number): number {
  const at = Math.min(stations.length - 1, Math.max(0, share * (stations.length - 1)));
  const [before, after] = [stations[Math.floor(at)] ?? 0, stations[Math.ceil(at)] ?? 0];
  return before + (at - Math.floor(at)) * (after - before);
}

/** Straight joints inside, live edges outside; a row of short blocks along each, scribed to it. */
function liveEdge(
  { boards, lengthMm, widthMm, thicknessMm, blockMm, fixing }: Shape,
  drawn: Drawn,
): Outlined {
  refuseDeepEdges(widthMm / boards, drawn);
  const hold = holdOf(fixing);
  const half = lengthMm / 2;
  const amplitude = LIVE_SHARE * widthMm;
  const stripMm = widthMm / boards;
  const waves = Math.max(1, Math.round(lengthMm / LIVE_WAVE_MM));
  // Two waves of different length, no two edges alike; the edge never leaves the width it was given.
  const edge = (side: number, x: number) => {
    const stations = side < 0 ? drawn.nearMm : drawn.farMm;
    if (stations.length > 0) return side * (widthMm / 2 - insetAt(stations, (x + half) / lengthMm));
    const turn = (2 * Math.PI * waves * (x + half)) / lengthMm;
    const wander = 0.6 * Math.sin(turn + side) + 0.4 * Math.sin(2.3 * turn - 2 * side);
    return side * (widthMm / 2 - (amplitude * (1 - wander)) / 2);
  };
  const stretch = (side: number, from: number, to: number, steps: number): Vec2[] =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const x = from + ((to - from) * i) / steps;
      return [x, edge(side, x)];
    });
  const outer = (side: number) => stretch(side, -half, half, LIVE_STEPS * waves);
  const count = Math.max(2, Math.round(lengthMm / LIVE_BLOCK_EVERY_MM));
  const blockHalf = Math.min(LIVE_BLOCK_MM, (0.8 * lengthMm) / count) / 2;
  return {
    boards: upTo(boards).map((n) => {
      const [low, high] = [-widthMm / 2 + (n - 1) * stripMm, -widthMm / 2 + n * stripMm];
      const bottom: Vec2[] =
        n === 1
          ? outer(-1)
          : [
              [-half, low],
              [half, low],
            ];
      const top: Vec2[] =
        n === boards
          ? outer(1)
          : [
              [-half, high],
              [half, high],
            ];
      return [...bottom, ...top.reverse()];
    }),
    blocks: [-1, 1].flatMap((side, i) =>
      upTo(count).map((n) => {
        const x = -half + ((n - 0.5) * lengthMm) / count;
        const face = stretch(side, x - blockHalf, x + blockHalf, CURVE_STEPS);
        return curvedBlock(
          { face, flatAtMm: side * (widthMm / 2 + blockMm), thicknessMm },
          hold,
          i * count + n,
        );
      }),
    ),
    findings: [
      finding('scribed-blocks', 'informs', {
        pairs: count,
        apartMm: lengthMm / count,
        fixing,
        ...hold,
      }),
    ],
  };
}
