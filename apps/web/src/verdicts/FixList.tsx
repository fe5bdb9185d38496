import type { Fix } from '@lean-clasp/core/fixes';
import { ASPECT_NAMES, planSays, figureAlone } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { useAppDispatch } from '../app/store';
import { editDocument } from '../documents/sync';
import { useSelection } from '../drawing/selection';
import { useFixes } from '../planner/plan-context';
import { useFormat } from '../quantities/use-format';
import { useBuildHandle } from '../workspace/open-build';
import { StateMark } from './state-mark';

/** Where the person goes once what a fix takes for granted is done. */
const FIRST: Readonly<Record<NonNullable<Fix['first']>, string>> = {
  reading: 'To Fit',
  rack: 'To the rack',
};

/** Proposed edits with their computed effect; one press applies, one key takes it back. */
export function FixList({
  fixes,
  onApplied,
}: {
  readonly fixes: readonly Fix[];
  readonly onApplied?: (() => void) | undefined;
}) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 1 }}>
      {fixes.map((fix) => (
        <FixItem key={fix.change.code + JSON.stringify(fix.change.values)} fix={fix} onApplied={onApplied} />
      ))}
    </Box>
  );
}

function FixItem({ fix, onApplied }: { readonly fix: Fix; readonly onApplied?: (() => void) | undefined }) {
  const f = useFormat();
  const dispatch = useAppDispatch();
  const { id } = useBuildHandle();
  const { showGhost } = useSelection();
  const { fresh } = useFixes();
  const words = planSays(fix.change, f);
  return (
    <Box
      component="li"
      onMouseEnter={() => showGhost(fix)}
      onMouseLeave={() => showGhost(null)}
      onFocus={() => showGhost(fix)}
      onBlur={() => showGhost(null)}
      sx={(theme) => ({
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        p: 1,
        pl: 1.5,
        bgcolor: theme.palette.tokens.actionTint,
        borderLeft: `4px solid ${theme.palette.tokens.action}`,
      })}
    >
      <Box sx={{ flex: 1 }}>
        <Typography sx={{ fontWeight: 600 }}>{words}</Typography>
        <Typography variant="body2">
          {fix.first !== null && 'Then '}
          {figureAlone(fix.before, f)} → {figureAlone(fix.after, f)} <StateMark state={fix.after.state} />
          {fix.costs.map((aspect) => `; ${ASPECT_NAMES[aspect]} comes close by it`)}
        </Typography>
      </Box>
      {fix.first !== null ? (
        <Button component={RouterLink} to={fix.first === 'rack' ? '/shop' : `/builds/${id}/fit`}>
          {FIRST[fix.first]}
        </Button>
      ) : (
        <Button
          variant="contained"
          disabled={!fresh}
          aria-label={`Do it: ${words}`}
          onClick={() => {
            showGhost(null);
            dispatch(editDocument(id, words, () => fix.build));
            onApplied?.();
          }}
        >
          Do it
        </Button>
      )}
    </Box>
  );
}
