import type { LessonValues } from '@lean-clasp/core/findings';
import type { AmountTrait, Condition, LessonMoment, WordTrait } from '@lean-clasp/core/formats';
import { type Bearing, LIBRARY, type LibraryId } from '@lean-clasp/core/lessons';
import { KINDS } from '@lean-clasp/core/kinds';
import { ADHESIVE_OPTIONS, CLAMP_OPTIONS } from './catalogue';
import type { Format } from './format';
import { KIND_WORDS } from './kind-names';
import { JOINT_WORDS, PREPARATION_WORDS } from './kind-words';
import { type LessonWords, LIBRARY_WORDS } from './lesson-library';
import type { Words } from './values';

const isLibrary = (id: string): id is LibraryId => LIBRARY.some((lesson) => lesson.id === id);

/** A lesson in its own words, or in those of the library. */
export const lessonWords = (lesson: Bearing): LessonWords =>
  'title' in lesson ? lesson : LIBRARY_WORDS[lesson.id];

/** A lesson that comes back, and what is done about it. */
export const LESSON: Words<LessonValues> = {
  lesson: ({ lesson, change }) => (isLibrary(lesson) ? LIBRARY_WORDS[lesson].change : change),
};

/** What was paid for it. */
export const LESSON_REASONS: Words<LessonValues> = {
  lesson: ({ lesson, title }) => `paid for once: ${isLibrary(lesson) ? LIBRARY_WORDS[lesson].title : title}`,
};

/** When it is said at the bench. */
export const MOMENT_WORDS: Readonly<Record<LessonMoment, string>> = {
  before: 'before the first bead',
  spread: 'when glue is first spread',
  close: 'when the first joint is closed',
  press: 'when the first clamp goes on',
  check: 'at the first reading',
  after: 'when the clamps are left alone',
};

/** An amount that a trigger asks about, and how it is printed. */
interface AmountWords {
  readonly name: string;
  readonly say: (value: number, f: Format) => string;
  /** In which it is typed; lengths in whatever unit the person likes. */
  readonly unit: string;
}

const count = (value: number): string => `${value}`;
const per = (value: number): string => `${Math.round(value)} %`;
const mins = (value: number): string => `${Math.round(value)} min`;

export const AMOUNT_WORDS: Readonly<Record<AmountTrait, AmountWords>> = {
  'opening-spare-mm': {
    name: 'what the tightest clamp could still open',
    say: (v, f) => f.length(v),
    unit: 'mm',
  },
  'clear-between-clamps-mm': {
    name: 'room between the closest jaws',
    say: (v, f) => f.length(v),
    unit: 'mm',
  },
  'alike-parts': { name: 'parts that look alike', say: count, unit: '' },
  'caul-pairs': { name: 'pairs of cauls', say: count, unit: '' },
  'bead-only-width-mm': {
    name: 'width of a face whose bead is not spread',
    say: (v, f) => f.length(v),
    unit: 'mm',
  },
  'work-min': { name: 'hands-on minutes of the longest session', say: mins, unit: 'min' },
  'left-today-min': { name: 'minutes left of the shop’s day after it', say: mins, unit: 'min' },
  'parts-between': { name: 'parts that stand between others', say: count, unit: '' },
  'pull-ways': { name: 'directions of pull', say: count, unit: '' },
  'off-square-mm': {
    name: 'difference of the diagonals at the dry fit',
    say: (v, f) => f.fine(v),
    unit: 'fine mm',
  },
  'bow-mm': { name: 'bow read at the dry fit', say: (v, f) => f.fine(v), unit: 'fine mm' },
  'pull-off-centre-pct': { name: 'line of pull off mid-thickness', say: per, unit: '%' },
  'end-grain-pct': { name: 'share of end grain that has to hold', say: per, unit: '%' },
  'above-coldest-c': {
    name: 'degrees above the coldest that the glue bonds at',
    say: (v) => `${Math.round(v)} °C`,
    unit: '°C',
  },
  'bottle-age-pct': { name: 'age of the oldest bottle, of its shelf life', say: per, unit: '%' },
  'bare-jaw-pct': { name: 'pressure under bare jaws, of what the wood bears', say: per, unit: '%' },
  'mixed-ml': { name: 'resin mixed for it', say: (v, f) => f.volume(v), unit: 'ml' },
  'heaviest-kg': { name: 'heaviest part', say: (v, f) => f.mass(1000 * v), unit: 'kg' },
  'largest-face-m2': { name: 'largest face', say: (v) => `${v.toFixed(1)} m²`, unit: 'm²' },
  crew: { name: 'pairs of hands', say: count, unit: '' },
  joints: { name: 'joints', say: count, unit: '' },
  'spare-min': { name: 'minutes to spare', say: mins, unit: 'min' },
};

