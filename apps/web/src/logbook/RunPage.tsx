import Button from '@mui/material/Button';
import { Link, useParams } from 'react-router';
import { instantWords } from '../bench/release';
import { useNow } from '../parts/use-now';
import { useRun } from '../bench/use-run';
import { Page } from '../frame/Page';
import { RunRecordForm } from './RunRecordForm';

/** One glue-up in the log. */
export function RunPage() {
  const { runId = '' } = useParams();
  const { run } = useRun(runId);
  const now = useNow(false);
  return (
    <Page
      title={run === undefined ? 'Glue-up' : run.buildName}
      intro={run === undefined ? undefined : `Glued up ${instantWords(run.startedAtMs, now)}.`}
      actions={
        <>
          {run !== undefined && (
            <Button component={Link} to={`/builds/${run.buildId}/fit`} variant="outlined">
              Its build
            </Button>
          )}
          <Button component={Link} to="/logbook" variant="outlined">
            All of the log
          </Button>
        </>
      }
    >
      <RunRecordForm runId={runId} />
    </Page>
  );
}
