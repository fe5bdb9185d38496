import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { useBuildsInfiniteQuery } from '../api/api';
import { useAppDispatch } from '../app/store';
import { STOPS } from './stops';
import { tourMoved } from './tour-slice';

/** The demo's panel, which has something to show at every stop. */
const BEST_SHOWN_BY = 'stage-floor';

/** Begins the way round; there is none before the first build. */
export function ShowRound({ onStart }: { readonly onStart?: () => void }) {
  const builds = useBuildsInfiniteQuery('').data?.pages[0]?.builds ?? [];
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const build = (builds.find(({ id }) => id === BEST_SHOWN_BY) ?? builds[0])?.id;
  if (build === undefined) return null;
  return (
    <Button
      variant="outlined"
      onClick={() => {
        onStart?.();
        dispatch(tourMoved({ stop: 0, build }));
        void navigate(STOPS[0]?.path(build) ?? '/');
      }}
    >
      Show me round
    </Button>
  );
}
