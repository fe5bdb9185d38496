import {
  contactsBetween,
  DIRECTIONS,
  MAIN_AXES,
  dot,
  loopsInSpace,
  reach,
  type Surface,
  surfaceArea,
  type Vec3,
} from '../solids';
import type { Joint, Part } from './assembly';

/** How the grain of two parts meets; end grain drinks and holds little. */
export type GrainPairing = 'long-long' | 'cross-grain' | 'long-end' | 'end-end';

/** One flat stretch where two parts touch. */
export interface Contact {
  readonly areaMm2: number;
  /** Out of the first part, into the second. */
  readonly normal: Vec3;
  readonly pairing: GrainPairing;
  readonly loops: readonly (readonly Vec3[])[];
  /** Index of the surface of either part that it lies on. */
  readonly ofA: number;
  readonly ofB: number;
}

/** What the solids say about a joint. */
export interface JointFacts {
  readonly joint: Joint;
  /** The two parts by name. */
  readonly label: string;
  readonly contacts: readonly Contact[];
  readonly contactMm2: number;
  /** Contact that gets glue. */
  readonly gluedMm2: number;
  /** Glued area of long grain on long grain, along or across. */
  readonly longGrainMm2: number;
  /**
   * How far either part, across its own grain, is held by the other's length: there its wood would move and may not. Null where no
   * grain crosses; what stays dry is taken off.
   */
  readonly crossedMm: { readonly a: number; readonly b: number } | null;
  /** Greatest reach of the contact. */
  readonly lengthMm: number;
  /** Pairing with most area. */
  readonly pairing: GrainPairing;
  /** Directions, out of 26, in which the second part can leave the first; signs of x, y, z. */
  readonly release: readonly string[];
}

/** A face is end grain when its normal is within 60° of the grain, which takes a 45° mitre in and a scarf out. */
const END_GRAIN_COSINE = 0.5;
/** Long grain meeting at more than this is cross-grain: 30°. */
const CROSS_GRAIN_COSINE = Math.cos(Math.PI / 6);
/** A part may slide along a face; it may not be pressed into it. Cosines nearer to zero than this are of directions along the face. */
const ALONG = 1e-6;

/** Whether a face with this normal shows the ends of the fibres. */
export function isEndGrain(part: Pick<Part, 'grain' | 'sheetNormal'>, normal: Vec3): boolean {
  return part.sheetNormal === null
    ? Math.abs(dot(part.grain, normal)) > END_GRAIN_COSINE
    : Math.abs(dot(part.sheetNormal, normal)) < END_GRAIN_COSINE;
}

/**
 * Areas, grain and ways out of a joint, from the surfaces that are drawn.
 * Release is first order: b may go where no contact is pressed into. Source: plane geometry.
 */
export function jointFacts(
  joint: Joint,
  a: Part,
  b: Part,
  surfaces: ReadonlyMap<string, readonly Surface[]>,
): JointFacts {
  const contacts = contactsBetween(surfaces.get(a.id) ?? [], surfaces.get(b.id) ?? []).map(
    (surface): Contact => ({
      areaMm2: surfaceArea(surface),
      normal: surface.normal,
      pairing: pairingOf(a, b, surface.normal),
      loops: loopsInSpace(surface),
      ofA: surface.ofA,
      ofB: surface.ofB,
    }),
  );
  const sumOf = (some: readonly Contact[]) => some.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const contactMm2 = sumOf(contacts);
  const long = contacts.filter(({ pairing }) => pairing === 'long-long' || pairing === 'cross-grain');
  return {
    joint,
    label: labelOf(a.label, b.label),
    contacts,
    contactMm2,
    gluedMm2: contactMm2 * joint.gluedShare,
    longGrainMm2: sumOf(long) * joint.gluedShare,
    crossedMm: crossed(
      joint,
      a,
      b,
      contacts.filter(({ pairing }) => pairing === 'cross-grain'),
    ),
    lengthMm: longestReach(contacts),
    pairing: commonest(contacts),
    release: releaseDirections(joint, contacts),
  };
}

/** Boards that go by a letter are named close together: "A–B". */
const labelOf = (a: string, b: string): string =>
  a.length <= 2 && b.length <= 2 ? `${a}–${b}` : `${a} – ${b}`;

