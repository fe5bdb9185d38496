import {
  type Field,
  fieldsOf,
  isRead,
  type Judged,
  judgeReading,
  type Subject,
  type Values,
} from '@lean-clasp/core/bench';
import type { CheckCode } from '@lean-clasp/core/findings';
import type { RunDocument, RunEvent } from '@lean-clasp/core/formats';
import { parseLength } from '@lean-clasp/core/units';
import { type Format, fieldWords, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { useFormat } from '../quantities/use-format';
import { StateMark } from '../verdicts/state-mark';
import type { BenchKit } from './bench-kit';
import { NumberPad } from './NumberPad';
import type { Noted } from './run-sync';

type Reading = NonNullable<NonNullable<RunEvent['payload']>['reading']>;

/** Readings of the one operation that is on show, as they were taken; the last is judged last. */
const takenAt = (events: RunDocument['events'], operation: string): Reading[] =>
  events.flatMap((event) =>
    event.kind === 'reading' && event.operation === operation && event.payload?.reading !== undefined
      ? [event.payload.reading]
      : [],
  );

/** What a check asks for, a big pad to answer, and what to do about it; read again until it will do. */
export function Readings({
  run,
  kit,
  check,
  operation,
  onNote,
}: {
  readonly run: RunDocument;
  readonly kit: BenchKit;
  readonly check: CheckCode;
  readonly operation: string;
  readonly onNote: (what: Noted) => void;
}) {
  const f = useFormat();
  const subject = subjectOf(kit, operation);
  const fields = fieldsOf(check, subject);
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [all, setAll] = useState(false);
  const [at, setAt] = useState(() => fields.find(({ ask }) => ask !== 'word')?.id ?? null);
  const values = valuesOf(fields, texts, f);
  const taken = takenAt(run.events, operation);
  const last = taken.at(-1);
  const judged = last === undefined ? null : judgeReading(check, last.values, subject);
  const type = (id: string, text: string) => setTexts({ ...texts, [id]: text });
  const tell = () => {
    onNote({
      kind: 'reading',
      operation,
      payload: {
        reading: { check, values: { ...values }, accepted: judgeReading(check, values, subject).accepted },
      },
    });
    setTexts({});
  };
  const shownFields = fields.filter(({ optional, ask }) => all || optional !== true || ask === 'word');
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', display: 'flex', gap: 3, flexWrap: 'wrap', pb: 1 }}>
      <Box sx={{ flex: '1 1 320px', minWidth: 0, display: 'grid', gap: 1.5, alignContent: 'start' }}>
        {judged !== null && <Verdict judged={judged} times={taken.length} />}
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

function subjectOf({ script, readings }: BenchKit, operation: string): Subject {
  const { template = '', flatMm = 0, squareMm = 0 } = readings ?? {};
  const own = script.operations.find(({ id }) => id === operation)?.joints ?? [];
  const joints = script.fuses.filter(({ joint }) => own.includes(joint)).map(({ label }) => label);
  return { template, joints: [...new Set(joints)], within: { flatMm, squareMm } };
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
          flexWrap: 'wrap',
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

/** What the last reading came to. */
function Verdict({ judged, times }: { readonly judged: Judged; readonly times: number }) {
  const f = useFormat();
  return (
    <Box
      role="status"
      sx={(theme) => ({
        borderLeft: 6,
        pl: 2,
        fontSize: '1.5rem',
        borderColor: judged.accepted ? theme.palette.tokens.holds : theme.palette.tokens.fails,
      })}
    >
      {judged.says.map((each) => (
        <Box key={each.code + JSON.stringify(each.values)}>
          <StateMark state={judged.accepted ? 'holds' : 'fails'} /> {says(each, f)}
        </Box>
      ))}
      <Box sx={{ fontSize: '1.0625rem', color: 'text.secondary' }}>
        {times === 1 ? 'first reading' : `reading ${times}`}
      </Box>
    </Box>
  );
}
