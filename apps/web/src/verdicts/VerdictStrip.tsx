import { type Aspect, ASPECTS, type Verdict } from '@lean-clasp/core/verdicts';
import { ASPECT_NAMES, againstWords, planSays, figureWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useTheme } from '@mui/material/styles';
import { memo, Suspense, useCallback, useEffect, useState } from 'react';
import { readIn } from '../parts/read-in';
import { useEstimated, useVerdicts } from '../planner/plan-context';
import { useFormat } from '../quantities/use-format';
import { afterFirstScreen } from '../start/at-rest';
import { StateMark, stateColour, stateWord } from './state-mark';

const VerdictDetail = readIn(() => import('./VerdictDetail').then((m) => m.VerdictDetail));

/** The four verdicts along the bottom edge; each opens to its fixes and to how its figure was got. */
export function VerdictStrip({ onApplied }: { readonly onApplied?: () => void }) {
  const verdicts = useVerdicts();
  const estimated = useEstimated();
  const [open, setOpen] = useState<Aspect | null>(null);
  const toggle = useCallback((aspect: Aspect) => setOpen((was) => (was === aspect ? null : aspect)), []);
  useEffect(() => void afterFirstScreen().then(VerdictDetail.ahead), []);
  if (verdicts === null) return <Box sx={{ minHeight: 104, borderTop: 2, borderColor: 'text.primary' }} />;
  return (
    <Box
      component="section"
      aria-label="Verdicts"
      className="no-print"
      sx={{ flexShrink: 0, position: { xs: 'sticky', sm: 'relative' }, bottom: 0, zIndex: 1 }}
    >
      {open !== null && (
        <Suspense fallback={null}>
          <VerdictDetail verdict={verdicts[open]} onClose={() => setOpen(null)} onApplied={onApplied} />
        </Suspense>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: 'repeat(4, minmax(0, 1fr))',
            sm: 'repeat(2, minmax(0, 1fr))',
            md: 'repeat(4, minmax(0, 1fr))',
          },
          borderTop: 2,
          borderColor: 'text.primary',
          bgcolor: 'background.paper',
        }}
      >
        {ASPECTS.map((aspect) => (
          <VerdictCell
            key={aspect}
            verdict={verdicts[aspect]}
            estimated={estimated && aspect === 'tight'}
            open={open === aspect}
            onToggle={toggle}
          />
        ))}
      </Box>
    </Box>
  );
}

const VerdictCell = memo(function VerdictCell({
  verdict,
  estimated,
  open,
  onToggle,
}: {
  readonly verdict: Verdict;
  /** By the quick form still; the elements follow. */
  readonly estimated: boolean;
  readonly open: boolean;
  readonly onToggle: (aspect: Aspect) => void;
}) {
  const f = useFormat();
  const name = ASPECT_NAMES[verdict.aspect];
  const figure = figureWords(verdict, verdict.figure, f);
  const against = againstWords(verdict, f);
  const cause = planSays(verdict.cause, f);
  return (
    <ButtonBase
      onClick={() => onToggle(verdict.aspect)}
      aria-expanded={open}
      aria-label={`${name} ${stateWord(verdict.state)}: ${figure} ${against}; ${cause}. Fixes and how.`}
      data-verdict={verdict.aspect}
      data-state={verdict.state}
      sx={{
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'stretch',
        justifyContent: 'flex-start',
        textAlign: 'left',
        px: { xs: 0.75, sm: 2 },
        py: { xs: 0.5, sm: 1 },
        minHeight: { xs: 56, sm: 104 },
        borderRight: 1,
        borderBottom: { xs: 0, sm: 1, md: 0 },
        borderColor: 'divider',
        bgcolor: open ? 'action.hover' : undefined,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: { xs: 0.5, sm: 1 } }}>
        <StateMark state={verdict.state} />
        <Box
          component="span"
          sx={{
            fontWeight: 700,
            flex: 1,
            fontSize: { xs: '0.875rem', sm: 'inherit' },
            whiteSpace: 'nowrap',
          }}
        >
          {name}
        </Box>
        <Box sx={onlyWithRoom}>
          <Bar verdict={verdict} />
        </Box>
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Box
          component="span"
          sx={{
            fontSize: { xs: '1.125rem', sm: '1.5rem' },
            fontWeight: 700,
            lineHeight: 1.3,
            whiteSpace: 'nowrap',
          }}
        >
          {figure}
        </Box>
        <Box component="span" sx={{ ...onlyWithRoom, fontSize: '0.875rem', color: 'text.secondary' }}>
          {against}
          {estimated && ', about'}
        </Box>
      </Box>
      <Box sx={{ ...onlyWithRoom, fontSize: '0.9375rem', color: 'text.secondary', lineHeight: 1.3 }}>
        {cause}
      </Box>
    </ButtonBase>
  );
});

/** What a telephone shows only once the verdict is tapped. */
const onlyWithRoom = { display: { xs: 'none', sm: 'block' } } as const;

const BAR = { width: 104, height: 10 };

/** From nothing to comfortable, with the limit marked in the middle. */
function Bar({ verdict: { barShare, state } }: { readonly verdict: Verdict }) {
  const { tokens } = useTheme().palette;
  return (
    <svg width={BAR.width} height={BAR.height + 6} aria-hidden>
      <rect y={3} {...BAR} fill={tokens.barGround} />
      <rect y={3} width={BAR.width * barShare} height={BAR.height} fill={stateColour(state, tokens)} />
      <line
        x1={BAR.width / 2}
        x2={BAR.width / 2}
        y1={0}
        y2={BAR.height + 6}
        stroke={tokens.ink}
        strokeWidth={2}
      />
    </svg>
  );
}
