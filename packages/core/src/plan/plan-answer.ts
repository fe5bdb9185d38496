import type { Range } from '../basics/range';
import { pressureWord, type PressureWord, type TargetPressure } from '../clamps';
import type { Hazard } from '../adhesives';
import type { CheckCode, PlanFinding } from '../findings';
import { type KindCaution, kindOf, ritualOf } from '../kinds';
import { type Aspect, ASPECTS, type FigureKind, type VerdictState } from '../verdicts';
import { clampsOf } from './dates/dates';
import type { JointNeed, PlannedJoint } from './joints/planned-joint';
import { slowestOf } from './joints/slowest';
import { fuseOf, type PlannedFuse } from './order/fuses';
import { operationsOf } from './order/operations';
import type { PlannedOperation } from './order/planned-operation';
import type { OrderedSession } from './order/ordered-sessions';
import type { Plan } from './plan';
import { seatForceN } from './pulls/wanted-lines';

/** Pressure on a joint, MPa. */
export interface JointPressure {
  readonly minMPa: number;
  readonly meanMPa: number;
  readonly maxMPa: number;
}

/** How a joint stands: as its pressure is called, seated or short of it, or left dry. */
export type JointState = PressureWord | 'seated' | 'short' | 'dry';

/** One joint of a plan, as scripts read it. Core units. */
export interface JointAnswer {
  readonly id: string;
  readonly label: string;
  readonly kind: string;
  readonly a: string;
  readonly b: string;
  readonly areaMm2: number;
  readonly lengthMm: number;
  readonly window: {
    readonly openMin: Range | null;
    readonly closedMin: Range | null;
    readonly totalMin: Range | null;
    readonly clampMin: Range | null;
    readonly machineMin: number | null;
  };
  readonly spread: {
    readonly method: string;
    readonly faces: 1 | 2;
    readonly massG: number;
    readonly volumeMl: number;
    readonly minutes: number;
  };
  readonly gapMm: number | null;
  readonly need: JointNeed;
  readonly target: TargetPressure | null;
  readonly pressure: JointPressure | null;
  /** Force that brings it home, N; null where pressure is asked instead. */
  readonly seatN: number | null;
  readonly state: JointState;
}

/** One clamp of a plan. */
export interface ClampAnswer {
  readonly id: string;
  readonly number: number;
  readonly lotId: string;
  readonly kind: string;
  /** What it is to be pulled to, and the most it can give, N. */
  readonly plannedN: number;
  readonly mostN: number;
  readonly openingMm: number;
  readonly place: { readonly alongMm: number; readonly acrossMm: number } | null;
  readonly side: 'above' | 'below' | null;
  readonly joints: readonly string[];
}

/** One session of a plan. */
export interface SessionAnswer {
  readonly id: string;
  readonly joints: readonly string[];
  readonly operations: readonly PlannedOperation[];
  readonly fuses: readonly PlannedFuse[];
  readonly handsOnMin: number;
  /** From the first bead; by the slowest joint, null where the glue does not tell. */
  readonly clampsOffMin: number | null;
  readonly machineMin: number | null;
  readonly loadMin: number | null;
  readonly lots: readonly { readonly lotId: string; readonly count: number }[];
  readonly after: readonly { readonly session: string; readonly wait: 'clamps' }[];
}

/** A verdict as scripts read it. */
export interface VerdictAnswer {
  readonly state: VerdictState;
  readonly figure: number | null;
  readonly unit: 'min' | 'MPa' | 'N' | 'mm';
  readonly against: number;
  readonly cause: PlanFinding;
}

/** A settled plan with everything by id and nothing but data, for whoever is not a page. */
export interface PlanAnswer {
  readonly template: string;
  readonly name: string;
  readonly climate: Plan['climate'];
  readonly adhesive: string;
  readonly crew: number;
  readonly pieces: readonly {
    readonly id: string;
    readonly label: string;
    readonly role: string;
    readonly species: string;
    readonly lengthMm: number;
    readonly widthMm: number;
    readonly thicknessMm: number;
    readonly massKg: number;
    readonly mcPct: number;
  }[];
  readonly joints: readonly JointAnswer[];
  readonly clamps: readonly ClampAnswer[];
  readonly cauls: readonly {
    readonly id: string;
    readonly atMm: number;
    readonly crownMm: number;
    readonly endForceN: number;
  }[];
  readonly sessions: readonly SessionAnswer[];
  readonly verdicts: Readonly<Record<Aspect, VerdictAnswer>>;
  readonly checks: readonly {
    readonly id: string;
    readonly kind: CheckCode;
    readonly joints: readonly string[];
    readonly toleranceMm: number;
  }[];
  readonly cautions: readonly (KindCaution | Hazard)[];
  readonly findings: readonly PlanFinding[];
  readonly totals: Plan['totals'] & { readonly handsOnMin: number };
}

