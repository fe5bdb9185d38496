import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import { mitrePolygon, radians } from '../../geometry';
import { extruded, solidOf, type Vec2 } from '../../solids';
import { type Layout, type PartDraft, PLAIN_LAYOUT } from '../kind';
import { upTo } from '../names';
import { joint, MITRE_CLAMPS, part, partId } from './pieces';

/** Longest miss that sanding or a hair of glue forgives, mm. */
const CLOSES_WITHIN_MM = 0.5;

/** What members of a frame lie round. */
export interface Outline {
  readonly sidesMm: readonly number[];
  readonly anglesDeg: readonly number[];
  readonly widthMm: number;
  /** Of each member, where they differ. */
  readonly widthsMm?: readonly number[];
  readonly thicknessMm: number;
  readonly species: string;
  readonly open: boolean;
  /** Way of the first side, from x; 0 unless said otherwise. */
  readonly startDeg?: number;
  /** What members are called, from the first on; by where they lie unless said otherwise. */
  readonly names?: readonly string[];
}

/** A clamp of its own on each corner; it opens by the member, not by the frame. */
export function cornerPulls(
  joints: Layout['joints'],
  { widthMm, anglesDeg, startDeg = 0 }: Pick<Outline, 'widthMm' | 'anglesDeg' | 'startDeg'>,
  kinds: readonly string[] = ['pointed-spring', 'cam-mitre', 'tape'],
): Layout['pulls'] {
  const headings = headingsOf(anglesDeg, startDeg);
  return joints.map(({ id, angleDeg }, i) => {
    // Square to the joint: half-way between the ways of its two members.
    const way = (headings[i] ?? 0) + (Math.PI - radians(angleDeg ?? 90)) / 2;
    return {
      id: `corner-${id}`,
      joints: [id],
      need: 'band',
      stacked: true,
      axis: [Math.cos(way), Math.sin(way), 0],
      openingMm: widthMm,
      kinds,
    };
  });
}

/** A band over the whole outline. */
export const roundPull = (joints: Layout['joints'], sidesMm: readonly number[]): Layout['pulls'] => [
  {
    id: 'round',
    joints: joints.map(({ id }) => id),
    need: 'band',
    stacked: true,
    axis: [1, 0, 0],
    openingMm: Math.max(...sidesMm),
    kinds: MITRE_CLAMPS,
  },
];

/** Mitred members round an outline, the last side left out where it is open. */
export function frameOf(outline: Outline): Layout {
  const { sidesMm, anglesDeg, widthMm, open, startDeg = 0 } = outline;
  checkOutline(sidesMm, anglesDeg, open);
  const corners = walk(sidesMm, anglesDeg, startDeg);
  const n = sidesMm.length;
  const members = open ? n - 1 : n;
  const parts = upTo(members).map((number) => memberOf(number, { ...outline, corners }));
  const joints = upTo(open ? members - 1 : members).map((number) =>
    joint('mitre', partId('member', number), partId('member', (number % n) + 1), {
      angleDeg: anglesDeg[number % n] ?? 90,
    }),
  );
  const sharpest = Math.min(...joints.map(({ angleDeg }) => angleDeg ?? 180));
  const last = joints.at(-1)?.angleDeg ?? 90;
  return {
    ...PLAIN_LAYOUT,
    parts,
    joints,
    // A band would fold an open chain up.
    pulls: open ? cornerPulls(joints, outline) : roundPull(joints, sidesMm),
    square: open
      ? { kind: 'splay', legMm: Math.max(sidesMm[0] ?? 0, sidesMm[members - 1] ?? 0) }
      : n === 4 && anglesDeg.every((angle) => Math.abs(angle - 90) < 1e-9)
        ? { kind: 'diagonals', abMm: sidesMm[0] ?? 0, bcMm: sidesMm[1] ?? 0 }
        : { kind: 'mitres', corners: joints.length, faceMm: widthMm, lastAngleDeg: last },
    flat: { kind: 'wind' },
    oneGo: true,
    findings:
      sharpest < 90 - 1e-9
        ? [
            finding('saw-past-45', 'informs', {
              angleDeg: sharpest,
              sawDeg: 90 - sharpest / 2,
              tiltDeg: sharpest / 2,
            }),
          ]
        : [],
  };
}

function checkOutline(sidesMm: readonly number[], anglesDeg: readonly number[], open: boolean): void {
  const n = sidesMm.length;
  if (anglesDeg.length !== n) {
    throw new InputError(
      'inconsistent',
      'answers.anglesDeg',
      `There are ${n} sides and ${anglesDeg.length} corners.`,
      `${n} corners, one at the start of each side`,
    );
  }
  const sum = anglesDeg.reduce((total, angle) => total + angle, 0);
  const due = 180 * (n - 2);
  if (Math.abs(sum - due) > 0.05) {
    const last = (anglesDeg.at(-1) ?? 0) + due - sum;
    throw new InputError(
      'inconsistent',
      'answers.anglesDeg',
      `The corners add up to ${round(sum)}°; ${n} corners must add up to ${due}°.`,
      `for instance a last corner of ${round(last)}°`,
    );
  }
  const { closureMm } = mitrePolygon({ sidesMm, anglesDeg, memberWidthMm: 1 });
  if (closureMm > CLOSES_WITHIN_MM && !open) {
    const nearest = closingSides(sidesMm, anglesDeg);
    throw new InputError(
      'inconsistent',
      'answers.sidesMm',
      `These mitres do not close: the outline misses itself by ${round(closureMm)} mm.`,
      nearest === null
        ? 'other sides'
        : `with these corners, last two sides of ${nearest.map(round).join(' and ')} mm`,
    );
  }
}

