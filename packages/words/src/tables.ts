import type { CellFault } from '@lean-clasp/core/tables';

/** What is wrong with a cell, and what it may be. */
export function cellFaultWords(fault: CellFault): string {
  switch (fault.code) {
    case 'missing':
      return `${fault.head} is missing.`;
    case 'not-readable':
      return `${fault.head}: “${fault.text}” cannot be read. Write it like ${fault.like}.`;
    case 'no-such-word':
      return `${fault.head}: “${fault.text}” names nothing here. Write it like ${fault.near}.`;
    case 'out-of-range': {
      const { min, max, unit } = fault.bounds;
      return `${fault.head}: “${fault.text}” must be from ${min} to ${max}${unit === '' ? '' : ` ${unit}`}.`;
    }
  }
}
