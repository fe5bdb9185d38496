import { finding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import { LIMITS } from '../basics/limits';
import type { Candidate } from './rank';

/** One more pair of hands, as far as the shop and a friend go. */
export function oneMorePair(build: BuildDocument, shop: ShopDocument): Candidate[] {
  const crew = build.crew + 1;
  return crew > Math.min(LIMITS.crew.max, shop.crew.length + 1)
    ? []
    : [{ change: finding('one-more-pair', 'informs', { crew }), build: { ...build, crew } }];
}

/** Clamps opened to size and laid out, where they are not. */
export function clampsLaidOut(build: BuildDocument): Candidate[] {
  return build.preSet === false
    ? [{ change: finding('preset-clamps', 'informs'), build: { ...build, preSet: true } }]
    : [];
}

/** The air that one hour of the day usually has. */
export function atHour(
  build: BuildDocument,
  { hour, tempC, rhPct }: ShopDocument['hours'][number],
): Candidate {
  return {
    change: finding('other-hour', 'informs', { hour, tempC, rhPct }),
    build: { ...build, climate: { tempC, rhPct } },
  };
}

/** The build once a joint closes dry by itself. */
export const closedDry = (build: BuildDocument, joint: string): BuildDocument => ({
  ...build,
  jointNotes: build.jointNotes.map((note) => (note.id === joint ? { ...note, gapMm: 0, gapsMm: [] } : note)),
});
