import type { BuildDocument, Lesson, RunDocument, RunRecord, ShopDocument } from '../formats';
import { withLessons } from '../lessons';
import { likelihoodOf, planBuild } from '../plan';
import { newBuild } from '../templates';
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

/** One day of the season. */
interface SeasonDay {
  readonly build: string;
  readonly daysAgo: number;
  /** Hour of the day, UTC, and the air then. */
  readonly hour: number;
  readonly air: readonly [tempC: number, rhPct: number];
  readonly record: Partial<RunRecord>;
  readonly coupon?: number;
  readonly cause?: readonly [symptom: string, cause: string];
  readonly heldUp?: number;
  readonly mishap?: string;
  readonly clampsOffEarly?: number;
  readonly week?: 'sound' | 'line-shows' | 'opened';
}

const DAYS: readonly SeasonDay[] = [
  {
    build: 'booth-counter',
    daysAgo: 152,
    hour: 9,
    air: [9, 68],
    record: {
      squeezeOut: 'patchy',
      flatnessMm: 1.4,
      widestGapMm: 0.2,
      note: 'Cold hands, cold wood. Clamps opened while the glue was on.',
    },
    coupon: 35,
    cause: ['broke', 'too-cold'],
  },
  {
    build: 'booth-counter',
    daysAgo: 147,
    hour: 13,
    air: [17, 50],
    record: {
      squeezeOut: 'even',
      flatnessMm: 0.7,
      widestGapMm: 0.05,
      note: 'Second panel, wood kept by the stove overnight.',
    },
    coupon: 85,
    week: 'sound',
  },
  {
    build: 'winter-flats',
    daysAgo: 141,
    hour: 10,
    air: [15, 55],
    record: {
      squeezeOut: 'even',
      diagonalDifferenceMm: 2.2,
      note: 'Read square, and 2 mm out in the morning.',
    },
    cause: ['out-of-square', 'crept-back'],
  },
  {
    build: 'winter-flats',
    daysAgo: 138,
    hour: 10,
    air: [16, 54],
    record: {
      squeezeOut: 'even',
      diagonalDifferenceMm: 0.9,
      note: 'Batten across the long diagonal overnight.',
    },
    week: 'sound',
  },
  {
    build: 'winter-flats',
    daysAgo: 134,
    hour: 15,
    air: [18, 48],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.7, note: '' },
  },
  {
    build: 'prop-crates',
    daysAgo: 129,
    hour: 9,
    air: [13, 60],
    record: {
      squeezeOut: 'too-much',
      diagonalDifferenceMm: 1.4,
      note: 'Half an hour with a bent scraper in the corners.',
    },
    cause: ['stain', 'glue-on-face'],
  },
  {
    build: 'prop-crates',
    daysAgo: 126,
    hour: 11,
    air: [16, 52],
    record: {
      squeezeOut: 'even',
      diagonalDifferenceMm: 0.8,
      note: 'Tape at the dry fit. Ten minutes saved.',
    },
    coupon: 90,
    week: 'sound',
  },
  {
    build: 'poster-frames',
    daysAgo: 121,
    hour: 14,
    air: [19, 45],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.6, note: '' },
  },
  {
    build: 'poster-frames',
    daysAgo: 117,
    hour: 16,
    air: [20, 40],
    record: { squeezeOut: 'none', diagonalDifferenceMm: 0.9, note: 'One corner broke in the hand, glassy.' },
    cause: ['broke', 'end-grain-drank'],
    week: 'opened',
  },
  {
    build: 'poster-frames',
    daysAgo: 112,
    hour: 14,
    air: [18, 46],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.5, note: 'Corners sized first. Holds.' },
    week: 'sound',
  },
  {
    build: 'sledge-runners',
    daysAgo: 104,
    hour: 10,
    air: [14, 58],
    record: { squeezeOut: 'even', flatnessMm: 0.6, note: '' },
    coupon: 80,
  },
  {
    build: 'sledge-runners',
    daysAgo: 101,
    hour: 15,
    air: [17, 50],
    record: {
      squeezeOut: 'patchy',
      flatnessMm: 0.8,
      widestGapMm: 0.25,
      note: 'Telephone in the middle of it.',
    },
    heldUp: 2.6,
    cause: ['open-at-end', 'pressed-late'],
  },
  {
    build: 'sledge-runners',
    daysAgo: 97,
    hour: 9,
    air: [15, 55],
    record: { squeezeOut: 'even', flatnessMm: 0.5, note: '' },
    coupon: 88,
    week: 'sound',
  },
  {
    build: 'booth-counter',
    daysAgo: 90,
    hour: 14,
    air: [20, 42],
    record: { squeezeOut: 'even', flatnessMm: 0.5, note: 'Shelf for the booth.' },
    coupon: 82,
  },
  {
    build: 'booth-counter',
    daysAgo: 86,
    hour: 15,
    air: [21, 40],
    record: {
      squeezeOut: 'even',
      flatnessMm: 0.4,
      widestGapMm: 0,
      note: 'Planed it the same evening; lines sunk a fortnight later.',
    },
    cause: ['ridge', 'planed-early'],
    week: 'line-shows',
  },
  {
    build: 'prop-crates',
    daysAgo: 79,
    hour: 10,
    air: [18, 47],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.6, note: '' },
  },
  {
    build: 'prop-crates',
    daysAgo: 76,
    hour: 13,
    air: [19, 45],
    record: {
      squeezeOut: 'even',
      diagonalDifferenceMm: 1.1,
      note: 'One clamp too short with its blocks; took a longer one.',
    },
    mishap: 'clamp-short',
  },
  {
    build: 'winter-flats',
    daysAgo: 68,
    hour: 9,
    air: [16, 52],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.8, note: '' },
    coupon: 92,
    week: 'sound',
  },
  {
    build: 'winter-flats',
    daysAgo: 61,
    hour: 14,
    air: [20, 43],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.6, note: '' },
  },
  {
    build: 'poster-frames',
    daysAgo: 54,
    hour: 11,
    air: [19, 46],
    record: { squeezeOut: 'even', diagonalDifferenceMm: 0.4, note: '' },
    coupon: 60,
  },
  {
    build: 'sledge-runners',
    daysAgo: 33,
    hour: 15,
    air: [21, 41],
    record: { squeezeOut: 'even', flatnessMm: 0.4, note: '' },
    coupon: 86,
  },
  {
    build: 'booth-counter',
    daysAgo: 24,
    hour: 10,
    air: [17, 50],
    record: { squeezeOut: 'even', flatnessMm: 0.6, note: 'Counter flap.' },
    coupon: 84,
  },
];

const NOTHING_READ: RunRecord = {
  squeezeOut: null,
  flatnessMm: null,
  diagonalDifferenceMm: null,
  widestGapMm: null,
  note: '',
};

/** A season of made-up glue-ups, dated back from `nowMs`; worked by hands whose pace the log can find out. */
export function seasonRuns(shop: ShopDocument, nowMs: number): RunDocument[] {
  const builds = new Map(seasonBuilds().map(({ id, build }) => [id, build]));
  return DAYS.flatMap((day, i) => {
    const build = builds.get(day.build);
    if (build === undefined) return [];
    const [tempC, rhPct] = day.air;
    const plan = planBuild({ ...build, climate: { tempC, rhPct } }, asTaughtBefore(shop, i));
    const startedAtMs = Math.floor(nowMs / DAY_MS - day.daysAgo) * DAY_MS + day.hour * 60 * MINUTE_MS;
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

function tellings(day: SeasonDay, run: RunDocument): Telling[] {
  const { record, coupon, cause, mishap, week } = day;
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
    { kind: 'note', atMs: Math.round(offMs), payload: { record: { ...NOTHING_READ, ...record } } },
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
