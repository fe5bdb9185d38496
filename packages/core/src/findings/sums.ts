import type { None } from './none';

/** What single sums find worth saying. */
export interface SumValues {
  'rack-falls-short': { sharePct: number };
  'platen-lifts': None;
  'no-pull': None;
  'clamps-in-one-place': { first: number; second: number; xMm: number };
  'line-open': { line: number; openMm: number };
  'thickness-differs': { line: number; thicknessMm: number };
  'pads-short': { padMm: number; thicknessMm: number };
  'one-session-is-least': { sessions: number };
  'sessions-pinned': { sessions: number };
  'clamps-go-round': { count: number; kind: string; there: number; sessions: number };
  'clamps-packed': { sessions: number };
  'closed-already': None;
  captive: { parts: number };
  'too-few-clamps': { kind: string; there: number };
  'too-few-hands': None;
  'too-few-benches': None;
  'no-opening-long-enough': None;
  'waits-in-a-circle': None;
  'window-too-short': { usedShare: number };
  'hands-on-not-proven': None;
  'impossible-not-proven': None;
  'pins-contradict': None;
}
