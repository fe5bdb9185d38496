import type { CalculationListing } from '@lean-clasp/validation';
import type { Operation } from '../operation';
import { access } from './access';
import { builds } from './builds';
import { runs } from './runs';
import { shop } from './shop';
import { sums } from './sums';

/** Everything that may be asked of the server. */
export const operations = (calculations: readonly CalculationListing[]): readonly Operation[] => [
  ...access,
  ...builds,
  ...runs,
  ...shop,
  ...sums(calculations),
];
