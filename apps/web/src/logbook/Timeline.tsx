import type { Retraced, RetracedFuse, RetracedStep } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { Tokens } from '../app/tokens';
import { useSize } from '../drawing/use-size';
import { useFormat } from '../quantities/use-format';
import { FuseBar, Planned } from '../timeline/FuseBar';
import { handWords } from '../timeline/hands';
import { Minutes } from '../timeline/Minutes';
import { moveFill } from '../timeline/moves';
import { markWords } from './record/WhatHappened';

const LEFT_PX = 62;
/** Room behind a fuse for what was left of it. */
const RIGHT_PX = 64;
const USUAL_PX = 1000;
const BAR_PX = 14;
/** Of a pair of hands: what was planned, and what was worked under it. */
const PLANNED_PX = 8;
const HAND_PX = 38;
/** A fuse with its name above it. */
const FUSE_PX = 44;
const NAME_PX = 17;
const TOP_PX = 26;
/** Names of steps and joints beyond this do not fit. */
const MOST_FUSES = 40;

/**
 * A run on one time axis: for each pair of hands what was planned above what was worked, each fuse as planned and as it burned, and
 * what happened beside.
 */
export function Timeline({
  retraced,
  untilMin,
}: {
  readonly retraced: Retraced;
  readonly untilMin?: number;
}) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const [ref, { width }] = useSize({ width: USUAL_PX, height: 200 });
  const { steps, fuses, marks, hands } = retraced;
  const until = untilMin ?? retraced.untilMin;
  const x = (min: number) => LEFT_PX + (min / until) * (width - LEFT_PX - RIGHT_PX);
  const shown = fuses.slice(0, MOST_FUSES);
  const fusesY = TOP_PX + hands * HAND_PX + (marks.length > 0 ? 26 : 8);
  const height = fusesY + shown.length * FUSE_PX + 8;
  return (
    <Box ref={ref} sx={{ maxWidth: USUAL_PX, minWidth: 0 }}>
      <Box
        component="svg"
        width={width}
        height={height}
        role="img"
        aria-label={inWords(retraced)}
        sx={{ display: 'block', fontSize: 14 }}
      >
        <Minutes spanMin={until} x={x} top={TOP_PX} height={height} tokens={tokens} />
        {Array.from({ length: hands }, (_, hand) => (
          <g key={hand}>
            <text x={0} y={TOP_PX + hand * HAND_PX + 20} fill={tokens.ink}>
              {handWords([hand])}
            </text>
            {steps
              .filter((step) => step.hands.includes(hand))
              .map((step) => (
                <Step
                  key={step.id}
                  step={step}
                  x={x}
                  y={TOP_PX + hand * HAND_PX + 4}
                  tokens={tokens}
                  title={says(step.instruction, f)}
                />
              ))}
          </g>
        ))}
        {marks.map(({ id, atMin, event }) => (
          <g key={id}>
            <title>{`${formatClock(atMin)} ${markWords(event)}`}</title>
            <path
              d={`M ${x(atMin)} ${TOP_PX + hands * HAND_PX + 2} l 6 12 l -12 0 z`}
              fill={event.kind === 'mishap' ? tokens.fails : tokens.soft}
            />
          </g>
        ))}
        {shown.map((fuse, i) => (
          <Fuse key={fuse.joint} fuse={fuse} x={x} y={fusesY + i * FUSE_PX} tokens={tokens} />
        ))}
      </Box>
    </Box>
  );
}

interface Placed {
  readonly x: (min: number) => number;
  readonly y: number;
  readonly tokens: Tokens;
}

function Step({
  step,
  x,
  y,
  tokens,
  title,
}: Placed & { readonly step: RetracedStep; readonly title: string }) {
  const { kind, planned, worked } = step;
  return (
    <g>
      <title>
        {`${title}: planned ${formatClock(planned[0])}–${formatClock(planned[1])}`}
        {worked === null ? ', not done' : `, worked ${formatClock(worked[0])}–${formatClock(worked[1])}`}
      </title>
      <Planned from={x(planned[0])} to={x(planned[1]) - 1} y={y} height={PLANNED_PX} tokens={tokens} />
      {worked !== null && (
        <rect
          x={x(worked[0])}
          y={y + PLANNED_PX + 2}
          width={Math.max(1, x(worked[1]) - x(worked[0]) - 1)}
          height={BAR_PX}
          fill={tokens[moveFill(kind)]}
        />
      )}
    </g>
  );
}

function Fuse({ fuse, x, y, tokens }: Placed & { readonly fuse: RetracedFuse }) {
  const { label, planned, burned, spareMin } = fuse;
  const whenPlanned = { from: x(planned.litMin), to: x(planned.outMin) };
  const barY = y + NAME_PX + 9;
  return (
    <g>
      <text x={0} y={y + 12} fill={tokens.ink}>
        {label}
      </text>
      {burned === null || spareMin === null ? (
        <Planned {...whenPlanned} y={barY} height={PLANNED_PX} tokens={tokens} />
      ) : (
        <FuseBar
          from={x(burned.litMin)}
          closed={x(burned.closedMin)}
          to={x(burned.outMin)}
          limit={x(burned.limitMin)}
          spareMin={spareMin}
          late={spareMin < 0}
          planned={whenPlanned}
          y={barY}
          tokens={tokens}
        />
      )}
    </g>
  );
}

function inWords({ steps, fuses }: Retraced): string {
  const worked = steps.filter((step) => step.worked !== null);
  const last = (of: (step: RetracedStep) => number) => Math.max(0, ...steps.map(of));
  const late = fuses.filter(({ spareMin }) => spareMin !== null && spareMin < 0).map(({ label }) => label);
  return [
    `Planned and worked: ${worked.length} of ${steps.length} steps done`,
    `planned ${formatClock(last(({ planned }) => planned[1]))}, took ${formatClock(last(({ worked: own }) => own?.[1] ?? 0))}`,
    late.length === 0 ? 'no joint was late' : `late: ${late.join(', ')}`,
  ].join('; ');
}
