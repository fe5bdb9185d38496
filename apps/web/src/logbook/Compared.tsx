import { retrace } from '@lean-clasp/core/bench';
import type { RunDocument } from '@lean-clasp/core/formats';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useRunsQuery } from '../api/api';
import { instantWords } from '../bench/release';
import { useRun } from '../bench/use-run';
import { Loading } from '../frame/Loading';
import { Choice } from '../parts/Choice';
import { useNow } from '../parts/use-now';
import { AsPromised } from './AsPromised';
import { Timeline } from './Timeline';

const ALONE = 'alone';

/** A run on its time axis, and another of the same build under it on the same axis, where one was picked. */
export function Compared({ run }: { readonly run: RunDocument }) {
  const [search, setSearch] = useSearchParams();
  const { data: runs = [] } = useRunsQuery(run.buildId);
  const now = useNow(false);
  const others = runs.filter(({ id, state }) => id !== run.id && state === 'clamped');
  const other = others.find(({ id }) => id === search.get('with'))?.id ?? null;
  const retraced = useMemo(() => retrace(run), [run]);
  if (retraced === null) return <Typography>This glue-up was run before its steps were kept.</Typography>;
  return (
    <>
      <AsPromised run={run} />
      {other === null ? <Timeline retraced={retraced} /> : <Both run={run} otherId={other} />}
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        Pale: as planned. Full: as worked. Behind each fuse stands what was left of its windows, the
        unfavourable ones.
      </Typography>
      {others.length > 0 && (
        <Choice
          label="Beside it"
          value={other ?? ALONE}
          width={300}
          options={[
            { value: ALONE, name: 'nothing' },
            ...others.map(({ id, startedAtMs }) => ({ value: id, name: instantWords(startedAtMs, now) })),
          ]}
          onChange={(id) => setSearch(id === ALONE ? {} : { with: id }, { replace: true })}
        />
      )}
    </>
  );
}

function Both({ run, otherId }: { readonly run: RunDocument; readonly otherId: string }) {
  const { run: other } = useRun(otherId);
  const now = useNow(false);
  const retraced = useMemo(
    () => [run, other].map((each) => (each === undefined ? null : retrace(each))),
    [run, other],
  );
  if (other === undefined) return <Loading what="Reading the other" />;
  const untilMin = Math.max(...retraced.map((each) => each?.untilMin ?? 0));
  return (
    <>
      {[run, other].map((each, i) => {
        const own = retraced[i] ?? null;
        return (
          <div key={each.id}>
            <Typography variant="h3">{instantWords(each.startedAtMs, now)}</Typography>
            {i === 1 && <AsPromised run={each} />}
            {own !== null && <Timeline retraced={own} untilMin={untilMin} />}
          </div>
        );
      })}
    </>
  );
}
