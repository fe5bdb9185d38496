import { findAdhesive } from '../adhesives';
import { positionOf, scriptOfRun, windowsUsed } from '../bench';
import type { RunDocument } from '../formats';
import { couponState, readAfterwards, readRun } from '../runs';
import type { Feature, Level, Symptom } from './model';

/** What a run itself tells: features with their level; those that it does not tell are left out. */
export type Signs = Partial<Record<Feature, Level>>;

const MS_PER_MIN = 60_000;

/** Limits between the levels [judgement]. */
const NEAR_SHARE = 0.75;
const LOW = { low: 0.7, good: 1, much: 2.2 };
const GAP_MM = { closed: 0.1, wide: 0.3 };
const WARMTH_C = { cold: 1, near: 5 };
const WET_PCT = 12;
const DIFFERS_PCT = 2;
const BOTTLE_PCT = { ageing: 75, old: 100 };
const END_GRAIN_PCT = { some: 3, much: 25 };
const EARLY_SHARE = 0.85;

const levelOf = (value: number, steps: readonly (readonly [Level, number])[], last: Level): Level =>
  steps.find(([, below]) => value < below)?.[0] ?? last;

/** Reads the signs of a run. What a symptom is not about, such as a reading of another kind, is not among them. */
export function signsOf(run: RunDocument, symptom: Symptom): Signs {
  return { ...timeSigns(run), ...jobSigns(run), ...afterSigns(run), ...readingSigns(run, symptom) };
}

function timeSigns(run: RunDocument): Signs {
  if (run.script === null) return {};
  const script = scriptOfRun(run.script);
  const position = positionOf(script, run.startedAtMs, run.events);
  const used = windowsUsed(run);
  const told = [...readAfterwards(run).closed.values()];
  const order = (by: (id: string) => number) =>
    script.operations
      .filter(({ kind, id }) => (kind === 'tighten' || kind === 'set-clamp') && position.done.has(id))
      .sort((a, b) => by(a.id) - by(b.id))
      .map(({ id }) => id);
  const planned = order((id) => script.operations.find((each) => each.id === id)?.endMin ?? 0);
  const really = order((id) => position.done.get(id) ?? 0);
  const moved = planned.filter((id, i) => really[i] !== id).length;
  return {
    ...(used.length === 0
      ? {}
      : {
          'open-used': levelOf(
            Math.max(...used.map(({ open }) => open)),
            [
              ['well', NEAR_SHARE],
              ['near', 1],
            ],
            'over',
          ),
          'press-used': levelOf(
            Math.max(...used.map(({ press }) => press)),
            [
              ['well', NEAR_SHARE],
              ['near', 1],
            ],
            'over',
          ),
        }),
    ...(planned.length < 3 ? {} : { turn: moved > planned.length / 3 ? 'changed' : 'kept' }),
    ...(told.length === 0
      ? {}
      : { 'closed-as': (['skinned', 'tacky', 'wet'] as const).find((how) => told.includes(how)) ?? 'wet' }),
    mishap: run.events.some(({ payload }) => payload?.mishap?.what === 'grabs-early') ? 'grabbed' : 'none',
    glue: run.events.some(({ payload }) => payload?.mishap?.what === 'glue-out') ? 'ran-out' : 'enough',
  };
}

function jobSigns({ promise }: RunDocument): Signs {
  const { job, climate, adhesive, lowestMPa, lessons } = promise;
  const aboveC = climate.tempC - findAdhesive(adhesive).minTempC;
  const warmth = levelOf(
    aboveC,
    [
      ['cold', WARMTH_C.cold],
      ['near', WARMTH_C.near],
    ],
    'warm',
  );
  if (job === undefined) return { warmth };
  const [driest = 0, wettest = 0] = job.mcPct;
  return {
    warmth,
    ...(job.wantedMPa === 0
      ? {}
      : {
          pressure:
            job.mostMPa / job.wantedMPa >= LOW.much
              ? 'much'
              : levelOf(
                  lowestMPa / job.wantedMPa,
                  [
                    ['low', LOW.low],
                    ['short', LOW.good],
                  ],
                  'good',
                ),
        }),
    ...(job.gapMm === null
      ? {}
      : {
          gap: levelOf(
            job.gapMm,
            [
              ['closed', GAP_MM.closed],
              ['some', GAP_MM.wide],
            ],
            'wide',
          ),
        }),
    moisture: wettest > WET_PCT ? 'wet' : 'dry',
    'moisture-of-parts': wettest - driest >= DIFFERS_PCT ? 'differs' : 'alike',
    ...(job.bottlePct === null
      ? {}
      : {
          bottle: levelOf(
            job.bottlePct,
            [
              ['fresh', BOTTLE_PCT.ageing],
              ['ageing', BOTTLE_PCT.old],
            ],
            'old',
          ),
        }),
    'end-grain': levelOf(
      job.endGrainPct,
      [
        ['none', END_GRAIN_PCT.some],
        ['some', END_GRAIN_PCT.much],
      ],
      'much',
    ),
    ...(lessons === undefined
      ? {}
      : { off: lessons.some(({ lesson }) => lesson === 'lifted-panel') ? 'much' : 'little' }),
  };
}

function afterSigns(run: RunDocument): Signs {
  const { clampedAtMs, clampsOffAtMs, machinedAtMs, record } = readRun(run);
  const { clampMin, machineMin } = run.promise;
  const { coupon } = readAfterwards(run);
  const early = (atMs: number | null, min: number | null) =>
    atMs === null || min === null || clampedAtMs === null
      ? null
      : atMs - clampedAtMs < EARLY_SHARE * min * MS_PER_MIN
        ? 'early'
        : 'kept';
  const [off, planed] = [early(clampsOffAtMs, clampMin), early(machinedAtMs, machineMin)];
  const states = { holds: 'sound', close: 'fair', fails: 'poor' } as const;
  return {
    ...(off === null ? {} : { 'clamps-off': off }),
    ...(planed === null ? {} : { planed }),
    ...(record.squeezeOut === null ? {} : { 'squeeze-out': record.squeezeOut }),
    ...(coupon?.woodFailurePct == null ? {} : { coupon: states[couponState(coupon.woodFailurePct)] }),
  };
}

/** Checks that a symptom would have been caught by. */
const CAUGHT_BY: Readonly<Partial<Record<Symptom, readonly string[]>>> = {
  'clamp-bow': ['straightedge', 'flush'],
  'out-of-square': ['diagonals', 'try-square', 'angle', 'bore', 'splay'],
  wind: ['winding', 'straightedge'],
};

function readingSigns({ script, events }: RunDocument, symptom: Symptom): Signs {
  const checks = CAUGHT_BY[symptom];
  if (checks === undefined || script === null) return {};
  const asks = scriptOfRun(script).operations.some(
    ({ asks: check }) => check !== null && checks.includes(check),
  );
  const read = events.flatMap(({ kind, operation, payload }) =>
    kind === 'reading' && operation !== undefined && payload?.reading !== undefined ? [payload.reading] : [],
  );
  const own = read.filter(({ check }) => checks.includes(check));
  const last = own.at(-1);
  if (last !== undefined) return { reading: last.accepted ? 'accepted' : 'not-accepted' };
  return asks ? { reading: 'not-taken' } : {};
}
