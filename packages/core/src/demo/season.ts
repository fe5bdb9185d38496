import type { Bottle, BuildDocument, Lesson, RunDocument, RunRecord, ShopDocument } from '../formats';
import { withLessons } from '../lessons';
import { likelihoodOf, planBuild } from '../plan';
import { newBuild } from '../templates';
import { DAYS, type SeasonDay } from './season-days';
import { DEMO_SHOP } from './shop';
import type { DemoBuild } from './wagon';
import { type Telling, type Truth, withEvents, workedBy } from './woodworker';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
const PROJECT = 'Winter Puppets';
/** Days simulated for what each glue-up was promised. */
const PLAYED = 200;

type Start = Parameters<typeof newBuild>[0];
function made(
  id: string,
  start: Omit<Start, 'project' | 'service'>,
  change: Partial<BuildDocument> = {},
): DemoBuild {
  let boards = 0;
  const build = newBuild(
    { project: PROJECT, service: 'dry', ...start },
    DEMO_SHOP,
    () => `${id}-${(boards += 1)}`,
  );
  return { id, build: { ...build, ...change } };
}

/** What the shop built over the winter: glued, and out of the house. */
export function seasonBuilds(): readonly DemoBuild[] {
  return [
    made('booth-counter', {
      template: 'edge-panel',
      name: 'Booth counter',
      answers: { species: 'yellow-poplar', boards: 4, lengthMm: 1100, widthMm: 420, thicknessMm: 22 },
    }),
    made(
      'prop-crates',
      {
        template: 'case',
        name: 'Prop crates',
        answers: {
          species: 'eastern-white-pine',
          widthMm: 520,
          heightMm: 360,
          depthMm: 320,
          thicknessMm: 16,
          shelves: 0,
          backStrips: 0,
        },
      },
      { crew: 2, dryFit: { acMm: 632.4, bdMm: 631.8, bowMm: null, twistMm: 0.4 } },
    ),
    made(
      'winter-flats',
      {
        template: 'tenon-frame',
        name: 'Winter flats',
        answers: {
          species: 'eastern-white-pine',
          widthMm: 760,
          heightMm: 1450,
          memberMm: 62,
          thicknessMm: 25,
          midRails: 1,
          tenonMm: 40,
        },
      },
      { dryFit: { acMm: 1637, bdMm: 1636.4, bowMm: null, twistMm: 0.5 } },
    ),
    made('poster-frames', {
      template: 'mitred-frame',
      name: 'Poster frames',
      answers: {},
    }),
    made('sledge-runners', {
      template: 'face-lamination',
      name: 'Sledge runners',
      answers: { species: 'white-ash', layers: 2, layerMm: 18, widthMm: 45, lengthMm: 420, blanks: 2 },
    }),
  ];
}

/** How Maud and Osric really work: quick with the brush, slow with clamps. */
const HANDS: Truth = {
  pace: { spread: 0.9, close: 1.1, press: 1.3, tighten: 1.25, check: 1.4 },
  stepCv: 0.28,
  dayCv: 0.1,
  windowCv: 0.18,
  window: 0.95,
};

const NOTHING_READ: RunRecord = {
  squeezeOut: null,
  flatnessMm: null,
  diagonalDifferenceMm: null,
  widestGapMm: null,
  glueG: null,
  note: '',
};

/** A season of made-up glue-ups, dated back from `nowMs`; worked by hands whose pace the log can find out. */
export function seasonRuns(shop: ShopDocument, nowMs: number): RunDocument[] {
  const builds = new Map(seasonBuilds().map(({ id, build }) => [id, build]));
  return DAYS.flatMap((day, i) => {
    const build = builds.get(day.build);
    if (build === undefined) return [];
    const [tempC, rhPct] = day.air;
    const startedAtMs = Math.floor(nowMs / DAY_MS - day.daysAgo) * DAY_MS + day.hour * 60 * MINUTE_MS;
    const then = { ...asTaughtBefore(shop, i), bottles: bottlesThen(shop.bottles, startedAtMs) };
    const plan = planBuild({ ...build, climate: { tempC, rhPct } }, then);
    const { run } = workedBy(HANDS, plan, {
      id: `season-${i + 1}`,
      buildId: day.build,
      startedAtMs,
      seed: 401 + i,
      likely: likelihoodOf(plan, 1, PLAYED)?.share ?? null,
      people: build.crew > 1 ? shop.crew : shop.crew.slice(i % 2, (i % 2) + 1),
      ...(day.heldUp === undefined ? {} : { heldUp: day.heldUp }),
    });
    return [withEvents(run, tellings(day, run))];
  });
}

