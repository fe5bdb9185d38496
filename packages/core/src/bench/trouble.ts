import { type Finding, finding } from '../findings';
import { type FuseReading, shortestFuse } from './clock';

/**
 * What still helps at the bench with the minutes that are left, best first.
 *
 * While faces are open they can be pulled apart and cleaned off; once all are closed a line may still be moved until
 * its fuse is out; past every fuse only pressing on is left. A joint pulled apart is started again with fresh glue.
 */
export function troubleOptions(readings: readonly FuseReading[]): Finding[] {
  const burning = readings.filter(({ leftMin }) => leftMin !== null);
  const shortest = shortestFuse(burning);
  const leftMin = shortest?.leftMin ?? 0;
  const lines = burning.map(({ fuse }) => fuse.label).join(', ');
  const late = burning.filter((reading) => (reading.leftMin ?? 0) <= 0);
  return [
    ...(burning.length > 0 && leftMin > 0 ? [finding('call-helper', 'informs', { leftMin })] : []),
    ...(burning.length > 0 && leftMin > 0 ? [finding('pull-apart', 'informs', { leftMin, lines })] : []),
    ...(late.length > 0
      ? [finding('past-its-time', 'warns', { lines: late.map(({ fuse }) => fuse.label).join(', ') })]
      : []),
    finding('press-on', 'informs'),
  ];
}
