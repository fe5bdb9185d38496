import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useRunsQuery } from '../../api/api';
import { Loading } from '../../frame/Loading';
import { Section } from '../../frame/Page';
import { RunList } from '../../logbook/RunList';
import { RunRecordForm } from '../../logbook/RunRecordForm';
import { useOpenBuild } from '../open-build';

/** Record: how the last glue-up of this build came out, and the ones before. */
export function RecordStep() {
  const { id } = useOpenBuild();
  const { data: mine = [], isLoading } = useRunsQuery(id);
  if (isLoading) return <Loading what="Reading the log" />;
  const last = mine.find((run) => run.state !== 'running');
  if (last === undefined) {
    return (
      <Typography>
        Nothing to record yet. After a glue-up its squeeze-out, flatness and gaps are written down here, so
        that the next plan knows better.{' '}
        <Button component={Link} to={`/builds/${id}/glue-up`}>
          Go to Glue up
        </Button>
      </Typography>
    );
  }
  return (
    <>
      <RunRecordForm runId={last.id} />
      <Section title="Glue-ups of this build">
        <RunList runs={mine} />
      </Section>
    </>
  );
}
