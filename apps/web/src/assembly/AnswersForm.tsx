import type { Answer, Answers, Kind, Question } from '@lean-clasp/core/kinds';
import { SPECIES_OPTIONS, choiceWords, questionWords } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, NumberField } from '../quantities/fields';
import type { Refusal } from './use-attempt';

/** The few questions of a kind; what cannot be made is said with the nearest that can. */
export function AnswersForm({
  kind,
  answers,
  refusal,
  onChange,
}: {
  readonly kind: Kind;
  readonly answers: Answers;
  readonly refusal: Refusal | null;
  readonly onChange: (answers: Answers) => void;
}) {
  const sided = 'sidesMm' in kind.questions;
  return (
    <>
      <FieldRow>
        {sided && (
          <NumberField
            label="Sides"
            whole
            value={listOf(answers['sidesMm']).length}
            bounds={{ min: 3, max: 8, unit: '' }}
            hint="starts even"
            onChange={(sides) => sides !== null && onChange({ ...answers, ...regular(sides, answers) })}
            width={110}
          />
        )}
        {Object.entries(kind.questions).map(([name, question]) => (
          <QuestionField
            key={name}
            label={questionWords(kind.id, name)}
            question={question}
            answer={answers[name] ?? question.value}
            onChange={(answer) => onChange({ ...answers, [name]: answer })}
          />
        ))}
      </FieldRow>
      {refusal !== null && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {refusal.message} Possible: {refusal.allowed}. The last good answers stand meanwhile.
        </Alert>
      )}
    </>
  );
}

const listOf = (answer: Answer | undefined): readonly number[] => (typeof answer === 'object' ? answer : []);

/** Even sides and corners, with about the outline that was there. */
function regular(sides: number, answers: Answers): Answers {
  const before = listOf(answers['sidesMm']);
  const around = before.reduce((sum, side) => sum + side, 0);
  const each = Math.round(around / sides);
  return {
    sidesMm: Array.from({ length: sides }, () => each),
    anglesDeg: Array.from({ length: sides }, () => (180 * (sides - 2)) / sides),
  };
}

function QuestionField({
  label,
  question,
  answer,
  onChange,
}: {
  readonly label: string;
  readonly question: Question;
  readonly answer: Answer;
  readonly onChange: (answer: Answer) => void;
}) {
  switch (question.kind) {
    case 'length':
      return (
        <LengthField
          label={label}
          fine={question.bounds.max <= 60}
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
      return (
        <Choice
          label={label}
          value={String(answer)}
          options={SPECIES_OPTIONS}
          onChange={onChange}
          width={200}
        />
      );
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
      const list = listOf(answer);
      const change = (index: number) => (value: number | null) =>
        value !== null && onChange(list.map((each, i) => (i === index ? value : each)));
      return (
        <Box
          role="group"
          aria-label={label}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, width: '100%' }}
        >
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
        </Box>
      );
    }
  }
}
