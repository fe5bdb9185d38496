import { listAdhesives } from '@lean-clasp/core/adhesives';
import { InputError } from '@lean-clasp/core/basics';
import { gatherList } from '@lean-clasp/core/bench';
import { findFixes } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { type Answers, findKind, FREE, KINDS } from '@lean-clasp/core/kinds';
import { panelPressure } from '@lean-clasp/core/mechanics';
import {
  ACROSS,
  ON_A_ROLL,
  type Plan,
  planAnswer,
  type PlanAnswer,
  planBuild,
  settlePlan,
} from '@lean-clasp/core/plan';
import { newBuild, STARTER_SHOP } from '@lean-clasp/core/templates';
import { DEMO_SHOP } from '@lean-clasp/core/demo';
import fc from 'fast-check';
import { formatFor } from './format';
import { says, saidPlan } from './say';

// A thousand plans take their time.
jest.setTimeout(600_000);

const f = formatFor('metric');
const SHOPS: readonly ShopDocument[] = [
  DEMO_SHOP,
  STARTER_SHOP,
  { ...DEMO_SHOP, rack: DEMO_SHOP.rack.map((lot) => ({ ...lot, count: Math.ceil(lot.count / 3) })) },
  { ...DEMO_SHOP, climate: { tempC: 27, rhPct: 30 }, paceFactor: 1.4 },
];

/** Whole builds of any kind, with one answer away from where the kind starts. */
const anyJob = fc.record({
  template: fc.constantFrom(...KINDS.map(({ id }) => id)),
  adhesive: fc.constantFrom(...listAdhesives().map(({ id }) => id)),
  shop: fc.constantFrom(...SHOPS),
  crew: fc.integer({ min: 1, max: 3 }),
  question: fc.double({ min: 0, max: 0.999, noNaN: true }),
  by: fc.double({ min: 0.6, max: 1.6, noNaN: true }),
  tempC: fc.option(fc.integer({ min: 4, max: 34 })),
});
type Job = typeof anyJob extends fc.Arbitrary<infer J> ? J : never;

/** The build that a job asks for; null for answers that cannot be made, which must be refused in words. */
function buildOf({ template, adhesive, shop, crew, question, by, tempC }: Job): BuildDocument | null {
  const asked = Object.entries(findKind(template).questions).filter(([, { kind }]) =>
    ['length', 'number', 'count'].includes(kind),
  );
  const [name, from] = asked[Math.floor(question * asked.length)] ?? [];
  const answers: Answers =
    name === undefined || typeof from?.value !== 'number'
      ? {}
      : { [name]: from.kind === 'count' ? Math.round(from.value * by) : from.value * by };
  let next = 0;
  try {
    const start = { template, name: 'Any', project: '', service: 'dry' as const, answers };
    const build = newBuild(start, shop, () => `n${(next += 1)}`);
    return {
      ...build,
      crew,
      glue: { ...build.glue, adhesive },
      climate: tempC === null ? null : { tempC, rhPct: 45 },
    };
  } catch (error) {
    if (error instanceof InputError && error.message.length > 10) return null;
    throw error;
  }
}

/** Why a plan breaks what must always hold; empty where it does not. */
function faultsOf(plan: Plan, answer: PlanAnswer, shop: ShopDocument): string[] {
  return [
    ...(JSON.stringify(JSON.parse(JSON.stringify(answer))) === JSON.stringify(answer) && isFinite(answer)
      ? []
      : ['a figure that is not finite']),
    ...tooMuch(plan, answer),
    ...overLots(plan, shop),
    ...nowhere(plan),
    ...outOfOrder(answer, plan.build.crew),
    ...unsaid(answer, plan),
  ];
}

function isFinite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value === 'object' && value !== null) return Object.values(value).every(isFinite);
  return true;
}

/** A verdict that holds although a joint is short of its pressure or above what it wants. */
function tooMuch({ verdicts }: Plan, { joints }: PlanAnswer): string[] {
  if (verdicts.tight.state !== 'holds') return [];
  return joints
    .filter(({ state }) => !['right', 'seated', 'dry'].includes(state))
    .map(({ label, state, pressure }) => `holds with ${label} ${state} ${JSON.stringify(pressure)}`);
}

/** More clamps of a lot on one pull than there are. */
function overLots({ pulls, row }: Plan, shop: ShopDocument): string[] {
  return pulls
    .filter(({ pull }) => row === null || pull.id !== ACROSS)
    .flatMap(({ pull, taken }) =>
      taken
        .filter(({ lot }) => !ON_A_ROLL.includes(lot.kind))
        .filter(({ lot, count }) => count > (shop.rack.find(({ id }) => id === lot.id)?.count ?? 0))
        .map(({ lot, count }) => `${pull.id} takes ${count} of ${lot.id}`),
    );
}