const UNITS: Readonly<Record<FigureKind, VerdictAnswer['unit']>> = {
  minutes: 'min',
  pressure: 'MPa',
  force: 'N',
  'fine-length': 'mm',
};

/** A plan as data: pieces, joints, clamps, sessions and verdicts by id. Settle it first, so that pressures are those of the clamps. */
export function planAnswer(plan: Plan): PlanAnswer {
  const { build, facts, partMcPct, row, totals, handsOnMin } = plan;
  const pressures = pressuresOf(plan);
  const sessions = plan.order?.sessions ?? [];
  return {
    template: build.template,
    name: build.name,
    climate: plan.climate,
    adhesive: plan.adhesive.id,
    crew: build.crew,
    pieces: facts.parts.map(({ part, massKg }, i) => ({
      id: part.id,
      label: part.label,
      role: part.role,
      species: part.species,
      lengthMm: part.blankMm[0],
      widthMm: part.blankMm[1],
      thicknessMm: part.blankMm[2],
      massKg,
      mcPct: partMcPct[i] ?? 0,
    })),
    joints: plan.joints.map((joint) => jointAnswer(plan, joint, pressures.get(joint.facts.joint.id) ?? null)),
    clamps: clampAnswers(plan),
    cauls: (row?.cauls?.placesMm ?? []).map((atMm, i) => ({
      id: `caul-${i + 1}`,
      atMm,
      crownMm: row?.cauls?.crown.crownMm ?? 0,
      endForceN: row?.cauls?.crown.endForceN ?? 0,
    })),
    sessions: sessions.map((session) => sessionAnswer(plan, session)),
    verdicts: Object.fromEntries(
      ASPECTS.map((aspect): [Aspect, VerdictAnswer] => {
        const { state, figure, kind, against, cause } = plan.verdicts[aspect];
        return [aspect, { state, figure, unit: UNITS[kind], against, cause }];
      }),
    ) as Record<Aspect, VerdictAnswer>,
    checks: sessions.flatMap((session, s) =>
      ritualOf(build.template).pulled.map(({ check }) => ({
        id: `${idOf(session, s)}:${check}`,
        kind: check,
        joints: session.joints,
        toleranceMm: SQUARE_CHECKS.includes(check) ? build.goals.squareMm : build.goals.flatMm,
      })),
    ),
    cautions: [...new Set([...cautionsOf(build.template), ...plan.adhesive.hazards])],
    findings: [
      ...plan.findings,
      ...(plan.squeeze?.pulls.flatMap(({ findings }) => findings) ?? []),
      ...(row?.cauls?.findings ?? []),
    ],
    totals: { ...totals, handsOnMin },
  };
}

const SQUARE_CHECKS: readonly CheckCode[] = ['diagonals', 'try-square', 'angle'];

const cautionsOf = (template: string): readonly KindCaution[] => kindOf(template)?.cautions ?? [];

/** Pressure on every joint that is pressed: where its clamps stand, else on the whole of its pull. */
function pressuresOf({
  pulls,
  squeeze,
}: Pick<Plan, 'pulls' | 'squeeze'>): ReadonlyMap<string, JointPressure> {
  const found = new Map<string, JointPressure>();
  for (const planned of pulls) {
    if (planned.seats) continue;
    const own = squeeze?.pulls.find((each) => each.planned.pull.id === planned.pull.id)?.joints ?? [];
    for (const joint of planned.pull.joints) {
      const at = own.find((each) => each.joint === joint);
      const { reachMPa } = planned;
      const { minMPa, meanMPa, maxMPa } = at ?? { minMPa: reachMPa, meanMPa: reachMPa, maxMPa: reachMPa };
      if (!found.has(joint)) found.set(joint, { minMPa, meanMPa, maxMPa });
    }
  }
  return found;
}

