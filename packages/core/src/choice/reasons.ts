import { type Adhesive, type AdhesiveWindow, SERVICES, tooHardFor, tooWarmFor } from '../adhesives';
import { type PlanFinding, finding, type FindingCode, type FindingValue, type None } from '../findings';
import type { GlueJob } from './job';
import type { ReasonValues } from './reason-values';

/** One reason for (+) or against (−) a glue, with the weight it carries. All weights [judgement]. */
export interface Reason {
  readonly code: keyof ReasonValues | FindingCode;
  readonly weight: number;
  readonly values: Readonly<Record<string, FindingValue>>;
}

/** A glue and the climate that a job puts it in. */
export interface Candidate {
  readonly job: GlueJob;
  readonly adhesive: Adhesive;
  readonly window: AdhesiveWindow;
}

/** Slack over what is needed that is worth nothing more. */
const ENOUGH_SPARE = 3;

/** Why a glue cannot do a job at all. */
export function refusalsOf({ job, adhesive, window }: Candidate): PlanFinding[] {
  const { openMin, closedMin, clampMin } = window;
  const { clampsOffWithinMin: withinMin, openNeedMin, closedNeedMin } = job;
  const found: PlanFinding[] = window.findings.filter(({ severity }) => severity === 'refuses');
  const tooHard = tooHardFor(adhesive, job.service);
  if (tooHard !== undefined) found.push(tooHard);
  if (job.gapMm > adhesive.gapMm) {
    found.push(finding('gap-too-wide', 'refuses', { gapMm: job.gapMm, glueMm: adhesive.gapMm }));
  }
  if (openMin !== null && openMin.low < openNeedMin) {
    found.push(finding('open-too-short', 'refuses', { needMin: openNeedMin, windowMin: openMin.low }));
  }
  if (closedMin !== null && closedMin.low < closedNeedMin) {
    found.push(finding('closed-too-short', 'refuses', { needMin: closedNeedMin, windowMin: closedMin.low }));
  }
  const tooWarm = tooWarmFor(adhesive, job.warmC);
  if (tooWarm !== undefined) found.push(tooWarm);
  if (job.veneer === 'iron-on' && !adhesive.aptitudes.ironOn) found.push(finding('no-iron-on', 'refuses'));
  if (withinMin !== null && clampMin !== null && clampMin.likely > withinMin) {
    found.push(finding('clamps-on-too-long', 'refuses', { clampMin: clampMin.likely, withinMin }));
  }
  if (adhesive.hazards.some((hazard) => job.avoid.includes(hazard))) {
    found.push(finding('to-be-avoided', 'refuses'));
  }
  return found;
}

type Rule = (candidate: Candidate) => readonly Reason[];

const reason = <Code extends keyof ReasonValues>(
  code: Code,
  weight: number,
  ...[values]: ReasonValues[Code] extends None ? [] : [values: ReasonValues[Code]]
): readonly Reason[] => (Math.abs(weight) < 0.05 ? [] : [{ code, weight, values: values ?? {} }]);

const APTITUDE = { good: 1, fair: 0, poor: -1 } as const;

/** Minutes to spare over what the plan needs: worth a lot up to three times the need, nothing beyond. */
const spareTime: Rule = ({ job, window }) => {
  if (window.openMin === null || window.closedMin === null) return [];
  const ratio = Math.min(
    window.openMin.low / Math.max(job.openNeedMin, 0.1),
    window.closedMin.low / Math.max(job.closedNeedMin, 0.1),
  );
  const spareMin = window.openMin.low - job.openNeedMin;
  const weight = 3 * ((Math.min(ratio, ENOUGH_SPARE) - 1) / (ENOUGH_SPARE - 1)) - 1.5;
  return reason(weight > 0 ? 'time-to-spare' : 'little-time', weight, { spareMin, ratio });
};