interface Choice {
  readonly value: string;
  readonly name: string;
}

const choicesOf = (words: Readonly<Record<string, string>>): Choice[] =>
  Object.entries(words).map(([value, name]) => ({ value, name }));

/** What a plan has of each, with the words there are to choose from. */
export const WORD_TRAIT_WORDS: Readonly<
  Record<WordTrait, { readonly name: string; readonly choices: readonly Choice[] }>
> = {
  kind: {
    name: 'kind of glue-up',
    choices: KINDS.map(({ id }) => ({ value: id, name: KIND_WORDS[id]?.name ?? id })),
  },
  glue: { name: 'glue', choices: ADHESIVE_OPTIONS },
  chemistry: {
    name: 'sort of glue',
    choices: choicesOf({
      'water-borne': 'water-borne',
      gel: 'gelling',
      'reactive-resin': 'mixed resin',
      'moisture-cure': 'curing by moisture',
      'hot-melt': 'hot melt',
      instant: 'instant',
      'dried-film': 'dried film',
    }),
  },
  joint: { name: 'joint', choices: choicesOf(JOINT_WORDS) },
  clamp: { name: 'clamp', choices: CLAMP_OPTIONS },
  finish: {
    name: 'finish',
    choices: choicesOf({ none: 'none', clear: 'oil or clear', stain: 'stain', paint: 'paint' }),
  },
  'squeeze-out': {
    name: 'squeeze-out comes',
    choices: choicesOf({
      open: 'on open faces',
      planed: 'on faces that are planed',
      inside: 'into inside corners',
    }),
  },
  prepared: {
    name: 'prepared',
    choices: Object.entries(PREPARATION_WORDS).map(([value, name]) => ({
      value,
      name: name.replace(/[.:;].*$/u, ''),
    })),
  },
  'one-sided': { name: 'on one side only', choices: choicesOf({ veneer: 'veneer' }) },
  'touches-glue': {
    name: 'glue can reach',
    choices: choicesOf({
      cauls: 'cauls',
      form: 'a form',
      block: 'blocks',
      foot: 'feet of blocks',
      'release-block': 'release blocks',
    }),
  },
};

/** One condition of a trigger in plain words. */
export function conditionWords(condition: Condition, f: Format): string {
  if ('above' in condition || 'below' in condition) {
    const { name, say } = AMOUNT_WORDS[condition.trait];
    return 'above' in condition
      ? `${name} above ${say(condition.above, f)}`
      : `${name} below ${say(condition.below, f)}`;
  }
  const { name, choices } = WORD_TRAIT_WORDS[condition.trait];
  const named = (words: readonly string[]) =>
    words.map((word) => choices.find(({ value }) => value === word)?.name ?? word).join(' or ');
  return 'any' in condition ? `${name}: ${named(condition.any)}` : `${name}: not ${named(condition.none)}`;
}

/** A whole trigger in plain words. */
export const triggerWords = (when: readonly Condition[], f: Format): string =>
  when.map((condition) => conditionWords(condition, f)).join(', and ');