function pairingOf(a: Part, b: Part, normal: Vec3): GrainPairing {
  const ends = Number(isEndGrain(a, normal)) + Number(isEndGrain(b, normal));
  if (ends === 2) return 'end-end';
  if (ends === 1) return 'long-end';
  const sheet = a.sheetNormal !== null || b.sheetNormal !== null;
  return !sheet && Math.abs(dot(a.grain, b.grain)) < CROSS_GRAIN_COSINE ? 'cross-grain' : 'long-long';
}

function commonest(contacts: readonly Contact[]): GrainPairing {
  const sums = new Map<GrainPairing, number>();
  for (const { pairing, areaMm2 } of contacts) sums.set(pairing, (sums.get(pairing) ?? 0) + areaMm2);
  return [...sums].sort((x, y) => y[1] - x[1])[0]?.[0] ?? 'long-long';
}

function longestReach(contacts: readonly Contact[]): number {
  const points = contacts.flatMap(({ loops }) => loops.flat());
  return HALF_THE_DIRECTIONS.reduce((most, direction) => {
    const [low, high] = reach(points, direction);
    return Math.max(most, high - low);
  }, 0);
}

/** Along the grain of one part lies what the other would move across. */
function crossed(joint: Joint, a: Part, b: Part, contacts: readonly Contact[]): JointFacts['crossedMm'] {
  if (contacts.length === 0 || joint.gluedShare === 0) return null;
  // At a slant, as in a sharp mitre, either moves much as the other does.
  if (Math.abs(dot(a.grain, b.grain)) > END_GRAIN_COSINE) return null;
  const points = contacts.flatMap(({ loops }) => loops.flat());
  const along = (grain: Vec3) => {
    const [low, high] = reach(points, grain);
    return high - low;
  };
  const [ofA, ofB] = [along(b.grain), along(a.grain)];
  // Glue kept to the middle shortens the longer side.
  const share = joint.gluedShare;
  return ofA >= ofB ? { a: ofA * share, b: ofB } : { a: ofA, b: ofB * share };
}

/** One of each pair of opposites. */
const HALF_THE_DIRECTIONS = DIRECTIONS.slice(0, DIRECTIONS.length / 2).map(({ direction }) => direction);

/** Glued faces that slide over each other this far, or no further than there is no way round, still have glue on them [judgement], mm. */
const SLIDES_WET_MM = 60;
const LITTLE_MORE = 2;

/**
 * Ways in which b leaves a, and so comes to it: those in which nothing is pressed into. Where there is glue, none in which it would be
 * dragged along far, as a shelf drags it that is pushed into its housings from the front: that wipes it off.
 */
function releaseDirections({ gluedShare }: Joint, contacts: readonly Contact[]): string[] {
  const free = DIRECTIONS.filter(({ direction }) =>
    contacts.every(({ normal }) => dot(direction, normal) >= -ALONG),
  );
  if (gluedShare === 0) return free.map(({ name }) => name);
  const boxed = contacts.map(boxOf);
  const ways = free.map(({ name, direction }) => ({ name, draggedMm: draggedMm(boxed, direction) }));
  const least = Math.min(...ways.map((way) => way.draggedMm));
  const most = Math.max(SLIDES_WET_MM, LITTLE_MORE * least);
  return ways.filter((way) => way.draggedMm <= most).map(({ name }) => name);
}

/** A contact by the box around it: how far it reaches along x, y and z, mm. */
interface BoxedContact {
  readonly normal: Vec3;
  readonly sides: readonly number[];
}

function boxOf({ normal, loops }: Contact): BoxedContact {
  const points = loops.flat();
  return {
    normal,
    sides: MAIN_AXES.map((axis) => {
      const [low, high] = reach(points, axis);
      return high - low;
    }),
  };
}

/** How far contacts slide over themselves before they are clear of each other, mm. */
function draggedMm(contacts: readonly BoxedContact[], direction: Vec3): number {
  let most = 0;
  for (const { normal, sides } of contacts) {
    if (dot(direction, normal) > ALONG) continue;
    let clear = Infinity;
    sides.forEach((side, axis) => {
      const step = Math.abs(direction[axis] ?? 0);
      if (step >= ALONG) clear = Math.min(clear, side / step);
    });
    most = Math.max(most, clear);
  }
  return most;
}
