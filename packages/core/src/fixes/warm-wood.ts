import { finding } from '../findings';
import { type BuildDocument, NO_WISHES } from '../formats';
import type { Candidate } from './rank';

/** Waiting until wood that was brought in is as warm as the shop; nothing where it is. */
export function warmWood(build: BuildDocument): Candidate[] {
  const woodTempC = build.wishes?.woodTempC ?? null;
  if (woodTempC === null) return [];
  return [
    {
      change: finding('warm-the-wood', 'informs', { tempC: woodTempC }),
      build: { ...build, wishes: { ...NO_WISHES, ...build.wishes, woodTempC: null } },
    },
  ];
}