const round = (value: number) => Number(value.toFixed(1));

/** The last two sides with which the outline would close, corners and other sides kept. */
function closingSides(
  sidesMm: readonly number[],
  anglesDeg: readonly number[],
): readonly [number, number] | null {
  const headings = headingsOf(anglesDeg);
  const n = sidesMm.length;
  const fixed = sidesMm
    .slice(0, n - 2)
    .reduce(
      ([x, y], side, i) =>
        [x + side * Math.cos(headings[i] ?? 0), y + side * Math.sin(headings[i] ?? 0)] as const,
      [0, 0] as readonly [number, number],
    );
  const [p, q] = [headings[n - 2] ?? 0, headings[n - 1] ?? 0];
  const det = Math.cos(p) * Math.sin(q) - Math.sin(p) * Math.cos(q);
  if (Math.abs(det) < 1e-9) return null;
  const first = (-fixed[0] * Math.sin(q) + fixed[1] * Math.cos(q)) / det;
  const second = (-fixed[1] * Math.cos(p) + fixed[0] * Math.sin(p)) / det;
  return first > 1 && second > 1 ? [first, second] : null;
}

function headingsOf(anglesDeg: readonly number[], startDeg = 0): number[] {
  let heading = radians(startDeg);
  return anglesDeg.map((_, i) => {
    if (i > 0) heading += Math.PI - radians(anglesDeg[i] ?? 0);
    return heading;
  });
}

/** Outside corners, the first at the origin. */
function walk(sidesMm: readonly number[], anglesDeg: readonly number[], startDeg: number): Vec2[] {
  const headings = headingsOf(anglesDeg, startDeg);
  let [x, y] = [0, 0];
  return sidesMm.map((side, i) => {
    const corner: Vec2 = [x, y];
    x += side * Math.cos(headings[i] ?? 0);
    y += side * Math.sin(headings[i] ?? 0);
    return corner;
  });
}

function memberOf(number: number, frame: Outline & { readonly corners: readonly Vec2[] }): PartDraft {
  const { corners, anglesDeg, sidesMm, thicknessMm, species, open, names } = frame;
  const n = corners.length;
  const i = number - 1;
  const widthOf = (member: number) => frame.widthsMm?.[member] ?? frame.widthMm;
  const widthMm = widthOf(i);
  const [from, to] = [corners[i] as Vec2, corners[(i + 1) % n] as Vec2];
  const sideMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const along: Vec2 = [(to[0] - from[0]) / sideMm, (to[1] - from[1]) / sideMm];
  const inward: Vec2 = [-along[1], along[0]];
  // A free end is cut square; a mitre steps in to where both inner edges meet: w / tan(half the corner) for equal widths.
  const stepIn = (corner: number, other: number, free: boolean) => {
    const angle = radians(anglesDeg[corner] ?? 90);
    return free ? 0 : (widthOf(other) + widthMm * Math.cos(angle)) / Math.sin(angle);
  };
  const start = stepIn(i, (i + n - 1) % n, open && i === 0);
  const end = stepIn((i + 1) % n, (i + 1) % n, open && number === n - 1);
  const insideMm = sideMm - start - end;
  if (insideMm < 1) {
    throw new InputError(
      'inconsistent',
      'answers.widthMm',
      `Side ${number} of ${round(sidesMm[i] ?? sideMm)} mm is too short for members ${round(widthMm)} mm wide at its corners.`,
      `members up to ${round((widthMm * (sideMm - 1)) / (start + end))} mm wide`,
    );
  }
  const at = (alongMm: number, inMm: number): Vec2 => [
    from[0] + along[0] * alongMm + inward[0] * inMm,
    from[1] + along[1] * alongMm + inward[1] * inMm,
  ];
  const outline = [at(0, 0), at(sideMm, 0), at(sideMm - end, widthMm), at(start, widthMm)];
  const member = part(
    'member',
    number,
    species,
    solidOf(extruded('z', outline, 0, thicknessMm)),
    [along[0], along[1], 0],
    [sideMm, widthMm, thicknessMm],
  );
  return { ...member, label: names?.[i] ?? nameOf(inward, n) ?? member.label };
}

/** Where a member of a frame of four lies, by the way to its inside; null where it lies slanted or sides are many. */
function nameOf([x, y]: Vec2, sides: number): string | null {
  if (sides !== 4 || Math.min(Math.abs(x), Math.abs(y)) > 1e-6) return null;
  if (Math.abs(y) > Math.abs(x)) return y > 0 ? 'bottom rail' : 'top rail';
  return x > 0 ? 'left stile' : 'right stile';
}
