import type { AirSample, AirSeries } from '@lean-clasp/core/air';
import { inBalancePct } from '@lean-clasp/core/materials';
import { useTheme } from '@mui/material/styles';
import dayjs from 'dayjs';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { ChartBox } from '../parts/ChartBox';
import { useFormat } from '../quantities/use-format';

/** The air of the last two weeks as the sensor read it, and what it would bring wood to. */
export function AirChart({ samples }: Pick<AirSeries, 'samples'>) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const points = samples.map(({ takenAtMs, tempC, rhPct }) => ({
    takenAtMs,
    tempC,
    rhPct,
    mcPct: inBalancePct({ tempC, rhPct }),
  }));
  const shown = (value: unknown, name: unknown): [string, string] => [
    name === TEMPERATURE ? f.temperature(Number(value)) : `${Number(value).toFixed(1)} %`,
    String(name),
  ];
  return (
    <ChartBox height={240} label={inWords(samples, f.temperature)}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ left: 0, right: 4, top: 8 }}>
          <CartesianGrid stroke={tokens.rule} vertical={false} />
          <XAxis
            dataKey="takenAtMs"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={(atMs) => dayjs(Number(atMs)).format('D MMM')}
            stroke={tokens.ink}
            fontSize={14}
          />
          <YAxis yAxisId="air" stroke={tokens.ink} fontSize={14} width={40} unit=" %" domain={[0, 100]} />
          <YAxis
            yAxisId="temp"
            orientation="right"
            stroke={tokens.ink}
            fontSize={14}
            width={64}
            tickFormatter={(tempC) => f.temperature(Number(tempC))}
          />
          <Tooltip
            labelFormatter={(atMs) => dayjs(Number(atMs)).format('dddd D MMM, H:mm')}
            formatter={shown}
            contentStyle={{ background: tokens.sheet, border: `1px solid ${tokens.rule}`, color: tokens.ink }}
          />
          <Legend formatter={(name) => <span style={{ color: tokens.ink }}>{String(name)}</span>} />
          {LINES.map(({ of, name, axis, colour }) => (
            <Line
              key={of}
              yAxisId={axis}
              dataKey={of}
              name={name}
              stroke={tokens[colour]}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </ChartBox>
  );
}

const TEMPERATURE = 'temperature';
const LINES = [
  { of: 'rhPct', name: 'humidity', axis: 'air', colour: 'action' },
  { of: 'tempC', name: TEMPERATURE, axis: 'temp', colour: 'soft' },
  { of: 'mcPct', name: 'wood left in it would settle at', axis: 'air', colour: 'glue' },
] as const;

function inWords(samples: readonly AirSample[], temperature: (tempC: number) => string): string {
  const temps = samples.map(({ tempC }) => tempC);
  const damps = samples.map(({ rhPct }) => rhPct);
  return `Air of the last two weeks: ${temperature(Math.min(...temps))} to ${temperature(Math.max(...temps))}, ${Math.round(Math.min(...damps))} to ${Math.round(Math.max(...damps))} % humidity`;
}
