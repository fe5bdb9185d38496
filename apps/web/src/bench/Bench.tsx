import { positionOf, readFuse, shortestFuse } from '@lean-clasp/core/bench';
import type { RunDocument, RunEvent } from '@lean-clasp/core/formats';
import { detailWords, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { preferred } from '../app/preferences';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useFormat } from '../quantities/use-format';
import type { BenchKit } from './bench-kit';
import { BenchButtons } from './BenchButtons';
import { BenchDrawing } from './BenchDrawing';
import { BurningList } from './BurningList';
import { noteEvent } from './run-sync';
import { ShortestFuse } from './ShortestFuse';
import { Trouble } from './Trouble';
import { useAwake } from './use-awake';
import { useCues, useSpoken } from './use-cues';
import { useNow } from '../parts/use-now';
import { ClockNotice } from './ClockNotice';
import { runClock } from './run-clock';
import { useClockWatch } from './use-clock-watch';
import { useOneStep } from './use-one-step';

const MS_PER_MIN = 60_000;
const TICK_MS = 250;

/** The running clock: one instruction, the shortest fuse large, the next two steps small. */
export function Bench({ run, kit }: { readonly run: RunDocument; readonly kit: BenchKit }) {
  const dispatch = useAppDispatch();
  const f = useFormat();
  const now = useNow(true, TICK_MS, runClock.now);
  const clockChange = useClockWatch(run.id);
  const oneStep = useOneStep();
  const [trouble, setTrouble] = useState(false);
  const { sound, speech } = useAppSelector((state) => state.preferences);
  const { script } = kit;
  const position = positionOf(script, run.startedAtMs, run.events);
  const readings = useMemo(
    () => script.fuses.map((fuse) => readFuse(fuse, positionOf(script, run.startedAtMs, run.events), now)),
    [script, run.startedAtMs, run.events, now],
  );
  const step = script.steps[Math.min(position.step, script.steps.length - 1)];
  const heading = step === undefined ? '' : says(step.instruction, f);
  useAwake(true);
  useCues(readings);
  useSpoken(heading);

  const note = (kind: RunEvent['kind'], operation?: string) =>
    dispatch(noteEvent(run.id, { kind, ...(operation === undefined ? {} : { operation }) }));
  const next = (event?: KeyboardEvent) =>
    oneStep(
      'next',
      () => {
        if (step === undefined) return;
        note('done', step.operation);
        if (position.step === script.steps.length - 1) note('finish');
      },
      event,
    );
  const back = (event?: KeyboardEvent) =>
    oneStep(
      'back',
      () => {
        const before = script.steps[position.step - 1];
        if (before !== undefined) note('back', before.operation);
      },
      event,
    );
  const sounding = sound || speech;
  const toggleSound = () => dispatch(preferred({ sound: !sounding, speech: !sounding }));
  useHotkeys('space, enter', next, {
    preventDefault: true,
    enabled: !trouble,
    eventListenerOptions: { capture: true },
  });
  useHotkeys('backspace', back, { preventDefault: true, enabled: !trouble });
  useHotkeys('m', toggleSound);

  if (step === undefined) return null;
  const elapsedMin = (now - run.startedAtMs) / MS_PER_MIN;
  return (
    <Box sx={{ height: '100%', minHeight: 640, display: 'flex', flexDirection: 'column' }}>
      <ClockNotice change={clockChange} />
      <ShortestFuse
        reading={shortestFuse(readings)}
        lateMin={elapsedMin - (script.steps[position.step - 1]?.plannedEndMin ?? 0)}
        elapsedMin={elapsedMin}
      />
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', md: 'row' } }}>
        <Box
          sx={{ flex: 1, minWidth: 0, minHeight: 0, p: 3, pb: 0, display: 'flex', flexDirection: 'column' }}
        >
          <Box sx={{ color: 'text.secondary', fontSize: '1.375rem' }}>
            {position.step + 1} of {script.steps.length}
          </Box>
          <Box
            component="h1"
            aria-live="assertive"
            sx={{ m: 0, fontSize: { xs: '2.75rem', md: '3.5rem' }, lineHeight: 1.15 }}
          >
            {heading}
          </Box>
          <Box sx={{ fontSize: '1.625rem', mb: 1 }}>{detailWords(step.instruction, f)}</Box>
          <BenchDrawing kit={kit} step={step} />
        </Box>
        <BurningList
          readings={readings}
          upcoming={script.steps.slice(position.step + 1, position.step + 3)}
        />
      </Box>
      <BenchButtons
        onBack={() => back()}
        onNext={() => next()}
        onTrouble={() => setTrouble(true)}
        canGoBack={position.step > 0}
        last={position.step === script.steps.length - 1}
        sounding={sounding}
        onToggleSound={toggleSound}
      />
      <Trouble
        open={trouble}
        readings={readings}
        onClose={() => setTrouble(false)}
        onNote={() => note('mishap')}
        onAbandon={() => note('abandon')}
      />
    </Box>
  );
}
