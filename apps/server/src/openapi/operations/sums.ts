import { PaperAskSchema } from '@lean-clasp/paper';
import { type CalculationListing, PlanInputSchema } from '@lean-clasp/validation';
import { type Content, file, having, jsonBy, type Operation } from '../operation';
import { OBJECT, TEXT } from './words';

/** Calculations, and plans of what is not kept. */
export const sums = (calculations: readonly CalculationListing[]): readonly Operation[] => [
  {
    method: 'get',
    path: '/calc',
    about: 'Every sum with what goes in and what comes out.',
    who: 'bench',
    answer: jsonBy({
      type: 'array',
      items: having({ name: TEXT, doc: TEXT, input: OBJECT, output: OBJECT }),
    }),
  },
  ...calculations.map(({ name, doc, input, output }): Operation => ({
    method: 'post',
    path: `/calc/${name}`,
    about: doc,
    who: 'bench',
    body: jsonBy(input as object),
    answer: jsonBy(output as object),
  })),
  {
    method: 'post',
    path: '/plan',
    about: 'A whole plan: sessions, clamps, clock, verdicts and what would help, in numbers and words.',
    who: 'bench',
    body: jsonBy(PlanInputSchema),
    answer: jsonBy(having({ sessions: { type: 'array' }, verdicts: OBJECT, fixes: { type: 'array' } })),
  },
  {
    method: 'post',
    path: '/paper',
    about: 'A glue-up sheet, a template at full size or a drawing, as a file.',
    who: 'bench',
    body: jsonBy(having({ ask: PaperAskSchema, plan: PlanInputSchema })),
    answer: file('*/*') satisfies Content,
  },
  {
    method: 'get',
    path: '/catalogue',
    about: 'Woods, glues, clamps and ways of spreading with their figures.',
    who: 'bench',
    answer: jsonBy(
      having(
        Object.fromEntries(
          ['species', 'adhesives', 'clamps', 'methods'].map((each) => [each, { type: 'array' }]),
        ),
      ),
    ),
  },
  {
    method: 'get',
    path: '/schemas',
    about: 'JSON Schemas of the documents that are saved and read.',
    who: 'bench',
    answer: jsonBy(having({ build: OBJECT, shop: OBJECT, run: OBJECT, lessons: OBJECT })),
  },
];
