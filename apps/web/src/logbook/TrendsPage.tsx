import { lazy, Suspense } from 'react';
import Typography from '@mui/material/Typography';
import { useTrendsQuery } from '../api/api';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { LogbookTabs } from './LogbookTabs';

// Fetched while the log is being added up.
const charts = import('./TrendCharts').then((m) => ({ default: m.TrendCharts }));
const TrendCharts = lazy(() => charts);

/** What the whole log comes to: pace, margin, truth of what was promised, failures, coupons. */
export function TrendsPage() {
  const { data, isError } = useTrendsQuery();
  return (
    <Page
      title="Trends"
      intro="The whole log, month by month over the last two years. Nothing here is learned from until you accept it under Learned."
      actions={<LogbookTabs />}
    >
      {isError && (
        <Typography color="error">The log cannot be read: the server does not answer. Load again.</Typography>
      )}
      {data === undefined && !isError && <Loading what="Adding up the log" />}
      {data !== undefined && (
        <Suspense fallback={<Loading what="Drawing" />}>
          <TrendCharts trends={data} />
        </Suspense>
      )}
    </Page>
  );
}
