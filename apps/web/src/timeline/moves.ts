import type { Tokens } from '../app/tokens';

/** What a move is drawn in wherever moves lie on lanes; what is not listed is drawn softly. */
const FILLS: Readonly<
  Partial<Record<string, keyof Tokens & ('glue' | 'wood' | 'woodAlternate' | 'action')>>
> = {
  spread: 'glue',
  close: 'wood',
  caul: 'woodAlternate',
  'set-clamp': 'action',
  tighten: 'action',
  tape: 'action',
  wrap: 'action',
  bag: 'action',
  tap: 'action',
  coat: 'glue',
  iron: 'action',
};

export const moveFill = (kind: string) => FILLS[kind] ?? 'soft';
