import type { Plan } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { JOINT_WORDS } from '@lean-clasp/words';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useFormat } from '../quantities/use-format';
import { useJointGroups } from './use-joint-groups';
import { SpreadingHead } from '../glue/SpreadingHead';

/** Glue and minutes for joints that are alike, with the way each is spread. */
export function SpreadingTable({ plan }: { readonly plan: Plan }) {
  const f = useFormat();
  const groups = useJointGroups(plan);
  return (
    <Table size="small">
      <SpreadingHead what="joints" />
      <TableBody>
        {groups.map(({ key, joints }) => {
          const [first] = joints;
          if (first === undefined) return null;
          const sum = (of: (joint: (typeof joints)[number]) => number) =>
            joints.reduce((total, joint) => total + of(joint), 0);
          return (
            <TableRow key={key}>
              <TableCell>
                {joints.length} × {JOINT_WORDS[first.facts.joint.kind]}
              </TableCell>
              <TableCell>{first.facts.gluedMm2 === 0 ? 'left dry' : first.method.name}</TableCell>
              <TableCell align="right">{f.mass(sum(({ spread }) => spread.massG))}</TableCell>
              <TableCell align="right">{formatClock(sum(({ spread }) => spread.minutes))}</TableCell>
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}
