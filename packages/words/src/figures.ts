import { formatClock } from '@lean-clasp/core/units';
import type { Aspect, Verdict } from '@lean-clasp/core/verdicts';
import type { Format } from './format';

/** Names of the four verdicts. */
export const ASPECT_NAMES: Readonly<Record<Aspect, string>> = {
  inTime: 'In time',
  tight: 'Tight',
  square: 'Square',
  flat: 'Flat',
};

/** A figure in the person's units; a dash where there is none to give. Time that lacks is told by `againstWords`, without a sign. */
export function figureWords({ kind }: Pick<Verdict, 'kind'>, value: number | null, f: Format): string {
  if (value === null) return '—';
  switch (kind) {
    case 'minutes':
      return formatClock(Math.abs(value));
    case 'pressure':
      return f.pressure(value);
    case 'force':
      return f.force(value);
    case 'fine-length':
      return f.fine(value);
  }
}

/** Whether so many minutes are left over or lacking. */
const spareWord = (minutes: number): 'spare' | 'short' => (minutes < 0 ? 'short' : 'spare');

/** A figure that stands by itself: time says whether it is left over or lacking. */
export function figureAlone(verdict: Pick<Verdict, 'kind' | 'figure'>, f: Format): string {
  const words = figureWords(verdict, verdict.figure, f);
  return verdict.kind === 'minutes' && verdict.figure !== null
    ? `${words} ${spareWord(verdict.figure)}`
    : words;
}

/** What the figure of squareness is, where it is not an end out of square. */
const SQUARE_WORDS: Readonly<Record<string, string>> = {
  'last-mitre-opens': 'open',
  'diagonals-read': 'to pull',
};

/** What the figure is measured against, in a few words. */
export function againstWords(verdict: Verdict, f: Format): string {
  const limit = figureWords(verdict, verdict.against, f);
  switch (verdict.aspect) {
    case 'inTime':
      return verdict.figure === null ? 'refused' : `${spareWord(verdict.figure)} of ${limit}`;
    case 'tight':
      if (verdict.kind === 'fine-length') return `through it, up to ${limit}`;
      return verdict.kind === 'force' ? `there, seating wants ${limit}` : `lowest, wants ${limit}`;
    case 'square':
      return verdict.figure === null
        ? `no figure, of ${limit}`
        : `${SQUARE_WORDS[verdict.cause.code] ?? 'over the width'}, of ${limit}`;
    case 'flat':
      if (verdict.cause.code === 'springback') return 'to spring open';
      if (verdict.figure !== null) return `off flat, of ${limit}`;
      return verdict.cause.code === 'panel-pops' ? 'would pop' : `no figure, of ${limit}`;
  }
}
