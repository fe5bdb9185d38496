/** Random choices that come out the same for the same seed. */
export interface Random {
  readonly whole: (below: number) => number;
  readonly one: <T>(of: readonly T[]) => T;
  readonly chance: (share: number) => boolean;
}

/** Source: mulberry32, in the public domain. */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    whole: (below) => Math.floor(next() * below),
    one: <T>(of: readonly T[]) => of[Math.floor(next() * of.length)] as T,
    chance: (share) => next() < share,
  };
}