/** Clamps off soon: each halving is worth something. A set is made as fast as its clamps come free. */
const soonReleased: Rule = ({ job: { freeForNextMin: withinMin }, window: { clampMin: range } }) => {
  if (range === null) return [];
  const clampMin = range.likely;
  if (withinMin !== null && clampMin > withinMin) {
    return reason('holds-up-the-set', -6, { clampMin, withinMin });
  }
  const hours = clampMin / 60;
  return hours <= 1
    ? reason('clamps-off-soon', Math.min(1.2, 0.4 - 0.3 * Math.log2(Math.max(hours, 0.01))), { clampMin })
    : reason('clamps-on-long', -Math.min(1.5, 0.3 * Math.log2(hours)), { clampMin });
};

const lastingLoad: Rule = ({ job, adhesive }) => {
  if (!job.lastingLoad) return [];
  return adhesive.creep === 'some' ? reason('creeps', -6) : reason('does-not-creep', 2.5);
};

const gaps: Rule = ({ job, adhesive }) =>
  job.gapMm > 0.6 * adhesive.gapMm
    ? reason('gap-near-limit', -1.5, { gapMm: job.gapMm, glueMm: adhesive.gapMm })
    : job.gapMm > 0.05
      ? reason('fills-the-gap', 1, { gapMm: job.gapMm })
      : // Glue that stays thick where nothing needs filling only makes thick lines.
        reason('made-for-gaps', adhesive.gapMm > 2 ? -1.5 : 0);

/** Tougher than the place asks: pays with price, cleaning or tools. */
const overkill: Rule = ({ job, adhesive }) => {
  const above = SERVICES.indexOf(adhesive.service) - SERVICES.indexOf(job.service);
  return reason('tougher-than-needed', -0.4 * Math.max(0, above));
};

const lineColour: Rule = ({ job, adhesive }) => {
  if (job.finish === 'paint') return [];
  if (adhesive.line === 'brown') return reason('dark-line', job.paleWood ? -2 : -0.3);
  if (adhesive.line === 'amber') return reason('amber-line', job.paleWood ? -0.8 : 0);
  if (adhesive.line === 'clear') return reason('clear-line', 0.4);
  return reason('pale-line', job.paleWood ? 0.3 : -0.3);
};

const finishing: Rule = ({ job, adhesive }) => {
  if (job.finish === 'none' || job.finish === 'paint') return [];
  const stained = job.finish === 'stain' ? 1.6 : 1;
  return reason(
    `finish-${adhesive.aptitudes.finish}`,
    { clean: 0.6, spots: -0.3, stains: -0.9 }[adhesive.aptitudes.finish] * stained,
  );
};

const CLEANING = {
  water: 0.8,
  'warm-water': 0.8,
  'vinegar-then-scrape': -0.5,
  'scrape-only': -0.7,
  acetone: -0.9,
} as const;
const cleaning: Rule = ({ adhesive }) => reason(`cleans-${adhesive.cleanUp}`, CLEANING[adhesive.cleanUp]);

const repair: Rule = ({ job, adhesive }) => {
  if (!job.repairable) return [];
  return adhesive.reversible ? reason('comes-apart-again', 4) : reason('never-comes-apart', -2);
};

const oldGlue: Rule = ({ job, adhesive }) => {
  if (job.oldGlue === 'none') return [];
  return job.oldGlue === 'hide' && adhesive.aptitudes.rebondsToItself
    ? reason('holds-on-old-hide', 2.5)
    : reason('wants-bare-wood', -0.4);
};

const woods: Rule = ({ job, adhesive }) => {
  const grade = APTITUDE[adhesive.aptitudes.oilyWood];
  if (job.traits.oily)
    return reason(grade < 0 ? 'fails-on-oily' : 'oily-wood', [-5, -1, 2.5][grade + 1] ?? 0);
  if (job.traits.resinous && grade < 0) return reason('weaker-on-resin', -3);
  return [];
};

