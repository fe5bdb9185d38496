import { type Bounds, boundsInWords, InputError, within } from '../basics/checks';
import { type OwnWood, resolveSpecies } from '../materials';

/**
 * One of the few things a kind of glue-up asks. `value` is the answer it starts from. What is asked `later` has a usual answer
 * and is told in Fit, if at all; what only some other answers call for stays off the form `when` they do not.
 */
export type Question = Asked & {
  readonly later?: true;
  readonly when?: (answers: Answers) => boolean;
};

type Asked =
  | { readonly kind: 'length'; readonly bounds: Bounds; readonly value: number }
  | { readonly kind: 'number'; readonly bounds: Bounds; readonly value: number }
  | { readonly kind: 'count'; readonly bounds: Bounds; readonly value: number }
  | { readonly kind: 'species'; readonly value: string }
  | { readonly kind: 'choice'; readonly options: readonly string[]; readonly value: string }
  | {
      readonly kind: 'lengths' | 'angles';
      readonly bounds: Bounds;
      readonly least: number;
      readonly most: number;
      readonly value: readonly number[];
    }
  /** One entry for each of several pieces, where they differ; 0 or an empty word leaves a piece as the others are. */
  | (OfEach & { readonly kind: 'each-length'; readonly bounds: Bounds; readonly value: readonly number[] })
  | (OfEach & {
      readonly kind: 'each-choice';
      readonly options: readonly string[];
      readonly value: readonly string[];
    });

interface OfEach {
  /** Names of the pieces by the other answers, in the order of the entries. */
  readonly pieces: (answers: Answers) => readonly string[];
}

/** Answer to any question. */
export type Answer = number | string | readonly number[] | readonly string[];
/** Answers by the name of their question. */
export type Answers = Readonly<Record<string, Answer>>;
/** Answers as a document keeps them: lists of their own. */
export const keptAnswers = (answers: Answers): Record<string, number | string | number[] | string[]> =>
  Object.fromEntries(
    Object.entries(answers).map(([name, value]) => [
      name,
      typeof value === 'object' ? ([...value] as number[] | string[]) : value,
    ]),
  );

/** Names of the pieces that a question asks about one by one; none for any other. */
export const piecesOfQuestion = (question: Question, answers: Answers): readonly string[] =>
  'pieces' in question ? question.pieces(answers) : [];

/** The questions of a kind by name. */
export type Questions = Readonly<Record<string, Question>>;
/** Answers to given questions, each of the type that its question asks for. */
export type AnswersTo<Q extends Questions> = { readonly [K in keyof Q]: Q[K]['value'] };

export const askLength = (value: number, min: number, max: number) =>
  ({ kind: 'length', bounds: { min, max, unit: 'mm' }, value: value }) as const;
export const askNumber = (value: number, min: number, max: number, unit: string) =>
  ({ kind: 'number', bounds: { min, max, unit }, value: value }) as const;
export const askCount = (value: number, min: number, max: number) =>
  ({ kind: 'count', bounds: { min, max, unit: '' }, value: value }) as const;
export const askSpecies = (value: string) => ({ kind: 'species', value: value }) as const;
export function askChoice<const O extends readonly string[]>(options: O, value: O[number]) {
  return { kind: 'choice', options, value } as const;
}
export const askLengths = (value: readonly number[], least: number, most: number) =>
  ({ kind: 'lengths', bounds: { min: 20, max: 4000, unit: 'mm' }, least, most, value }) as const;
export const askAngles = (value: readonly number[], least: number, most: number) =>
  ({ kind: 'angles', bounds: { min: 15, max: 175, unit: '°' }, least, most, value }) as const;

/** A length for each of several pieces where they differ. */
export const askEachLength = (pieces: OfEach['pieces'], min: number, max: number) =>
  ({
    kind: 'each-length',
    pieces,
    bounds: { min, max, unit: 'mm' },
    value: [] as readonly number[],
    later: true,
  }) as const;
/** A choice for each of several pieces where they differ. */
export const askEachChoice = (pieces: OfEach['pieces'], options: readonly string[]) =>
  ({ kind: 'each-choice', pieces, options, value: [] as readonly string[], later: true }) as const;
