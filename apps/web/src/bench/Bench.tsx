import {
  asked,
  readFuse,
  type ScriptOperation,
  shortestFuse,
  stepsOfSession,
  waitsUntilMs,
} from '@lean-clasp/core/bench';
import type { RunDocument } from '@lean-clasp/core/formats';
import { lessonSteps } from '@lean-clasp/core/lessons';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { preferred } from '../app/preferences';
import { useAppDispatch, useAppSelector } from '../app/store';
import { LessonLine } from '../lessons/LessonLine';
import { useNow } from '../parts/use-now';
import { useFormat } from '../quantities/use-format';
import type { BenchKit } from './bench-kit';
import { BenchButtons } from './BenchButtons';
import { BenchDrawing } from './BenchDrawing';
import { BurningList } from './BurningList';
import { conducts, takenOver } from './conductor';
import { ConductorNotice } from './ConductorNotice';
import { ClockNotice } from './ClockNotice';
import { HandOver, nextHandOver } from './HandOver';
import { Instruction } from './Instruction';
import { LaneChoice, useLane } from './LaneChoice';
import { Readings } from './Readings';
import { runClock } from './run-clock';
import { noteEvent, type Noted } from './run-sync';
import { ShortestFuse } from './ShortestFuse';
import { Trouble } from './Trouble';
import { awakeWords, useAwake } from './use-awake';
import { useClockWatch } from './use-clock-watch';
import { useCues, useSpoken, useWaitCue } from './use-cues';
import { useStanding } from './use-moment';
import { useOneStep } from './use-one-step';
import { WhatNow } from './WhatNow';

const MS_PER_MIN = 60_000;
const TICK_MS = 250;
/** Steps told ahead. */
const AHEAD = 2;

