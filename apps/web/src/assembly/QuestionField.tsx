import type { Answer, Question } from '@lean-clasp/core/kinds';
import { choiceWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Choice } from '../parts/Choice';
import { LengthField, NumberField } from '../quantities/fields';
import { WoodChoice } from '../shop/WoodChoice';

/** An answer that is a list of numbers; empty where it is none. */
export const numbersOf = (answer: Answer | undefined): readonly number[] =>
  Array.isArray(answer) ? answer.map(Number) : [];
const wordsOf = (answer: Answer): readonly string[] => (Array.isArray(answer) ? answer.map(String) : []);

/** The list with one entry set, filled up with what stands for "as usual" before it. */
function withEntry<T>(list: readonly T[], index: number, value: T, usual: T): T[] {
  const length = Math.max(list.length, index + 1);
  return Array.from({ length }, (_, i) => (i === index ? value : (list[i] ?? usual)));
}

interface QuestionFieldProps {
  readonly label: string;
  readonly question: Question;
  readonly answer: Answer;
  /** Names of the pieces where each has an entry of its own. */
  readonly pieces: readonly string[];
  readonly onChange: (answer: Answer) => void;
}

/** The field, or the fields, of one question of a kind. */
export function QuestionField({ label, question, answer, pieces, onChange }: QuestionFieldProps) {
  switch (question.kind) {
    case 'length':
      return (
        <LengthField
          label={label}
          fine={question.bounds.max <= 20}
          value={Number(answer)}
          bounds={question.bounds}
          onChange={(value) => value !== null && onChange(value)}
          width={176}
        />
      );
    case 'number':
      return (
        <NumberField
          label={label}
          unit={question.bounds.unit}
          value={Number(answer)}
          bounds={question.bounds}
          onChange={(value) => value !== null && onChange(value)}
          width={176}
        />
      );
    case 'count':
      return (
        <NumberField
          label={label}
          whole
          value={Number(answer)}
          bounds={question.bounds}
          onChange={(value) => value !== null && onChange(value)}
          width={130}
        />
      );
    case 'species':
      return <WoodChoice label={label} value={String(answer)} onChange={onChange} width={200} />;
    case 'choice':
      return (
        <Choice
          label={label}
          value={String(answer)}
          options={question.options.map((value) => ({ value, name: choiceWords(value) }))}
          onChange={onChange}
          width={190}
        />
      );
    case 'lengths':
    case 'angles': {
      const list = numbersOf(answer);
      const change = (index: number) => (value: number | null) =>
        value !== null && onChange(withEntry(list, index, value, value));
      return (
        <Entries label={label}>
          {list.map((value, i) =>
            question.kind === 'lengths' ? (
              <LengthField
                key={i}
                label={`Side ${i + 1}`}
                value={value}
                bounds={question.bounds}
                onChange={change(i)}
                width={118}
              />
            ) : (
              <NumberField
                key={i}
                label={`Corner ${i + 1}`}
                unit="°"
                value={value}
                bounds={question.bounds}
                onChange={change(i)}
                width={118}
              />
            ),
          )}
        </Entries>
      );
    }
    case 'each-length': {
      const list = numbersOf(answer);
      return (
        <Entries label={label} titled>
          {pieces.map((piece, i) => (
            <LengthField
              key={piece}
              label={`${label}: ${piece}`}
              optional
              hint="empty: as usual"
              value={list[i] === undefined || list[i] === 0 ? null : list[i]}
              bounds={question.bounds}
              onChange={(value) => onChange(withEntry(list, i, value ?? 0, 0))}
              width={210}
            />
          ))}
        </Entries>
      );
    }
    case 'each-choice': {
      const list = wordsOf(answer);
      const options = [
        { value: '', name: 'as usual' },
        ...question.options.map((value) => ({ value, name: choiceWords(value) })),
      ];
      return (
        <Entries label={label} titled>
          {pieces.map((piece, i) => (
            <Choice
              key={piece}
              label={`${label}: ${piece}`}
              value={list[i] ?? ''}
              options={options}
              onChange={(value) => onChange(withEntry(list, i, value, ''))}
              width={210}
            />
          ))}
        </Entries>
      );
    }
  }
}

/** Several fields of one question. */
function Entries({
  label,
  titled = false,
  children,
}: {
  readonly label: string;
  readonly titled?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, rowGap: titled ? 1.5 : 1, width: '100%' }}
    >
      {children}
    </Box>
  );
}