/** A question that is not asked at the start. */
export const later = <Q extends Question>(question: Q) => ({ ...question, later: true }) as const;

/** A question that only some other answers call for. */
export const onlyWhen = <Q extends Question>(question: Q, when: (answers: Answers) => boolean) => ({
  ...question,
  when,
});

/** The answers that questions start from. */
export function startingAnswers<Q extends Questions>(questions: Q): AnswersTo<Q> {
  return Object.fromEntries(
    Object.entries(questions).map(([name, { value }]) => [name, value]),
  ) as AnswersTo<Q>;
}

/**
 * Fills in what is missing and checks the rest.
 * @param woods of the person's own, beside the catalogue; null where woods do not matter and are not looked up.
 * @throws InputError naming the answer, what is wrong with it and what is allowed.
 */
export function checkAnswers<Q extends Questions>(
  questions: Q,
  answers: Answers,
  woods: readonly OwnWood[] | null = [],
): AnswersTo<Q> {
  const stray = Object.keys(answers).find((name) => !(name in questions));
  if (stray !== undefined) {
    throw new InputError(
      'unknown-id',
      `answers.${stray}`,
      `This kind of glue-up does not ask for "${stray}".`,
      Object.keys(questions).join(', '),
    );
  }
  const all = { ...startingAnswers(questions), ...answers };
  return Object.fromEntries(
    Object.entries(questions).map(([name, question]) => [
      name,
      checkAnswer(question, answers[name] ?? question.value, `answers.${name}`, { all, woods }),
    ]),
  ) as AnswersTo<Q>;
}

function checkAnswer(
  question: Question,
  answer: Answer,
  field: string,
  { all, woods }: { readonly all: Answers; readonly woods: readonly OwnWood[] | null },
): Answer {
  switch (question.kind) {
    case 'length':
    case 'number':
      return within(asNumber(answer), field, question.bounds);
    case 'count': {
      const count = within(asNumber(answer), field, question.bounds);
      if (!Number.isInteger(count)) {
        throw new InputError(
          'out-of-range',
          field,
          `${field} is ${count}; it must be a whole number.`,
          `whole numbers, ${boundsInWords(question.bounds)}`,
        );
      }
      return count;
    }
    case 'species':
      if (woods !== null) resolveSpecies(String(answer), field, woods);
      return String(answer);
    case 'choice':
      return oneOfChoices(question.options, String(answer), field);
    case 'lengths':
    case 'angles': {
      const list = Array.isArray(answer) ? (answer as readonly number[]) : [];
      if (list.length < question.least || list.length > question.most) {
        throw new InputError(
          'out-of-range',
          field,
          `${field} has ${list.length} entries.`,
          `${question.least} to ${question.most} entries`,
        );
      }
      return list.map((value, i) => within(value, `${field}.${i}`, question.bounds));
    }
    case 'each-length':
      return eachOf<number>(question, answer, field, all).map((value, i) =>
        value === 0 ? 0 : within(value, `${field}.${i}`, question.bounds),
      );
    case 'each-choice':
      return eachOf<string>(question, answer, field, all).map((value, i) =>
        value === '' ? '' : oneOfChoices(question.options, value, `${field}.${i}`),
      );
  }
}

function oneOfChoices(options: readonly string[], answer: string, field: string): string {
  if (!options.includes(answer)) {
    throw new InputError('unknown-id', field, `"${answer}" is not one of the choices.`, options.join(', '));
  }
  return answer;
}

/** Entries of a list, no more than there are pieces. */
function eachOf<T>(question: OfEach, answer: Answer, field: string, all: Answers): readonly T[] {
  const list = (Array.isArray(answer) ? answer : []) as readonly T[];
  const pieces = question.pieces(all);
  if (list.length > pieces.length) {
    throw new InputError(
      'out-of-range',
      field,
      `${field} has ${list.length} entries, there are only ${pieces.length}.`,
      `at most one for each: ${pieces.join(', ')}`,
    );
  }
  return list;
}

const asNumber = (answer: Answer): number => (typeof answer === 'number' ? answer : Number.NaN);
