/** A stream of numbers in [0, 1) that is the same for the same seed; no state outside it. Source: a 32-bit mixer. */
export function scatterFrom(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Factors with mean 1 and the given spread, standard deviation over mean, drawn from a stream one by one. */
export function logNormal(random: () => number, cv: number): () => number {
  const variance = Math.log(1 + cv * cv);
  const spread = Math.sqrt(variance);
  return () => {
    // Box and Muller's transform; 1 − random keeps the logarithm finite.
    const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    return Math.exp(spread * normal - variance / 2);
  };
}
