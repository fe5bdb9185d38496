import {
  AMOUNT_TRAITS,
  type AmountTrait,
  type Condition,
  type Lesson,
  LESSON_MOMENTS,
  WORD_TRAITS,
  type WordTrait,
} from '@lean-clasp/core/formats';
import { AMOUNT_WORDS, MOMENT_WORDS, triggerWords, WORD_TRAIT_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, NumberField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';

const MOST_CONDITIONS = 6;
const TEXTS = [
  ['happened', 'What happened'],
  ['cause', 'Why'],
  ['cost', 'What it cost'],
  ['change', 'What keeps it from happening again: a tool, a jig, a rule'],
] as const;
const MOMENTS = LESSON_MOMENTS.map((value) => ({ value, name: MOMENT_WORDS[value] }));
const TRAITS: readonly { readonly value: AmountTrait | WordTrait; readonly name: string }[] = [
  ...WORD_TRAITS.map((value) => ({ value, name: WORD_TRAIT_WORDS[value].name })),
  ...AMOUNT_TRAITS.map((value) => ({ value, name: AMOUNT_WORDS[value].name })),
];
const isAmount = (trait: string): trait is AmountTrait =>
  (AMOUNT_TRAITS as readonly string[]).includes(trait);

/** A condition on a trait, to begin with. */
const begun = (trait: AmountTrait | WordTrait): Condition =>
  isAmount(trait) ? { trait, above: 0 } : { trait, any: [WORD_TRAIT_WORDS[trait].choices[0]?.value ?? ''] };

/** One lesson of the shop's own: what was paid for, and in which plans it comes back. */
export function LessonForm({
  lesson,
  onChange,
}: {
  readonly lesson: Lesson;
  readonly onChange: (label: string, change: Partial<Lesson>) => void;
}) {
  const f = useFormat();
  const setConditions = (when: readonly Condition[]) => onChange('Trigger', { when: [...when] });
  return (
    <>
      <TextField
        label="In a few words"
        size="small"
        fullWidth
        value={lesson.title}
        onChange={(event) =>
          event.target.value !== '' && onChange('Title', { title: event.target.value.slice(0, 120) })
        }
        slotProps={{ inputLabel: { shrink: true } }}
        sx={{ mb: 1.5 }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 1.5, mb: 2 }}>
        {TEXTS.map(([field, label]) => (
          <TextField
            key={field}
            label={label}
            size="small"
            multiline
            value={lesson[field]}
            onChange={(event) => onChange(label, { [field]: event.target.value.slice(0, 400) })}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        ))}
      </Box>
      <Typography variant="h3">Comes back when</Typography>
      {lesson.when.map((condition, i) => (
        <ConditionFields
          key={`${i} ${condition.trait}`}
          condition={condition}
          onChange={(next) => setConditions(lesson.when.map((each, k) => (k === i ? next : each)))}
          onRemove={
            lesson.when.length === 1 ? null : () => setConditions(lesson.when.filter((_, k) => k !== i))
          }
        />
      ))}
      <FieldRow>
        <Button
          disabled={lesson.when.length >= MOST_CONDITIONS}
          onClick={() => setConditions([...lesson.when, begun('kind')])}
        >
          And also
        </Button>
        <Choice
          label="Said"
          value={lesson.at}
          options={MOMENTS}
          width={260}
          onChange={(at) => onChange('Moment', { at })}
        />
      </FieldRow>
      <Typography color="text.secondary">
        So it comes back where: {triggerWords(lesson.when, f)}. Said {MOMENT_WORDS[lesson.at]}.
      </Typography>
    </>
  );
}

const SENSES = [
  { value: 'above', name: 'above' },
  { value: 'below', name: 'below' },
] as const;
const HAVING = [
  { value: 'any', name: 'is, or has' },
  { value: 'none', name: 'is not, or has no' },
] as const;

function ConditionFields({
  condition,
  onChange,
  onRemove,
}: {
  readonly condition: Condition;
  readonly onChange: (condition: Condition) => void;
  /** Null where it is the only one: a lesson without a trigger would come back always. */
  readonly onRemove: (() => void) | null;
}) {
  const { trait } = condition;
  return (
    <FieldRow>
      <Choice
        label="What of the plan"
        value={trait}
        options={TRAITS}
        width={300}
        onChange={(next) => onChange(begun(next))}
      />
      {'any' in condition || 'none' in condition ? (
        <Words condition={condition} onChange={onChange} />
      ) : (
        <Amount condition={condition} onChange={onChange} />
      )}
      {onRemove !== null && <Button onClick={onRemove}>Take out</Button>}
    </FieldRow>
  );
}

type WordCondition = Extract<Condition, { any: string[] } | { none: string[] }>;
type AmountCondition = Exclude<Condition, WordCondition>;

function Words({
  condition,
  onChange,
}: {
  readonly condition: WordCondition;
  readonly onChange: (condition: Condition) => void;
}) {
  const { trait } = condition;
  const words = 'any' in condition ? condition.any : condition.none;
  const having = 'any' in condition ? 'any' : 'none';
  const said = (how: 'any' | 'none', chosen: string[]): Condition =>
    how === 'any' ? { trait, any: chosen } : { trait, none: chosen };
  const { choices } = WORD_TRAIT_WORDS[trait];
  return (
    <>
      <Choice
        label="How"
        value={having}
        options={HAVING}
        width={170}
        onChange={(how) => onChange(said(how, words))}
      />
      <TextField
        select
        size="small"
        label="Any of"
        value={words}
        sx={{ width: 320 }}
        onChange={(event) => {
          const chosen = [event.target.value].flat();
          if (chosen.length > 0) onChange(said(having, chosen));
        }}
        slotProps={{
          inputLabel: { shrink: true },
          select: { multiple: true, native: false, 'aria-label': 'Any of' } as object,
        }}
      >
        {choices.map(({ value, name }) => (
          <MenuItem key={value} value={value}>
            {name}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}

const WIDE = { min: -1e6, max: 1e6, unit: '' };

function Amount({
  condition,
  onChange,
}: {
  readonly condition: AmountCondition;
  readonly onChange: (condition: Condition) => void;
}) {
  const { trait } = condition;
  const sense = 'above' in condition ? 'above' : 'below';
  const value = 'above' in condition ? condition.above : condition.below;
  const said = (how: 'above' | 'below', amount: number): Condition =>
    how === 'above' ? { trait, above: amount } : { trait, below: amount };
  const { unit } = AMOUNT_WORDS[trait];
  const type = (amount: number | null) => amount !== null && onChange(said(sense, amount));
  return (
    <>
      <Choice
        label="How"
        value={sense}
        options={SENSES}
        width={110}
        onChange={(how) => onChange(said(how, value))}
      />
      {unit === 'mm' || unit === 'fine mm' ? (
        <LengthField
          label="Limit"
          fine={unit === 'fine mm'}
          value={value}
          bounds={{ ...WIDE, unit: 'mm' }}
          onChange={type}
        />
      ) : (
        <NumberField label="Limit" unit={unit} value={value} bounds={{ ...WIDE, unit }} onChange={type} />
      )}
    </>
  );
}
