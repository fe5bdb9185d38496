import { findClampKind } from '@lean-clasp/core/clamps';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { type Plan, rowOpenings, type RowPlan, rowTightening } from '@lean-clasp/core/plan';
import { planSays } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Glossed } from '../glossary/Glossed';
import { useFormat } from '../quantities/use-format';

const USES = { cauls: 'ends of the cauls', across: 'across', spare: 'spare, open' } as const;

/** What to open beforehand, in order of use. */
export function Openings({
  row,
  blocks,
}: {
  readonly row: RowPlan;
  /** Blocks and battens of the shop; left out where it lists none. */
  readonly blocks: ShopDocument['blocks'];
}) {
  const f = useFormat();
  const rows = rowOpenings(row);
  if (rows.length === 0) return null;
  const { edge } = row.job;
  const asked = edge.kind === 'battens' ? 2 : edge.kind === 'blocks' ? 2 * row.clampSet.clamps.length : 0;
  const have = (blocks ?? [])
    .filter(({ kind }) => `${kind}s` === edge.kind)
    .reduce((sum, { count }) => sum + count, 0);
  return (
    <Section title="Open before the first bead">
      <Table size="small" aria-label="Openings in order of use" sx={{ '& td, & th': { px: 0.75 } }}>
        <TableHead>
          <TableRow>
            <TableCell>clamps</TableCell>
            <TableCell>for</TableCell>
            <TableCell align="right">opened to</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ use, session, kind, count, openingMm, numbers }) => (
            <TableRow key={`${use} ${session ?? ''} ${kind ?? ''}`}>
              <TableCell>
                {count} × {kind === null ? 'not on the rack' : findClampKind(kind).name}
              </TableCell>
              <TableCell>
                {USES[use]}
                {session !== null && `, session ${session + 1}`}
                {numbers.length > 0 && `: ${numbers.join(', ')}`}
              </TableCell>
              <TableCell align="right">{f.about(openingMm)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {edge.kind === 'bare'
          ? 'A pad under every jaw, or it prints. '
          : `${asked} ${edge.kind}, ${f.length(edge.thicknessMm)}${blocks === undefined ? '' : `; the shop has ${have}`}. `}
        Release film or waxed paper between glue and everything that presses, bars too: iron and wet glue
        leave black marks in oak, walnut and cherry.
      </Typography>
    </Section>
  );
}

/** How the clamps are brought on, as it is said at the bench. */
export function Tightening({ plan }: { readonly plan: Plan }) {
  const f = useFormat();
  const steps = rowTightening(plan);
  if (steps.length === 0) return null;
  return (
    <Section title="Tightening">
      <Box component="ol" sx={{ m: 0, pl: 3, '& li': { mb: 0.75 } }}>
        {steps.map((step, i) => (
          <li key={`${step.code} ${i}`}>
            <Glossed>{planSays(step, f)}</Glossed>
          </li>
        ))}
      </Box>
    </Section>
  );
}
