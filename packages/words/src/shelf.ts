import type { BottleState } from '@lean-clasp/core/shelf';

/** What there is to say of a bottle; empty where it is young and full enough. */
export function bottleWords({ ageMonths, lifeMonths, past, left }: BottleState): string {
  const months = Math.round(ageMonths ?? 0);
  return [
    ...(left === 'empty' ? ['Empty.'] : left === 'low' ? ['Nearly empty.'] : []),
    ...(past && left !== 'empty'
      ? [
          `Open for ${months} months, and it keeps about ${lifeMonths}: glue two offcuts and break them before you trust it.`,
        ]
      : []),
  ].join(' ');
}
