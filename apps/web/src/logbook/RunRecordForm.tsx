import { LIMITS } from '@lean-clasp/core/basics';
import type { RunDocument, RunRecord } from '@lean-clasp/core/formats';
import { lookOf } from '@lean-clasp/core/kinds';
import { type RunSummary, summaryOf } from '@lean-clasp/core/runs';
import { formatClock } from '@lean-clasp/core/units';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useAppDispatch } from '../app/store';
import { instantWords, releaseOf } from '../bench/release';
import { noteRecord } from '../bench/run-sync';
import { useNow } from '../parts/use-now';
import { useKit, useRun } from '../bench/use-run';
import { Loading } from '../frame/Loading';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, ScaledField } from '../quantities/fields';
import { type Format, useFormat } from '../quantities/use-format';
import { ClosedAs } from './record/ClosedAs';
import { CouponFields } from './record/CouponFields';
import { JointMarks } from './record/JointMarks';
import { LaterReadings } from './record/LaterReadings';
import { Pictures } from './record/Pictures';
import { Rechecks } from './record/Rechecks';
import { WhatHappened } from './record/WhatHappened';
import { Compared } from './Compared';
import { handsOnMinutes } from './run-figures';
import { WhyWrong } from './WhyWrong';

const SQUEEZE_OUT = [
  { value: 'even', name: 'even beads' },
  { value: 'patchy', name: 'patchy' },
  { value: 'none', name: 'none' },
  { value: 'too-much', name: 'running down' },
] as const;

/** Whether a kind is read for square while it still moves; a row of boards, or a bend, is not. */
const isSquared = (template: string) =>
  lookOf(template, 'diagonals') !== undefined || lookOf(template, 'try-square') !== undefined;

/** How one glue-up came out, beside what its plan promised. */
export function RunRecordForm({ runId }: { readonly runId: string }) {
  const { run, failure } = useRun(runId);
  if (failure !== null) return <Typography color="error">{failure}</Typography>;
  if (run === undefined) return <Loading what="Reading the log" />;
  return <Form run={run} />;
}

function Form({ run: document }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  const kit = useKit(document);
  const run = summaryOf(document);
  const clamped = run.state === 'clamped';
  const set = (record: Partial<RunRecord>) => void dispatch(noteRecord(run.id, record));
  const { record } = run;
  // Of a row of boards nobody takes diagonals; a run from before its kind was kept may be anything.
  const template = document.promise.job?.template;
  const squared = record.diagonalDifferenceMm !== null || template === undefined || isSquared(template);
  const reading = (
    label: string,
    key: 'flatnessMm' | 'diagonalDifferenceMm' | 'widestGapMm',
    max: number,
  ) => (
    <LengthField
      label={label}
      fine
      optional
      value={record[key]}
      bounds={{ min: 0, max, unit: 'mm' }}
      onChange={(value) => set({ [key]: value })}
      width={190}
    />
  );
  return (
    <>
      <Section title="How it came out">
        <Typography id="squeeze-out-label" sx={{ mb: 0.5 }}>
          Squeeze-out along the lines
        </Typography>
        <ToggleButtonGroup
          exclusive
          value={record.squeezeOut}
          aria-labelledby="squeeze-out-label"
          onChange={(_event, value: RunRecord['squeezeOut']) => set({ squeezeOut: value })}
          sx={{ mb: 2 }}
        >
          {SQUEEZE_OUT.map(({ value, name }) => (
            <ToggleButton key={value} value={value}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {clamped && <ClosedAs run={document} />}
        <FieldRow>
          {reading('Off flat, straightedge across', 'flatnessMm', LIMITS.deviationMm.max)}
          {squared && reading('Diagonals differ by', 'diagonalDifferenceMm', LIMITS.deviationMm.max)}
          {reading('Widest gap left', 'widestGapMm', LIMITS.gapMm.max)}
          <ScaledField
            label="Glue it took, weighed"
            quantity="mass"
            optional
            value={record.glueG}
            bounds={LIMITS.glueTakenG}
            hint="bottle or cup, before and after"
            onChange={(glueG) => set({ glueG })}
            width={190}
          />
        </FieldRow>
        <TextField
          label="What went well, what went wrong, what to change for good"
          value={record.note}
          onChange={(event) => set({ note: event.target.value.slice(0, 4000) })}
          multiline
          minRows={3}
          fullWidth
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </Section>
      {clamped && kit !== null && (
        <>
          <Section title="Joint by joint">
            <JointMarks run={document} kit={kit} />
          </Section>
          <Section title="Read again, clamps off">
            <LaterReadings run={document} kit={kit} />
          </Section>
        </>
      )}
      <Section title="Photographs">
        <Pictures run={document} />
      </Section>
      {clamped && (
        <>
          <Section title="Proof coupon">
            <CouponFields run={document} />
          </Section>
          <Section title="Later looks">
            <Rechecks run={document} />
          </Section>
        </>
      )}
      {clamped && (
        <Section title="What went wrong?">
          <WhyWrong run={document} />
        </Section>
      )}
      <Section title="On the clock, planned and worked">
        <Compared run={document} />
      </Section>
      <Section title="Promised and happened">
        <Comparison run={run} />
      </Section>
      <Section title="What went otherwise, and when">
        <WhatHappened run={document} kit={kit} />
      </Section>
    </>
  );
}

function Comparison({ run }: { readonly run: RunSummary }) {
  const f = useFormat();
  const now = useNow(false);
  const { clampsOffMs, machineMs } = releaseOf(run);
  return (
    <>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell />
            <TableCell align="right">promised</TableCell>
            <TableCell align="right">happened</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {comparisonRows(run, f).map(([name, promised, happened]) => (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {name}
              </TableCell>
              <TableCell align="right">{promised}</TableCell>
              <TableCell align="right">{happened}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Box sx={{ mt: 1.5 }}>
        {clampsOffMs !== null && <div>Clamps off: {instantWords(clampsOffMs, now)}.</div>}
        {machineMs !== null && <div>May meet a plane: {instantWords(machineMs, now)}.</div>}
      </Box>
    </>
  );
}

function comparisonRows({ promise, record, ...run }: RunSummary, f: Format): [string, string, string][] {
  const minutes = handsOnMinutes(run);
  const orDash = (value: number | null, print: (value: number) => string) =>
    value === null ? '—' : print(value);
  return [
    ['hands-on time', formatClock(promise.handsOnMin), orDash(minutes, formatClock)],
    ['time the glue gave', orDash(promise.windowMin, formatClock), ''],
    ['lowest pressure', f.pressure(promise.lowestMPa), ''],
    ['off flat', orDash(promise.flatMm, f.fine), orDash(record.flatnessMm, f.fine)],
    ['diagonals differ', '', orDash(record.diagonalDifferenceMm, f.fine)],
    ['widest gap', '', orDash(record.widestGapMm, f.fine)],
    ['glue', promise.job === undefined ? '' : f.mass(promise.job.glueG), orDash(record.glueG, f.mass)],
    ['air', `${f.temperature(promise.climate.tempC)}, ${Math.round(promise.climate.rhPct)} %`, ''],
  ];
}
