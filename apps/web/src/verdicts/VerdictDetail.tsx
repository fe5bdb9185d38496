import CloseIcon from '@mui/icons-material/Close';
import type { Verdict } from '@lean-clasp/core/verdicts';
import { ASPECT_NAMES, type Working, workingOf } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { Glossed } from '../glossary/Glossed';
import { useFixes } from '../planner/plan-context';
import { useFormat } from '../quantities/use-format';
import { FixList } from './FixList';

/** What would help one verdict, and how its figure was got. */
export function VerdictDetail({
  verdict,
  onClose,
  onApplied,
}: {
  readonly verdict: Verdict;
  readonly onClose: () => void;
  readonly onApplied?: (() => void) | undefined;
}) {
  const f = useFormat();
  const { fixes } = useFixes();
  const offered = fixes?.[verdict.aspect];
  const workings = verdict.workings.flatMap((finding) => workingOf(finding, f) ?? []);
  return (
    <Box
      component="section"
      aria-label={`${ASPECT_NAMES[verdict.aspect]} in detail`}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '420px 1fr' },
        gap: 3,
        maxHeight: { xs: '62dvh', sm: '46dvh' },
        overflow: 'auto',
        borderTop: 2,
        borderColor: 'text.primary',
        bgcolor: 'background.paper',
        p: 2,
        // Over the drawing rather than beside it, so that the drawing keeps its size.
        position: 'absolute',
        bottom: '100%',
        left: 0,
        right: 0,
        zIndex: 2,
      }}
    >
      <IconButton
        aria-label="Close"
        onClick={onClose}
        sx={{ position: 'absolute', right: 4, top: 4, zIndex: 1 }}
      >
        <CloseIcon />
      </IconButton>
      <Box>
        <Typography variant="h2" sx={{ mb: 1 }}>
          What would help
        </Typography>
        {offered === undefined && <Typography color="text.secondary">Working it out …</Typography>}
        {offered?.length === 0 && (
          <Typography color="text.secondary">
            {verdict.state === 'holds'
              ? 'Nothing needed: there is room to spare.'
              : 'No single change that this shop allows helps without making another verdict worse.'}
          </Typography>
        )}
        {offered !== undefined && <FixList fixes={offered} onApplied={onApplied} />}
      </Box>
      <Box sx={{ pr: { md: 5 } }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          How this figure is got
        </Typography>
        {workings.length === 0 && <Typography color="text.secondary">{noSumWords(verdict)}</Typography>}
        <Box sx={{ display: 'grid', gap: 2 }}>
          {workings.map((working) => (
            <WorkingView key={working.title} working={working} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

/** One sum: rule, inputs, source. */
function WorkingView({ working: { title, rule, inputs, source } }: { readonly working: Working }) {
  return (
    <Box>
      <Typography variant="h3">{title}</Typography>
      <Typography variant="body2">
        <Glossed>{rule}</Glossed>
      </Typography>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto 1fr',
          columnGap: 2,
          my: 0.5,
          fontSize: '0.9375rem',
        }}
      >
        {inputs.map(([name, value]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ color: 'text.secondary' }}>
              {name}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {value}
            </Box>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {source}
      </Typography>
    </Box>
  );
}

/** Why a figure has no workings. */
function noSumWords({ state, cause }: Verdict): string {
  if (state === 'fails') return 'There is no sum behind it: it is refused as it stands.';
  return cause.severity === 'warns'
    ? 'There is no sum behind it yet: it wants a reading, or a plan that says more.'
    : 'There is no sum behind it: nothing here can go wrong that way.';
}
