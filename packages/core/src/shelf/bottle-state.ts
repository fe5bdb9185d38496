import { type Adhesive, findAdhesive } from '../adhesives';
import type { Bottle } from '../formats';

const MS_PER_DAY = 86_400_000;
const DAYS_A_MONTH = 30.44;

/** Less than this is hardly enough for a panel [judgement], ml. */
const LOW_ML = 100;

/** Months since a bottle was opened. @param today ISO date. @returns null where nobody wrote down when, or knows the day. */
export const ageMonthsOf = ({ openedOn }: Pick<Bottle, 'openedOn'>, today: string | null): number | null =>
  openedOn === null || today === null
    ? null
    : (Date.parse(today) - Date.parse(openedOn)) / MS_PER_DAY / DAYS_A_MONTH;

/** How a bottle stands on a day. */
export interface BottleState {
  /** Null where nobody wrote down when it was opened. */
  readonly ageMonths: number | null;
  /** How long it keeps once it is open, by its family. */
  readonly lifeMonths: Adhesive['shelfLifeMonths'];
  /** Older than it keeps: not to be trusted before two offcuts were glued and broken. */
  readonly past: boolean;
  readonly left: 'empty' | 'low' | 'enough';
}

/** @param today ISO date. @throws InputError `unknown-id` for a glue that is in no catalogue. */
export function bottleState(bottle: Bottle, today: string | null): BottleState {
  const lifeMonths = findAdhesive(bottle.adhesive).shelfLifeMonths;
  const ageMonths = ageMonthsOf(bottle, today);
  return {
    ageMonths,
    lifeMonths,
    past: ageMonths !== null && ageMonths > lifeMonths,
    left: bottle.remainingMl === 0 ? 'empty' : bottle.remainingMl < LOW_ML ? 'low' : 'enough',
  };
}