const endGrain: Rule = ({ job, adhesive }) => {
  const grade = APTITUDE[adhesive.aptitudes.endGrain];
  return reason(grade > 0 ? 'good-on-end-grain' : 'poor-on-end-grain', 2 * grade * job.endGrainShare);
};

const veneering: Rule = ({ job, adhesive }) => {
  const forVeneer = adhesive.aptitudes.veneer === 'good' && adhesive.chemistry === 'water-borne';
  if (job.veneer === 'none') return reason('made-for-veneer', forVeneer ? -1 : 0);
  if (job.veneer !== 'sheet') return [];
  const grade = APTITUDE[adhesive.aptitudes.veneer];
  return reason(
    grade > 0 ? 'stays-hard-under-veneer' : grade < 0 ? 'creeps-under-veneer' : 'passable-under-veneer',
    3 * grade,
  );
};

const health: Rule = ({ adhesive: { hazards } }) => [
  ...(hazards.includes('skin-sensitiser') ? reason('hazard-skin-sensitiser', -1) : []),
  ...(hazards.includes('isocyanate') ? reason('hazard-isocyanate', -1) : []),
  ...(hazards.includes('formaldehyde') ? reason('hazard-formaldehyde', -1.2) : []),
  ...(hazards.includes('bonds-skin') ? reason('hazard-bonds-skin', -0.8) : []),
];

const trouble: Rule = ({ adhesive }) => [
  ...(adhesive.potLifeMin === null ? [] : reason('has-to-be-mixed', -0.7)),
  ...(adhesive.chemistry === 'gel' ? reason('wants-a-pot', -0.8) : []),
  ...(adhesive.chemistry === 'hot-melt' ? reason('wants-a-nozzle', -0.5) : []),
];

/** What is bought for an area over what lies on it: the tool, the rag and the floor take the rest [judgement]. */
const WITH_WASTE = 1.1;

const needG = (areaMm2: number, { spreadGPerM2 }: Adhesive): number =>
  (areaMm2 / 1e6) * spreadGPerM2 * WITH_WASTE;

/** Area that so much of a glue goes over, mm²: what a planned amount stands for when glues are compared. */
export const areaOf = (massG: number, adhesive: Adhesive): number => massG / (needG(1, adhesive) || 1);

const shelf: Rule = ({ job, adhesive }) => {
  const own = job.shelf.filter((bottle) => bottle.adhesive === adhesive.id);
  const left = own.reduce((sum, bottle) => sum + bottle.remainingMl, 0);
  const needMl = needG(job.areaMm2, adhesive) / adhesive.densityGPerMl;
  const oldest = Math.max(0, ...own.map(({ ageMonths }) => ageMonths ?? 0));
  const price = own.find(({ pricePerLitre }) => pricePerLitre !== null)?.pricePerLitre ?? null;
  return [
    ...(left <= 0
      ? reason('not-on-the-shelf', -1)
      : left >= needMl
        ? reason('on-the-shelf', 1, { needMl, leftMl: left })
        : reason('too-little-left', -0.5, { needMl, leftMl: left })),
    ...(oldest > adhesive.shelfLifeMonths
      ? reason('old-bottle', -3, { months: oldest, lifeMonths: adhesive.shelfLifeMonths })
      : []),
    ...(price === null
      ? []
      : reason('costs', -Math.min(1.5, (needMl / 1000) * price * 0.1), { cost: (needMl / 1000) * price })),
  ];
};

const RULES: readonly Rule[] = [
  spareTime,
  soonReleased,
  lastingLoad,
  gaps,
  overkill,
  lineColour,
  finishing,
  cleaning,
  repair,
  oldGlue,
  woods,
  endGrain,
  veneering,
  health,
  trouble,
  shelf,
];

/** Reasons for and against a glue on a job. */
export const reasonsFor = (candidate: Candidate): Reason[] => RULES.flatMap((rule) => rule(candidate));

/** Reasons in the order in which they count. */
export const heaviestFirst = (reasons: readonly Reason[]): Reason[] =>
  [...reasons].sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
