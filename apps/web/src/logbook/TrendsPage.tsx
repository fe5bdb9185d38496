import Typography from '@mui/material/Typography';
import { useTrendsQuery } from '../api/api';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { LogbookTabs } from './LogbookTabs';
import { TrendCharts } from './TrendCharts';

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
      {data !== undefined && <TrendCharts trends={data} />}
    </Page>
  );
}
