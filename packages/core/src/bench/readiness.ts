import { type Finding, finding } from '../finding';
import { ASPECTS, type Plan } from '../verdicts';

/** Causes that make starting pointless: the joint could not hold, or a clamp could not go on. */
const FORBIDS: ReadonlySet<string> = new Set([
  'too-cold',
  'wood-too-wet',
  'service-too-hard',
  'no-clamps',
  'clamp-too-short',
  'not-enough-on-rack',
  'clamp-off-end',
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
 * Everything to have within reach before the first bead, in order of use. Two spare clamps stand open unassigned,
 * because one always turns out wrong.
 */
export function gatherList(plan: Plan): Finding[] {
  const { build, clampSet, totals, panel } = plan;
  const kinds = [...new Set(clampSet.clamps.map(({ lot }) => lot.id))].map((id) => {
    const ofLot = clampSet.clamps.filter(({ lot }) => lot.id === id);
    return finding('gather-clamps', 'informs', {
      count: ofLot.length,
      kind: ofLot[0]?.lot.kind ?? '',
      openingMm: ofLot[0]?.openingNeededMm ?? 0,
      numbers: ofLot.map(({ number }) => number).join(', '),
    });
  });
  return [
    finding('gather-bench', 'informs', { lengthMm: panel.lengthMm, widthMm: panel.widthMm }),
    finding('gather-boards', 'informs', { count: panel.boards.length }),
    ...(build.holding.endStops ? [finding('gather-stop', 'informs')] : []),
    finding('gather-glue', 'informs', {
      adhesive: build.glue.adhesive,
      massG: totals.massG,
      volumeMl: totals.volumeMl,
      onShelfMl: totals.onShelfMl,
    }),
    finding('gather-spreader', 'informs', { method: build.glue.method }),
    ...(build.holding.caulPairs > 0
      ? [finding('gather-cauls', 'informs', { pairs: build.holding.caulPairs })]
      : []),
    ...(build.edge.kind === 'bare'
      ? []
      : [
          finding('gather-packing', 'informs', {
            kind: build.edge.kind,
            thicknessMm: build.edge.thicknessMm,
            count: build.edge.kind === 'battens' ? 2 : 2 * clampSet.clamps.length,
          }),
        ]),
    ...kinds,
    finding('gather-spares', 'informs', { count: 2 }),
    finding('gather-checks', 'informs'),
    finding('gather-cleaning', 'informs'),
  ];
}