/** What is taken off the rack and stands nowhere; a bag has no place of its own, and the clamps of a row are told by its own plan. */
const nowhere = ({ squeeze, row }: Plan): string[] =>
  (squeeze?.pulls ?? [])
    .filter(({ planned, by }) => by !== 'bag' && (row === null || planned.pull.id !== ACROSS))
    .map(({ planned, clamps }) => ({
      id: planned.pull.id,
      taken: planned.taken.reduce((sum, { count }) => sum + count, 0),
      placed: clamps.length,
    }))
    .filter(({ taken, placed }) => taken !== placed)
    .map(({ id, taken, placed }) => `${id} takes ${taken} clamps and places ${placed}`);

/** Operations that start before what they need, or hands that are in two places. */
function outOfOrder({ sessions }: PlanAnswer, crew: number): string[] {
  return sessions.flatMap(({ operations }) => {
    const endOf = new Map(operations.map(({ id, endMin }) => [id, endMin]));
    const early = operations
      .filter(({ after, startMin }) => after.some((id) => (endOf.get(id) ?? Infinity) > startMin + 1e-6))
      .map(({ id }) => `${id} starts too early`);
    const twice = operations.length === endOf.size ? [] : ['two operations of one id'];
    const first = (kind: string, joint: string) =>
      operations.find((each) => each.kind === kind && each.joints.includes(joint));
    const unspread = operations
      .filter(({ kind }) => kind === 'close')
      .flatMap(({ joints, startMin }) =>
        joints
          .filter((joint) => (first('spread', joint)?.endMin ?? -1) > startMin + 1e-6)
          .map((joint) => `${joint} closes before it is spread`),
      );
    const crowded = Array.from({ length: crew }, (_, hand) =>
      operations
        .filter(({ hands }) => hands.includes(hand))
        .filter(({ startMin, endMin }) => endMin > startMin)
        .sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin),
    ).flatMap((lane) =>
      lane
        .filter((each, i) => i > 0 && each.startMin < (lane[i - 1]?.endMin ?? 0) - 1e-6)
        .map(({ id }) => `${id} wants a hand that is busy`),
    );
    const extra = operations
      .filter(({ hands }) => hands.some((hand) => hand >= crew))
      .map(({ id }) => `${id} wants a hand that is not there`);
    return [...early, ...twice, ...unspread, ...crowded, ...extra];
  });
}

/** Findings and instructions without words. */
function unsaid(answer: PlanAnswer, plan: Plan): string[] {
  const findings = [
    ...answer.findings,
    ...Object.values(answer.verdicts).map(({ cause }) => cause),
    ...plan.joints.flatMap(({ window }) => window.findings),
    ...gatherList(plan),
  ];
  const bench = saidPlan({ ...answer, gather: gatherList(plan), fixes: [] }, f).bench;
  return [
    ...findings
      .filter((finding) => says(finding, f) === finding.code)
      .map(({ code }) => `no words for ${code}`),
    ...findings
      .map((finding) => says(finding, f))
      .filter((words) => /undefined|NaN|Infinity|\[object/.test(words))
      .map((words) => `holes in "${words}"`),
    ...bench
      .filter(({ says: words }) => /^[a-z]+(-[a-z]+)+:|undefined|NaN|Infinity|\[object/.test(words))
      .map(({ operation, says: words }) => `${operation} says "${words}"`),
  ];
}

describe('any kind, with any glue, in any shop', () => {
  it('plans without a figure that is not one, a clamp too many, a hand too few or a word missing', () => {
    const planned = new Set<string>();
    fc.assert(
      fc.property(anyJob, (job) => {
        const build = buildOf(job);
        if (build === null) return;
        const plan = planBuild(build, job.shop);
        planned.add(build.template);
        expect(faultsOf(plan, planAnswer(plan), job.shop)).toEqual([]);
      }),
      { seed: 14, numRuns: 1_150 },
    );
    expect([...planned].sort()).toEqual(KINDS.map(({ id }) => id).sort());
  });

  it('does so with its clamps in their places', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const build = buildOf(job);
        if (build === null) return;
        const plan = settlePlan(planBuild(build, job.shop));
        expect(faultsOf(plan, planAnswer(plan), job.shop)).toEqual([]);
      }),
      { seed: 15, numRuns: 120 },
    );
  });

  it('is offered no fix that calls a joint mended outside of what it wants', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const build = buildOf(job);
        if (build === null) return;
        for (const fix of findFixes(planBuild(build, job.shop), job.shop, panelPressure).tight) {
          expect(says(fix.change, f)).not.toBe(fix.change.code);
          if (fix.after.state !== 'holds' || fix.first === 'rack') continue;
          const after = settlePlan(planBuild(fix.build, job.shop));
          expect(after.verdicts.tight).toEqual(fix.after);
          expect(tooMuch(after, planAnswer(after))).toEqual([]);
        }
      }),
      { seed: 16, numRuns: 25 },
    );
  });

  it('is a kind or a free assembly, which is planned as well', () => {
    const free = { template: FREE, name: 'Own', project: '', service: 'dry' as const, answers: {} };
    const plan = settlePlan(
      planBuild(
        newBuild(free, DEMO_SHOP, () => 'x'),
        DEMO_SHOP,
      ),
    );
    expect(faultsOf(plan, planAnswer(plan), DEMO_SHOP)).toEqual([]);
  });
});
