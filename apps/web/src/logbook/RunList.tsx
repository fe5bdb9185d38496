import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { RunSummary } from '@lean-clasp/core/runs';
import { formatClock } from '@lean-clasp/core/units';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useRef } from 'react';
import { Link as RouterLink } from 'react-router';
import { FIGURE_FACE } from '../app/theme';
import { instantWords } from '../bench/release';
import { useNow } from '../parts/use-now';
import { useWindowed } from '../parts/Windowed';
import { useFormat } from '../quantities/use-format';
import { FuseLine } from '../timeline/FuseLine';
import { handsOnMinutes } from './run-figures';

/** How high a row is. */
const ROW_PX = 57;

const STATE_WORDS: Readonly<Record<RunSummary['state'], string>> = {
  running: 'running',
  clamped: 'clamped',
  abandoned: 'given up',
};

/** What a telephone leaves to the record. */
const beside = { display: { xs: 'none', sm: 'table-cell' } } as const;

/** Glue-ups, newest first, each leading to its record. */
export function RunList({
  runs,
  wide = false,
}: {
  readonly runs: readonly RunSummary[];
  readonly wide?: boolean;
}) {
  const now = useNow(false);
  const f = useFormat();
  const body = useRef<HTMLTableSectionElement>(null);
  const { totalPx, shown } = useWindowed<HTMLTableRowElement>(body, { count: runs.length, rowPx: ROW_PX });
  return (
    <Table size="small" aria-rowcount={runs.length + 1}>
      <TableHead>
        <TableRow>
          <TableCell>begun</TableCell>
          {wide && <TableCell>build</TableCell>}
          {wide && <TableCell sx={beside}>glue</TableCell>}
          <TableCell align="right" sx={beside}>
            planned
          </TableCell>
          <TableCell align="right">took</TableCell>
          {wide && <TableCell sx={beside}>fuse burnt</TableCell>}
          {wide && (
            <TableCell align="right" sx={beside}>
              off flat
            </TableCell>
          )}
          <TableCell>came out</TableCell>
        </TableRow>
      </TableHead>
      <TableBody ref={body}>
        <Beyond px={shown[0]?.startPx ?? 0} />
        {shown.flatMap(({ index }) => {
          const run = runs[index];
          if (run === undefined) return [];
          const minutes = handsOnMinutes(run);
          return (
            <TableRow key={run.id} aria-rowindex={index + 2} sx={{ height: ROW_PX }}>
              <TableCell>
                <Link
                  component={RouterLink}
                  to={run.state === 'running' ? `/bench/${run.id}` : `/logbook/${run.id}`}
                  sx={{ display: 'inline-block', py: 1.25 }}
                >
                  {instantWords(run.startedAtMs, now)}
                </Link>
              </TableCell>
              {wide && <TableCell>{run.buildName}</TableCell>}
              {wide && <TableCell sx={beside}>{findAdhesive(run.promise.adhesive).name}</TableCell>}
              <TableCell align="right" sx={beside}>
                {formatClock(run.promise.handsOnMin)}
              </TableCell>
              <TableCell align="right">{minutes === null ? '—' : formatClock(minutes)}</TableCell>
              {wide && (
                <TableCell sx={beside}>
                  {run.fuseUsed == null ? '—' : <FuseUsed share={run.fuseUsed} />}
                </TableCell>
              )}
              {wide && (
                <TableCell align="right" sx={beside}>
                  {run.record.flatnessMm === null ? '—' : f.fine(run.record.flatnessMm)}
                </TableCell>
              )}
              <TableCell>{run.record.squeezeOut ?? STATE_WORDS[run.state]}</TableCell>
            </TableRow>
          );
        })}
        <Beyond px={totalPx - (shown.at(-1)?.endPx ?? totalPx)} />
      </TableBody>
    </Table>
  );
}

/** How much of its fuse the closest joint burnt; as on the record, by the short ends of its windows. */
function FuseUsed({ share }: { readonly share: number }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
      <Box sx={{ width: { xs: 44, md: 120 }, flexShrink: 0 }}>
        <FuseLine share={share} late={share > 1} mayPass height={12} />
      </Box>
      <Box
        component="span"
        sx={{ fontFamily: FIGURE_FACE, whiteSpace: 'nowrap', color: share > 1 ? 'error.main' : undefined }}
      >
        {Math.round(share * 100)} %
      </Box>
    </Box>
  );
}

/** Room of the rows that are beyond the screen. */
function Beyond({ px }: { readonly px: number }) {
  return px <= 0 ? null : <tr aria-hidden style={{ height: px }} />;
}
