import { leastBy } from '@lean-clasp/core/basics';
import type { PlannedLine, RowPlan } from '@lean-clasp/core/plan';
import { formatCount } from '@lean-clasp/core/units';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { useFormat } from '../quantities/use-format';
import { PressureCurves } from './PressureCurves';

/** Pressure along every line: the chosen line, or else the weakest, drawn over the others. */
export function PressureAlong({ row }: { readonly row: RowPlan }) {
  const { selected, select } = useSelection();
  const f = useFormat();
  const { lines, pressed, clampSet, panel } = row;
  if (clampSet.clamps.length === 0) return null;
  const shareOf = ({ pressure, target }: PlannedLine) => pressure.minMPa / target.lowMPa;
  const weakest = lines.indexOf(leastBy(lines, shareOf));
  const at = lines.findIndex(({ line }) => isSelected(selected, 'joint', line.id));
  const chosen = at < 0 ? weakest : at;
  const target = lines[chosen]?.target;
  return (
    <Section title="Pressure along the lines">
      <PressureCurves
        lengthMm={panel.lengthMm}
        lines={lines.map(({ line, pressure }) => ({ label: line.label, ...pressure }))}
        chosen={chosen}
        wanted={target}
        clampsMm={clampSet.clamps.map(({ placed }) => placed.xMm)}
      />
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
                key={line.id}
                hover
                selected={isSelected(selected, 'joint', line.id)}
                onClick={() => select({ kind: 'joint', id: line.id })}
              >
                <TableCell component="th" scope="row">
                  {line.label}
                  {openMm > 0 && `, open ${f.fine(openMm)}`}
                </TableCell>
                <TableCell align="right">{f.pressure(pressure.minMPa)}</TableCell>
                <TableCell align="right">{f.about(pressure.minAtMm)}</TableCell>
                <TableCell align="right">{f.pressure(pressure.maxMPa)}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary" role="status" sx={{ mt: 1 }}>
        {pressed === null
          ? 'Quick estimate; the elements follow'
          : `Finite elements with contact (${formatCount(pressed.unknowns)} unknowns)`}
        {target !== undefined && `; wanted ${f.pressure(target.lowMPa)} to ${f.pressure(target.highMPa)}`}.
        {pressed !== null &&
          pressed.leftOut.length > 0 &&
          ` Clamp ${pressed.leftOut.join(', ')} presses nothing here.`}
      </Typography>
    </Section>
  );
}
