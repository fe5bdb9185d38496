import type { Adhesive } from '../adhesives';
import { leastBy } from '../basics/least-by';
import {
  areaOf,
  type Deciding,
  type OrderChange,
  type GlueJob,
  type OfPlan,
  rankAdhesives,
  type RankedGlue,
  type Reason,
  whatWouldChange,
} from '../choice';
import type { BuildDocument, ShopDocument } from '../formats';
import { glueJobOf } from './glue-job';
import type { Plan } from './plan';
import { planBuild } from './plan-build';
import { familiesOf } from './shelf';
import { type WindowUse, windowUses } from '../verdicts/in-time';
import type { Verdict } from '../verdicts/verdict';

/** One adhesive family as it would do on this very build, in this air. */
export interface GlueOption extends RankedGlue {
  readonly chosen: boolean;
  readonly inTime: Verdict;
  readonly tight: Verdict;
  readonly massG: number;
  readonly volumeMl: number;
  readonly onShelfMl: number;
  /** By the price on its bottle; null where none is given. */
  readonly cost: number | null;
}

/** All families on a build, best first, with what decides and what would change the order. */
export interface GlueComparison {
  readonly job: GlueJob;
  readonly options: readonly GlueOption[];
  readonly deciding: Deciding | null;
  readonly changes: readonly OrderChange[];
}

/** Clamps that fall short of what a glue wants speak against it [judgement]. */
const WEAK_CLAMPS = { fails: -2, close: -0.5, holds: 0 } as const;

/**
 * Every family of the catalogue on the same build, each by the person's own label where there is one: usable ones
 * first, by the sum of their reasons. Each is really planned, so that its verdicts are those that choosing it gives.
 * @param today ISO date, for the age of bottles; null where nobody knows.
 */
export function compareGlues(build: BuildDocument, shop: ShopDocument, today: string | null): GlueComparison {
  const now = planBuild(build, shop);
  // Coats, both faces and what stays open count as the plan has them; the least cup is each glue's own.
  const { sets } = now.facts.assembly;
  const spreadG = sets * now.joints.reduce((sum, { spread }) => sum + spread.massG, 0) + now.totals.coatG;
  const job = { ...glueJobOf(now, today), areaMm2: areaOf(spreadG, now.adhesive) };
  const planWith = (adhesive: string): Plan =>
    adhesive === build.glue.adhesive ? now : planBuild({ ...build, glue: { ...build.glue, adhesive } }, shop);
  const families = familiesOf(shop);
  const plans = new Map(families.map(({ id }) => [id, planWith(id)]));
  const added = new Map([...plans].map(([id, plan]) => [id, ofPlan(plan, job)]));
  const byPlan = ({ id }: Adhesive) => added.get(id) ?? {};
  const ranking = rankAdhesives(job, families, byPlan);
  return {
    job,
    deciding: ranking.deciding,
    changes: whatWouldChange(job, families, byPlan),
    options: ranking.glues.flatMap((glue) => {
      const plan = plans.get(glue.adhesive.id);
      if (plan === undefined) return [];
      const { inTime, tight } = plan.verdicts;
      const { massG, volumeMl, onShelfMl } = plan.totals;
      return [
        {
          ...glue,
          chosen: glue.adhesive.id === build.glue.adhesive,
          inTime,
          tight,
          massG,
          volumeMl,
          onShelfMl,
          cost: costOf(glue.adhesive, volumeMl, shop),
        },
      ];
    }),
  };
}

/** What the plan of a glue adds to a job: how far its clamps fall short, and where its windows are tightest how many times the minutes it takes, since another glue goes on in another order. */
function ofPlan(plan: Plan, job: GlueJob): OfPlan {
  const uses = windowUses(plan);
  const times = (wanted: WindowUse['window'], jobMin: number) => {
    const own = uses.filter(({ window }) => window === wanted);
    return own.length === 0 || jobMin === 0 ? 1 : leastBy(own, ({ margin }) => margin).usedMin / jobMin;
  };
  return {
    reasons: pressureReason(plan.verdicts.tight),
    openTimes: times('open', job.openNeedMin),
    closedTimes: times('closed', job.closedNeedMin),
  };
}

function pressureReason(tight: Verdict): Reason[] {
  const weight = WEAK_CLAMPS[tight.state];
  return weight === 0
    ? []
    : [{ code: 'clamps-fall-short', weight, values: { minMPa: tight.figure ?? 0, lowMPa: tight.against } }];
}

function costOf(adhesive: Adhesive, volumeMl: number, shop: ShopDocument): number | null {
  const price = shop.bottles.find(
    (bottle) => bottle.adhesive === adhesive.id && typeof bottle.pricePerLitre === 'number',
  )?.pricePerLitre;
  return price === undefined || price === null ? null : (volumeMl / 1000) * price;
}
