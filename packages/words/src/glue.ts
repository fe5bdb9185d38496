import type { Adhesive } from '@lean-clasp/core/adhesives';

const CLEAN_UP: Readonly<Record<Adhesive['cleanUp'], string>> = {
  water: 'cleans with water',
  'warm-water': 'cleans with warm water, comes apart again',
  'vinegar-then-scrape': 'cleans with vinegar while wet, then by scraper',
  'scrape-only': 'cleans by scraper once hard',
  acetone: 'cleans with acetone',
};

/** What a family is like in use, in a few words. */
export function traitWords({ line, creep, gapMm, durabilityClass, cleanUp, reversible }: Adhesive): string {
  return [
    `${line} line`,
    durabilityClass,
    `fills ${gapMm} mm`,
    creep === 'low' ? 'creeps little' : 'creeps under a lasting load',
    CLEAN_UP[cleanUp],
    reversible ? 'repairable' : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}
