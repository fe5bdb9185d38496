import {
  type PlayedClosing,
  playedClosings,
  type Shifts,
  shiftsAt,
  TOGETHER,
} from '@lean-clasp/core/drawing';
import type { Plan } from '@lean-clasp/core/plan';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useMemo, useState } from 'react';
import { closingOrder } from './closing-order';

/** Pause between two frames, ms; frames that a closing takes; and closings above which it comes in one. */
const FRAME_MS = 80;
const FRAMES = 10;
const MOST_SMOOTH = 30;

/** The order of closing, played in the drawing. */
export interface Playback {
  readonly played: readonly PlayedClosing[];
  /** Numbers of the joints in the order of closing. */
  readonly numbers: ReadonlyMap<string, number>;
  /** Closings done; a fraction is one on its way. */
  readonly done: number;
  readonly playing: boolean;
  /** What was closed last or is on its way; null before the first. */
  readonly closing: PlayedClosing | null;
  readonly shifts: Shifts;
  /** Before the first closing. */
  readonly widest: Shifts;
  readonly show: (done: number) => void;
  readonly toggle: () => void;
}

/** Plays the closings of a plan; null where that is not wanted or there is nothing to close. */
export function usePlayback(plan: Plan, wanted: boolean): Playback | null {
  const { facts, order } = plan;
  const closings = useMemo(() => closingOrder({ facts, order }), [facts, order]);
  const played = useMemo(() => playedClosings(facts, closings), [facts, closings]);
  const numbers = useMemo(() => new Map(closings.flat().map((id, i) => [id, i + 1])), [closings]);
  const all = played.length;
  // Null stands for all closed, whatever their number becomes.
  const [at, setAt] = useState<number | null>(null);
  const [playing, setPlaying] = useState(false);
  const still = useMediaQuery('(prefers-reduced-motion: reduce)') || all > MOST_SMOOTH;
  useEffect(() => {
    if (!playing) return;
    const step = still ? 1 : 1 / FRAMES;
    const timer = setInterval(
      () => setAt((before) => Math.min(all, Math.round(((before ?? 0) + step) * FRAMES) / FRAMES)),
      still ? FRAME_MS * FRAMES : FRAME_MS,
    );
    return () => clearInterval(timer);
  }, [playing, still, all]);
  const done = Math.min(all, at ?? all);
  if (playing && at !== null && at >= all) setPlaying(false);
  const shifts = useMemo(() => (done >= all ? TOGETHER : shiftsAt(played, done)), [played, done, all]);
  const started = at !== null && wanted;
  const widest = useMemo(() => (started ? shiftsAt(played, 0) : TOGETHER), [played, started]);
  const closing = at === null ? null : (played[Math.ceil(done) - 1] ?? null);
  return useMemo(
    () =>
      !wanted || all === 0
        ? null
        : {
            played,
            numbers,
            done,
            playing,
            closing,
            shifts,
            widest,
            show: (next) => {
              setPlaying(false);
              setAt(next);
            },
            toggle: () => {
              if (!playing && done >= all) setAt(0);
              setPlaying(!playing);
            },
          },
    [wanted, all, played, numbers, done, playing, closing, shifts, widest],
  );
}
