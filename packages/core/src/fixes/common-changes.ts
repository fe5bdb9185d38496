import { finding } from '../finding';
import type { AssemblyBuild, ShopDocument } from '../formats';
import { LIMITS } from '../limits';
import type { Candidate } from './rank';

type Change = Candidate<AssemblyBuild>;

/** One more pair of hands, as far as the shop and a friend go. */
export function oneMorePair(build: AssemblyBuild, shop: ShopDocument): Change[] {
  const crew = build.crew + 1;
  return crew > Math.min(LIMITS.crew.max, shop.crew.length + 1)
    ? []
    : [{ change: finding('one-more-pair', 'informs', { crew }), build: { ...build, crew }, effort: 3 }];
}

/** Clamps opened to size and laid out, where they are not. */
export function clampsLaidOut(build: AssemblyBuild): Change[] {
  return build.preSet === false
    ? [{ change: finding('preset-clamps', 'informs'), build: { ...build, preSet: true }, effort: 0.5 }]
    : [];
}

/** The air that one hour of the day usually has. */
export function atHour(build: AssemblyBuild, { hour, tempC, rhPct }: ShopDocument['hours'][number]): Change {
  return {
    change: finding('other-hour', 'informs', { hour, tempC, rhPct }),
    build: { ...build, climate: { tempC, rhPct } },
    effort: 4,
  };
}
