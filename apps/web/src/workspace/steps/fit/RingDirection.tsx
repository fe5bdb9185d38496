import { type RingChoice, ringChoices, type RingOrder, withBoards } from '@lean-clasp/core/plan';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { FIGURE_FACE } from '../../../app/theme';
import { Section } from '../../../frame/Page';
import { usePlan } from '../../../planner/plan-context';
import { useFormat } from '../../../quantities/use-format';
import { useOpenBuild } from '../../open-build';

const NAMES: Readonly<Record<RingOrder, string>> = {
  'as-laid': 'As laid now',
  alternate: 'Hearts alternate',
  'heart-down': 'All hearts down',
  'heart-up': 'All hearts up',
};
const SKETCH = { width: 150, height: 44 };

/** Which way the rings go, with the shape that each way takes at the dry and the damp end of the year. */
export function RingDirection() {
  const { edit } = useOpenBuild();
  const { plan } = usePlan();
  const f = useFormat();
  const row = plan?.row ?? null;
  const choices = useMemo(
    () => (plan === null || row === null ? [] : distinct(ringChoices({ ...row, build: plan.build }))),
    [plan, row],
  );
  if (row === null || choices.length === 0) return null;
  const most = Math.max(...choices.flatMap(({ dry, wet }) => [...dry, ...wet].map(([, z]) => Math.abs(z))));
  const laid = row.panel.boards.map(({ board }) => board.heart).join();
  const enlarged = most > 0 ? Math.max(1, Math.floor((0.06 * row.panel.widthMm) / most)) : 1;
  return (
    <Section title="Ring direction">
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {row.job.holding.heldFlatLater
          ? 'This panel is held flat in use: show the best faces; the rings hardly matter.'
          : 'Free and thin, alternate rings stay flatter over all; under battens or in a frame, show the best faces.'}{' '}
        Ends drawn {enlarged} times as curved, dashed at the damp end of the year.
      </Typography>
      <Box role="radiogroup" aria-label="Ring direction">
        {choices.map((choice) => {
          const chosen = choice.hearts.join() === laid;
          return (
            <ButtonBase
              key={choice.order}
              role="radio"
              aria-checked={chosen}
              onClick={() =>
                edit('Ring direction', (build) =>
                  withBoards(build, row.panel, (i) => ({ heart: choice.hearts[i] ?? 'up' })),
                )
              }
              sx={(theme) => ({
                display: 'grid',
                gridTemplateColumns: `minmax(0, 1fr) ${SKETCH.width}px 92px`,
                alignItems: 'center',
                gap: 1,
                width: '100%',
                minHeight: 56,
                px: 1.5,
                textAlign: 'left',
                fontSize: '0.9375rem',
                borderBottom: 1,
                borderColor: 'divider',
                boxShadow: chosen ? `inset 6px 0 0 ${theme.palette.tokens.glue}` : 'none',
                fontWeight: chosen ? 700 : 400,
              })}
            >
              <span>{NAMES[choice.order]}</span>
              <Sketch choice={choice} widthMm={row.panel.widthMm} enlarged={enlarged} />
              <Box component="span" sx={{ fontFamily: FIGURE_FACE, textAlign: 'right' }}>
                {f.fine(choice.strayMm)}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
    </Section>
  );
}

/** Ways that come to different hearts; what is laid now only where it is none of the others. */
function distinct(choices: readonly RingChoice[]): RingChoice[] {
  const [laid, ...others] = choices;
  const same = others.some(({ hearts }) => hearts.join() === laid?.hearts.join());
  return laid === undefined || same ? others : [laid, ...others];
}

/** The panel's end, dry in a full line and damp in a dashed one. */
function Sketch({
  choice: { dry, wet },
  widthMm,
  enlarged,
}: {
  readonly choice: RingChoice;
  readonly widthMm: number;
  readonly enlarged: number;
}) {
  const { tokens } = useTheme().palette;
  const scale = (SKETCH.width - 8) / widthMm;
  const path = (points: RingChoice['dry']) =>
    `M${points.map(([x, z]) => `${(4 + x * scale).toFixed(1)} ${(SKETCH.height / 2 - z * scale * enlarged).toFixed(1)}`).join('L')}`;
  return (
    <svg
      viewBox={`0 0 ${SKETCH.width} ${SKETCH.height}`}
      width={SKETCH.width}
      height={SKETCH.height}
      aria-hidden
    >
      <line x1={4} x2={SKETCH.width - 4} y1={SKETCH.height / 2} y2={SKETCH.height / 2} stroke={tokens.rule} />
      <path d={path(dry)} fill="none" stroke={tokens.woodInk} strokeWidth={2.2} />
      <path d={path(wet)} fill="none" stroke={tokens.action} strokeWidth={1.8} strokeDasharray="5 3" />
    </svg>
  );
}
