import type { QueryWord } from '../operation';

export const TEXT = { type: 'string' };
export const NUMBER = { type: 'number' };
export const OBJECT = { type: 'object' };
export const CURSOR = { type: ['string', 'null'] };

export const PAGED: Readonly<Record<string, QueryWord>> = {
  limit: { about: 'how many at most', schema: { type: 'string', pattern: '^\\d+$' } },
  after: { about: 'where the page before ended', schema: TEXT },
  text: { about: 'words that its name or project must have', schema: TEXT },
};
