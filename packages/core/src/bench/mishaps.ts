import { finding, type MishapAnswer } from '../findings';
import { plannedOrBest } from './ahead';
import type { Moment } from './rest';
import { type Way, way, waysOn } from './ways';

/** What goes wrong at a bench. */
export const MISHAPS = [
  'clamp-stuck',
  'clamp-short',
  'brush-dropped',
  'helper-away',
  'grabs-early',
  'wrong-way',
  'glue-out',
  'called-away',
  'other',
] as const;
/** One of `MISHAPS`. */
export type Mishap = (typeof MISHAPS)[number];

/** Ways out of a mishap, with the minutes that each takes whoever holds the device [judgement]. */
const ANSWERS: Readonly<Record<Mishap, Readonly<Partial<Record<MishapAnswer, number>>>>> = {
  'clamp-stuck': { 'next-spare-clamp': 0.4, 'work-it-loose': 1.5 },
  'clamp-short': { 'next-spare-clamp': 0.6, 'drop-the-blocks': 0.5, 'two-in-line': 1.5 },
  'brush-dropped': { 'spare-brush': 0.2, 'by-finger': 0.1 },
  'helper-away': { 'alone-for-now': 0 },
  'grabs-early': { 'mallet-and-block': 0.5 },
  'wrong-way': { 'turn-it-round': 1 },
  'glue-out': { 'next-bottle': 1, 'thinner-from-others': 0.5 },
  'called-away': { 'go-on-now': 0 },
  other: { 'go-on-now': 0 },
};

/** One way out of a mishap, with what it does to the fuses. */
export interface Answer extends Way {
  readonly answer: string;
  readonly takesMin: number;
}

/**
 * What helps for a mishap at this moment, what keeps every window first, then the quickest. Beside what belongs to the mishap stand the
 * ways that help whenever time is short.
 */
export function answersTo(mishap: Mishap, moment: Moment): Answer[] {
  const people = mishap === 'helper-away' ? Math.max(1, moment.people - 1) : moment.people;
  const now: Moment = { ...moment, people };
  const own = Object.entries(ANSWERS[mishap]).map(([answer, takesMin]): Answer => ({
    ...way(
      finding(`answer-${answer as MishapAnswer}`, 'informs', { takesMin }),
      plannedOrBest({ ...now, delayMin: takesMin }),
      mishap === 'helper-away' ? [{ kind: 'helper-out' }] : [],
    ),
    answer,
    takesMin,
  }));
  const ways = waysOn(now)
    .filter(({ what }) => what.code !== 'way-go-on')
    .map((each): Answer => ({ ...each, answer: each.what.code, takesMin: 0 }));
  return [...own, ...ways].sort(
    (a, b) => Number(b.keeps) - Number(a.keeps) || a.takesMin - b.takesMin || spare(b) - spare(a),
  );
}

const spare = ({ outlook }: Answer): number => outlook.spareMin ?? Infinity;
