import { comesLater, positionOf } from '@lean-clasp/core/bench';
import type { RunDocument } from '@lean-clasp/core/formats';
import { readAfterwards, readRun, summaryOf } from '@lean-clasp/core/runs';
import { formatWait } from '@lean-clasp/core/units';
import { detailWords, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAppDispatch } from '../app/store';
import { LessonLine } from '../lessons/LessonLine';
import { useNow } from '../parts/use-now';
import { useFormat } from '../quantities/use-format';
import type { BenchKit } from './bench-kit';
import { instantWords } from './release';
import { runClock } from './run-clock';
import { noteEvent } from './run-sync';
import { TellMe } from './TellMe';
import { useReleaseNow } from './use-release';

/** So long after the last step one may still have pressed too early, ms. */
const BACK_WITHIN_MS = 3_600_000;
const MS_PER_MIN = 60_000;
/** How often what is still to come is looked at, ms. */
const LOOK_EVERY_MS = 5000;
const big = { minHeight: 72, fontSize: '1.25rem', px: 3 } as const;

/** After the last step: what is still to come by the clock, and until when it is left alone. */
export function Clamped({ run, kit }: { readonly run: RunDocument; readonly kit: BenchKit | null }) {
  const dispatch = useAppDispatch();
  const now = useNow(true, LOOK_EVERY_MS, runClock.now);
  const { state, clampedAtMs } = readRun(run);
  const abandoned = state === 'abandoned';
  const last = kit === null ? null : positionOf(kit.script, run.startedAtMs, run.events).last;
  return (
    <Box sx={{ p: 4, maxWidth: 1000 }}>
      <Typography sx={{ fontSize: '1.375rem', color: 'text.secondary' }}>{run.buildName}</Typography>
      <Box component="h1" sx={{ m: 0, mb: 2, fontSize: '3.25rem', lineHeight: 1.15 }}>
        {abandoned ? 'Given up' : 'Clamped. Leave it now.'}
      </Box>
      <Box sx={{ fontSize: '1.5rem', display: 'grid', gap: 2, mb: 4 }}>
        {abandoned ? (
          <Box>
            Wipe the faces clean while the glue is wet. The log keeps what happened; pace is not learned from
            it.
          </Box>
        ) : (
          <>
            {kit !== null && <StillToCome run={run} kit={kit} nowMs={now} />}
            <Release run={run} nowMs={now} />
            {(run.promise.lessons ?? [])
              .filter(({ at }) => at === 'after')
              .map((lesson) => (
                <LessonLine key={lesson.lesson} lesson={lesson} large />
              ))}
            {readRun(run).clampsOffAtMs === null && <TellMe runId={run.id} button={big} />}
            <CouponLine run={run} />
          </>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <Button
          component={Link}
          to={`/logbook/${run.id}`}
          variant="contained"
          color="secondary"
          sx={{ ...big, fontSize: '1.375rem' }}
        >
          Write down how it came out
        </Button>
        <Button component={Link} to={`/builds/${run.buildId}/record`} sx={big}>
          Back to the build
        </Button>
        {last !== null && now - (clampedAtMs ?? now) < BACK_WITHIN_MS && (
          <Button onClick={() => dispatch(noteEvent(run.id, { kind: 'back', operation: last }))} sx={big}>
            {abandoned ? 'Not given up: go on' : 'Not done yet: back to the last step'}
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** What is done hours into the cure, each with its moment. */
function StillToCome({
  run,
  kit: { script },
  nowMs,
}: {
  readonly run: RunDocument;
  readonly kit: BenchKit;
  readonly nowMs: number;
}) {
  const dispatch = useAppDispatch();
  const f = useFormat();
  const { done, begunAtMs, leftOut } = positionOf(script, run.startedAtMs, run.events);
  const left = script.fuses.filter(({ joint }) => leftOut.has(joint)).map(({ label }) => label);
  return (
    <>
      {left.length > 0 && (
        <Box>
          Left for a session of {left.length === 1 ? 'its' : 'their'} own: <strong>{left.join(', ')}</strong>
        </Box>
      )}
      {script.operations.filter(comesLater).map(({ id, instruction, wait }) => {
        const begun = begunAtMs.get(id);
        const dueMs = begun === undefined ? null : begun + (wait?.min ?? 0) * MS_PER_MIN;
        return (
          <Box key={id} sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
            <Box sx={{ flex: 1, minWidth: 260 }}>
              {says(instruction, f)}:{' '}
              <strong>{done.has(id) ? 'done' : dueMs === null ? '' : dueWords(dueMs, nowMs)}</strong>
              <Box sx={{ fontSize: '1.125rem', color: 'text.secondary' }}>{detailWords(instruction, f)}</Box>
            </Box>
            {!done.has(id) && (
              <Button
                variant="outlined"
                onClick={() => dispatch(noteEvent(run.id, { kind: 'done', operation: id }))}
                sx={big}
              >
                Done
              </Button>
            )}
          </Box>
        );
      })}
    </>
  );
}

/** A pair of offcuts that was glued along, noted while one still knows. */
function CouponLine({ run }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  return readAfterwards(run).coupon === null ? (
    <Button
      onClick={() =>
        dispatch(noteEvent(run.id, { kind: 'note', payload: { coupon: { woodFailurePct: null } } }))
      }
      sx={{ ...big, justifySelf: 'start' }}
    >
      A proof coupon was glued with it
    </Button>
  ) : (
    <Box>Proof coupon: break it tomorrow and write down how much is torn wood.</Box>
  );
}

/** Why it is not as promised. */
const laterWords = (laterMin: number): string =>
  laterMin === Infinity
    ? 'In the air as it is it does not set: leave the clamps on and warm it.'
    : `The air has been colder than planned: ${formatWait(laterMin)} later than promised.`;

const dueWords = (dueMs: number, nowMs: number): string =>
  dueMs <= nowMs ? 'now' : `${instantWords(dueMs, nowMs)}, in ${formatWait((dueMs - nowMs) / MS_PER_MIN)}`;

/** When clamps may come off and the wood be worked; taken off early it is asked once more and logged. */
function Release({ run, nowMs }: { readonly run: RunDocument; readonly nowMs: number }) {
  const dispatch = useAppDispatch();
  const [early, setEarly] = useState(false);
  const { clampsOffAtMs, machinedAtMs } = readRun(run);
  // By promise and air, whenever they really came off.
  const { clampsOffMs, machineMs, laterMin } = useReleaseNow(summaryOf(run), nowMs);
  const tooEarly = clampsOffMs !== null && nowMs < clampsOffMs;
  const off = () => {
    dispatch(noteEvent(run.id, { kind: 'clamps-off' }));
    setEarly(false);
  };
  return (
    <>
      {laterMin > 0 && clampsOffAtMs === null && <Box role="status">{laterWords(laterMin)}</Box>}
      {clampsOffMs !== null && clampsOffMs < Infinity && clampsOffAtMs === null && (
        <Box>
          Clamps off: <strong>{instantWords(clampsOffMs, nowMs)}</strong>
          {tooEarly && `, in ${formatWait((clampsOffMs - nowMs) / MS_PER_MIN)}`}
        </Box>
      )}
      {clampsOffAtMs !== null && (
        <Box>
          Clamps came off {instantWords(clampsOffAtMs, nowMs)}
          {clampsOffMs !== null && clampsOffAtMs < clampsOffMs ? ', early' : ''}.
        </Box>
      )}
      {machineMs !== null && machineMs < Infinity && machinedAtMs === null && (
        <Box>
          May meet a plane: <strong>{instantWords(machineMs, nowMs)}</strong>
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        {clampsOffAtMs === null && !early && (
          <Button variant="outlined" onClick={() => (tooEarly ? setEarly(true) : off())} sx={big}>
            Clamps are off
          </Button>
        )}
        {early && clampsOffMs !== null && (
          <>
            <Box role="alert">
              {clampsOffMs === Infinity ? 'Much' : formatWait((clampsOffMs - nowMs) / MS_PER_MIN)} too early:
              the joint has not its handling strength yet. Take them off all the same?
            </Box>
            <Button variant="outlined" color="error" onClick={off} sx={big}>
              They are off
            </Button>
            <Button onClick={() => setEarly(false)} sx={big}>
              Leave them on
            </Button>
          </>
        )}
        {clampsOffAtMs !== null && machinedAtMs === null && (
          <Button
            variant="outlined"
            onClick={() => dispatch(noteEvent(run.id, { kind: 'machined' }))}
            sx={big}
          >
            Planed or sawn
          </Button>
        )}
      </Box>
    </>
  );
}
