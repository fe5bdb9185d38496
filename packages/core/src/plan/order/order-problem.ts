import { type Press, type SequenceProblem, waysOut } from '../../sequence';
import type { PlanParts } from '../plan';
import { paceOf } from './paces';
import { pressSteps } from './press-steps';
import { passesOf } from '../pulls/passes';
import type { TakenLot } from '../pulls/placed-on-pull';
import { ON_A_ROLL } from '../pulls/take-from-rack';
import { runsIntoOf } from './runs-into';
import { SET_UP_MIN, type Workforce, workforceOf } from './workforce';

/** Share of every window that an arrangement leaves for a fumble where it can [judgement]. */
export const ASKED_MARGIN = 0.15;

/** What an order is worked out from. */
export type OrderJob = Pick<PlanParts, 'facts' | 'joints' | 'pulls' | 'row' | 'build' | 'shop'>;

/**
 * An assembly as the sequence sees it: joints with ways out and minutes at the shop's pace, presses out of its
 * pulls, clamps by lots of the rack, windows at the unfavourable end of the least forgiving joint.
 * @returns null where the glue is refused in this air, so that no window is known.
 */
export function orderProblem(job: OrderJob): SequenceProblem | null {
  const problem = orderProblemAnyhow(job);
  return problem.windows.totalMin < NO_WINDOW_MIN ? problem : null;
}

/** Longer than any window: where the glue is refused, an order is worked out all the same, so that its minutes are known. */
const NO_WINDOW_MIN = 1e6;

/** The same, with windows that hold everything where the glue has none in this air. */
export function orderProblemAnyhow({ facts, joints, pulls, row, build, shop }: OrderJob): SequenceProblem {
  const pace = paceOf(shop);
  const { crew } = build;
  const least = (name: 'openMin' | 'closedMin' | 'totalMin') =>
    Math.min(...joints.map(({ window }) => window[name]?.low ?? -Infinity));
  const known = [least('openMin'), least('closedMin'), least('totalMin')];
  const [openMin = 0, closedMin = 0, totalMin = 0] = known.every((minutes) => minutes > 0)
    ? known
    : known.map(() => NO_WINDOW_MIN);
  const clampTimeMin = Math.max(...joints.map(({ window }) => window.clampMin?.high ?? 0));
  const ids = joints.flatMap(({ facts }) => [facts.joint.a, facts.joint.b]);
  const parts = [...new Set(ids)];
  return {
    parts: parts.length,
    joints: joints.map(({ facts: { joint, release }, spread, method, closeMin, closeHands }) => ({
      id: joint.id,
      a: parts.indexOf(joint.a),
      b: parts.indexOf(joint.b),
      spreadMin: spread.minutes * pace('spread', method.id),
      closeMin: closeMin * pace('close'),
      hands: closeHands,
      // Parts that do not touch hold each other nowhere.
      ways: waysOut(release.length > 0 ? release : ['any']),
    })),
    runsInto: runsIntoOf(
      parts.flatMap((id) => facts.parts.find(({ part }) => part.id === id) ?? []),
      joints,
    ),
    presses: pressesOf({ joints, pulls, row }, workforceOf({ build, shop })),
    windows: { openMin, closedMin, totalMin },
    crew,
    rack: Object.fromEntries(shop.rack.map(({ id, count }) => [id, count])),
    clampTimeMin,
    setUpMin: SET_UP_MIN,
    pins: joints.map(() => null),
  };
}

/** The same question with a share of every window left over for a fumble. */
export function withMargin(problem: SequenceProblem, share: number): SequenceProblem {
  const { openMin, closedMin, totalMin } = problem.windows;
  const left = 1 - share;
  return {
    ...problem,
    windows: { openMin: openMin * left, closedMin: closedMin * left, totalMin: totalMin * left },
  };
}

/** One press for each pass of pulls; a joint in none is pressed by hand. */
function pressesOf(
  { joints, pulls, row }: Pick<PlanParts, 'joints' | 'pulls' | 'row'>,
  workforce: Workforce,
): Press[] {
  const free = new Set(joints.map((_, i) => i));
  const presses = passesOf(pulls).flatMap((pass): Press[] => {
    const own = [...free].filter((i) => pass.joints.includes(joints[i]?.facts.joint.id ?? ''));
    const [leader] = pass.pulls;
    if (own.length === 0 || leader === undefined) return [];
    for (const i of own) free.delete(i);
    const onRack = pass.pulls
      .flatMap(({ taken }) => taken)
      .filter(({ lot }) => !ON_A_ROLL.includes(lot.kind));
    return [
      {
        joints: own,
        clampMin: pass.pulls.reduce((sum, planned) => sum + pressSteps(planned, row, workforce).minutes, 0),
        // Everybody is at the clamps together.
        hands: workforce.crew,
        clamps: countsOf(onRack),
        whole: leader.pull.stacked,
      },
    ];
  });
  return [
    ...presses,
    ...[...free].map((i) => ({ joints: [i], clampMin: 0, hands: 1, clamps: {}, whole: true })),
  ];
}

/** How many of each lot; a lot pulled in two ways counts once. */
function countsOf(taken: readonly TakenLot[]): Record<string, number> {
  const counts: Record<string, number> = {};
  for (const { lot, count } of taken) counts[lot.id] = (counts[lot.id] ?? 0) + count;
  return counts;
}
