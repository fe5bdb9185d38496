import type { AssemblyFacts } from '../assembly';
import { leastBy } from '../basics/least-by';
import { finding } from '../findings';
import { HELD_MOVES_MM, heldMovesMm, heldWidthMm } from '../materials';
import { oneSidedBowMm } from '../mechanics';
import type { PlanParts } from '../plan/plan';
import { cornersOf, STAYS_CLAMPED_DOWN } from '../plan/squeeze/corners-down';
import { against, atRest, type Judged } from './judged';

/** Moisture of parts in one wide joint that differs by this much or more is worth a warning, %. */
const MISMATCH_PCT = 2;

/** Glue on the joints, g/m². */
const filmGPerM2 = (joints: PlanParts['joints']): number => {
  const areaM2 = joints.reduce((sum, { facts }) => sum + facts.gluedMm2, 0) / 1e6;
  return areaM2 === 0 ? 0 : joints.reduce((sum, { spread }) => sum + spread.massG, 0) / areaM2;
};

/** Whether it comes out flat: by wind and bow as read, moisture, balance and springback. */
export function flat(parts: PlanParts): Judged {
  const { facts, build, joints } = parts;
  const check = facts.assembly.flat;
  const limit = build.goals.flatMm;
  const { twistMm, bowMm } = build.dryFit;
  if (check.kind === 'balance' && check.oneSided !== null) {
    const film = filmGPerM2(joints);
    const bow = oneSidedBowMm({ ...check.oneSided, filmGPerM2: film });
    const values = { lowMm: bow.low, highMm: bow.high };
    return against(
      bow.high,
      limit,
      (over) => finding('one-sided-bends', over ? 'refuses' : 'warns', values),
      [finding('how-one-sided', 'informs', { ...values, filmGPerM2: film })],
    );
  }
  if (check.kind === 'springback') {
    return against(
      check.springbackMm,
      Math.max(limit, check.springbackMm),
      () => finding('springback', 'informs', { mm: check.springbackMm }),
      [finding('how-springback', 'informs', { mm: check.springbackMm })],
    );
  }
  const crossing = mostCrossed(facts, build.mcInUse, limit);
  if (crossing !== null) return crossing;
  const mismatch = joints.find((joint) => joint.mcPct - joint.mcOtherPct >= MISMATCH_PCT);
  if (mismatch !== undefined) {
    return {
      state: 'close',
      figure: null,
      against: limit,
      margin: 0,
      cause: finding('moisture-differs', 'warns', {
        line: mismatch.facts.label,
        mcPct: mismatch.mcPct,
        otherPct: mismatch.mcOtherPct,
      }),
      workings: [],
    };
  }
  if (check.kind === 'none') return atRest(limit, finding('nothing-to-flatten', 'informs'));
  if (twistMm === null && bowMm === null) {
    return { ...atRest(limit, finding('flatness-unread', 'warns')), state: 'close', margin: 0 };
  }
  const stays = cornersOf(parts) === null ? 1 : STAYS_CLAMPED_DOWN;
  const figure = stays * Math.max(Math.abs(twistMm ?? 0), Math.abs(bowMm ?? 0));
  const code = Math.abs(twistMm ?? 0) >= Math.abs(bowMm ?? 0) ? 'boards-twisted' : 'boards-bowed';
  return against(figure, limit, (over) => finding(code, over ? 'refuses' : 'informs', { mm: figure }), []);
}

/** The joint whose wood, held across its grain, wants to move most, where that is more than it bears. */
function mostCrossed(
  { parts, joints }: AssemblyFacts,
  { lowPct, highPct }: PlanParts['build']['mcInUse'],
  limit: number,
): Judged | null {
  const woods = new Map(parts.map(({ part, wood }) => [part.id, wood]));
  const sides = joints.flatMap(({ joint, label, crossedMm }) =>
    crossedMm === null
      ? []
      : [
          { label, wood: woods.get(joint.a), gluedMm: crossedMm.a },
          { label, wood: woods.get(joint.b), gluedMm: crossedMm.b },
        ].flatMap(({ wood, ...side }) => {
          if (wood === undefined) return [];
          const held = { wood, mcLowPct: lowPct, mcHighPct: highPct };
          const movesMm = heldMovesMm(held, side.gluedMm);
          return [{ ...side, wood, movesMm, limitMm: heldWidthMm(held) }];
        }),
  );
  if (sides.length === 0) return null;
  const most = leastBy(sides, ({ movesMm }) => -movesMm);
  // What is glued just as wide as it may be is no worse for how the computer counts.
  if (most.movesMm <= HELD_MOVES_MM.well * (1 + 1e-6)) return null;
  const { label, wood, gluedMm, limitMm, movesMm } = most;
  const fails = movesMm > HELD_MOVES_MM.most;
  return {
    state: fails ? 'fails' : 'close',
    figure: null,
    against: limit,
    margin: fails ? -0.5 : 0,
    cause: finding('glued-across', fails ? 'refuses' : 'warns', {
      line: label,
      gluedMm,
      limitMm,
      movesMm,
    }),
    workings: [finding('how-crossed', 'informs', { gluedMm, movesMm, perPct: wood.cT, lowPct, highPct })],
  };
}