/** The shop as it was on a day of the season: what a later day taught was not known yet. */
const asTaughtBefore = (shop: ShopDocument, day: number): ShopDocument =>
  withLessons(shop, ({ own, away }) => ({
    own: own.filter(({ runId }) => runId === null || Number(runId.replace('season-', '')) <= day),
    away,
  }));

/** So long a bottle lasted, days. */
const LASTED_DAYS = 75;

/** Bottles as they stood on a day: in place of one that was opened later stood the one before it. */
const bottlesThen = (bottles: readonly Bottle[], atMs: number): Bottle[] =>
  bottles.map((bottle) => {
    const openedMs = bottle.openedOn === null ? 0 : Date.parse(bottle.openedOn);
    if (openedMs <= atMs) return bottle;
    const lots = Math.ceil((openedMs - atMs) / (LASTED_DAYS * DAY_MS));
    const openedOn = new Date(openedMs - lots * LASTED_DAYS * DAY_MS).toISOString().slice(0, 10);
    return { ...bottle, id: `${bottle.id}-${lots}-before`, openedOn };
  });

function tellings(day: SeasonDay, run: RunDocument): Telling[] {
  const { coupon, cause, mishap, week, weighed } = day;
  const glueG = weighed === undefined ? null : Math.round(weighed * (run.promise.job?.glueG ?? 0));
  const record = { ...NOTHING_READ, ...day.record, glueG };
  const endMs = Math.max(...run.events.map(({ atMs }) => atMs));
  const offMs = endMs + 1.2 * (run.promise.clampMin ?? 60) * MINUTE_MS;
  const later = (days: number) => endMs + days * DAY_MS;
  return [
    ...(mishap === undefined
      ? []
      : [
          {
            kind: 'mishap' as const,
            atMs: endMs - 4 * MINUTE_MS,
            payload: { mishap: { what: mishap, answer: null } },
          },
        ]),
    { kind: 'clamps-off', atMs: Math.round(offMs) },
    { kind: 'note', atMs: Math.round(offMs), payload: { record } },
    ...(coupon === undefined
      ? []
      : [{ kind: 'note' as const, atMs: later(2), payload: { coupon: { woodFailurePct: coupon } } }]),
    ...(cause === undefined
      ? []
      : [
          {
            kind: 'note' as const,
            atMs: later(3),
            payload: { cause: { symptom: cause[0], cause: cause[1] } },
          },
        ]),
    ...(week === undefined
      ? []
      : [
          {
            kind: 'note' as const,
            atMs: later(8),
            payload: { recheck: { due: 'week' as const, found: week } },
          },
        ]),
    { kind: 'note', atMs: later(9), payload: { recheck: { due: 'season', found: 'out-of-reach' } } },
  ];
}

/** What the winter taught the shop. */
const LESSONS: readonly Lesson[] = [
  {
    id: 'batten-on-flats',
    title: 'Flats creep out of square overnight',
    happened: 'Diagonals were equal at the bench, and 2 mm apart in the morning.',
    cause: 'The frame had been racked into square and nothing held it there.',
    cost: 'One flat that never hung true.',
    change: 'A batten across the long diagonal until the clamps come off.',
    when: [{ trait: 'kind', any: ['tenon-frame'] }],
    at: 'check',
    learnedOn: null,
    runId: 'season-3',
  },
  {
    id: 'stove-overnight',
    title: 'Wood straight out of the cold shed',
    happened: 'The counter broke along its line; the glue was white and chalky.',
    cause: 'Nine degrees in the wood, whatever the thermometer on the wall said.',
    cost: 'A panel made twice.',
    change: 'Boards lie by the stove the night before, thermometer on the wood.',
    when: [{ trait: 'above-coldest-c', below: 6 }],
    at: 'before',
    learnedOn: null,
    runId: 'season-1',
  },
];

/** The demo's shop with what the winter taught it. */
export const withSeason = (shop: ShopDocument): ShopDocument =>
  withLessons(shop, ({ away }) => ({ own: [...LESSONS], away: [...away] }));
