import type { Retraced, RetracedFuse, RetracedStep } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import type { Tokens } from '../app/tokens';
import { handWords } from '../bench/hands';
import { useSize } from '../drawing/use-size';
import { useFormat } from '../quantities/use-format';
import { markWords } from './record/WhatHappened';

const NAME_PX = 150;
/** Longer names of joints are cut. */
const MOST_LETTERS = 20;
/** Room behind a fuse for what was left of it. */
const SPARE_PX = 64;
const USUAL_PX = 1000;
const BAR_PX = 12;
const HAND_PX = 44;
const FUSE_PX = 30;
const AXIS_PX = 26;
/** Room that a figure on the axis takes. */
const TICK_PX = 60;
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
  const x = (min: number) => NAME_PX + (min / until) * (width - NAME_PX - SPARE_PX);
  const shown = fuses.slice(0, MOST_FUSES);
  const fusesY = AXIS_PX + hands * HAND_PX + (marks.length > 0 ? 26 : 8);
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
        <Axis until={until} most={Math.floor(width / TICK_PX)} x={x} height={height} tokens={tokens} />
        {Array.from({ length: hands }, (_, hand) => (
          <g key={hand}>
            <text x={0} y={AXIS_PX + hand * HAND_PX + 20} fill={tokens.ink}>
              {hands === 1 ? 'steps' : handWords([hand])}
            </text>
            {steps
              .filter((step) => step.hands.includes(hand))
              .map((step) => (
                <Step
                  key={step.id}
                  step={step}
                  x={x}
                  y={AXIS_PX + hand * HAND_PX + 4}
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
              d={`M ${x(atMin)} ${AXIS_PX + hands * HAND_PX + 2} l 6 12 l -12 0 z`}
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

function Axis({
  until,
  most,
  x,
  height,
  tokens,
}: Omit<Placed, 'y'> & { readonly until: number; readonly most: number; readonly height: number }) {
  const step = [1, 2, 5, 10, 20, 30, 60, 120].find((each) => until / each <= most) ?? 240;
  const ticks = Array.from({ length: Math.floor(until / step) + 1 }, (_, i) => i * step);
  return (
    <>
      {ticks.map((min) => (
        <g key={min}>
          <line x1={x(min)} x2={x(min)} y1={AXIS_PX - 6} y2={height} stroke={tokens.rule} />
          <text x={x(min)} y={14} textAnchor="middle" fill={tokens.soft} fontFamily={FIGURE_FACE}>
            {min}
          </text>
        </g>
      ))}
      <text x={0} y={14} fill={tokens.soft}>
        minutes
      </text>
    </>
  );
}

function Step({
  step,
  x,
  y,
  tokens,
  title,
}: Placed & { readonly step: RetracedStep; readonly title: string }) {
  const { planned, worked } = step;
  const wide = ([from, to]: readonly [number, number]) => Math.max(1, x(to) - x(from) - 1);
  return (
    <g>
      <title>
        {`${title}: planned ${formatClock(planned[0])}–${formatClock(planned[1])}`}
        {worked === null ? ', not done' : `, worked ${formatClock(worked[0])}–${formatClock(worked[1])}`}
      </title>
      <rect
        x={x(planned[0])}
        y={y}
        width={wide(planned)}
        height={BAR_PX}
        fill={tokens.barGround}
        stroke={tokens.soft}
        strokeWidth={0.75}
      />
      {worked !== null && (
        <rect x={x(worked[0])} y={y + BAR_PX + 4} width={wide(worked)} height={BAR_PX} fill={tokens.action} />
      )}
    </g>
  );
}

function Fuse({ fuse, x, y, tokens }: Placed & { readonly fuse: RetracedFuse }) {
  const { label, planned, burned, spareMin } = fuse;
  const late = spareMin !== null && spareMin < 0;
  return (
    <g>
      <text x={0} y={y + 15} fill={tokens.ink}>
        {label.length > MOST_LETTERS ? `${label.slice(0, MOST_LETTERS - 1)}…` : label}
      </text>
      <rect
        x={x(planned.litMin)}
        y={y + 2}
        width={Math.max(1, x(planned.outMin) - x(planned.litMin))}
        height={7}
        fill={tokens.barGround}
        stroke={tokens.soft}
        strokeWidth={0.75}
      />
      {burned !== null && (
        <>
          <rect
            x={x(burned.litMin)}
            y={y + 11}
            width={Math.max(1, x(burned.outMin) - x(burned.litMin))}
            height={7}
            fill={late ? tokens.fails : tokens.glue}
          />
          <line
            x1={x(burned.closedMin)}
            x2={x(burned.closedMin)}
            y1={y + 10}
            y2={y + 19}
            stroke={tokens.ink}
          />
          {spareMin !== null && (
            <text
              x={x(burned.outMin) + 6}
              y={y + 18}
              fill={late ? tokens.fails : tokens.ink}
              fontFamily={FIGURE_FACE}
            >
              {formatClock(spareMin)}
            </text>
          )}
        </>
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
