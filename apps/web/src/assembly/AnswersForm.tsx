import { type Answer, type Answers, type Kind, piecesOfQuestion } from '@lean-clasp/core/kinds';
import { questionWords } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { FieldRow } from '../parts/FieldRow';
import { NumberField } from '../quantities/fields';
import { numbersOf, QuestionField } from './QuestionField';
import type { Refusal } from './use-attempt';

interface AnswersFormProps {
  readonly kind: Kind;
  readonly answers: Answers;
  readonly refusal: Refusal | null;
  /** Whether what has a usual answer can be told as well. */
  readonly later?: boolean;
  readonly onChange: (answers: Answers) => void;
}

/** The few questions of a kind; what cannot be made is said with the nearest that can. */
export function AnswersForm({ kind, answers, refusal, later = false, onChange }: AnswersFormProps) {
  const sided = 'sidesMm' in kind.questions;
  const change = (changed: Answers) => onChange(fitted(kind, { ...answers, ...changed }));
  const fields = (ofLater: boolean) =>
    Object.entries(kind.questions)
      .filter(([, question]) => (question.later === true) === ofLater && question.when?.(answers) !== false)
      .map(([name, question]) => (
        <QuestionField
          key={name}
          label={questionWords(kind.id, name)}
          question={question}
          answer={answers[name] ?? question.value}
          pieces={piecesOfQuestion(question, answers)}
          onChange={(answer) => change({ [name]: answer })}
        />
      ));
  const more = later ? fields(true) : [];
  return (
    <>
      <FieldRow>
        {sided && (
          <NumberField
            label="Sides"
            whole
            value={numbersOf(answers['sidesMm']).length}
            bounds={{ min: 3, max: 8, unit: '' }}
            hint="starts even"
            onChange={(sides) => sides !== null && change(regular(sides, answers))}
            width={110}
          />
        )}
        {fields(false)}
      </FieldRow>
      {more.length > 0 && (
        <Box component="details" sx={{ mb: 1.5, '& summary': { minHeight: 44, py: 1, cursor: 'pointer' } }}>
          <summary>More about its shape</summary>
          <FieldRow>{more}</FieldRow>
        </Box>
      )}
      {refusal !== null && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {refusal.message} Possible: {refusal.allowed}. The last good answers stand meanwhile.
        </Alert>
      )}
    </>
  );
}

/** Entries for pieces that another answer has just taken away are dropped. */
function fitted(kind: Kind, answers: Answers): Answers {
  const cut = Object.entries(kind.questions).flatMap(([name, question]): [string, Answer][] => {
    const list = answers[name];
    if (!('pieces' in question) || !Array.isArray(list)) return [];
    const most = piecesOfQuestion(question, answers).length;
    return list.length > most ? [[name, list.slice(0, most) as Answer]] : [];
  });
  return { ...answers, ...Object.fromEntries(cut) };
}

/** Even sides and corners, with about the outline that was there. */
function regular(sides: number, answers: Answers): Answers {
  const before = numbersOf(answers['sidesMm']);
  const around = before.reduce((sum, side) => sum + side, 0);
  const each = Math.round(around / sides);
  return {
    sidesMm: Array.from({ length: sides }, () => each),
    anglesDeg: Array.from({ length: sides }, () => (180 * (sides - 2)) / sides),
  };
}
