/** Whose turn it is, from 0: the one at the bench, the helper, and who comes after. */
export function handWords(hands: readonly number[]): string {
  if (hands.length > 1) return hands.length === 2 ? 'both' : 'all';
  const [hand = 0] = hands;
  return hand === 0 ? 'you' : hand === 1 ? 'helper' : `helper ${hand}`;
}
