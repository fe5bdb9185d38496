import type { Aspect } from '@lean-clasp/core/verdicts';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { useHotkeys } from 'react-hotkeys-hook';
import { useVerdicts } from '../planner/plan-context';
import { useBuildHandle } from './open-build';
import { type StepId, STEPS } from './steps-list';

/** The seven steps, with the bead of glue laid up to the one on show. */
export function StepNav({ step }: { readonly step: StepId }) {
  const { id } = useBuildHandle();
  const navigate = useNavigate();
  const troubles = useTroubles();
  const current = STEPS.findIndex((each) => each.id === step);
  useHotkeys(
    STEPS.map((_, index) => `alt+${index + 1}`).join(','),
    (event) => {
      const target = STEPS[Number(event.code.replace('Digit', '')) - 1];
      if (target !== undefined) void navigate(`/builds/${id}/${target.id}`);
    },
    { enableOnFormTags: true, preventDefault: true },
    [id, navigate],
  );
  const nav = useRef<HTMLElement>(null);
  useEffect(() => {
    // Where the steps do not all fit, the one on show does. Asked before all is laid out, it would be laid out twice.
    const frame = requestAnimationFrame(() => {
      const shown = nav.current?.querySelector('[aria-current]');
      if (nav.current !== null && shown instanceof HTMLElement) {
        nav.current.scrollLeft = shown.offsetLeft - (nav.current.clientWidth - shown.offsetWidth) / 2;
      }
    });
    return () => cancelAnimationFrame(frame);
  }, [step]);
  return (
    <Box
      ref={nav}
      component="nav"
      aria-label="Steps"
      className="no-print"
      sx={{
        display: 'flex',
        flexShrink: 0,
        px: 1,
        position: { xs: 'sticky', sm: 'relative' },
        top: 0,
        zIndex: 1,
        overflowX: 'auto',
        bgcolor: 'background.paper',
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      {STEPS.map((each, index) => (
        <ButtonBase
          key={each.id}
          component={Link}
          to={`/builds/${id}/${each.id}`}
          aria-current={each.id === step ? 'step' : undefined}
          sx={{
            minHeight: 46,
            px: 1.75,
            fontSize: '1rem',
            fontWeight: index <= current ? 600 : 400,
            color: index <= current ? 'text.primary' : 'text.secondary',
            whiteSpace: 'nowrap',
            boxShadow: (theme) =>
              index <= current
                ? `inset 0 -${index === current ? 7 : 4}px 0 ${theme.palette.secondary.main}`
                : 'none',
          }}
        >
          {each.name}
          {(troubles[each.id] ?? 0) > 0 && (
            <Box component="span" sx={{ color: 'error.main', fontWeight: 700, ml: 0.75 }}>
              <span aria-hidden>▲</span>
              <Box component="span" sx={visuallyHidden}>
                {' '}
                has a verdict that fails
              </Box>
            </Box>
          )}
        </ButtonBase>
      ))}
    </Box>
  );
}

const visuallyHidden = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clipPath: 'inset(50%)',
  whiteSpace: 'nowrap',
} as const;

/** Steps at which a failing verdict is put right. */
function useTroubles(): Partial<Record<StepId, number>> {
  const verdicts = useVerdicts();
  if (verdicts === null) return {};
  const fails = (aspect: Aspect) => (verdicts[aspect].state === 'fails' ? 1 : 0);
  return { fit: fails('square'), order: fails('inTime'), squeeze: fails('tight') + fails('flat') };
}
