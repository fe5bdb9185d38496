import type { AssemblyFacts, JointFacts, Pull } from '../../assembly';
import { BETWEEN_JAWS_MM, evenPositions, isBag, lotReachMm, ROUND } from '../../clamps';
import type { RackLot } from '../../formats';
import { add, dot, MAIN_AXES, middleOf, reach, scale, solidPoints, subtract, type Vec3 } from '../../solids';
import { TWO_CLAMPS_FROM_MM } from '../pulls/least-clamps';
import { piecesOf } from '../pulls/pieces';
import type { PlannedPull } from '../pulls/planned-pull';
import { footOf, type LineOfPull, linesOfPull, pointsOf, jointsOf } from '../pulls/lines-of-pull';
import { bandLoops } from './band-loops';
import { isCurved, onCurve } from './on-a-curve';
import { isOpposed, SPOTS, waysOf } from '../pulls/opposed';
import { twoRows } from '../pulls/pulls';

import { acrossInTurn, type ClampPlace, type PullFrame, pullFrame } from './pull-frame';
import type { ClampInSpace } from './squeezed';

/** A spot for one clamp, and the joints that it closes there. */
interface Station {
  readonly at: Vec3;
  readonly joints: readonly string[];
}

/** Where a joint is drawn home by two clamps, so far to either side of its middle as a share of its length. */
const TO_SIDE = 0.3;

/**
 * Places what a pull takes from the rack: where the person has put it; else in line with the joints that it closes, evenly
 * along a stack and turn about above and below where bars lie on faces, round the outline, or strip by strip along the joints.
 */
export function clampsInSpace(
  planned: PlannedPull,
  facts: AssemblyFacts,
  firstNumber: number,
): ClampInSpace[] {
  const { pull } = planned;
  const joints = jointsOf(pull, facts);
  const pieces = piecesOf(planned);
  const frame = pullFrame(pull, facts);
  const shaped = (
    i: number,
    joined: readonly string[],
    shape: ClampInSpace['shape'],
    place: ClampPlace | null,
  ): ClampInSpace[] => {
    const piece = pieces[i];
    if (piece === undefined) return [];
    const { lot, forceN, id } = piece;
    return [
      {
        number: firstNumber + i,
        id,
        pull: pull.id,
        lot,
        forceN,
        openingMm: pull.openingMm,
        place,
        shape,
        joints: joined,
      },
    ];
  };
  const round = pieces.filter(({ lot }) => ROUND.includes(lot.kind)).length;
  if (round === pieces.length && round > 0) {
    const all = joints.map(({ joint }) => joint.id);
    const placed = planned.placed.map(({ clamp }) => clamp.alongMm);
    return bandLoops(facts, joints, pieces.length, placed).flatMap(({ loop, alongMm }, i) =>
      shaped(i, all, { kind: 'band', loop }, { alongMm, acrossMm: 0 }),
    );
  }
  if (pull.opposedAxes !== undefined && pieces.some(({ lot }) => isOpposed(pull, lot.kind))) {
    return onSquarePost(planned, facts, joints, shaped);
  }
  if (pieces.some(({ lot }) => SPOTS.includes(lot.kind))) {
    return spots(joints, pieces.length).flatMap(({ at, joints: own }, i) =>
      shaped(i, own, { kind: 'spot', at }, null),
    );
  }
  if (pieces.some(({ lot }) => isBag(lot.kind))) return [];
  const outermost = joints.at(-1);
  if (pull.stacked && outermost !== undefined && isCurved(outermost)) {
    const spots = planned.placed.map(({ clamp }) => frame.at(clamp));
    return onCurve(outermost, pieces.length, spots, frame.along).flatMap(({ at, outward }, i) => {
      const ply = facts.parts.find(({ part }) => part.id === outermost.joint.b)?.part.blankMm[2] ?? 0;
      const to = add(at, scale(outward, ply));
      return shaped(
        i,
        joints.map(({ joint }) => joint.id),
        { kind: 'jaws', from: add(to, scale(outward, -pull.openingMm)), to, off: null },
        frame.placeOf(footOf(at, pull.axis)),
      );
    });
  }
  const [only] = joints;
  if (pull.need === 'band' && joints.length === 1 && only !== undefined) {
    // Over angled blocks across one corner: the clamp opens by the member, not by the frame.
    const half = scale(pull.axis, pull.openingMm / 2);
    const middle = middleOf(pointsOf(only));
    return pieces.flatMap((_, i) =>
      shaped(
        i,
        [only.joint.id],
        { kind: 'jaws', from: subtract(middle, half), to: add(middle, half), off: null },
        frame.placeOf(footOf(middle, pull.axis)),
      ),
    );
  }
  const stations =
    planned.placed.length > 0
      ? planned.placed.map(({ clamp }) => stationAt(pull, joints, frame.at(clamp)))
      : pull.stacked
        ? alongStack(pull, frame, facts, joints, pieces)
        : inLine(pull, frame, joints, pieces.length);
  return stations.flatMap(({ at, joints: own }, i) => {
    const [low, high] = reachAt(facts, pull.axis, own.length > 0 ? own : pull.joints);
    const foot = footOf(at, pull.axis);
    const place = frame.placeOf(foot);
    const { jaws, off } = jawsAt(frame, place);
    const top = add(foot, scale(pull.axis, high));
    return shaped(
      i,
      own,
      pieces[i]?.lot.kind === 'weight'
        ? { kind: 'spot', at: top }
        : {
            kind: 'jaws',
            from: add(jaws, scale(pull.axis, low)),
            to: add(jaws, scale(pull.axis, high)),
            off,
          },
      place,
    );
  });
}

