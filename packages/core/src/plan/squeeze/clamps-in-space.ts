import type { AssemblyFacts, JointFacts } from '../../assembly';
import { isBag, ROUND } from '../../clamps';
import { add, dot, MAIN_AXES, middleOf, reach, scale, solidPoints, subtract, type Vec3 } from '../../solids';
import { footOf, jointsOf, pointsOf } from '../pulls/lines-of-pull';
import { isOpposed, SPOTS, waysOf } from '../pulls/opposed';
import type { PlannedPull } from '../pulls/planned-pull';
import { bandLoops } from './band-loops';
import { isCurved, onCurve } from './on-a-curve';
import { type ClampPlace, type PullFrame, pullFrame } from './pull-frame';
import type { ClampInSpace } from './squeezed';
import { alongStack, inLine, spots, stationAt } from './stations';

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
  const { pieces } = planned;
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
    const places = planned.placed.map(({ clamp }) => frame.at(clamp));
    return onCurve(outermost, pieces.length, places, frame.along).flatMap(({ at, outward }, i) => {
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
        : inLine(pull, frame, joints, pieces);
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
  const { pull, pieces } = planned;
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
