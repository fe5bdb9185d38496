import { type Bounds, boundsInWords, InputError, within } from '../basics/checks';
import { resolveSpecies } from '../materials';

/** One of the few things a kind of glue-up asks. `value` is the answer it starts from. */
export type Question =
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
    };

/** Answer to any question. */
export type Answer = number | string | readonly number[];
/** Answers by the name of their question. */
export type Answers = Readonly<Record<string, Answer>>;
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

/** The answers that questions start from. */
export function startingAnswers<Q extends Questions>(questions: Q): AnswersTo<Q> {
  return Object.fromEntries(
    Object.entries(questions).map(([name, { value }]) => [name, value]),
  ) as AnswersTo<Q>;
}

/**
 * Fills in what is missing and checks the rest.
 * @throws InputError naming the answer, what is wrong with it and what is allowed.
 */
export function checkAnswers<Q extends Questions>(questions: Q, answers: Answers): AnswersTo<Q> {
  const stray = Object.keys(answers).find((name) => !(name in questions));
  if (stray !== undefined) {
    throw new InputError(
      'unknown-id',
      `answers.${stray}`,
      `This kind of glue-up does not ask for "${stray}".`,
      Object.keys(questions).join(', '),
    );
  }
  return Object.fromEntries(
    Object.entries(questions).map(([name, question]) => [
      name,
      checkAnswer(question, answers[name] ?? question.value, `answers.${name}`),
    ]),
  ) as AnswersTo<Q>;
}

function checkAnswer(question: Question, answer: Answer, field: string): Answer {
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
      resolveSpecies(String(answer), field);
      return String(answer);
    case 'choice':
      if (!question.options.includes(String(answer))) {
        throw new InputError(
          'unknown-id',
          field,
          `"${String(answer)}" is not one of the choices.`,
          question.options.join(', '),
        );
      }
      return String(answer);
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
  }
}

const asNumber = (answer: Answer): number => (typeof answer === 'number' ? answer : Number.NaN);
