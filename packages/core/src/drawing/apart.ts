import type { AssemblyFacts } from '../assembly';
import { leaves, seenFromOther, waysOut, type WaysOut } from '../sequence';
import {
  add,
  DIRECTIONS,
  dot,
  middleOf,
  scale,
  solidPoints,
  subtract,
  unit,
  type Vec2,
  type Vec3,
} from '../solids';
import { type AssemblyView, flattener } from './eye';

/** How far each part, by its id, is drawn from where it belongs, mm; parts left out are in place. */
export type Shifts = ReadonlyMap<string, Vec3>;

/** Every part where it belongs. */
export const TOGETHER: Shifts = new Map();

/** Pulls every part away from the middle by a share of its distance from it. */
export function pulledApart(facts: AssemblyFacts, share: number): Shifts {
  if (share === 0) return TOGETHER;
  const middle = scale(add(facts.fromMm, facts.toMm), 0.5);
  return new Map(
    facts.parts.map(({ part }) => [
      part.id,
      scale(subtract(middleOf(solidPoints(part.solid)), middle), share),
    ]),
  );
}

/** How far the lesser side of a closing is drawn from its place before, as a share of the assembly's diagonal. */
const APART_SHARE = 0.16;

/** One closing as it is played: who comes, and from where. */
export interface PlayedClosing {
  /** Ids of the joints that close. */
  readonly joints: readonly string[];
  /** Ids of the parts that come. */
  readonly comes: readonly string[];
  /** How far they are drawn from their place before, mm. */
  readonly fromMm: Vec3;
}

/**
 * Closings one after the other, as they are drawn: the sub-assembly of fewer parts comes to the other, straight
 * along a way that all joints of the closing leave open, or from its own side where they leave none.
 */
export function playedClosings(
  facts: AssemblyFacts,
  closings: readonly (readonly string[])[],
): PlayedClosing[] {
  const jointOf = new Map(facts.joints.map((own) => [own.joint.id, own]));
  const middles = new Map(facts.parts.map(({ part }) => [part.id, middleOf(solidPoints(part.solid))]));
  const groupOf = new Map(facts.parts.map(({ part }) => [part.id, [part.id]]));
  const span = Math.hypot(...subtract(facts.toMm, facts.fromMm));
  return closings.flatMap((ids): PlayedClosing[] => {
    const joints = ids.flatMap((id) => jointOf.get(id) ?? []);
    const [first] = joints;
    const one = groupOf.get(first?.joint.a ?? '') ?? [];
    const other = groupOf.get(first?.joint.b ?? '') ?? [];
    if (first === undefined || one === other) return [];
    const [comes, stays] = one.length < other.length ? [one, other] : [other, one];
    const ways = joints.reduce<WaysOut>(
      (left, { joint, release }) => {
        const own = waysOut(release.length > 0 ? release : ['any']);
        return left & (comes.includes(joint.b) ? own : seenFromOther(own));
      },
      waysOut(['any']),
    );
    const outward = subtract(middleOfParts(comes, middles), middleOfParts(stays, middles));
    const both = [...stays, ...comes];
    for (const part of both) groupOf.set(part, both);
    return [{ joints: ids, comes, fromMm: scale(comesAlong(ways, outward), APART_SHARE * span) }];
  });
}

/** A closing as it is seen on a sheet: its parts, and from how far beside their place they come, mm, y down. */
export interface SheetClosing {
  readonly joints: readonly string[];
  readonly comes: readonly string[];
  readonly from: Vec2;
}

/** Closings flattened to a view: there is no perspective, so that all of a part moves alike. */
export function closingsOnSheet(
  facts: AssemblyFacts,
  closings: readonly (readonly string[])[],
  view: AssemblyView,
): SheetClosing[] {
  const flatten = flattener(view);
  return playedClosings(facts, closings).map(({ joints, comes, fromMm }) => ({
    joints,
    comes,
    from: flatten(fromMm),
  }));
}

/** The open way that points most outward, straight ones before slanted ones. */
function comesAlong(ways: WaysOut, outward: Vec3): Vec3 {
  const length = Math.hypot(...outward);
  const along: Vec3 = length < 1e-6 ? [0, 0, 1] : unit(outward);
  const open = DIRECTIONS.filter((_, i) => leaves(ways, i));
  const straightness = (direction: Vec3) => Math.max(...direction.map(Math.abs));
  const best = open.reduce<Vec3 | null>((chosen, { direction }) => {
    const worth = (way: Vec3) => dot(way, along) * straightness(way) ** 2;
    return chosen === null || worth(direction) > worth(chosen) + 1e-9 ? direction : chosen;
  }, null);
  return best ?? along;
}

/** Where parts are drawn when so many closings are done; a fraction is a closing on its way. */
export function shiftsAt(played: readonly PlayedClosing[], done: number): Shifts {
  const shifts = new Map<string, Vec3>();
  played.forEach(({ comes, fromMm }, i) => {
    const left = Math.min(1, Math.max(0, i + 1 - done));
    if (left === 0) return;
    for (const part of comes) {
      shifts.set(part, add(shifts.get(part) ?? [0, 0, 0], scale(fromMm, left)));
    }
  });
  return shifts;
}

function middleOfParts(parts: readonly string[], middles: ReadonlyMap<string, Vec3>): Vec3 {
  return middleOf(
    parts.flatMap((id) => {
      const at = middles.get(id);
      return at === undefined ? [] : [at];
    }),
  );
}
