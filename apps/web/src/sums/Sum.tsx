import { type SumFinding, sumWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { CalculationListing } from '../api/api';
import { ApiError, requestJson } from '../api/request';
import { useFormat } from '../quantities/use-format';
import { type AnswerRow, isRows, valueWords } from './answer-words';
import { labelOf, SUM_TITLES } from './labels';
import { SumField } from './SumField';
import { SumFigure } from './SumFigure';
import { useSharedInput } from './use-shared-input';

type Answer = Readonly<Record<string, unknown>>;

interface Asked {
  readonly answer: Answer | null;
  /** What the answer was computed from. */
  readonly given: Answer | null;
  readonly refusal: string | null;
}

/** Parts of an answer that have a place of their own below it. */
const APART = new Set(['used', 'findings']);

/** Lists of codes, which only scripts are likely to give. */
const COMMAND_LINE_ONLY = new Set(['avoid']);

/** One calculation, live. */
export function Sum({ listing }: { readonly listing: CalculationListing }) {
  const [input, setInput] = useSharedInput(listing);
  const [copied, setCopied] = useState(false);
  const { answer, given, refusal } = useAnswer(listing.name, input);
  return (
    <Box>
      <Typography variant="h2">{SUM_TITLES[listing.name] ?? listing.name}</Typography>
      <Typography color="text.secondary" sx={{ mb: 2, maxWidth: 640 }}>
        {listing.doc}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 3 }}>
        {Object.keys(listing.input.properties)
          .filter((field) => !COMMAND_LINE_ONLY.has(field))
          .map((field) => (
            <SumField
              key={field}
              field={field}
              schema={listing.input.properties[field]}
              optional={!(listing.input.required ?? []).includes(field)}
              value={input[field]}
              onChange={(value) => {
                setInput({ ...input, [field]: value });
                setCopied(false);
              }}
            />
          ))}
      </Box>
      {refusal !== null && (
        <Typography color="error" role="alert">
          {refusal}
        </Typography>
      )}
      {answer !== null && (
        <>
          <SumFigure name={listing.name} given={given} answer={answer} />
          <AnswerView answer={answer} />
        </>
      )}
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 2 }}>
        <Button
          variant="outlined"
          onClick={() => {
            navigator.clipboard.writeText(window.location.href).then(
              () => setCopied(true),
              () => setCopied(false),
            );
          }}
        >
          Copy a link to this sum
        </Button>
        <span role="status">{copied ? 'Copied: the address holds what you put in.' : ''}</span>
      </Box>
    </Box>
  );
}

function AnswerView({ answer }: { readonly answer: Answer }) {
  const f = useFormat();
  const findings = (answer.findings ?? []) as readonly SumFinding[];
  const used = (answer.used ?? {}) as Readonly<Record<string, number | string>>;
  return (
    <>
      <Box component="dl" aria-live="polite" sx={{ m: 0, borderTop: 2, borderColor: 'text.primary' }}>
        {Object.entries(answer)
          .filter(([field]) => !APART.has(field))
          .map(([field, value]) => (
            <Box
              key={field}
              sx={{
                display: isRows(value) ? 'block' : 'flex',
                gap: 2,
                py: 1,
                borderBottom: 1,
                borderColor: 'divider',
              }}
            >
              <Box component="dt" sx={{ flex: '0 0 230px', color: 'text.secondary' }}>
                {labelOf(field)}
              </Box>
              <Box component="dd" sx={{ m: 0, fontWeight: 700 }}>
                {isRows(value) ? <RowsTable rows={value} /> : valueWords(field, value, f)}
              </Box>
            </Box>
          ))}
      </Box>
      {findings.map((finding, i) => (
        <Typography key={i} sx={{ mt: 1.5 }} color={finding.severity === 'refuses' ? 'error' : undefined}>
          {sumWords(finding, f)}
        </Typography>
      ))}
      {Object.keys(used).length > 0 && (
        <Box component="details" sx={{ mt: 2 }}>
          <Box component="summary" sx={{ cursor: 'pointer', py: 1.25 }}>
            What went into it
          </Box>
          <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, m: 0 }}>
            {Object.entries(used).map(([name, value]) => (
              <Box key={name} sx={{ display: 'contents' }}>
                <Box component="dt" sx={{ color: 'text.secondary' }}>
                  {name}
                </Box>
                <Box component="dd" sx={{ m: 0 }}>
                  {typeof value === 'number' ? Number(value.toPrecision(5)) : value}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </>
  );
}

/** A list of rows, one line each. */
function RowsTable({ rows }: { readonly rows: readonly AnswerRow[] }) {
  const f = useFormat();
  const fields = Object.keys(rows[0] ?? {});
  return (
    <TableContainer>
      <Table size="small">
        <TableHead>
          <TableRow>
            {fields.map((field) => (
              <TableCell key={field} align="right">
                {labelOf(field)}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row, index) => (
            <TableRow key={index}>
              {fields.map((field) => (
                <TableCell key={field} align="right">
                  {valueWords(field, row[field], f)}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

/** Asks the server after every change; an answer that has been overtaken is dropped. */
function useAnswer(name: string, input: Answer): Asked {
  const [asked, setAsked] = useState<Asked>({ answer: null, given: null, refusal: null });
  useEffect(() => {
    let overtaken = false;
    const show = (next: Asked) => {
      if (!overtaken) setAsked(next);
    };
    const given = Object.fromEntries(
      Object.entries(input).filter(([, value]) => value !== null && value !== undefined),
    );
    requestJson<Answer>(`/api/calc/${name}`, { method: 'POST', body: given }).then(
      (answer) => show({ answer, given, refusal: null }),
      (error: unknown) =>
        show({
          answer: null,
          given: null,
          refusal:
            error instanceof ApiError
              ? error.message
              : 'The server does not answer; what you typed stays here.',
        }),
    );
    return () => {
      overtaken = true;
    };
  }, [name, input]);
  return asked;
}
