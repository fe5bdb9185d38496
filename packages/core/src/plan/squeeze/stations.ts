import type { AssemblyFacts, JointFacts, Pull } from '../../assembly';
import { BETWEEN_JAWS_MM, evenPositions, lotReachMm } from '../../clamps';
import type { RackLot } from '../../formats';
import { add, dot, MAIN_AXES, middleOf, reach, scale, type Vec3 } from '../../solids';
import { linesOfPull, nearestLine, pointsOf } from '../pulls/lines-of-pull';
import type { Piece } from '../pulls/pieces';
import { twoRows } from '../pulls/pulls';
import { acrossInTurn, type PullFrame } from './pull-frame';

/** A spot for one clamp, and the joints that it closes there. */
export interface Station {
  readonly at: Vec3;
  readonly joints: readonly string[];
}

/** Where a joint is drawn home by several clamps, the outermost stand so far to either side of its middle, as a share of its length. */
const TO_SIDE = 0.3;

/** A placed clamp: on a stack it closes everything, else what lies in the line of pull nearest to it. */
export function stationAt(pull: Pull, joints: readonly JointFacts[], at: Vec3): Station {
  const lines = linesOfPull(pull, joints);
  const nearest = nearestLine(lines, at);
  const own = pull.stacked || nearest === null ? joints : (lines[nearest]?.joints ?? []);
  return { at, joints: own.map(({ joint }) => joint.id) };
}

/** In line with the joints, several on one line spread along it. */
export function inLine(
  pull: Pull,
  frame: PullFrame,
  joints: readonly JointFacts[],
  pieces: readonly Piece[],
): Station[] {
  const lines = linesOfPull(pull, joints);
  const square = MAIN_AXES.filter((main) => Math.abs(dot(main, pull.axis)) < 0.7);
  const apart = pieces.every(({ line }) => line !== null);
  const stations = lines.flatMap(({ at, joints: own }, line): Station[] => {
    const count = apart ? pieces.filter((piece) => piece.line === line).length : 1;
    const points = own.flatMap(pointsOf);
    const along = longest(square, points);
    const reachMm = span(points, along);
    const ids = own.map(({ joint }) => joint.id);
    return Array.from({ length: count }, (_, i) => {
      const aside = count === 1 ? 0 : (2 * i) / (count - 1) - 1;
      return { at: add(at, scale(along, aside * TO_SIDE * reachMm)), joints: ids };
    });
  });
  if (apart) return stations;
  const count = pieces.length;
  // Fewer clamps than lines: evenly over them from one side to the other, with a caul across what lies between.
  const placeOf = ({ at }: Station) => frame.placeOf(at);
  stations.sort(
    (a, b) => placeOf(a).alongMm - placeOf(b).alongMm || placeOf(a).acrossMm - placeOf(b).acrossMm,
  );
  return Array.from({ length: count }, (_, i) => {
    const from = Math.floor((i * stations.length) / count);
    const to = Math.floor(((i + 1) * stations.length) / count);
    const own = stations.slice(from, to);
    return {
      at: middleOf(own.map(({ at }) => at)),
      joints: own.flatMap(({ joints: ids }) => ids),
    };
  });
}

/** Evenly along a stack; where bars lie on its faces, above and below in turn. */
export function alongStack(
  pull: Pull,
  frame: PullFrame,
  facts: AssemblyFacts,
  joints: readonly JointFacts[],
  pieces: readonly { readonly lot: RackLot }[],
): Station[] {
  const [low, high] = reach(joints.flatMap(pointsOf), frame.along);
  const fromMm = frame.placeOf(scale(frame.along, low)).alongMm;
  const inRowMm = pieces.reduce((sum, { lot }) => sum + lot.padWidthMm + BETWEEN_JAWS_MM, 0);
  // From both sides where one row has no room, or where jaws do not reach the middle from one.
  const shallow = pieces.some(({ lot }) => {
    const jawDepthMm = lotReachMm(lot);
    return jawDepthMm > 0 && jawDepthMm < frame.widthMm / 2;
  });
  const rows = (shallow || inRowMm > high - low) && twoRows(pull, joints, facts) ? 2 : 1;
  return evenPositions(pieces.length, high - low).map((offset, i) => ({
    at: frame.at({ alongMm: fromMm + offset, acrossMm: acrossInTurn(pull, frame, i, rows) }),
    joints: joints.map(({ joint }) => joint.id),
  }));
}

/** Strips and springs evenly over the joints, along each of them. */
export function spots(joints: readonly JointFacts[], count: number): Station[] {
  const each = Math.max(1, Math.floor(count / Math.max(1, joints.length)));
  // What is left over goes to the longest.
  const longestFirst = [...joints].sort((a, b) => b.lengthMm - a.lengthMm);
  const more = new Set(longestFirst.slice(0, Math.max(0, count - each * joints.length)));
  return joints.flatMap((joint): Station[] => {
    const points = pointsOf(joint);
    const middle = middleOf(points);
    const along = longest(MAIN_AXES, points);
    const [low, high] = reach(points, along);
    return evenPositions(each + (more.has(joint) ? 1 : 0), high - low).map((offset) => ({
      at: add(middle, scale(along, low + offset - dot(middle, along))),
      joints: [joint.joint.id],
    }));
  });
}

/** Of some directions the one along which points reach furthest. */
const longest = (directions: readonly Vec3[], points: readonly Vec3[]): Vec3 =>
  [...directions].sort((a, b) => span(points, b) - span(points, a))[0] ?? MAIN_AXES[0];

const span = (points: readonly Vec3[], direction: Vec3): number => {
  const [low, high] = reach(points, direction);
  return high - low;
};
