import type { Finding, FindingCode } from '../findings';
import { findFixes, type Fixes } from '../fixes';
import type { BuildDocument, RackLot, ShopDocument } from '../formats';
import { panelPressure } from '../mechanics';
import { type PlanAnswer, planAnswer, planBuild, type PlanInput, planQuestion, settlePlan } from '../plan';
import { STARTER_SHOP } from '../templates';
import { type Aspect, ASPECTS, type VerdictState } from '../verdicts';
import { deepFreeze } from './deep-freeze';

const lot = (kind: string, count: number, maxOpeningMm: number, padMm: number): RackLot => ({
  id: kind,
  kind,
  count,
  maxOpeningMm,
  forceN: null,
  padWidthMm: padMm,
  padHeightMm: padMm,
});

/** A shop as many have it: no bag, no pipe clamps, two people, a mild day. */
export const PRACTICE_SHOP: ShopDocument = deepFreeze({
  ...STARTER_SHOP,
  climate: { tempC: 20, rhPct: 50 },
  crew: ['Ilse', 'Tam'],
  rack: [
    lot('t-bar', 4, 1500, 40),
    lot('parallel-jaw', 8, 900, 40),
    lot('f-heavy', 8, 600, 38),
    lot('trigger', 6, 600, 40),
    lot('c-clamp', 6, 150, 30),
    lot('band', 2, 3000, 25),
    lot('pointed-spring', 8, 90, 10),
  ],
  cauls: [
    { id: 'short', count: 6, species: 'white-ash', lengthMm: 600, widthMm: 40, depthMm: 50, crownMm: 0.3 },
    { id: 'long', count: 4, species: 'beech', lengthMm: 1000, widthMm: 45, depthMm: 60, crownMm: 0.8 },
  ],
  bottles: [
    { id: 'white', adhesive: 'pva-interior', openedOn: null, remainingMl: 900 },
    { id: 'outdoor', adhesive: 'pva-exterior', openedOn: null, remainingMl: 500 },
  ],
});

type OneOrMore<T> = T | readonly T[];

/** What a practitioner expects of a job; ranges are low and high, both allowed. */
export interface Expected {
  readonly states?: Readonly<Partial<Record<Aspect, OneOrMore<VerdictState>>>>;
  readonly causes?: Readonly<Partial<Record<Aspect, OneOrMore<FindingCode>>>>;
  readonly handsOnMin?: readonly [number, number];
  readonly sessions?: readonly [number, number];
  readonly massG?: readonly [number, number];
  /** Kinds of clamp and how many of each; a kind that is not named must not be used. */
  readonly clamps?: Readonly<Record<string, readonly [number, number]>>;
  /** Planned pull of each clamp, N. */
  readonly pullN?: readonly [number, number];
  /** Planned pull of all of them, N. */
  readonly pullInAllN?: readonly [number, number];
  readonly meanMPa?: readonly [number, number];
  readonly says?: readonly FindingCode[];
  readonly firstFix?: Readonly<Partial<Record<Aspect, OneOrMore<FindingCode>>>>;
}

/** A job with its plan, clamps in their places, and what would help. */
export interface Practised {
  readonly answer: PlanAnswer;
  readonly fixes: Fixes;
}

/** Plans a job as `clasp plan` does, in the practice shop unless another is given. */
export function practise(input: PlanInput): Practised {
  const { build, shop } = planQuestion({ shop: PRACTICE_SHOP, crew: 2, ...input });
  const estimate = planBuild(build as BuildDocument, shop);
  return { answer: planAnswer(settlePlan(estimate)), fixes: findFixes(estimate, shop, panelPressure) };
}

const listOf = <T>(value: OneOrMore<T>): readonly T[] =>
  (Array.isArray(value) ? value : [value]) as readonly T[];

function within(what: string, value: number, [low, high]: readonly [number, number]): string[] {
  return value >= low && value <= high
    ? []
    : [`${what}: ${value.toFixed(2)} is not within ${low} to ${high}`];
}

