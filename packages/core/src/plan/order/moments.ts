import { cleanUpOf } from '../../choice';
import { isBag } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import { kindOf, ritualOf } from '../../kinds';
import { PACE } from '../../sequence';
import { glueJobOf } from '../glue-job';
import { slowestOf } from '../joints/slowest';
import type { Plan, PlanParts } from '../plan';
import { CORNERS, CORNERS_MIN, cornersOf } from '../squeeze/corners-down';
import type { OrderedSession } from './ordered-sessions';
import { paceOf } from './paces';
import type { Draft } from './planned-operation';
import { drawnAgain, noSecondSqueeze, secondSqueezeOf } from './second-squeeze';

/** Metres of joint scraped, wiped or peeled in a minute [judgement]. */
const CLEANED_M_PER_MIN = 2;

/** The corners brought down to the base, once everything is at full pull: from that minute of the session on. */
export function cornersDraft(plan: Plan, fromMin: number): Draft[] {
  const down = cornersOf(plan);
  if (down === null) return [];
  return [
    {
      id: 'set-clamp:corners',
      kind: 'set-clamp',
      joints: [],
      clamps: [],
      hands: [0],
      startMin: fromMin,
      endMin: fromMin + CORNERS_MIN * paceOf(plan.shop)('press'),
      wait: null,
      asks: null,
      instruction: finding('do-corners-down', 'informs', {
        count: down.count,
        kind: down.lot.kind,
        forceN: down.forceN,
      }),
    },
  ];
}

/** Whether a bag presses: what is in it is not got at before it comes out. */
const inBag = ({ pulls }: Plan): boolean =>
  pulls.some(({ taken }) => taken.some(({ lot }) => isBag(lot.kind)));

/** What is read once everything is at full pull, while it still moves: from that minute of the session on. */
export function checksOf(plan: Plan, session: OrderedSession, fromMin: number): Draft[] {
  const pace = paceOf(plan.shop);
  const where = inBag(plan) ? 'in-bag' : 'in-the-open';
  const looks = ritualOf(plan.build.template).pulled.filter((look) => (look.where ?? where) === where);
  const whole = looks.reduce((sum, { minutes }) => sum + minutes, 0);
  let startMin = fromMin;
  return looks.map(({ minutes, check }) => {
    const endMin = startMin + (minutes / whole) * PACE.checkMin * pace('check');
    const draft: Draft = {
      id: `check:${check}`,
      kind: 'check',
      joints: session.joints,
      clamps: [],
      hands: [0],
      startMin,
      endMin,
      wait: null,
      asks: check,
      instruction: finding(`do-check-${check}`, 'informs', {
        flatMm: plan.build.goals.flatMm,
        squareMm: plan.build.goals.squareMm,
      }),
    };
    startMin = endMin;
    return draft;
  });
}

/** What comes after full pull beside the readings: a second squeeze, and squeeze-out taken off, each with its wait. */
export function momentsOf(plan: Plan, session: OrderedSession, fromMin: number): Draft[] {
  return [...againDrafts(plan, session, fromMin), ...cleaningDrafts(plan, session, fromMin)];
}

/** What there is no room or no clamp for: the second squeeze that the light school counts on, the corners held down. */
export function momentFindings(parts: PlanParts): PlanFinding[] {
  const without = (parts.order?.sessions ?? []).some(
    (session) => secondSqueezeOf(parts, session) === 'no-room',
  );
  const { build } = parts;
  const noCorners = build.squeeze?.clampedDown === true && cornersOf(parts) === null;
  return [
    ...(without ? [noSecondSqueeze()] : []),
    ...(noCorners ? [finding('no-corner-clamps', 'warns', { count: CORNERS })] : []),
  ];
}

function againDrafts(plan: Plan, session: OrderedSession, fromMin: number): Draft[] {
  const second = secondSqueezeOf(plan, session);
  if (second === null || second === 'no-room') return [];
  const clamps = drawnAgain(plan);
  const waitMin = Math.max(0, second.startMin - fromMin);
  return [
    {
      id: 'tighten:again',
      kind: 'tighten',
      joints: [],
      clamps,
      hands: [0],
      startMin: fromMin,
      endMin: fromMin + waitMin + (second.endMin - second.startMin),
      wait: { min: waitMin, until: 'drags' },
      asks: null,
      instruction: finding('do-again', 'informs', { waitMin, clamps: clamps.length }),
    },
  ];
}

function cleaningDrafts(plan: Plan, session: OrderedSession, fromMin: number): Draft[] {
  const own = plan.joints.filter(({ facts }) => session.joints.includes(facts.joint.id));
  const slowest = slowestOf(own);
  const window = own.find(({ window }) => window.clampMin?.high === slowest.clampMin)?.window;
  if (window === undefined || inBag(plan)) return [];
  const access = kindOf(plan.build.template)?.squeezeOut ?? 'open';
  const cleanUp = cleanUpOf(plan.adhesive, window, glueJobOf(plan, null), access);
  if (cleanUp === null || cleanUp.method === 'leave-and-plane') return [];
  const { method, atMin } = cleanUp;
  const lengthM = own.reduce((sum, { facts }) => sum + facts.lengthMm, 0) / 1000;
  // What comes off wet comes off at once, as soon as the readings are taken.
  const wet = method === 'damp-wipe' || method === 'scrape-wet';
  const waitMin = wet ? 0 : Math.max(0, session.handsOnMin + atMin.likely - fromMin);
  return [
    {
      id: `clean:${method}`,
      kind: method === 'damp-wipe' ? 'wipe' : 'scrape',
      joints: [],
      clamps: [],
      hands: [0],
      startMin: fromMin,
      endMin: fromMin + waitMin + (lengthM / CLEANED_M_PER_MIN) * paceOf(plan.shop)('check'),
      wait: waitMin === 0 ? null : { min: waitMin, until: 'rubbery' },
      asks: null,
      instruction: finding(`do-clean-${method}`, 'informs', {
        fromMin: atMin.low,
        toMin: atMin.high,
        lengthMm: 1000 * lengthM,
      }),
    },
  ];
}
