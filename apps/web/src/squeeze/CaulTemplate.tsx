import type { RowPlan } from '@lean-clasp/core/plan';
import { useTheme } from '@mui/material/styles';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useFormat } from '../quantities/use-format';
import { FullSize } from './FullSize';

/** The crowned edge of a caul at full size, with what to plane away at each station. */
export function CaulTemplate({ row }: { readonly row: RowPlan }) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const { cauls, panel } = row;
  if (cauls === null) return <Typography>No pair of cauls is planned for this panel.</Typography>;
  const { crown, caul } = cauls;
  const top = 12;
  const base = top + crown.crownMm + 2;
  const curve = crown.profile.map(({ xMm, yMm }) => `${xMm} ${base - yMm}`).join('L');
  return (
    <>
      <Typography sx={{ mb: 2 }}>
        For {caul.widthMm === caul.depthMm ? 'any face' : 'the narrow face'} of a caul{' '}
        {f.sizes([caul.widthMm, caul.depthMm])}: the middle of the panel lies on the middle of the caul. Crown{' '}
        {f.fine(crown.crownMm)}. It is the curve that the caul bends by, not part of a circle. Guards on, push
        sticks, and planes sharp; your machine’s own instructions go first.
      </Typography>
      <FullSize lengthMm={panel.widthMm} heightMm={base + 14} label="Crown of a caul">
        <path d={`M${curve}`} fill="none" stroke={tokens.ink} strokeWidth={0.3} />
        <line x1={0} x2={panel.widthMm} y1={base} y2={base} stroke={tokens.soft} strokeWidth={0.2} />
        {crown.profile
          .filter((_, i) => i % 2 === 0)
          .map(({ xMm, yMm }) => (
            <g key={xMm} stroke={tokens.soft} strokeWidth={0.2}>
              <line x1={xMm} x2={xMm} y1={base - yMm} y2={base + 3} />
              <text
                x={Math.min(panel.widthMm - 8, Math.max(8, xMm))}
                y={base + 8}
                fontSize={4}
                textAnchor="middle"
                stroke="none"
                fill={tokens.ink}
              >
                {f.length(xMm)}
              </text>
            </g>
          ))}
      </FullSize>
      <Table size="small" sx={{ maxWidth: 420 }} aria-label="What to plane away">
        <TableHead>
          <TableRow>
            <TableCell align="right">from the end</TableCell>
            <TableCell align="right">height of the crown</TableCell>
            <TableCell align="right">plane away</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {crown.profile
            .filter((_, i) => i % 2 === 0 && i <= crown.profile.length / 2)
            .map(({ xMm, yMm }) => (
              <TableRow key={xMm}>
                <TableCell align="right">{f.length(xMm)}</TableCell>
                <TableCell align="right">{f.fine(yMm)}</TableCell>
                <TableCell align="right">{f.fine(crown.crownMm - yMm)}</TableCell>
              </TableRow>
            ))}
        </TableBody>
      </Table>
    </>
  );
}
