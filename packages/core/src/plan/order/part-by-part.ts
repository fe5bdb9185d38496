import { leaves, opposite, seenFromOther, type SequenceProblem } from '../../sequence';
import { DIRECTIONS } from '../../solids';

const EVERY_WAY = DIRECTIONS.map((_, way) => way);

/**
 * Joints of a large session in groups that close one after the other, each bringing one part, or one sub-assembly made before, to what
 * stands already: the reverse of taking it apart piece by piece. Taking away what can be taken never holds anything else back, so no
 * choice has to be undone.
 * @param joints indexes of the session's joints; @param made those of earlier sessions.
 * @returns null where the pieces do not come apart one by one.
 */
export function partByPart(
  problem: SequenceProblem,
  joints: readonly number[],
  made: readonly number[],
): number[][] | null {
  const unit = unitsOf(problem, made);
  const links = joints.flatMap((i) => {
    const joint = problem.joints[i];
    if (joint === undefined) return [];
    return [{ i, a: unit[joint.a] ?? joint.a, b: unit[joint.b] ?? joint.b, ways: joint.ways }];
  });
  const standing = new Set(links.flatMap(({ a, b }) => [a, b]));
  const left = new Set(links);
  const groups: number[][] = [];
  while (left.size > 0) {
    // What was laid out last is taken away first, so that work begins with the first part.
    const going = [...standing]
      .sort((x, y) => y - x)
      .find((part) => {
        const own = [...left].filter(({ a, b }) => a === part || b === part);
        return (
          own.length > 0 &&
          EVERY_WAY.some((way) => goes(part, way, own) && !meets(problem, unit, part, way, standing))
        );
      });
    if (going === undefined) return null;
    const own = [...left].filter(({ a, b }) => a === going || b === going);
    groups.push(own.map(({ i }) => i));
    for (const link of own) left.delete(link);
    standing.delete(going);
  }
  return groups.reverse();
}

interface Link {
  readonly a: number;
  readonly b: number;
  readonly ways: number;
}

/** Whether a part may leave all its neighbours in one direction. */
const goes = (part: number, way: number, own: readonly Link[]): boolean =>
  own.every(({ b, ways }) => leaves(b === part ? ways : seenFromOther(ways), way));

/** Whether it runs into something that stands, that it is not joined to. */
function meets(
  { parts, runsInto }: SequenceProblem,
  unit: readonly number[],
  part: number,
  way: number,
  standing: ReadonlySet<number>,
): boolean {
  if (runsInto === null) return false;
  for (let b = 0; b < parts; b += 1) {
    if ((unit[b] ?? b) !== part) continue;
    for (let c = 0; c < parts; c += 1) {
      const other = unit[c] ?? c;
      if (other === part || !standing.has(other)) continue;
      if (leaves(runsInto[b * parts + c] ?? 0, way) || leaves(runsInto[c * parts + b] ?? 0, opposite(way)))
        return true;
    }
  }
  return false;
}

/** The sub-assembly that each part belongs to once some joints are made, by its first part. */
function unitsOf({ parts, joints }: SequenceProblem, made: readonly number[]): number[] {
  const unit = Array.from({ length: parts }, (_, i) => i);
  for (const i of made) {
    const joint = joints[i];
    if (joint === undefined) continue;
    const [from, to] = [unit[joint.a] ?? joint.a, unit[joint.b] ?? joint.b];
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    unit.forEach((own, part) => {
      if (own === high) unit[part] = low;
    });
  }
  return unit;
}
