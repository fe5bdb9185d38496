import type { JointFacts } from '../assembly';
import { add, dot, MAIN_AXES, reach, scale, subtract, type Vec3 } from '../solids';

/** Where a joint gets glue: all of its contact, or, where its ends stay dry, the middle of the axis along which it is longest. */
export function gluedLoops({ joint, contacts }: JointFacts): (readonly Vec3[])[] {
  const loops = contacts.flatMap((contact) => contact.loops);
  const { gluedShare } = joint;
  if (gluedShare === 0 || gluedShare >= 1 || loops.length === 0) return loops;
  const points = loops.flat();
  const reaches = MAIN_AXES.map((axis) => ({ axis, ends: reach(points, axis) }));
  const { axis, ends } = reaches.reduce((most, each) =>
    lengthOf(each.ends) > lengthOf(most.ends) ? each : most,
  );
  const middle = (ends[0] + ends[1]) / 2;
  const half = (gluedShare * lengthOf(ends)) / 2;
  const before = (loop: readonly Vec3[]) => keptOf(loop, axis, middle + half);
  const after = (loop: readonly Vec3[]) => keptOf(loop, scale(axis, -1), half - middle);
  return loops.map((loop) => after(before(loop))).filter((loop) => loop.length > 2);
}

const lengthOf = ([low, high]: readonly [number, number]): number => high - low;

/** What of a loop reaches no further than `most` along an axis: each side is cut where it leaves. */
function keptOf(loop: readonly Vec3[], axis: Vec3, most: number): Vec3[] {
  return loop.flatMap((from, i): Vec3[] => {
    const to = loop[(i + 1) % loop.length] ?? from;
    const [here, there] = [dot(from, axis), dot(to, axis)];
    const kept = here <= most ? [from] : [];
    if (here <= most === there <= most) return kept;
    return [...kept, add(from, scale(subtract(to, from), (most - here) / (there - here)))];
  });
}
