import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { ReadyValues } from '@lean-clasp/core/findings';
import { formatClock } from '@lean-clasp/core/units';
import type { Words } from './values';

/** What must be so before the first bead. */
export const READY: Words<ReadyValues> = {
  'ready-dry': () => 'Whole thing put together dry, clamps on, order walked through once',
  'ready-gaps': ({ unread, count }) =>
    unread === 0
      ? 'Gaps read at every joint'
      : unread === count
        ? 'Gaps read and typed in at Fit: none is yet'
        : `Gaps read and typed in at Fit: ${unread} of ${count} joints are not`,
  'ready-unreachable': () => 'Every cut, hole and sanding that closing makes unreachable is done',
  'ready-marked': () => 'Faces marked so that nothing goes in the wrong way round',
  'ready-hour': () => 'A clear hour: nobody at the door, telephone away',
  'ready-bench': ({ name, lengthMm, widthMm }, f) =>
    `${name} cleared, ${f.about(lengthMm)} × ${f.about(widthMm)}`,
  'ready-bench-short': ({ workLengthMm, workWidthMm, name }, f) =>
    `Something larger than ${name} to lay ${f.about(workLengthMm)} × ${f.about(workWidthMm)} on, its ends held up level`,
  'ready-bench-hollow': ({ name, outMm }, f) =>
    `${name} levelled, or the work shimmed on it: it is ${f.fine(outMm)} out of flat`,
  'ready-bottle': ({ adhesive, months, shelfMonths }) =>
    months < 0
      ? `Look when the bottle of ${findAdhesive(adhesive).name} was opened; write it on it`
      : months > shelfMonths
        ? `The bottle of ${findAdhesive(adhesive).name} is ${Math.round(months)} months old: glue a coupon first, or take another`
        : `${findAdhesive(adhesive).chemistry === 'hot-melt' ? 'Cartridges sealed until they go into the gun' : 'Glue shaken, runs freely, no strings'}: opened ${opened(months)}`,
  'ready-mix': ({ volumeMl }, f) => `Two cups, scale and stirrer: ${f.volume(volumeMl)} mixed`,
  'ready-cold': ({ tempC }, f) => `Glue and wood as warm as they should be: ${f.temperature(tempC)} planned`,
  'ready-window': ({ tempC, rhPct }, f) =>
    `Thermometer and hygrometer read: planned for ${f.temperature(tempC)}, ${Math.round(rhPct)} %`,
};

const opened = (months: number): string => {
  const whole = Math.round(months);
  return whole < 1 ? 'this month' : whole === 1 ? 'a month ago' : `${whole} months ago`;
};

/** Why it matters. */
export const READY_REASONS: Words<ReadyValues> = {
  'ready-dry': () => 'what does not fit shows now, with no clock running',
  'ready-gaps': ({ unread }) =>
    unread === 0
      ? 'what clamps have to close is known'
      : 'where nobody read, pressure is planned for a good fit',
  'ready-unreachable': () => 'nobody sands inside a closed case',
  'ready-marked': () => 'a part the wrong way round costs a minute with glue on it',
  'ready-hour': ({ workMin }) => `hands are at it for ${formatClock(workMin)} by the plan`,
  'ready-bench': () => 'the smallest of yours that holds the work; a second one stays free',
  'ready-bench-short': ({ name, lengthMm, widthMm }, f) =>
    `${name} is the largest listed, ${f.about(lengthMm)} × ${f.about(widthMm)}; what hangs over sags and takes a wind with it`,
  'ready-bench-hollow': ({ wantedMm }, f) =>
    `what is clamped down on it takes that over, and ${f.fine(wantedMm)} is wanted`,
  'ready-bottle': ({ shelfMonths }) => `good for about ${shelfMonths} months from opening; the label decides`,
  'ready-mix': ({ potLifeMin }) =>
    `lasts about ${formatClock(potLifeMin)} in a cup, less in a deep one; spread out it lives longer`,
  'ready-cold': ({ minC }, f) =>
    `below ${f.temperature(minC)} no sound line forms, and cold wood chills a warm glue`,
  'ready-window': ({ windowMin }) =>
    `${formatClock(windowMin)} from bead to full pressure in that air; warmer or drier is less`,
};
