import {
  type BuildDocument,
  type PlacedClamp,
  type RunDocument,
  type RunEvent,
  type RunRecord,
  type ShopDocument,
  USUAL_ROW,
} from '../formats';
import { newBuild } from '../templates';
import { benchScript, comesLater, promiseOf } from '../bench';
import { planBuild } from '../plan';

/** Widths as they came off the saw; they add up to 600 mm. */
const WIDTHS_MM = [128, 96, 140, 118, 118];
/** Where Maud puts the long bars, by eye. */
const CLAMPS_AT_MM = [69, 241, 414, 586, 759, 931];
const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/** The stage floor of the Lantern Wagon: five hard-maple boards, breadboard ends to follow. */
export function stageFloor(shop: ShopDocument): BuildDocument {
  let next = 0;
  const panel = newBuild(
    {
      template: 'edge-panel',
      name: 'Stage floor',
      project: 'The Lantern Wagon',
      service: 'dry',
      answers: {
        species: 'hard-maple',
        boards: WIDTHS_MM.length,
        widthMm: 600,
        lengthMm: 1000,
        thicknessMm: 20,
      },
    },
    shop,
    () => `d${(next += 1)}`,
  );
  const row = panel.row ?? USUAL_ROW;
  const boards = (panel.boards ?? []).map((board, i) => ({
    ...board,
    widthMm: WIDTHS_MM[i] ?? board.widthMm,
    cut: i === 1 ? ('rift' as const) : ('flat' as const),
    mcPct: i === 3 ? 8.4 : null,
  }));
  return {
    ...panel,
    boards,
    row: {
      ...row,
      clamps: CLAMPS_AT_MM.map((xMm, i): PlacedClamp => ({
        id: `d${(next += 1)}`,
        rackId: 'tbar-long',
        xMm,
        side: i % 2 === 0 ? 'above' : 'below',
      })),
      holding: { ...row.holding, heldFlatLater: true },
      trimMm: 5,
    },
    jointNotes: [{ id: `${boards[2]?.id ?? ''}_${boards[3]?.id ?? ''}`, gapMm: 0.2, reinforcement: 'none' }],
    dryFit: { acMm: 1166.8, bdMm: 1165.6, bowMm: null, twistMm: 0.6 },
  };
}

interface PastRun {
  readonly id: string;
  readonly daysAgo: number;
  /** Hour of the day, UTC. */
  readonly hour: number;
  readonly climate: { readonly tempC: number; readonly rhPct: number };
  /** Real minutes over planned minutes. */
  readonly pace: number;
  readonly record: RunRecord;
}

const PAST_RUNS: readonly PastRun[] = [
  {
    id: 'demo-run-1',
    daysAgo: 41,
    hour: 8.3,
    climate: { tempC: 11, rhPct: 66 },
    pace: 1.34,
    record: {
      squeezeOut: 'patchy',
      flatnessMm: 1.6,
      diagonalDifferenceMm: 2.5,
      widestGapMm: 0.3,
      glueG: null,
      note: 'Trial panel in ash offcuts. Clamps not opened beforehand, two came up short of the blocks. Sill at the far end open.',
    },
  },
  {
    id: 'demo-run-2',
    daysAgo: 12,
    hour: 14.6,
    climate: { tempC: 19, rhPct: 48 },
    pace: 1.08,
    record: {
      squeezeOut: 'even',
      flatnessMm: 0.5,
      diagonalDifferenceMm: 0.8,
      widestGapMm: 0.05,
      glueG: null,
      note: 'Second trial, clamps laid out in order. Even beads all along; cauls left on overnight.',
    },
  },
];

/** Two made-up glue-ups that came before, dated back from `nowMs`. */
export function pastRuns(
  build: BuildDocument,
  buildId: string,
  shop: ShopDocument,
  nowMs: number,
): RunDocument[] {
  return PAST_RUNS.map(({ id, daysAgo, hour, climate, pace, record }) => {
    const plan = planBuild({ ...build, climate: { ...climate } }, shop);
    const startedAtMs = Math.floor(nowMs / DAY_MS - daysAgo) * DAY_MS + hour * 60 * MINUTE_MS;
    const script = benchScript(plan);
    const clampedAtMs = Math.round(startedAtMs + plan.handsOnMin * pace * MINUTE_MS);
    return {
      format: 'lean-clasp/run',
      version: 2,
      id,
      buildId,
      buildName: build.name,
      buildRevision: null,
      session: 0,
      piece: 0,
      startedAtMs,
      script: script,
      promise: promiseOf(plan),
      events: numbered([
        ...script.operations
          .filter((operation) => !comesLater(operation))
          .map(({ id: operation, endMin: plannedEndMin }) => ({
            kind: 'done' as const,
            operation,
            atMs: Math.round(startedAtMs + plannedEndMin * pace * MINUTE_MS),
          })),
        { kind: 'finish', atMs: clampedAtMs },
        { kind: 'note', atMs: clampedAtMs, payload: { record } },
      ]),
    };
  });
}

/** Events as one page would have noted them. */
const numbered = (events: readonly Omit<RunEvent, 'id' | 'device' | 'seq' | 'hand'>[]): RunEvent[] =>
  events.map((event, seq) => ({ id: `bench-${seq}`, device: 'bench', seq, hand: 0, ...event }));
