import { inSentence } from '@lean-clasp/words';
import { adhesiveWindow, strengthAt, strengthCurve } from '@lean-clasp/core/adhesives';
import type { GlueJob } from '@lean-clasp/core/choice';
import type { GlueOption } from '@lean-clasp/core/plan';
import { formatWait } from '@lean-clasp/core/units';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { Section } from '../frame/Page';
import { ChartBox } from '../parts/ChartBox';
import { OpenTimeMap } from './OpenTimeMap';

/** Points on the curve. */
const STEPS = 60;

/** How the chosen glue gains strength today, and how its open time would be in other air. */
export function GlueCharts({ option, job }: { readonly option: GlueOption; readonly job: GlueJob }) {
  if (option.window.refused) return null;
  return (
    <>
      <Section title={`Strength over time, ${inSentence(option.adhesive.name)}`}>
        <StrengthChart option={option} />
      </Section>
      <Section title="Open time in other air">
        <OpenTimeMap
          job={job}
          openMin={(tempC, rhPct) =>
            adhesiveWindow(option.adhesive, {
              tempC,
              rhPct,
              faces: job.faces,
              traits: job.traits,
              mcPct: job.mcPct,
              sg: job.sg,
            }).openMin?.low ?? null
          }
        />
      </Section>
    </>
  );
}

function StrengthChart({ option: { adhesive, window } }: { readonly option: GlueOption }) {
  const { tokens } = useTheme().palette;
  const { clampMin, machineMin, fullCureMin } = window;
  const points = useMemo(() => {
    const curve = strengthCurve(adhesive, { clampMin, fullCureMin });
    const [from, to] = [Math.log((clampMin?.low ?? 1) / 6), Math.log((fullCureMin ?? 1) * 1.2)];
    return Array.from({ length: STEPS + 1 }, (_, i) => {
      const minutes = Math.exp(from + ((to - from) * i) / STEPS);
      const { low, likely, high } = strengthAt(curve, minutes);
      return { minutes, likely: 100 * likely, range: [100 * low, 100 * high] as [number, number] };
    });
  }, [adhesive, clampMin, fullCureMin]);
  const marks = [
    { at: clampMin?.high ?? null, name: 'clamps off' },
    { at: machineMin, name: 'machine' },
    { at: fullCureMin, name: 'full' },
  ];
  return (
    <>
      <ChartBox
        height={220}
        label={`About half its strength when clamps come off after ${formatWait(clampMin?.high ?? 0)}, machined after ${formatWait(machineMin ?? 0)}, full after ${formatWait(fullCureMin ?? 0)}`}
      >
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={points} margin={{ left: 0, right: 12, top: 22, bottom: 4 }}>
            <CartesianGrid stroke={tokens.rule} />
            <XAxis
              dataKey="minutes"
              type="number"
              scale="log"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(value) => formatWait(Number(value))}
              stroke={tokens.ink}
              fontSize={14}
            />
            <YAxis stroke={tokens.ink} fontSize={14} width={52} unit=" %" domain={[0, 100]} />
            <Tooltip
              labelFormatter={(value) => `after ${formatWait(Number(value))}`}
              formatter={(value) =>
                Array.isArray(value)
                  ? `${Number(value[0]).toFixed(0)} to ${Number(value[1]).toFixed(0)} %`
                  : `${Number(value).toFixed(0)} %`
              }
              contentStyle={{
                background: tokens.sheet,
                border: `1px solid ${tokens.rule}`,
                color: tokens.ink,
              }}
            />
            <Area
              dataKey="range"
              name="range"
              stroke="none"
              fill={tokens.glue}
              fillOpacity={0.25}
              isAnimationActive={false}
            />
            <Line
              dataKey="likely"
              name="likely"
              stroke={tokens.glueText}
              strokeWidth={2.5}
              dot={false}
              isAnimationActive={false}
            />
            {marks.flatMap(({ at, name }) =>
              at === null
                ? []
                : [
                    <ReferenceLine
                      key={name}
                      x={at}
                      stroke={tokens.action}
                      strokeDasharray="5 3"
                      label={{ value: name, position: 'top', fill: tokens.ink, fontSize: 14 }}
                    />,
                  ],
            )}
          </ComposedChart>
        </ResponsiveContainer>
      </ChartBox>
      <Typography variant="body2" color="text.secondary">
        Estimated [judgement]: half when clamps may come off, nearly all at full cure, at today’s air.
      </Typography>
    </>
  );
}
