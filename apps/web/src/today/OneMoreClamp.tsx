import type { Taken, WallMinute } from '@lean-clasp/core/calendar';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { type BuildToDate, type Worth, worthOfOneMore } from '@lean-clasp/core/plan';
import { formatWait } from '@lean-clasp/core/units';
import { lotWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useFormat } from '../quantities/use-format';
import { toDate } from './use-shop-calendar';

/** Lots that are told. */
const SHOWN = 3;

type Search =
  | { readonly kind: 'asked'; readonly done: number; readonly of: number }
  | { readonly kind: 'found'; readonly worth: readonly Worth[] };

/** Which single clamp, bought, borrowed or made, would save most over all builds that wait; worked out when it is asked for. */
export function OneMoreClamp({
  shop,
  builds,
  start,
  taken,
}: {
  readonly shop: ShopDocument;
  readonly builds: readonly BuildToDate[];
  readonly start: WallMinute;
  readonly taken: readonly Taken[];
}) {
  const f = useFormat();
  const [search, setSearch] = useState<Search | null>(null);
  const wanted = useRef(false);
  useEffect(
    () => () => {
      wanted.current = false;
    },
    [],
  );
  const ask = async () => {
    wanted.current = true;
    setSearch({ kind: 'asked', done: 0, of: shop.rack.length });
    const worth = await worthOfOneMore({
      builds,
      shop,
      start,
      taken,
      replan: toDate,
      told: (done, of) => {
        if (wanted.current) setSearch({ kind: 'asked', done, of });
        return wanted.current;
      },
    }).catch((): Worth[] => []);
    if (wanted.current) setSearch({ kind: 'found', worth });
  };
  const stop = () => {
    wanted.current = false;
    setSearch(null);
  };
  return (
    <Box sx={{ mt: 2 }}>
      {search === null && (
        <Button variant="outlined" onClick={() => void ask()}>
          What would one more clamp save?
        </Button>
      )}
      {search?.kind === 'asked' && (
        <Box role="status" sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <Box sx={{ flex: 1 }}>
            <Typography>
              Trying one more of each lot, {search.done} of {search.of}.
            </Typography>
            <LinearProgress
              aria-label="Lots tried"
              variant="determinate"
              value={search.of === 0 ? 0 : (100 * search.done) / search.of}
            />
          </Box>
          <Button onClick={stop}>Stop</Button>
        </Box>
      )}
      {search?.kind === 'found' && (
        <Box role="status">
          {search.worth.length === 0 && (
            <Typography>One more clamp, of whichever lot, would save no clamp-up and no hour.</Typography>
          )}
          {search.worth.slice(0, SHOWN).map((worth) => (
            <Typography key={worth.lot.id}>
              One more {lotWords(worth.lot, f)}: <strong>{savedWords(worth)}</strong>.
            </Typography>
          ))}
          <Button onClick={() => void ask()}>Work it out again</Button>
        </Box>
      )}
    </Box>
  );
}

function savedWords({ placed, mended, sessions, soonerMin }: Worth): string {
  return [
    ...(placed.length > 0 ? [`${placed.join(', ')} can be glued`] : []),
    ...(mended.length > 0 ? [`a verdict of ${mended.join(', ')} no longer fails`] : []),
    ...(sessions > 0 ? [sessions === 1 ? 'one clamp-up fewer' : `${sessions} clamp-ups fewer`] : []),
    ...(soonerMin > 0 ? [`all done ${formatWait(soonerMin)} sooner`] : []),
  ].join(', ');
}