function jointAnswer(plan: Plan, planned: PlannedJoint, pressure: JointPressure | null): JointAnswer {
  const { facts, window, spread, method, faces, gap, need, target } = planned;
  const { joint, label, gluedMm2, lengthMm } = facts;
  const { openMin, closedMin, totalMin, clampMin, machineMin } = window;
  const { massG, volumeMl, minutes } = spread;
  const pressed = need === 'press' || need === 'touch' ? pressure : null;
  return {
    id: joint.id,
    label,
    kind: joint.kind,
    a: joint.a,
    b: joint.b,
    areaMm2: gluedMm2,
    lengthMm,
    window: { openMin, closedMin, totalMin, clampMin, machineMin },
    spread: { method: method.id, faces, massG, volumeMl, minutes },
    gapMm: gap?.gapMm ?? null,
    need,
    target,
    pressure: pressed,
    seatN: need === 'seat' ? seatForceN(joint.kind) : null,
    state: stateOf(plan, planned, pressed),
  };
}

/** The word for a joint: by its least where that is too little, by its mean where that is too much. */
function stateOf(
  { pulls, verdicts, facts: { assembly } }: Plan,
  { facts, need, target, crushMPa }: PlannedJoint,
  pressure: JointPressure | null,
): JointState {
  // What nothing pulls at is held by the parts beside it.
  if (need === 'none') return facts.gluedMm2 > 0 ? 'seated' : 'dry';
  // Where an iron presses, what counts is whether its heat comes through.
  if (assembly.pressedBy === 'iron') return verdicts.tight.state === 'fails' ? 'under-pressed' : 'right';
  const pull = pulls.find(({ pull: { joints } }) => joints.includes(facts.joint.id));
  if (need === 'seat') return pull?.word === 'right' ? 'seated' : 'short';
  if (target === null || pressure === null) return 'under-pressed';
  const onTheWhole = pressureWord(pressure.meanMPa, target, crushMPa);
  const least = pressureWord(pressure.minMPa, target, crushMPa);
  return onTheWhole !== 'crushes' && (least === 'under-pressed' || least === 'light') ? least : onTheWhole;
}

function clampAnswers({ squeeze, row }: Plan): ClampAnswer[] {
  return (squeeze?.pulls ?? []).flatMap(({ planned, clamps }) =>
    clamps.map((clamp): ClampAnswer => {
      const taken = planned.taken.find(
        ({ lot, forceN }) => lot.id === clamp.lot.id && forceN === clamp.forceN,
      );
      return {
        id: clamp.id ?? `${planned.pull.id}-${clamp.number}`,
        number: clamp.number,
        lotId: clamp.lot.id,
        kind: clamp.lot.kind,
        plannedN: clamp.forceN,
        mostN: taken?.mostN ?? clamp.forceN,
        openingMm: clamp.openingMm,
        place: clamp.place,
        side: row?.job.clamps.find(({ id }) => id === clamp.id)?.side ?? null,
        joints: clamp.joints,
      };
    }),
  );
}

/** Known by what it closes first, so that it keeps its name while others are added. */
const idOf = ({ joints }: OrderedSession, index: number): string =>
  `session-${[...joints].sort()[0] ?? index}`;

function sessionAnswer(plan: Plan, session: OrderedSession): SessionAnswer {
  const operations = operationsOf(plan, session);
  const own = plan.joints.filter(({ facts }) => session.joints.includes(facts.joint.id));
  const { clampMin, machineMin, fullCureMin } = slowestOf(own);
  const sessions = plan.order?.sessions ?? [];
  const index = sessions.indexOf(session);
  const partsOf = (joints: readonly string[]) =>
    plan.joints
      .filter(({ facts }) => joints.includes(facts.joint.id))
      .flatMap(({ facts }) => [facts.joint.a, facts.joint.b]);
  return {
    id: idOf(session, index),
    joints: session.joints,
    operations,
    fuses: own.flatMap((joint) => fuseOf(joint, operations) ?? []),
    handsOnMin: session.workMin,
    clampsOffMin: clampMin === null ? null : session.handsOnMin + clampMin,
    machineMin,
    loadMin: fullCureMin,
    lots: Object.entries(clampsOf(plan.pulls, session.joints)).map(([lotId, count]) => ({ lotId, count })),
    after: sessions.slice(0, index).flatMap((earlier, i) => {
      const parts = new Set(partsOf(earlier.joints));
      return partsOf(session.joints).some((part) => parts.has(part))
        ? [{ session: idOf(earlier, i), wait: 'clamps' as const }]
        : [];
    }),
  };
}
