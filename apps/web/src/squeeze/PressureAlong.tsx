import type { Plan, PlannedLine } from '@lean-clasp/core';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
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
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { useFormat } from '../quantities/use-format';

/** Pressure along every line: the chosen line, or else the weakest, drawn over the others. */
export function PressureAlong({ plan }: { readonly plan: Plan }) {
  const { selected, select } = useSelection();
  const f = useFormat();
  const { lines, pressed, clampSet } = plan;
  if (clampSet.clamps.length === 0) return null;
  const shareOf = ({ pressure, target }: PlannedLine) => pressure.minMPa / target.lowMPa;
  const weakest = lines.reduce(
    (least, line, i) => (shareOf(line) < shareOf(lines[least] ?? line) ? i : least),
    0,
  );
  const chosen = selected?.kind === 'line' ? Number(selected.id) : weakest;
  const target = lines[chosen]?.target;
  return (
    <Section title="Pressure along the lines">
      <Curves plan={plan} chosen={chosen} />
      <Table size="small" aria-label="Pressure along the lines">
        <TableHead>
          <TableRow>
            <TableCell>line</TableCell>
            <TableCell align="right">lowest</TableCell>
            <TableCell align="right">at</TableCell>
            <TableCell align="right">highest</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map(({ line, pressure }, i) => {
            const openMm = Math.max(0, ...(pressed?.lines[i]?.openMm ?? []));
            return (
              <TableRow
                key={i}
                hover
                selected={isSelected(selected, 'line', String(i))}
                onClick={() => select({ kind: 'line', id: String(i) })}
              >
                <TableCell component="th" scope="row">
                  {line.label}
                  {openMm > 0 && `, open ${f.fine(openMm)}`}
                </TableCell>
                <TableCell align="right">{f.pressure(pressure.minMPa)}</TableCell>
                <TableCell align="right">{f.length(pressure.minAtMm)}</TableCell>
                <TableCell align="right">{f.pressure(pressure.maxMPa)}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary" role="status" sx={{ mt: 1 }}>
        {pressed === null
          ? 'Quick estimate; the elements follow'
          : `Finite elements with contact (${pressed.unknowns.toLocaleString('en-GB')} unknowns)`}
        {target !== undefined && `; wanted ${f.pressure(target.lowMPa)} to ${f.pressure(target.highMPa)}`}.
        {pressed !== null &&
          pressed.leftOut.length > 0 &&
          ` Clamp ${pressed.leftOut.join(', ')} presses nothing here.`}
      </Typography>
    </Section>
  );
}

/** One curve to a line over the length, the band that the glue wants behind them, clamps as dashes. */
function Curves({ plan, chosen }: { readonly plan: Plan; readonly chosen: number }) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const { lengthMm } = plan.panel;
  const { lines } = plan;
  const target = lines[chosen]?.target;
  const count = lines[0]?.pressure.pressureMPa.length ?? 0;
  const points = Array.from({ length: count }, (_, s) => ({
    xMm: (lengthMm * s) / (count - 1),
    ...Object.fromEntries(lines.map((line, i) => [`l${i}`, line.pressure.pressureMPa[s] ?? 0])),
  }));
  const own = lines[chosen]?.pressure;
  const label = lines[chosen]?.line.label ?? '';
  const most = Math.max(target?.lowMPa ?? 0, ...lines.map(({ pressure }) => pressure.maxMPa)) * 1.1;
  return (
    <Box
      role="img"
      aria-label={`Line ${label}: ${f.pressure(own?.minMPa ?? 0)} to ${f.pressure(own?.maxMPa ?? 0)} along ${f.length(lengthMm)}`}
      sx={{ height: 220, minWidth: 0, overflow: 'hidden' }}
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ left: 0, right: 12, top: 8 }}>
          <CartesianGrid stroke={tokens.rule} vertical={false} />
          <XAxis
            dataKey="xMm"
            type="number"
            domain={[0, lengthMm]}
            stroke={tokens.ink}
            fontSize={14}
            tickFormatter={(x: number) => f.length(x)}
          />
          <YAxis
            stroke={tokens.ink}
            fontSize={14}
            width={56}
            domain={[0, most]}
            tickFormatter={(y: number) => f.pressureNumber(y)}
          />
          {target !== undefined && (
            <ReferenceArea
              y1={target.lowMPa}
              y2={Math.min(most, target.highMPa)}
              fill={tokens.actionTint}
              stroke={tokens.action}
              strokeDasharray="2 3"
              ifOverflow="hidden"
            />
          )}
          {plan.clampSet.clamps.map(({ placed, number }) => (
            <ReferenceLine key={number} x={placed.xMm} stroke={tokens.soft} strokeDasharray="4 4" />
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
    </Box>
  );
}
