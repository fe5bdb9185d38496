import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { preferred } from '../app/preferences';
import { useAppDispatch } from '../app/store';
import { Glossed } from '../glossary/Glossed';
import { STOPS } from './stops';
import { type Tour, tourMoved } from './tour-slice';

/** One stop of the way round, beside the screen that it tells of; it can be left at any. */
export function TourStop({ tour: { stop, build } }: { readonly tour: NonNullable<Tour> }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const leave = () => {
    dispatch(tourMoved(null));
    dispatch(preferred({ shownRound: true }));
  };
  useHotkeys('escape', leave);
  const here = STOPS[stop];
  if (here === undefined) return null;
  const go = (to: number) => {
    const next = STOPS[to];
    if (next === undefined) {
      leave();
      return;
    }
    dispatch(tourMoved({ stop: to, build }));
    void navigate(next.path(build));
  };
  return (
    <Paper
      component="section"
      aria-label={`The way round, ${stop + 1} of ${STOPS.length}`}
      elevation={6}
      className="no-print"
      sx={{
        position: 'fixed',
        right: { xs: 8, md: 24 },
        // Clear of the verdicts.
        bottom: { xs: 216, md: 120 },
        width: 360,
        maxWidth: 'calc(100vw - 16px)',
        p: 2,
        zIndex: 5,
        borderTop: 4,
        borderColor: 'secondary.main',
      }}
    >
      <Box aria-live="polite">
        <Typography variant="h3">
          {stop + 1}. {here.title}
        </Typography>
        <Typography sx={{ my: 1 }}>
          <Glossed>{here.says}</Glossed>
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Button onClick={leave} sx={{ mr: 'auto' }}>
          Leave
        </Button>
        <Button disabled={stop === 0} onClick={() => go(stop - 1)}>
          Back
        </Button>
        <Button variant="contained" onClick={() => go(stop + 1)}>
          {stop + 1 < STOPS.length ? 'Next' : 'Done'}
        </Button>
      </Box>
    </Paper>
  );
}
