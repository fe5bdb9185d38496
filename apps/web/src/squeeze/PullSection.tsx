import { findClampKind } from '@lean-clasp/core/clamps';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { canBePlaced, pullOpenings, type SqueezedPull } from '@lean-clasp/core/plan';
import { PRESSURE_WORDS, planSays, pullName } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { Glossed } from '../glossary/Glossed';
import { NumberField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { AlongJoints } from './AlongJoints';
import { PullClamps } from './PullClamps';

/** More joints than this are told by the weakest few. */
const MOST_JOINTS = 8;

/** One pull: what it takes from the rack, what each of its joints gets, and what there is to mind. */
export function PullSection({ pull }: { readonly pull: SqueezedPull }) {
  const { build, shop, edit } = useOpenBuild();
  const f = useFormat();
  const { planned } = pull;
  const { id } = planned.pull;
  const openings = pullOpenings({ pulls: [pull] });
  const own = build.squeeze?.counts?.find((each) => each.pull === id)?.count ?? null;
  const placed = planned.pieces.length;
  const rolled = planned.taken.every(({ forceN }) => forceN === 0);
  return (
    <Section
      title={pullName(id, planned.joint)}
      aside={
        !rolled &&
        placed > 0 &&
        planned.placed.length + planned.idle.length === 0 && (
          <NumberField
            label="Clamps"
            whole
            optional
            value={own}
            bounds={{ min: 1, max: 99, unit: 'clamps' }}
            hint={own === null ? `worked out: ${placed}` : ''}
            onChange={(count) => edit('Number of clamps', withCount(id, count))}
            width={130}
          />
        )
      }
    >
      {openings.length === 0 ? (
        <Typography color="error">
          Nothing on the rack does that: it wants {f.force(planned.neededN)}, opened to{' '}
          {f.about(planned.pull.openingMm)}.
        </Typography>
      ) : (
        <Table size="small" aria-label={`Clamps, ${pullName(id, planned.joint)}`} sx={CLOSE}>
          <TableHead>
            <TableRow>
              <TableCell>clamps</TableCell>
              <TableCell align="right">opened to</TableCell>
              <TableCell align="right">pull each</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {openings.map(({ kind, count, openingMm, numbers }, i) => (
              <TableRow key={`${kind} ${i}`}>
                <TableCell>
                  {count} × {findClampKind(kind).name}
                  {numbers.length > 0 && `: ${rangesOf(numbers)}`}
                </TableCell>
                <TableCell align="right">{openingMm === null ? '' : f.about(openingMm)}</TableCell>
                <TableCell align="right">
                  {planned.taken[i]?.forceN === 0 ? '' : f.force(planned.taken[i]?.forceN ?? 0)}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      {pull.along !== null && <AlongJoints along={pull.along} wanted={planned.wanted} />}
      <Joints pull={pull} />
      {(canBePlaced(pull, shop.rack) || planned.idle.length > 0) && <PullClamps pull={pull} />}
      {pull.findings.map((finding) => (
        <Typography
          key={finding.code}
          sx={{ mt: 1 }}
          color={finding.severity === 'warns' ? 'error' : undefined}
        >
          <Glossed>{sentence(planSays(finding, f))}</Glossed>
        </Typography>
      ))}
    </Section>
  );
}

const CLOSE = { '& td, & th': { px: 0.75 } } as const;

/** What each joint gets, weakest first; seats are only told their force. */
function Joints({ pull: { planned, joints, by } }: { readonly pull: SqueezedPull }) {
  const f = useFormat();
  const { selected, select } = useSelection();
  if (by === 'seat' || joints.length === 0 || (by === 'mean' && joints.length === 1)) {
    return (
      <Typography sx={{ mt: 1 }}>
        {planned.seats
          ? `Seating wants ${f.force(planned.neededN)} in all, they give ${f.force(planned.reachN)}.`
          : `${f.pressure(planned.reachMPa)} on the whole, wanted ${f.pressure(planned.wanted.lowMPa)} to ${f.pressure(planned.wanted.highMPa)}.`}
      </Typography>
    );
  }
  const shown = [...joints].sort((a, b) => a.minMPa - b.minMPa).slice(0, MOST_JOINTS);
  const mitred = joints.some(({ angleDeg }) => angleDeg !== null);
  return (
    <>
      <Table size="small" aria-label="Pressure on the joints" sx={{ mt: 1, ...CLOSE }}>
        <TableHead>
          <TableRow>
            <TableCell>joint</TableCell>
            {mitred && <TableCell align="right">corner</TableCell>}
            <TableCell align="right">lowest</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.map(({ joint, label, minMPa, angleDeg, word }) => (
            <TableRow
              key={joint}
              hover
              selected={isSelected(selected, 'joint', joint)}
              onClick={() => select({ kind: 'joint', id: joint })}
            >
              <TableCell component="th" scope="row">
                {label}
              </TableCell>
              {mitred && (
                <TableCell align="right">{angleDeg === null ? '' : `${Math.round(angleDeg)}°`}</TableCell>
              )}
              <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                {f.pressure(minMPa)}
              </TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{PRESSURE_WORDS[word]}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Box sx={{ mt: 0.5, color: 'text.secondary', fontSize: '0.875rem' }}>
        Wanted {f.pressure(planned.wanted.lowMPa)} to {f.pressure(planned.wanted.highMPa)}
        {joints.length > shown.length && `; ${joints.length - shown.length} more get as much or more`}.
      </Box>
    </>
  );
}

/** Numbers with runs drawn together: 1–4, 7. */
function rangesOf(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last !== undefined && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
}

const sentence = (text: string) =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}${text.endsWith('.') ? '' : '.'}`;

/** Another number of clamps on a pull; null as worked out. */
const withCount =
  (pull: string, count: number | null) =>
  (build: BuildDocument): BuildDocument => {
    const others = (build.squeeze?.counts ?? []).filter((each) => each.pull !== pull);
    const counts = count === null ? others : [...others, { pull, count }];
    return { ...build, squeeze: { ...build.squeeze, counts } };
  };
