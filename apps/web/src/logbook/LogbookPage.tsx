import Typography from '@mui/material/Typography';
import { lazy, Suspense, useDeferredValue } from 'react';
import { useRunLogInfiniteQuery } from '../api/api';
import { Loading } from '../frame/Loading';
import { Page, Section } from '../frame/Page';
import { MoreButton } from '../parts/MoreButton';
import { RunList } from './RunList';

const PaceChart = lazy(() => import('./PaceChart').then((m) => ({ default: m.PaceChart })));

/** Every glue-up: what was planned against what happened. */
export function LogbookPage() {
  const { data, isError, hasNextPage, isFetchingNextPage, fetchNextPage } = useRunLogInfiniteQuery();
  // Rows are drawn while the page stays ready for whatever is done on it.
  const pages = useDeferredValue(data?.pages);
  const runs = pages?.flatMap((page) => page.runs);
  return (
    <Page title="Logbook" intro="Every glue-up with what its plan promised and how it came out.">
      {runs === undefined && !isError && <Loading what="Reading the log" />}
      {isError && (
        <Typography color="error">The log cannot be read: the server does not answer. Load again.</Typography>
      )}
      {runs?.length === 0 && (
        <Typography>
          Nothing in the log yet. When a glue-up is run from a build’s <em>Glue up</em> step, it stands here
          with its times, and its record can be written down while it is in clamps.
        </Typography>
      )}
      {runs !== undefined && runs.length > 0 && (
        <>
          <Section title="Planned and taken">
            <Suspense fallback={<Loading what="Drawing" />}>
              <PaceChart runs={runs} />
            </Suspense>
          </Section>
          <Section title="Glue-ups">
            <RunList runs={runs} wide />
            <MoreButton
              more={hasNextPage}
              busy={isFetchingNextPage}
              onMore={() => void fetchNextPage()}
              what="Older glue-ups"
            />
          </Section>
        </>
      )}
    </Page>
  );
}
