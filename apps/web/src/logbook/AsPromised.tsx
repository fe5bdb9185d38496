import type { RunDocument } from '@lean-clasp/core/formats';
import { evidenceOf } from '@lean-clasp/core/learning';
import { readRun } from '@lean-clasp/core/runs';
import type { Aspect } from '@lean-clasp/core/verdicts';
import { ASPECT_NAMES } from '@lean-clasp/words';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { type Format, useFormat } from '../quantities/use-format';
import { StateMark, stateWord } from '../verdicts/state-mark';

/** The four words as they were promised, and as they were found; nothing where a run kept no promise of them. */
export function AsPromised({ run }: { readonly run: RunDocument }) {
  const f = useFormat();
  const { verdicts, likely } = run.promise;
  if (verdicts === undefined) return null;
  return (
    <Table size="small" aria-label="The four words, promised and found" sx={{ mb: 2 }}>
      <TableHead>
        <TableRow>
          <TableCell />
          <TableCell>promised</TableCell>
          <TableCell>found</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {verdicts.map(({ aspect, state }) => (
          <TableRow key={aspect}>
            <TableCell component="th" scope="row">
              {ASPECT_NAMES[aspect]}
            </TableCell>
            <TableCell>
              <StateMark state={state} /> {stateWord(state)}
              {aspect === 'inTime' && likely != null && `, ${Math.round(100 * likely)} % likely`}
            </TableCell>
            <TableCell>{FOUND[aspect](run, f)}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

const UNREAD = 'nobody read it';

/** What was found of each; a number that is good or not against what was wanted is left to whoever reads it. */
const FOUND: Readonly<Record<Aspect, (run: RunDocument, f: Format) => string>> = {
  inTime: (run) => {
    const evidence = evidenceOf(run);
    if (evidence?.kept == null) return '—';
    const used =
      evidence.used === null ? '' : `, ${Math.round(100 * evidence.used)} % of its likely time used`;
    return `${evidence.kept ? 'held' : 'did not hold'}${used}`;
  },
  tight: (run, f) => {
    const { squeezeOut, widestGapMm } = readRun(run).record;
    const words = [
      ...(squeezeOut === null ? [] : [`squeeze-out ${squeezeOut === 'too-much' ? 'running' : squeezeOut}`]),
      ...(widestGapMm === null ? [] : [`widest gap ${f.fine(widestGapMm)}`]),
    ];
    return words.length === 0 ? UNREAD : words.join(', ');
  },
  square: (run, f) => {
    const { diagonalDifferenceMm: mm } = readRun(run).record;
    return mm === null ? UNREAD : `diagonals ${f.fine(mm)} apart`;
  },
  flat: (run, f) => {
    const { flatnessMm: mm } = readRun(run).record;
    return mm === null ? UNREAD : `${f.fine(mm)} off flat`;
  },
};
