import { asPlanned, drillMoment, type DrillStart, readFuse, shortestFuse } from '@lean-clasp/core/bench';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { BenchKit } from '../../../../bench/bench-kit';
import { BenchDrawing } from '../../../../bench/BenchDrawing';
import { BurningList } from '../../../../bench/BurningList';
import { handWords } from '../../../../timeline/hands';
import { ShortestFuse } from '../../../../bench/ShortestFuse';
import { useFormat } from '../../../../quantities/use-format';
import { DebriefView } from './DebriefView';
import { MishapView } from './MishapView';
import { useDrill } from './use-drill';

const SPEEDS = [1, 2, 4, 8] as const;
/** Steps told ahead. */
const AHEAD = 2;
const big = { minHeight: 72, fontSize: '1.125rem', px: 3 } as const;

/** A session played through, and what it came to. */
export function Practice({
  kit,
  start,
  onAnother,
  onLeave,
}: {
  readonly kit: BenchKit;
  readonly start: DrillStart;
  readonly onAnother: () => void;
  readonly onLeave: () => void;
}) {
  const [speed, setSpeed] = useState<number>(4);
  const { drill, answer, again } = useDrill(start, speed);
  if (drill.over) {
    return <DebriefView drill={drill} onAgain={again} onAnother={onAnother} onLeave={onLeave} />;
  }
  const moment = drillMoment(drill);
  const { script, position, nowMs } = moment;
  const readings = script.fuses.map((fuse) => readFuse(fuse, position, nowMs));
  const underway = new Set(drill.hands.flatMap((busy) => busy?.operation ?? []));
  const steps = script.operations.filter(({ id }) => underway.has(id));
  const [showing] = steps;
  return (
    <Box sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}>
      <ShortestFuse
        reading={shortestFuse(readings)}
        lateMin={0}
        spareMin={asPlanned(moment).spareMin}
        elapsedMin={drill.atMin}
      />
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', md: 'row' } }}>
        <Box sx={{ flex: 1, minWidth: 0, p: 3, display: 'flex', flexDirection: 'column', overflow: 'auto' }}>
          {drill.pending === null ? (
            <>
              {steps.map((step) => (
                <Works key={step.id} whose={drill.people > 1 ? `${handWords(step.hands)}: ` : ''}>
                  {step}
                </Works>
              ))}
              {steps.length === 0 && <Box sx={{ fontSize: '2rem' }}>A wait</Box>}
              {showing !== undefined && <BenchDrawing kit={kit} now={showing} />}
            </>
          ) : (
            <MishapView pending={drill.pending} atMin={drill.atMin} onAnswer={answer} />
          )}
        </Box>
        <BurningList
          readings={readings}
          upcoming={position.upcoming.filter(({ id }) => !underway.has(id)).slice(0, AHEAD)}
          people={drill.people}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 2, p: 2, borderTop: 2, borderColor: 'divider', alignItems: 'center' }}>
        <ToggleButtonGroup
          exclusive
          value={speed}
          aria-label="How many times as fast"
          onChange={(_, value: number | null) => value !== null && setSpeed(value)}
        >
          {SPEEDS.map((value) => (
            <ToggleButton key={value} value={value} sx={{ ...big, minWidth: 72 }}>
              ×{value}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ flex: 1 }}>
          {position.doneCount} of {position.count} steps
        </Box>
        <Button onClick={onLeave} sx={big}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}

function Works({
  whose,
  children: { instruction },
}: {
  readonly whose: string;
  readonly children: DrillStart['script']['operations'][number];
}) {
  const f = useFormat();
  return (
    <Box sx={{ fontSize: '2.25rem', fontWeight: 700, lineHeight: 1.2, mb: 1 }}>
      <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
        {whose}
      </Box>
      {says(instruction, f)}
    </Box>
  );
}
