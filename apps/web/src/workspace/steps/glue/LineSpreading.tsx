import type { Plan, RowPlan } from '@lean-clasp/core/plan';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import { formatClock } from '@lean-clasp/core/units';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { isSelected, useSelection } from '../../../drawing/selection';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { type FacesChoice, SpreadFields } from '../../../glue/SpreadFields';
import { useFormat } from '../../../quantities/use-format';
import { useMethodOptions } from '../../../shop/own';
import { noteJoints } from '../../../assembly/edits';
import { useOpenBuild } from '../../open-build';
import { SpreadingHead } from '../../../glue/SpreadingHead';

const AS_THE_REST = '';
const FACES: FacesChoice = [
  { value: '1', name: 'one face, rubbed together' },
  { value: '2', name: 'both faces' },
];

/** Methods that suit a board's edge. */
const EDGE_METHODS = listSpreadMethods()
  .filter(({ id }) => !['hot-nozzle', 'thinned-coats', 'joint-brush'].includes(id))
  .map(({ id, name }) => ({ value: id, name }));

const AS_THE_REST_OR = [{ value: AS_THE_REST, name: 'as the rest' }, ...EDGE_METHODS];

/** How the glue goes on, and how much of it each line takes. */
export function LineSpreading({ plan, row }: { readonly plan: Plan; readonly row: RowPlan }) {
  const { build, edit } = useOpenBuild();
  const { selected, select } = useSelection();
  const f = useFormat();
  const set = (label: string, change: Partial<typeof build.glue>) =>
    edit(label, (before) => ({ ...before, glue: { ...before.glue, ...change } }));
  return (
    <>
      <SpreadFields value={build.glue} methods={EDGE_METHODS} faces={FACES} onChange={set} />
      <OwnWay row={row} />
      <Table size="small">
        <SpreadingHead what="line" />
        <TableBody>
          {row.lines.map(({ line, spread, method, faces }) => (
            <TableRow
              key={line.index}
              hover
              selected={isSelected(selected, 'joint', line.id)}
              onClick={() => select({ kind: 'joint', id: line.id })}
            >
              <TableCell component="th" scope="row">
                {line.label}
              </TableCell>
              <TableCell>
                {method.name}, {faces === 1 ? 'one face' : 'both faces'}
              </TableCell>
              <TableCell align="right">{f.mass(spread.massG)}</TableCell>
              <TableCell align="right">{formatClock(spread.minutes)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography sx={{ mt: 1 }}>
        In all {f.amount(plan.totals.massG, plan.totals.volumeMl)}, {formatClock(plan.totals.spreadMin)} of
        spreading. Full film to both ends; a continuous row of small beads should show at the line.
      </Typography>
      {row.lines[0]?.spread.batches.length !== 0 && (
        <Typography variant="body2" sx={{ mt: 1 }}>
          Mixed resin: one cup a line at the most, used up within{' '}
          {formatClock(row.lines[0]?.spread.batches[0]?.useWithinMin ?? 0)} of mixing.
        </Typography>
      )}
    </>
  );
}

/** The selected line, spread otherwise than the rest. */
function OwnWay({ row }: { readonly row: RowPlan }) {
  const { build, edit } = useOpenBuild();
  const { selected } = useSelection();
  const method = build.jointNotes.find(({ id }) => isSelected(selected, 'joint', id))?.spread?.method;
  const methods = useMethodOptions(method ?? AS_THE_REST, AS_THE_REST_OR);
  const chosen = row.lines.find(({ line }) => isSelected(selected, 'joint', line.id));
  if (chosen === undefined) return null;
  const { id, label } = chosen.line;
  const own = build.jointNotes.find((note) => note.id === id)?.spread;
  const set = (method: string, faces: 1 | 2) =>
    edit(`Line ${label} spread`, noteJoints([id], { spread: { method, faces } }));
  return (
    <FieldRow>
      <Choice
        label={`Line ${label} with`}
        value={own?.method ?? AS_THE_REST}
        options={methods}
        onChange={(method) =>
          method === AS_THE_REST
            ? edit(`Line ${label} as the rest`, noteJoints([id], { spread: undefined }))
            : set(method, chosen.faces)
        }
        width={170}
      />
      {own !== undefined && (
        <Choice
          label="Wetted faces there"
          value={own.faces === 2 ? '2' : '1'}
          options={FACES}
          onChange={(faces) => set(own.method, faces === '2' ? 2 : 1)}
          width={220}
        />
      )}
    </FieldRow>
  );
}
