import { askChoice, later } from './question';

/** How blocks cut to a curved edge are kept from sliding along it. */
export const BLOCK_FIXINGS = ['abrasive', 'screwed-under', 'scribed-clamped', 'hooked-over'] as const;
export type BlockFixing = (typeof BLOCK_FIXINGS)[number];

export const askFixing = later(askChoice(BLOCK_FIXINGS, 'abrasive'));
