import type { RunSummary } from '@lean-clasp/core/runs';
import { formatClock } from '@lean-clasp/core/units';
import { useTheme } from '@mui/material/styles';
import dayjs from 'dayjs';
import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { ChartBox } from '../parts/ChartBox';
import { handsOnMinutes } from './run-figures';

/** Hands-on minutes of the newest finished glue-ups, planned beside taken, oldest first. */
export function PaceChart({ runs }: { readonly runs: readonly RunSummary[] }) {
  const { tokens } = useTheme().palette;
  const bars = runs
    .filter((run) => handsOnMinutes(run) !== null)
    .slice(0, SHOWN)
    .reverse()
    .map((run) => ({
      when: dayjs(run.startedAtMs).format('D MMM'),
      planned: run.promise.handsOnMin,
      taken: handsOnMinutes(run),
      gave: run.promise.windowMin,
    }));
  if (bars.length === 0) return null;
  return (
    <ChartBox height={260} maxWidth={760} label={barsInWords(bars)}>
      <ResponsiveContainer width="100%" height="100%">
        <BarChart data={bars} margin={{ left: 4, right: 8, top: 8 }}>
          <CartesianGrid stroke={tokens.rule} vertical={false} />
          <XAxis dataKey="when" stroke={tokens.ink} fontSize={14} />
          <YAxis
            stroke={tokens.ink}
            fontSize={14}
            width={64}
            label={{ value: 'minutes', angle: -90, position: 'insideLeft', fill: tokens.soft }}
          />
          <Tooltip
            formatter={(value) => formatClock(Number(value))}
            contentStyle={{ background: tokens.sheet, border: `1px solid ${tokens.rule}`, color: tokens.ink }}
          />
          <Legend formatter={(name) => <span style={{ color: tokens.ink }}>{String(name)}</span>} />
          <Bar dataKey="planned" name="planned" fill={tokens.action} isAnimationActive={false} />
          <Bar dataKey="taken" name="taken" fill={tokens.glue} isAnimationActive={false} />
          <Bar dataKey="gave" name="the glue gave" fill={tokens.soft} isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </ChartBox>
  );
}

/** Most glue-ups on the chart. */
const SHOWN = 12;

function barsInWords(bars: readonly { when: string; planned: number; taken: number | null }[]): string {
  return `Hands-on time: ${bars
    .map(
      ({ when, planned, taken }) =>
        `${when} planned ${formatClock(planned)}, took ${formatClock(taken ?? 0)}`,
    )
    .join('; ')}`;
}
