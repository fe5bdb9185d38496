import { InputError } from '../basics/checks';

/** Pull that was read after so many turns of the handle past snug. */
export interface TurnReading {
  readonly turns: number;
  readonly forceN: number;
}

/** What a hand does with a clamp. */
export interface HandCalibration {
  /** Pull that one more turn adds, N, and its standard error; null with two readings, which leave none. */
  readonly perTurnN: number;
  readonly perTurnErrorN: number | null;
  /** Pull of the line at no turns: what *snug* already is, N. */
  readonly snugN: number;
  /** Pull of the line at the most turns that were read, N. */
  readonly mostN: number;
  /** Standard error of that, N; null with two readings. */
  readonly mostErrorN: number | null;
  /** Furthest that a reading lies off the line, N. */
  readonly offLineN: number;
  /** Whether the readings lie near enough to a line to go by it. */
  readonly straight: boolean;
}

/** Readings further off the line than this share of its rise are no line: something slips, bends or was misread [judgement]. */
const CROOKED = 0.2;

/**
 * Pull of a clamp by turns past snug: the line through the readings by least squares. Bars and screws are springs over the few
 * turns that a hand makes. Textbook statistics: slope Σ(x − x̄)(y − ȳ) ÷ Σ(x − x̄)², its error √(Σr² ÷ (n − 2) ÷ Σ(x − x̄)²); that of a
 * point of the line √(Σr² ÷ (n − 2) × (1 ÷ n + (x − x̄)² ÷ Σ(x − x̄)²)).
 * @throws InputError where fewer than two different turns were read, or more turns pull less.
 */
export function handCalibration(readings: readonly TurnReading[]): HandCalibration {
  const n = readings.length;
  const meanTurns = readings.reduce((sum, { turns }) => sum + turns, 0) / n;
  const meanN = readings.reduce((sum, { forceN }) => sum + forceN, 0) / n;
  const spread = readings.reduce((sum, { turns }) => sum + (turns - meanTurns) ** 2, 0);
  if (n < 2 || spread === 0) {
    throw new InputError(
      'missing',
      'readings',
      'One number of turns makes no line.',
      'readings at two different numbers of turns or more',
    );
  }
  const perTurnN =
    readings.reduce((sum, { turns, forceN }) => sum + (turns - meanTurns) * (forceN - meanN), 0) / spread;
  if (perTurnN <= 0) {
    throw new InputError(
      'inconsistent',
      'readings',
      'By these readings more turns pull less.',
      'a pull that grows with the turns',
    );
  }
  const line = (turns: number) => meanN + perTurnN * (turns - meanTurns);
  const off = readings.map(({ turns, forceN }) => forceN - line(turns));
  const offLineN = Math.max(...off.map(Math.abs));
  const all = readings.map(({ turns }) => turns);
  const mostTurns = Math.max(...all);
  const rise = perTurnN * (mostTurns - Math.min(...all));
  const offN = n === 2 ? null : Math.sqrt(off.reduce((sum, each) => sum + each ** 2, 0) / (n - 2));
  return {
    perTurnN,
    perTurnErrorN: offN === null ? null : offN / Math.sqrt(spread),
    snugN: Math.max(0, line(0)),
    mostN: line(mostTurns),
    mostErrorN: offN === null ? null : offN * Math.sqrt(1 / n + (mostTurns - meanTurns) ** 2 / spread),
    offLineN,
    straight: offLineN <= CROOKED * rise,
  };
}

/** Pull of a mass on a scale, N for each kg. */
export const N_PER_KG = 9.80665;
