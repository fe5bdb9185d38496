import { finding, type PlanFinding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import { type Plan, glueJobOf, type Likelihood, likelihoodOf, planBuild, withSessions } from '../plan';
import { atHour, clampsLaidOut, oneMorePair } from './common-changes';
import { glueCandidates } from './other-glues';
import type { Candidate } from './rank';

/** A change to a build with how likely it then keeps every window, simulated anew. */
export interface LikelyChange {
  readonly change: PlanFinding;
  readonly build: BuildDocument;
  readonly likelihood: Likelihood;
}

/** Closings of a session up to which every place to cut it in two is tried; of more, as many spread over it. */
const MOST_CUTS = 8;

/**
 * What one more pair of hands, one more session, another glue, clamps laid out beforehand, or a warmer or cooler hour
 * would do to the likelihood: each planned and simulated anew, told one by one. Changes that cannot be planned are
 * passed over.
 */
export function* likelyChanges(plan: Plan, shop: ShopDocument): Generator<LikelyChange, void> {
  for (const { change, build } of simpleChanges(plan, shop)) {
    const likelihood = likelihoodOf(planBuild(build, shop));
    if (likelihood !== null) yield { change, build, likelihood };
  }
  const cut = oneMoreSession(plan, shop);
  if (cut !== null) yield cut;
}

function simpleChanges(plan: Plan, shop: ShopDocument): Candidate[] {
  const { build, climate } = plan;
  const hours = [...shop.hours].sort((a, b) => a.tempC - b.tempC);
  const ends = [hours[0], hours.at(-1)].filter((hour) => hour !== undefined);
  return [
    ...oneMorePair(build, shop),
    ...clampsLaidOut(build),
    ...glueCandidates(build, glueJobOf(plan, null), shop),
    ...ends.filter(({ tempC }) => Math.abs(tempC - climate.tempC) >= 1).map((hour) => atHour(build, hour)),
  ];
}

/** The tightest session cut in two where that makes success likeliest; null where there is nothing to cut. */
function oneMoreSession({ build, order }: Plan, shop: ShopDocument): LikelyChange | null {
  if (order === null || order.impossible !== null || order.sessions.length === 0) return null;
  const tightest = order.sessions.reduce((a, b) => (b.worstMargin < a.worstMargin ? b : a));
  const at = order.sessions.indexOf(tightest);
  const { closings } = tightest;
  const every = Math.max(1, Math.ceil((closings.length - 1) / MOST_CUTS));
  let best: LikelyChange | null = null;
  for (let cut = 1; cut < closings.length; cut += every) {
    const halves = [closings.slice(0, cut), closings.slice(cut)].map((half) =>
      half.flatMap(({ joints }) => joints),
    );
    const sessions = order.sessions.flatMap(({ joints }, i) => (i === at ? halves : [joints]));
    const edited = withSessions(build, sessions);
    const likelihood = likelihoodOf(planBuild(edited, shop));
    if (likelihood === null || (best !== null && likelihood.share <= best.likelihood.share)) continue;
    best = {
      change: finding('one-more-session', 'informs', { sessions: sessions.length }),
      build: edited,
      likelihood,
    };
  }
  return best;
}