/** Where jaws bite: a bar that lies off a face has them over the middle of the work, and itself on that side. */
function jawsAt(
  frame: PullFrame,
  { alongMm, acrossMm }: ClampPlace,
): { readonly jaws: Vec3; readonly off: Vec3 | null } {
  const beside = acrossMm < 0 || acrossMm > frame.widthMm;
  return {
    jaws: frame.at({ alongMm, acrossMm: beside ? frame.widthMm / 2 : acrossMm }),
    off: beside ? scale(frame.across, Math.sign(acrossMm)) : null,
  };
}

/** What goes round a square post and opposed clamps in turn along it, each pair at one place, its second clamp square to its first. */
function onSquarePost(
  planned: PlannedPull,
  facts: AssemblyFacts,
  joints: readonly JointFacts[],
  shaped: (
    i: number,
    joined: readonly string[],
    shape: ClampInSpace['shape'],
    place: ClampPlace | null,
  ) => ClampInSpace[],
): ClampInSpace[] {
  const { pull } = planned;
  const pieces = piecesOf(planned);
  const all = joints.map(({ joint }) => joint.id);
  const places = bandLoops(
    facts,
    joints,
    pieces.length,
    planned.placed.map(({ clamp }) => clamp.alongMm),
  );
  const ways = waysOf(pull, pieces);
  const firstOf = new Map<string, Vec3>();
  return pieces.flatMap(({ lot }, i) => {
    const own = places[i];
    const way = ways[i] ?? null;
    if (own === undefined) return [];
    const place = { alongMm: own.alongMm, acrossMm: 0 };
    if (way === null) return shaped(i, all, { kind: 'band', loop: own.loop }, place);
    const axis = pull.opposedAxes?.[way] ?? pull.axis;
    // A partner that was worked out comes on where the first of its pair stands.
    const partner = planned.placed.length === 0 ? firstOf.get(lot.id) : undefined;
    const at = way === 1 && partner !== undefined ? partner : middleOf(own.loop);
    firstOf.set(lot.id, at);
    const [low, high] = reach(own.loop, axis);
    const foot = footOf(at, axis);
    return shaped(
      i,
      all,
      {
        kind: 'jaws',
        from: add(foot, scale(axis, low)),
        to: add(foot, scale(axis, high)),
        off: null,
      },
      place,
    );
  });
}

/** A placed clamp: on a stack it closes everything, else what lies in the line of pull nearest to it. */
function stationAt(pull: Pull, joints: readonly JointFacts[], at: Vec3): Station {
  const apart = (line: LineOfPull) => Math.hypot(...[0, 1, 2].map((k) => (line.at[k] ?? 0) - (at[k] ?? 0)));
  const lines = linesOfPull(pull, joints);
  const nearest = lines.reduce<LineOfPull | null>(
    (best, line) => (best === null || apart(line) < apart(best) ? line : best),
    null,
  );
  const own = pull.stacked ? joints : (nearest?.joints ?? []);
  return { at, joints: own.map(({ joint }) => joint.id) };
}