/** The running clock: one instruction, the shortest fuse large, the next two steps small. */
export function Bench({ run, kit }: { readonly run: RunDocument; readonly kit: BenchKit }) {
  const dispatch = useAppDispatch();
  const f = useFormat();
  const now = useNow(true, TICK_MS, runClock.now);
  const clockChange = useClockWatch(run.id);
  const oneStep = useOneStep();
  const [trouble, setTrouble] = useState(false);
  const [lane, setLane] = useLane();
  const { sound, speech } = useAppSelector((state) => state.preferences);
  const { script } = kit;
  const { position, moment, outlook, way } = useStanding(run, kit, now);
  const readings = useMemo(
    () => script.fuses.map((fuse) => readFuse(fuse, position, now)),
    [script, position, now],
  );
  const showing = lane === null ? position.showing : (position.lanes[lane] ?? null);
  const untilMs = showing === null ? null : waitsUntilMs(showing, position);
  const waitMin = untilMs === null || untilMs <= now ? null : (untilMs - now) / MS_PER_MIN;
  const lessons = useMemo(
    () => lessonSteps(run.promise.lessons ?? [], stepsOfSession(script)),
    [run, script],
  );
  const lesson = lessons.get(showing?.id ?? '');
  const dark = awakeWords(useAwake());
  const conducting = conducts(run);
  useCues(readings);
  useWaitCue(waitMin !== null);
  useSpoken(showing === null || waitMin !== null ? '' : says(showing.instruction, f));

  const note = (what: Noted) => dispatch(noteEvent(run.id, what));
  const next = (event?: KeyboardEvent) =>
    oneStep(
      'next',
      () => {
        if (showing !== null) goOn(showing, waitMin !== null);
      },
      event,
    );
  const goOn = (operation: ScriptOperation, waiting: boolean) => {
    const hand = operation.hands[0] ?? 0;
    if (waiting) {
      note({ kind: 'wait-over', operation: operation.id, hand });
      return;
    }
    note({ kind: 'done', operation: operation.id, hand });
    if (position.doneCount === position.count - 1) note({ kind: 'finish' });
  };
  const back = (event?: KeyboardEvent) =>
    oneStep(
      'back',
      () => {
        if (position.last !== null) note({ kind: 'back', operation: position.last });
      },
      event,
    );
  // Two devices may each have done the last but one, and neither known that nothing was left.
  const over = position.count > 0 && position.doneCount === position.count;
  useEffect(() => {
    if (over) dispatch(noteEvent(run.id, { kind: 'finish' }));
  }, [over, dispatch, run.id]);
  const sounding = sound || speech;
  const toggleSound = () => dispatch(preferred({ sound: !sounding, speech: !sounding }));
  useHotkeys('space, enter, pagedown, mediaplaypause', next, {
    preventDefault: true,
    enabled: !trouble,
    eventListenerOptions: { capture: true },
  });
  useHotkeys('backspace, pageup', back, { preventDefault: true, enabled: !trouble });
  useHotkeys('m', toggleSound);

  const check = showing === null ? null : asked(showing);
  const grabbed = script.fuses.every(({ lit, totalMin }) => {
    const litMs = position.begunAtMs.get(lit);
    return litMs !== undefined && now > litMs + totalMin * MS_PER_MIN;
  });
  const shown = [showing, ...(lane === null ? position.lanes : [])].flatMap((each) => each?.id ?? []);
  return (
    <Box sx={{ height: '100%', minHeight: { xs: 480, sm: 640 }, display: 'flex', flexDirection: 'column' }}>
      <ClockNotice change={clockChange} />
      <ShortestFuse
        reading={shortestFuse(readings)}
        lateMin={lateness(position.showing, (now - run.startedAtMs) / MS_PER_MIN)}
        spareMin={outlook.spareMin}
        elapsedMin={(now - run.startedAtMs) / MS_PER_MIN}
      />
      {!conducting && <ConductorNotice onTakeOver={() => note(takenOver())} />}
      {dark !== '' && (
        <Box role="note" sx={{ px: 3, pt: 1, color: 'text.secondary', flexShrink: 0 }}>
          {dark}
        </Box>
      )}
      {way !== null && <WhatNow way={way} onTake={conducting ? () => way.events.forEach(note) : null} />}
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: { xs: 'block', sm: 'flex' },
          flexDirection: { sm: 'column', md: 'row' },
          // On a telephone what comes later is a swipe away, between the fuse and the buttons.
          overflow: { xs: 'auto', sm: 'visible' },
        }}
      >
        <Box
          sx={{
            flex: 1,
            minWidth: 0,
            minHeight: 0,
            p: { xs: 2, sm: 3 },
            pb: 0,
            display: 'flex',
            flexDirection: 'column',
          }}
        >
          <Box
            sx={{
              display: 'flex',
              alignItems: 'center',
              flexWrap: 'wrap',
              gap: { xs: 1, sm: 2 },
              color: 'text.secondary',
              fontSize: { xs: '1.125rem', sm: '1.375rem' },
            }}
          >
            <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
              {position.doneCount + 1} of {position.count}
            </Box>
            {moment.people > 1 && <LaneChoice lane={lane} people={moment.people} onChoose={setLane} />}
          </Box>
          <Instruction
            showing={showing}
            waitMin={waitMin}
            others={lane === null && moment.people > 1 ? position.lanes : []}
          />
          {lesson !== undefined && <LessonLine lesson={lesson} large />}
          {moment.people > 1 && <HandOver next={nextHandOver(showing, position.upcoming)} />}
          {showing !== null && check !== null && kit.readings !== undefined ? (
            <Readings
              key={showing.id}
              run={run}
              kit={kit}
              check={check}
              operation={showing.id}
              grabbed={grabbed}
              onNote={note}
            />
          ) : (
            showing !== null && <BenchDrawing kit={kit} now={showing} />
          )}
        </Box>
        <BurningList
          readings={readings}
          upcoming={position.upcoming.filter(({ id }) => !shown.includes(id)).slice(0, AHEAD)}
          people={moment.people}
        />
      </Box>
      <BenchButtons
        onBack={() => back()}
        onNext={() => next()}
        onTrouble={() => setTrouble(true)}
        canGoBack={position.last !== null}
        label={
          waitMin !== null
            ? 'Wait is over'
            : position.doneCount === position.count - 1
              ? 'Done – clamped'
              : 'Done – next'
        }
        sounding={sounding}
        onToggleSound={toggleSound}
      />
      <Trouble
        open={trouble}
        moment={moment}
        conducting={conducting}
        onClose={() => setTrouble(false)}
        onNote={note}
      />
    </Box>
  );
}

/** Minutes behind the plan: past the end of what is on show; negative while its time has not even come. */
function lateness(showing: ScriptOperation | null, elapsedMin: number): number {
  if (showing === null) return 0;
  if (elapsedMin > showing.endMin) return elapsedMin - showing.endMin;
  return Math.min(0, elapsedMin - showing.startMin);
}
