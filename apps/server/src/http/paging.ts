import { within } from '@lean-clasp/core/basics';

const PAGE = { min: 1, max: 200, unit: '' };
/** Of runs with all that they promised, a tenth of a megabyte. */
const USUAL_PAGE = 50;
const MOST_CHARACTERS = 100;

/** What of a list is asked for, from the query of an address; what is given twice or is no text counts as left out. */
export const pageAsked = (query: Readonly<Record<string, unknown>>) => ({
  limit: within(Number(textOf(query.limit) ?? USUAL_PAGE), 'limit', PAGE),
  after: textOf(query.after),
  text: textOf(query.text)?.slice(0, MOST_CHARACTERS),
});

export const textOf = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);
