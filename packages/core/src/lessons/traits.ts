import { type AmountTrait, wishesOf, type ShopDocument, type WordTrait } from '../formats';
import { kindOf } from '../kinds';
import { bottlesOf, endGrainOf, isOpposed, packingOf, type Plan } from '../plan';
import { dot } from '../solids';

/** The moment for which a plan is looked at; null for what nobody knows. */
export interface When {
  /** ISO date, by which bottles age. */
  readonly today: string | null;
  /** Until the shop closes today, min. */
  readonly closesInMin: number | null;
}

/** Nobody knows when: a plan by itself. */
export const SOME_DAY: When = { today: null, closesInMin: null };

/** Minutes until the shop closes, on a day of the week (0 is Sunday) at a minute of it; null outside its hours and where it keeps none. */
export function closesInMin({ week }: ShopDocument, day: number, minute: number): number | null {
  const open = (week?.hours ?? []).filter(
    (hours) => hours.day === day && hours.fromMin <= minute && minute < hours.toMin,
  );
  return open.length === 0 ? null : Math.max(...open.map(({ toMin }) => toMin)) - minute;
}

/** Parts that stand between others and have to be in before those close. */
const BETWEEN: readonly string[] = ['shelf', 'slat', 'spacer', 'panel'];

type AmountOf = (plan: Plan, when: When) => number | null;

/** What is measured of a plan; null where it does not arise. Units stand with the names. */
const AMOUNTS: Readonly<Record<AmountTrait, AmountOf>> = {
  'opening-spare-mm': (plan) => least(openings(plan)),
  'clear-between-clamps-mm': (plan) => least(clearances(plan)),
  'alike-parts': ({ facts }) => {
    const sizes = facts.parts.map(({ part: { role, species, blankMm } }) =>
      [role, species, ...blankMm.map(Math.round)].join(' '),
    );
    return Math.max(...sizes.map((size) => sizes.filter((other) => other === size).length));
  },
  'caul-pairs': ({ row }) => row?.job.holding.caulPairs ?? 0,
  'bead-only-width-mm': ({ joints }) =>
    Math.max(
      0,
      ...joints
        .filter(({ method, facts }) => method.alongMPerMin === null && facts.gluedMm2 > 0)
        .map(({ facts }) => facts.gluedMm2 / facts.lengthMm),
    ),
  'work-min': (plan) => longestMin(plan),
  'left-today-min': (plan, { closesInMin: closes }) => {
    const workMin = longestMin(plan);
    return closes === null || workMin === null ? null : closes - workMin;
  },
  'parts-between': ({ facts, row }) =>
    row === null ? facts.parts.filter(({ part }) => BETWEEN.includes(part.role)).length : 0,
  'pull-ways': ({ pulls }) => {
    const axes = pulls.flatMap(({ pull, taken }) =>
      pull.opposedAxes !== undefined && taken.some(({ lot }) => isOpposed(pull, lot.kind))
        ? pull.opposedAxes
        : [pull.axis],
    );
    const apart = axes.filter(
      (axis, i) => !axes.slice(0, i).some((other) => Math.abs(dot(axis, other)) > SAME_WAY),
    );
    return apart.length;
  },
  'off-square-mm': ({ build: { dryFit } }) =>
    dryFit.acMm === null || dryFit.bdMm === null ? null : Math.abs(dryFit.acMm - dryFit.bdMm),
  'bow-mm': ({ build: { dryFit } }) => dryFit.bowMm,
  'pull-off-centre-pct': ({ row }) =>
    row === null ? null : (100 * Math.abs(row.job.pullOffsetMm)) / row.panel.thicknessMm,
  'end-grain-pct': ({ joints, facts }) =>
    facts.gluedMm2 === 0
      ? null
      : (100 * joints.reduce((sum, joint) => sum + endGrainOf(joint.facts).contactMm2, 0)) / facts.gluedMm2,
  'above-coldest-c': ({ climate, adhesive }) => climate.tempC - adhesive.minTempC,
  'bottle-age-pct': ({ shop, adhesive }, { today }) => {
    const ages = bottlesOf(shop, today).flatMap(({ adhesive: family, ageMonths }) =>
      // One that is to be opened yet tells nothing.
      family === adhesive.id && ageMonths !== null && ageMonths >= 0 ? [ageMonths] : [],
    );
    return ages.length === 0 ? null : (100 * Math.max(...ages)) / adhesive.shelfLifeMonths;
  },
  'bare-jaw-pct': (plan) => bareJawPct(plan),
  'mixed-ml': ({ adhesive, totals }) => (adhesive.potLifeMin === null ? 0 : totals.volumeMl),
  'heaviest-kg': ({ facts }) => Math.max(...facts.parts.map(({ massKg }) => massKg)),
  'largest-face-m2': ({ facts }) =>
    Math.max(...facts.parts.map(({ part: { blankMm } }) => (blankMm[0] * blankMm[1]) / 1e6)),
  crew: ({ build }) => build.crew,
  joints: ({ joints }) => joints.length,
  'spare-min': ({ verdicts }) => verdicts.inTime.figure,
};

