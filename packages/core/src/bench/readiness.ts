import { type Finding, finding } from '../findings';
import {
  blockClampsOf,
  cornersOf,
  ON_A_ROLL,
  type Plan,
  pullOpenings,
  rowOpenings,
  settlePlan,
} from '../plan';
import { ASPECTS } from '../verdicts';

/** Causes that make starting pointless: the joint could not hold, or a clamp could not go on. */
const FORBIDS: ReadonlySet<string> = new Set([
  'too-cold',
  'wood-too-wet',
  'service-too-hard',
  'no-clamps',
  'clamp-too-short',
  'not-enough-on-rack',
  'clamp-off-end',
  'jaws-foul',
  'jaw-crushes',
  'pull-crushes',
  'line-starves',
  'nothing-to-pull-with',
  'no-bag',
  'order-captive',
  'no-iron-on',
  'too-thick-to-iron',
]);

/** Whether a plan may be run: what forbids it, and failing verdicts that a person may choose to run with. */
export interface Readiness {
  readonly forbids: readonly Finding[];
  readonly warns: readonly Finding[];
}

/** Sorts the limiting causes of failing verdicts by whether the clock may be started all the same. */
export function readinessOf(plan: Plan): Readiness {
  const failing = ASPECTS.map((aspect) => plan.verdicts[aspect])
    .filter(({ state }) => state === 'fails')
    .map(({ cause }) => cause);
  const distinct = failing.filter((cause, i) => failing.findIndex(({ code }) => code === cause.code) === i);
  return {
    forbids: distinct.filter(({ code }) => FORBIDS.has(code)),
    warns: distinct.filter(({ code }) => !FORBIDS.has(code)),
  };
}

/**
 * Everything to have within reach before the first bead, in order of use. Where there are clamps two more stand open
 * unassigned, because one always turns out wrong.
 */
export function gatherList(plan: Plan): Finding[] {
  const { build, totals, facts, joints, row } = plan;
  const [lengthMm, widthMm] = [facts.toMm[0] - facts.fromMm[0], facts.toMm[1] - facts.fromMm[1]];
  const methods = [
    ...new Set(joints.filter((each) => each.facts.gluedMm2 > 0).map(({ method }) => method.name)),
  ];
  return [
    finding('gather-bench', 'informs', { lengthMm, widthMm }),
    finding(row === null ? 'gather-parts' : 'gather-boards', 'informs', { count: facts.parts.length }),
    ...(row?.job.holding.endStops === true ? [finding('gather-stop', 'informs')] : []),
    finding('gather-glue', 'informs', {
      adhesive: build.glue.adhesive,
      massG: totals.massG,
      volumeMl: totals.volumeMl,
      onShelfMl: totals.onShelfMl,
    }),
    ...(totals.coatG > 0 ? [finding('gather-first-coat', 'informs', { massG: totals.coatG })] : []),
    ...methods.map((method) => finding('gather-spreader', 'informs', { method })),
    ...(row === null ? [] : rowThings(row)),
    ...clampThings(plan),
    ...blockClamps(plan),
    ...cornerClamps(plan),
    ...(facts.assembly.pressedBy === 'iron' ? [finding('gather-iron', 'informs')] : []),
    ...(clamped(plan) ? [finding('gather-spares', 'informs', { count: 2 })] : []),
    finding('gather-checks', 'informs'),
    finding('gather-cleaning', 'informs'),
  ];
}

function blockClamps(plan: Plan): Finding[] {
  const held = blockClampsOf(plan);
  if (held === null || held.lot === null) return [];
  const { count, lot, openingMm } = held;
  return [finding('gather-block-clamps', 'informs', { count, kind: lot.kind, openingMm })];
}

function cornerClamps(plan: Plan): Finding[] {
  const down = cornersOf(plan);
  if (down === null) return [];
  const { count, lot, openingMm } = down;
  return [finding('gather-corner-clamps', 'informs', { count, kind: lot.kind, openingMm })];
}

/** What is never clamped wants no clamp standing by: tape, wraps and a bag have no spare that opens. */
const NOT_CLAMPS: readonly string[] = [...ON_A_ROLL, 'vacuum', 'weight'];

const clamped = ({ pulls, row }: Plan): boolean =>
  row !== null || pulls.some(({ taken }) => taken.some(({ lot }) => !NOT_CLAMPS.includes(lot.kind)));

function rowThings({ job, clampSet }: NonNullable<Plan['row']>): Finding[] {
  const { edge, holding } = job;
  return [
    ...(holding.caulPairs > 0 ? [finding('gather-cauls', 'informs', { pairs: holding.caulPairs })] : []),
    ...(edge.kind === 'bare'
      ? []
      : [
          finding('gather-packing', 'informs', {
            kind: edge.kind,
            thicknessMm: edge.thicknessMm,
            count: edge.kind === 'battens' ? 2 : 2 * clampSet.clamps.length,
          }),
        ]),
  ];
}

/** Clamps by lot, with their opening and numbers; strips and bags, which are not opened, by number only. */
function clampThings(plan: Plan): Finding[] {
  const opened =
    plan.row === null
      ? pullOpenings((plan.squeeze === null ? settlePlan(plan) : plan).squeeze ?? { pulls: [] }).map(
          (each) => ({
            ...each,
            session: null,
          }),
        )
      : rowOpenings(plan.row).filter(({ use }) => use === 'across');
  const loose = opened.filter(({ openingMm }) => openingMm === null);
  const kinds = [...new Set(loose.map(({ kind }) => kind))];
  return [
    ...opened.flatMap(({ count, kind, openingMm, numbers, session }) =>
      openingMm === null
        ? []
        : [
            finding('gather-clamps', 'informs', {
              count,
              kind: kind ?? '',
              openingMm,
              session: session === null ? 0 : session + 1,
              numbers: [...numbers].sort((a, b) => a - b).join(', '),
            }),
          ],
    ),
    // What is not opened lies in one heap, whichever pull it is for.
    ...kinds.map((kind) =>
      finding('gather-loose', 'informs', {
        count: loose.reduce((sum, each) => sum + (each.kind === kind ? each.count : 0), 0),
        kind: kind ?? '',
      }),
    ),
  ];
}