/** How far the parts of some joints reach along an axis; where there are blocks for the jaws, how far those do. */
function reachAt(facts: AssemblyFacts, axis: Vec3, joints: readonly string[]): readonly [number, number] {
  const ids = new Set(
    facts.joints.filter(({ joint }) => joints.includes(joint.id)).flatMap(({ joint }) => [joint.a, joint.b]),
  );
  const blocks = facts.assembly.aids
    .filter(({ role }) => role === 'block')
    .map(({ solid }) => solidPoints(solid))
    .filter((points) => inLineWith(points, axis, facts, joints));
  if (blocks.length > 0) return reach(blocks.flat(), axis);
  return reach(
    facts.parts.filter(({ part }) => ids.has(part.id)).flatMap(({ part }) => solidPoints(part.solid)),
    axis,
  );
}

/** Whether a block lies before or behind some joints, seen along a pull. */
function inLineWith(
  block: readonly Vec3[],
  axis: Vec3,
  facts: AssemblyFacts,
  joints: readonly string[],
): boolean {
  const points = facts.joints.filter(({ joint }) => joints.includes(joint.id)).flatMap(pointsOf);
  return MAIN_AXES.every((main) => {
    const across = subtract(main, scale(axis, dot(main, axis)));
    const [low, high] = reach(block, across);
    const [from, to] = reach(points, across);
    return low <= to + 1e-6 && high >= from - 1e-6;
  });
}

/** The two main directions square to a pull, the one along which points reach further first. */
function squareTo(axis: Vec3, points: readonly Vec3[]): readonly [Vec3, Vec3] {
  const others = MAIN_AXES.filter((main) => Math.abs(dot(main, axis)) < 0.7);
  const extent = (direction: Vec3) => {
    const [low, high] = reach(points, direction);
    return high - low;
  };
  const [first = MAIN_AXES[0], second = MAIN_AXES[1]] = others.sort((a, b) => extent(b) - extent(a));
  return [first, second];
}

/** In line with the joints: those on one line share a clamp, long ones get two, and spare clamps go to the longest. */
function inLine(pull: Pull, frame: PullFrame, joints: readonly JointFacts[], count: number): Station[] {
  const lines = linesOfPull(pull, joints);
  const stations = lines.flatMap(({ at, joints: own }): Station[] => {
    const points = own.flatMap(pointsOf);
    const [along] = squareTo(pull.axis, points);
    const [low, high] = reach(points, along);
    const ids = own.map(({ joint }) => joint.id);
    const two = high - low > TWO_CLAMPS_FROM_MM && lines.length * 2 <= count;
    return two
      ? [-1, 1].map((side) => ({ at: add(at, scale(along, side * TO_SIDE * (high - low))), joints: ids }))
      : [{ at, joints: ids }];
  });
  if (stations.length <= count) return stations;
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
function alongStack(
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
function spots(joints: readonly JointFacts[], count: number): Station[] {
  const each = Math.max(1, Math.floor(count / Math.max(1, joints.length)));
  // What is left over goes to the longest.
  const longestFirst = [...joints].sort((a, b) => b.lengthMm - a.lengthMm);
  const more = new Set(longestFirst.slice(0, Math.max(0, count - each * joints.length)));
  return joints.flatMap((joint): Station[] => {
    const points = pointsOf(joint);
    const middle = middleOf(points);
    const directions = [...MAIN_AXES].sort((a, b) => span(points, b) - span(points, a));
    const along = directions[0] ?? MAIN_AXES[0];
    const [low, high] = reach(points, along);
    return evenPositions(each + (more.has(joint) ? 1 : 0), high - low).map((offset) => ({
      at: add(middle, scale(along, low + offset - dot(middle, along))),
      joints: [joint.joint.id],
    }));
  });
}

const span = (points: readonly Vec3[], direction: Vec3): number => {
  const [low, high] = reach(points, direction);
  return high - low;
};
