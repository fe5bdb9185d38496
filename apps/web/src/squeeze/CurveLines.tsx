import { useTheme } from '@mui/material/styles';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { useFormat } from '../quantities/use-format';
import type { CurvesProps } from './curves';

/** The chart of {@link PressureCurves}, without its words. */
export function CurveLines({ lengthMm, lines, chosen, wanted, clampsMm }: CurvesProps) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const count = lines[0]?.pressureMPa.length ?? 0;
  const points = Array.from({ length: count }, (_, s) => ({
    xMm: (lengthMm * s) / (count - 1),
    ...Object.fromEntries(lines.map(({ pressureMPa }, i) => [`l${i}`, pressureMPa[s] ?? 0])),
  }));
  const most = Math.max(wanted?.lowMPa ?? 0, ...lines.map(({ maxMPa }) => maxMPa)) * 1.1;
  return (
    <ResponsiveContainer width="100%" height="100%">
      <LineChart data={points} margin={{ left: 0, right: 12, top: 8 }}>
        <CartesianGrid stroke={tokens.rule} vertical={false} />
        <XAxis
          dataKey="xMm"
          type="number"
          domain={[0, lengthMm]}
          stroke={tokens.ink}
          fontSize={14}
          tickFormatter={(x: number) => f.about(x)}
        />
        <YAxis
          stroke={tokens.ink}
          fontSize={14}
          width={56}
          domain={[0, most]}
          tickFormatter={(y: number) => f.pressureNumber(y)}
        />
        {wanted !== undefined && (
          <ReferenceArea
            y1={wanted.lowMPa}
            y2={Math.min(most, wanted.highMPa)}
            fill={tokens.actionTint}
            stroke={tokens.action}
            strokeDasharray="2 3"
            ifOverflow="hidden"
          />
        )}
        {clampsMm.map((xMm, i) => (
          <ReferenceLine key={i} x={xMm} stroke={tokens.soft} strokeDasharray="4 4" />
        ))}
        {lines.map((_, i) => (
          <Line
            key={i}
            dataKey={`l${i}`}
            stroke={i === chosen ? tokens.ink : tokens.soft}
            strokeWidth={i === chosen ? 2.5 : 1}
            dot={false}
            isAnimationActive={false}
          />
        ))}
      </LineChart>
    </ResponsiveContainer>
  );
}
