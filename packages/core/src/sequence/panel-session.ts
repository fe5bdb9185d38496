import type { ClampSet, Panel, PanelLine } from '../assembly';
import type { PanelBuild } from '../formats';
import { PACE } from './pace';

/** One stretch of work by one pair of hands. */
export interface Operation {
  readonly kind: 'spread' | 'close' | 'caul' | 'set-clamp' | 'tighten' | 'check';
  /** Indexes of the lines it concerns; empty where it concerns all. */
  readonly lines: readonly number[];
  /** Number of the clamp or caul pair, where there is one. */
  readonly item: number | null;
  /** Which pair of hands, from 0. */
  readonly hand: number;
  readonly startMin: number;
  readonly endMin: number;
}

/** When each line burned from first bead to full pressure. */
export interface LineTimes {
  readonly line: number;
  readonly spreadStartMin: number;
  readonly closedAtMin: number;
  readonly pressedAtMin: number;
}

/** A session laid out on a clock that starts with the first bead. */
export interface Timeline {
  readonly operations: readonly Operation[];
  readonly lines: readonly LineTimes[];
  /** Until the last clamp is at full pull. */
  readonly pressedAtMin: number;
  /** Until the checks are done as well. */
  readonly handsOnMin: number;
}

/** What the session needs to know beyond the build. */
export interface SessionJob {
  readonly build: PanelBuild;
  readonly panel: Panel;
  readonly clampSet: ClampSet;
  /** Minutes to spread each line, by line index, set-up included. */
  readonly spreadMin: readonly number[];
  readonly paceFactor: number;
}

interface Task {
  readonly kind: Operation['kind'];
  readonly lines: readonly number[];
  readonly item: number | null;
  readonly minutes: number;
  /** Earliest start imposed by the work itself. */
  readonly notBefore: (ends: ReadonlyMap<string, number>) => number;
  readonly key: string;
}

/**
 * Lays one panel session out in time.
 *
 * Lines are spread and closed in turn from the first edge; then cauls are snugged, clamps set from the centre
 * outward and brought to full pull in a second pass; then the check. Each task goes to whichever pair of hands
 * is free first, never before the work it depends on; a line is closed only after its neighbour, cauls and
 * clamps only after the last line, the second pass only after every clamp and caul is set.
 * Range: one session, all lines at once. Minutes [judgement].
 */
export function panelSession(job: SessionJob): Timeline {
  const tasks = [...lineTasks(job), ...clampTasks(job)];
  const free: number[] = Array.from({ length: job.build.crew }, () => 0);
  const ends = new Map<string, number>();
  const operations: Operation[] = tasks.map((task) => {
    const ready = task.notBefore(ends);
    const hand = free.reduce(
      (best, time, i) => (Math.max(time, ready) < Math.max(free[best] ?? 0, ready) ? i : best),
      0,
    );
    const startMin = Math.max(free[hand] ?? 0, ready);
    const endMin = startMin + task.minutes;
    free[hand] = endMin;
    ends.set(task.key, endMin);
    return { kind: task.kind, lines: task.lines, item: task.item, hand, startMin, endMin };
  });
  const pressedAtMin = Math.max(
    0,
    ...operations.filter(({ kind }) => kind !== 'check').map(({ endMin }) => endMin),
  );
  return {
    operations,
    lines: job.panel.lines.map(({ index }) => ({
      line: index,
      spreadStartMin: operations.find((op) => op.kind === 'spread' && op.lines[0] === index)?.startMin ?? 0,
      closedAtMin: ends.get(`close-${index}`) ?? 0,
      pressedAtMin,
    })),
    pressedAtMin,
    handsOnMin: Math.max(pressedAtMin, ...operations.map(({ endMin }) => endMin)),
  };
}

function lineTasks({ panel, spreadMin, paceFactor }: SessionJob): Task[] {
  return panel.lines.flatMap((line): Task[] => {
    const { index } = line;
    return [
      {
        kind: 'spread',
        lines: [index],
        item: null,
        minutes: (spreadMin[index] ?? 0) * paceFactor,
        key: `spread-${index}`,
        // Spreading further ahead than one line only burns that line's open time.
        notBefore: (ends) => (index < 2 ? 0 : (ends.get(`close-${index - 2}`) ?? 0)),
      },
      {
        kind: 'close',
        lines: [index],
        item: null,
        minutes: placeMinutes(line) * paceFactor,
        key: `close-${index}`,
        notBefore: (ends) => Math.max(ends.get(`spread-${index}`) ?? 0, ends.get(`close-${index - 1}`) ?? 0),
      },
    ];
  });
}

function placeMinutes({ second: { board, wood } }: PanelLine): number {
  const massKg = board.widthMm * board.thicknessMm * board.lengthMm * wood.sg * 1.12e-6;
  return (
    PACE.placeBoardMin +
    PACE.placePerMetreMin * Math.max(0, board.lengthMm / 1000 - 1) +
    (PACE.placePer10KgMin * massKg) / 10
  );
}

function clampTasks({ build, panel, clampSet, paceFactor }: SessionJob): Task[] {
  const allLines = panel.lines.map(({ index }) => index);
  const closed = (ends: ReadonlyMap<string, number>) => ends.get(`close-${panel.lines.length - 1}`) ?? 0;
  const allOf =
    (...kinds: readonly Operation['kind'][]) =>
    (ends: ReadonlyMap<string, number>) =>
      Math.max(
        closed(ends),
        ...[...ends]
          .filter(([key]) => kinds.some((kind) => key.startsWith(`${kind}-`)))
          .map(([, end]) => end),
      );
  const centreOut = [...clampSet.clamps].sort((a, b) => a.tightenAs - b.tightenAs);
  const setMin = build.holding.preSet ? PACE.setPreSetClampMin : PACE.setClampMin;
  const cauls = Array.from({ length: build.holding.caulPairs }, (_, i): Task => ({
    kind: 'caul',
    lines: allLines,
    item: i + 1,
    minutes: PACE.caulPairMin * paceFactor,
    key: `caul-${i}`,
    notBefore: closed,
  }));
  const perClamp = (kind: 'set-clamp' | 'tighten', minutes: number, notBefore: Task['notBefore']): Task[] =>
    centreOut.map((clamp) => ({
      kind,
      lines: allLines,
      item: clamp.number,
      minutes: minutes * paceFactor,
      key: `${kind}-${clamp.number}`,
      notBefore,
    }));
  return [
    ...cauls,
    ...perClamp('set-clamp', setMin, closed),
    ...perClamp('tighten', PACE.tightenClampMin, allOf('caul', 'set-clamp')),
    {
      kind: 'check',
      lines: allLines,
      item: null,
      minutes: PACE.checkMin * paceFactor,
      key: 'check',
      notBefore: allOf('caul', 'tighten'),
    },
  ];
}
