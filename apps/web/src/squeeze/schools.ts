/** How hard a long-grain line is meant to be pressed, to choose from. */
export const SCHOOLS = [
  { value: 'matched', name: 'as the wood wants' },
  { value: 'light', name: 'light, then again' },
] as const;
