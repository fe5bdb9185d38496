import fc from 'fast-check';
import { GLOSSARY, glossed } from './glossary';

const named = (text: string) =>
  glossed(text).flatMap(({ text: word, term }) => (term === null ? [] : [[word, term.term]]));

it('finds terms in any shape, the longer name first, each once', () => {
  expect(named('Cauls first: a caul keeps boards flat.')).toEqual([['Cauls', 'caul']]);
  expect(named('Closed assembly time runs on where open time ends.')).toEqual([
    ['Closed assembly time', 'closed assembly time'],
    ['open time', 'open time'],
  ]);
  expect(named('A trailing tail of a railing')).toEqual([]);
});

it('leaves every text as it was', () => {
  const words = fc.constantFrom('caul', 'Mitres', ' ', 'squeeze-out', ', and ', 'open time', 'x', '\n');
  fc.assert(
    fc.property(fc.array(words), (pieces) => {
      const text = pieces.join('');
      expect(
        glossed(text)
          .map((piece) => piece.text)
          .join(''),
      ).toBe(text);
    }),
    { seed: 3 },
  );
});

it('stands in the order of the alphabet, and explains each word once and in a sentence', () => {
  const terms = GLOSSARY.map(({ term }) => term);
  expect(terms).toEqual([...terms].sort((a, b) => a.localeCompare(b)));
  const names = GLOSSARY.flatMap(({ term, also = [] }) => [term, ...also]);
  expect(new Set(names).size).toBe(names.length);
  for (const { says } of GLOSSARY) expect(says).toMatch(/^[A-Z].{20,}\.$/);
});
