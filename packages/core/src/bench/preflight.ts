import { type Finding, finding } from '../findings';
import { lessonFinding, lessonsBearing, saidOf, type When } from '../lessons';
import { bottlesOf, ofSession, operationsOf, type Plan, whichBench } from '../plan';

/** Glue this near to the coldest it bonds at is in question, °C [judgement]. */
const NEAR_COLD_C = 4;
/** Findings told as preflight checks: what the plan warns of is to be looked at before the first bead. */
const WARNS = ({ severity }: Finding): boolean => severity === 'warns';

/**
 * What must be so before the first bead of a session: of any glue-up, of this kind, this glue and this air, what the plan warns of, and
 * lessons that it calls to mind. Each stands with its reason.
 * @param when by which bottles age and the day ends; null where nobody knows.
 */
export function preflight(plan: Plan, session: number, when: When): Finding[] {
  const ordered = plan.order?.sessions[session];
  if (ordered === undefined) return [];
  const { joints } = ofSession(plan, session);
  const unread = joints.filter(({ gap }) => gap === null).length;
  const before = operationsOf(plan, ordered).filter(({ startMin, endMin }) => endMin <= startMin);
  return [
    finding('ready-dry', 'informs'),
    finding('ready-gaps', unread > 0 ? 'warns' : 'informs', { unread, count: joints.length }),
    finding('ready-unreachable', 'informs'),
    finding('ready-marked', 'informs'),
    ...before.map(({ instruction }) => instruction),
    ...benchChecks(plan),
    ...glueChecks(plan, when.today),
    ...airChecks(plan, joints),
    ...plan.findings.filter(WARNS),
    ...lessonsBearing(plan, when).map((lesson) => lessonFinding(saidOf(lesson))),
    finding('ready-hour', 'informs', { workMin: ordered.workMin }),
  ];
}

/** Where it stands: large enough, and flat enough for what it presses flat. */
function benchChecks(plan: Plan): Finding[] {
  const which = whichBench(plan);
  if (which === null) return [];
  const { bench, holds, work } = which;
  const { name, flatMm } = bench;
  const sides = { name, lengthMm: bench.lengthMm, widthMm: bench.widthMm };
  const wantedMm = plan.build.goals.flatMm;
  return [
    holds
      ? finding('ready-bench', 'informs', sides)
      : finding('ready-bench-short', 'warns', { ...sides, workLengthMm: work[0], workWidthMm: work[1] }),
    ...(flatMm === null || flatMm <= wantedMm
      ? []
      : [finding('ready-bench-hollow', 'warns', { name, outMm: flatMm, wantedMm })]),
  ];
}

function glueChecks({ adhesive, shop, totals }: Plan, today: string | null): Finding[] {
  const ages = bottlesOf(shop, today).flatMap((bottle) =>
    bottle.adhesive === adhesive.id ? [bottle.ageMonths ?? -1] : [],
  );
  const months = Math.max(-1, ...ages);
  const old = months > adhesive.shelfLifeMonths;
  return [
    finding('ready-bottle', old || months < 0 ? 'warns' : 'informs', {
      adhesive: adhesive.id,
      months,
      shelfMonths: adhesive.shelfLifeMonths,
    }),
    ...(adhesive.potLifeMin === null
      ? []
      : [finding('ready-mix', 'informs', { volumeMl: totals.volumeMl, potLifeMin: adhesive.potLifeMin })]),
  ];
}

function airChecks({ climate, adhesive }: Plan, joints: Plan['joints']): Finding[] {
  const windows = joints.flatMap(({ window }) => window.totalMin?.low ?? []);
  const { tempC, rhPct } = climate;
  return [
    ...(tempC < adhesive.minTempC + NEAR_COLD_C
      ? [finding('ready-cold', 'warns', { tempC, minC: adhesive.minTempC })]
      : []),
    ...(windows.length === 0
      ? []
      : [finding('ready-window', 'informs', { tempC, rhPct, windowMin: Math.min(...windows) })]),
  ];
}