/** Everything in which a plan is not what was expected, in words; empty where a practitioner would nod. */
export function astray({ answer, fixes }: Practised, expected: Expected): string[] {
  const { states = {}, causes = {}, firstFix = {}, says = [] } = expected;
  const { verdicts, clamps, joints, totals, sessions, findings } = answer;
  const counts = new Map<string, number>();
  for (const { kind } of clamps) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  const pressures = joints.flatMap(({ pressure }) => (pressure === null ? [] : [pressure.meanMPa]));
  const told: readonly Finding[] = [...findings, ...ASPECTS.map((aspect) => verdicts[aspect].cause)];
  return [
    ...ASPECTS.flatMap((aspect) => {
      const { state, cause } = verdicts[aspect];
      const wanted = states[aspect];
      const why = causes[aspect];
      const fix = firstFix[aspect];
      const first = fixes[aspect][0]?.change.code ?? 'nothing';
      return [
        ...(wanted !== undefined && !listOf(wanted).includes(state)
          ? [`${aspect}: ${state} (${cause.code}), not ${listOf(wanted).join(' or ')}`]
          : []),
        ...(why !== undefined && !listOf(why).includes(cause.code)
          ? [`${aspect}: because of ${cause.code}, not ${listOf(why).join(' or ')}`]
          : []),
        ...(fix !== undefined && !(listOf(fix) as readonly string[]).includes(first)
          ? [`${aspect}: first proposed is ${first}, not ${listOf(fix).join(' or ')}`]
          : []),
      ];
    }),
    ...(expected.handsOnMin === undefined
      ? []
      : within('hands-on min', totals.handsOnMin, expected.handsOnMin)),
    ...(expected.sessions === undefined ? [] : within('sessions', sessions.length, expected.sessions)),
    ...(expected.massG === undefined ? [] : within('glue g', totals.massG, expected.massG)),
    ...(expected.clamps === undefined
      ? []
      : [
          ...Object.entries(expected.clamps).flatMap(([kind, range]) =>
            within(kind, counts.get(kind) ?? 0, range),
          ),
          ...[...counts.keys()]
            .filter((kind) => expected.clamps?.[kind] === undefined)
            .map((kind) => `${counts.get(kind)} of ${kind}, which is not asked for`),
        ]),
    ...(expected.pullN === undefined
      ? []
      : clamps.flatMap(({ number, plannedN }) =>
          within(`pull of clamp ${number}`, plannedN, expected.pullN as [number, number]),
        )),
    ...(expected.pullInAllN === undefined
      ? []
      : within(
          'pull in all',
          clamps.reduce((sum, { plannedN }) => sum + plannedN, 0),
          expected.pullInAllN,
        )),
    ...(expected.meanMPa === undefined
      ? []
      : pressures.flatMap((mpa) => within('mean pressure', mpa, expected.meanMPa as [number, number]))),
    ...says.filter((code) => !told.some((each) => each.code === code)).map((code) => `does not say ${code}`),
    ...neverTrue(answer),
  ];
}

/** What no plan may show, whatever is glued. */
function neverTrue({ joints, clamps, sessions, verdicts, totals }: PlanAnswer): string[] {
  return [
    ...joints
      .filter(({ state, pressure, target }) =>
        state === 'right' && pressure !== null && target !== null
          ? pressure.meanMPa > target.highMPa * (1 + 1e-6)
          : false,
      )
      .map(({ label }) => `${label} is right above its high end`),
    ...clamps
      .filter(({ plannedN, mostN }) => plannedN > mostN * (1 + 1e-9))
      .map(({ number }) => `clamp ${number} is planned beyond what it can`),
    ...sessions
      .filter(({ operations }) => operations.some(({ endMin, startMin }) => !(endMin >= startMin)))
      .map(({ id }) => `${id} runs backwards`),
    ...ASPECTS.filter((aspect) => {
      const { figure } = verdicts[aspect];
      return figure !== null && !Number.isFinite(figure);
    }),
    ...(Number.isFinite(totals.massG) && totals.massG >= 0 ? [] : ['glue without an amount']),
  ];
}