type WordsOf = (plan: Plan) => readonly string[];

/** What is told of a plan in words. */
const WORDS: Readonly<Record<WordTrait, WordsOf>> = {
  kind: ({ build }) => [build.template],
  glue: ({ adhesive }) => [adhesive.id],
  chemistry: ({ adhesive }) => [adhesive.chemistry],
  joint: ({ joints }) => joints.map(({ facts }) => facts.joint.kind),
  clamp: ({ pulls }) => pulls.flatMap(({ taken }) => taken.map(({ lot }) => lot.kind)),
  finish: ({ build }) => [wishesOf(build).finish],
  'squeeze-out': ({ build }) => [kindOf(build.template)?.squeezeOut ?? 'open'],
  prepared: ({ build }) => build.prepared,
  'one-sided': ({ facts }) =>
    facts.assembly.flat.kind === 'balance' && facts.assembly.flat.oneSided !== null ? ['veneer'] : [],
  'touches-glue': (plan) => [
    ...((plan.row?.job.holding.caulPairs ?? 0) > 0 || packingOf(plan.build).kind === 'cauls'
      ? ['cauls']
      : []),
    ...plan.facts.assembly.aids.map(({ role }) => role),
  ],
};

/** What a trigger asks about, measured on a plan; asked one by one, since most triggers ask for little. */
export interface Traits {
  readonly amount: (trait: AmountTrait) => number | null;
  readonly words: (trait: WordTrait) => readonly string[];
}

/** The traits of a plan at some moment. */
export const traitsOf = (plan: Plan, when: When): Traits => ({
  amount: (trait) => {
    const value = AMOUNTS[trait](plan, when);
    return value === null || !Number.isFinite(value) ? null : value;
  },
  words: (trait) => [...new Set(WORDS[trait](plan))],
});

/** Pulls within 15° of each other go one way. */
const SAME_WAY = Math.cos(Math.PI / 12);

const least = (values: readonly number[]): number | null =>
  values.length === 0 ? null : Math.min(...values);

const longestMin = ({ order }: Plan): number | null =>
  order === null ? null : Math.max(...order.sessions.map(({ workMin }) => workMin));

/** What is not opened to a size has no spare opening. */
const OPENED = 3000;

/** How far each clamp could still open, mm. */
function openings({ row, pulls }: Plan): number[] {
  if (row !== null) {
    return row.clampSet.clamps.map(({ lot, openingNeededMm }) => lot.maxOpeningMm - openingNeededMm);
  }
  return pulls.flatMap(({ pull, taken }) =>
    pull.need === 'line' || pull.need === 'seat'
      ? taken
          .filter(({ lot }) => lot.maxOpeningMm < OPENED)
          .map(({ lot }) => lot.maxOpeningMm - pull.openingMm)
      : [],
  );
}

/** Room between neighbouring jaws on one side of a row, or in one pull, mm. */
function clearances({ row, squeeze }: Plan): number[] {
  if (row !== null) {
    return (['above', 'below'] as const).flatMap((side) => {
      const own = row.clampSet.clamps.filter(({ placed }) => placed.side === side);
      return own.slice(1).map((clamp, i) => {
        const before = own[i] ?? clamp;
        return clamp.placed.xMm - before.placed.xMm - (clamp.lot.padWidthMm + before.lot.padWidthMm) / 2;
      });
    });
  }
  return (squeeze?.pulls ?? []).flatMap(({ clamps }) => {
    const jaws = clamps.flatMap(({ shape, lot }) =>
      shape.kind === 'jaws' ? [{ at: shape.from, padMm: lot.padWidthMm }] : [],
    );
    return jaws.flatMap((jaw, i) =>
      jaws
        .slice(i + 1)
        .map(
          (other) =>
            Math.hypot(...jaw.at.map((each, k) => each - (other.at[k] ?? 0))) - (jaw.padMm + other.padMm) / 2,
        ),
    );
  });
}

/** Pressure under bare jaws against what the softest wood under them bears, per cent; 0 where something lies between. */
function bareJawPct(plan: Plan): number {
  const { row, pulls, build } = plan;
  if (row !== null) {
    if (row.job.edge.kind !== 'bare') return 0;
    return Math.max(
      0,
      ...row.clampSet.clamps.map(
        ({ padPressureMPa, crushLimitMPa }) => (100 * padPressureMPa) / crushLimitMPa,
      ),
    );
  }
  if (packingOf(build).kind !== 'bare') return 0;
  return Math.max(
    0,
    ...pulls.flatMap(({ pull, taken, crushMPa }) =>
      pull.need === 'line' || pull.need === 'seat'
        ? taken.map(({ lot, forceN }) => (100 * forceN) / (lot.padWidthMm * lot.padHeightMm * crushMPa))
        : [],
    ),
  );
}
