import {
  type Field,
  fieldsOf,
  isRead,
  judgeReading,
  type Subject,
  type Values,
} from '@lean-clasp/core/bench';
import type { CheckCode } from '@lean-clasp/core/findings';
import type { RunEvent } from '@lean-clasp/core/formats';
import { parseLength } from '@lean-clasp/core/units';
import { type Format, fieldWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { useFormat } from '../quantities/use-format';
import { NumberPad } from './NumberPad';

/** A reading as a run keeps it. */
export type Reading = NonNullable<NonNullable<RunEvent['payload']>['reading']>;

/** What a check asks for, and a big pad to answer. */
export function ReadingPad({
  check,
  subject,
  onTell,
}: {
  readonly check: CheckCode;
  readonly subject: Subject;
  readonly onTell: (reading: Reading) => void;
}) {
  const f = useFormat();
  const fields = fieldsOf(check, subject);
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [all, setAll] = useState(false);
  const [at, setAt] = useState(() => fields.find(({ ask }) => ask !== 'word')?.id ?? null);
  const values = valuesOf(fields, texts, f);
  const type = (id: string, text: string) => setTexts({ ...texts, [id]: text });
  const tell = () => {
    onTell({ check, values: { ...values }, accepted: judgeReading(check, values, subject).accepted });
    setTexts({});
  };
  const shownFields = fields.filter(({ optional, ask }) => all || optional !== true || ask === 'word');
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', display: 'flex', gap: 3, flexWrap: 'wrap', pb: 1 }}>
      <Box sx={{ flex: '1 1 320px', minWidth: 0, display: 'grid', gap: 1.5, alignContent: 'start' }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, pt: 0.5 }}>
          {shownFields.map((field) =>
            field.ask === 'word' ? (
              <Words
                key={field.id}
                field={field}
                value={texts[field.id]}
                onPick={(word) => type(field.id, word)}
              />
            ) : (
              <TextField
                key={field.id}
                label={`${fieldWords(field.id)}${field.optional === true ? ', if read' : ''}`}
                value={texts[field.id] ?? ''}
                error={(texts[field.id] ?? '') !== '' && values[field.id] === undefined}
                onFocus={() => setAt(field.id)}
                onChange={(event) => type(field.id, event.target.value.slice(0, 20))}
                focused={at === field.id}
                slotProps={{
                  inputLabel: { shrink: true },
                  htmlInput: { inputMode: 'none', style: { fontSize: '1.75rem', height: 40 } },
                }}
                sx={{ flex: '1 1 180px' }}
              />
            ),
          )}
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          <Button
            variant="contained"
            disabled={!isRead(check, values, subject)}
            onClick={tell}
            sx={{ minHeight: 72, fontSize: '1.375rem', flex: 1 }}
          >
            That is what I read
          </Button>
          {!all && shownFields.length < fields.length && (
            <Button onClick={() => setAll(true)} sx={{ minHeight: 72, fontSize: '1.125rem' }}>
              More to read
            </Button>
          )}
        </Box>
      </Box>
      {at !== null && (
        <NumberPad
          text={texts[at] ?? ''}
          fractions={f.system === 'imperial'}
          onType={(text) => type(at, text.slice(0, 20))}
        />
      )}
    </Box>
  );
}

/** What can be read of what was typed; lengths in the person's units, angles in degrees. */
function valuesOf(fields: readonly Field[], texts: Readonly<Record<string, string>>, f: Format): Values {
  return Object.fromEntries(
    fields.flatMap(({ id, ask }): [string, number | string][] => {
      const text = (texts[id] ?? '').trim();
      if (text === '') return [];
      if (ask === 'word') return [[id, text]];
      const parsed = ask === 'angle' ? Number(text.replace(',', '.')) : lengthOf(text, f);
      return parsed === null || !Number.isFinite(parsed) ? [] : [[id, parsed]];
    }),
  );
}

function lengthOf(text: string, { system }: Format): number | null {
  const parsed = parseLength(text, system);
  return parsed.ok ? parsed.value : null;
}

/** One of a few words, as large buttons. */
function Words({
  field: { id, choices = [] },
  value,
  onPick,
}: {
  readonly field: Field;
  readonly value: string | undefined;
  readonly onPick: (word: string) => void;
}) {
  return (
    <Box>
      <Box id={`field-${id}`} sx={{ fontSize: '1.125rem', color: 'text.secondary' }}>
        {fieldWords(id)}
      </Box>
      <ToggleButtonGroup
        exclusive
        value={value ?? null}
        aria-labelledby={`field-${id}`}
        onChange={(_, word: string | null) => word !== null && onPick(word)}
        sx={{
          '& button': { minHeight: 72, px: 2.5, fontSize: '1.25rem', textTransform: 'none' },
        }}
      >
        {choices.map((choice) => (
          <ToggleButton key={choice} value={choice}>
            {choice}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
