/** 1, 2 … n. */
export const upTo = (n: number): number[] => Array.from({ length: n }, (_, i) => i + 1);

/** What the n-th of so many rails is called, from the bottom up. */
export function railName(n: number, rails: number): string {
  if (n === 1) return 'bottom rail';
  if (n === rails) return 'top rail';
  return rails === 3 ? 'middle rail' : `rail ${n}`;
}

/** Letters for boards: A … Z, AA, AB … */
export function boardLabel(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : boardLabel(Math.floor(index / 26) - 1) + letter;
}
