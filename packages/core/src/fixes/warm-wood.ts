import { finding } from '../findings';
import { type BuildDocument, wishesOf } from '../formats';
import type { Candidate } from './rank';

/** Waiting until wood that was brought in is as warm as the shop; nothing where it is. */
export function warmWood(build: BuildDocument): Candidate[] {
  const woodTempC = wishesOf(build).woodTempC;
  if (woodTempC === null) return [];
  return [
    {
      change: finding('warm-the-wood', 'informs', { tempC: woodTempC }),
      build: { ...build, wishes: { ...wishesOf(build), woodTempC: null } },
    },
  ];
}
