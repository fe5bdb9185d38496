import { KINDS } from '@lean-clasp/core/kinds';
import { ADHESIVE_OPTIONS, KIND_WORDS } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useState } from 'react';
import { type LogAsked, useRunLogInfiniteQuery } from '../api/api';
import { Loading } from '../frame/Loading';
import { Page, Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { MoreButton } from '../parts/MoreButton';
import { Tick } from '../parts/Tick';
import { LogbookTabs } from './LogbookTabs';
import { RunList } from './RunList';

const EVERYTHING: LogAsked = { text: '', template: null, adhesive: null, wrong: false };

/** Every glue-up: what was planned against what happened. */
export function LogbookPage() {
  const [asked, setAsked] = useState(EVERYTHING);
  const { data, isError, hasNextPage, isFetchingNextPage, fetchNextPage } = useRunLogInfiniteQuery(
    useDeferredValue(asked),
  );
  // Rows are drawn while the page stays ready for whatever is done on it.
  const pages = useDeferredValue(data?.pages);
  const runs = pages?.flatMap((page) => page.runs);
  const narrowed =
    asked !== EVERYTHING &&
    Object.values(asked).some((value) => value !== null && value !== '' && value !== false);
  return (
    <Page
      title="Logbook"
      intro="Every glue-up with what its plan promised and how it came out."
      actions={<LogbookTabs />}
    >
      {isError && (
        <Typography color="error">The log cannot be read: the server does not answer. Load again.</Typography>
      )}
      {runs?.length === 0 && !narrowed && (
        <Typography>
          Nothing in the log yet. When a glue-up is run from a build’s <em>Glue up</em> step, it stands here
          with its times, and its record can be written down while it is in clamps.
        </Typography>
      )}
      {((runs !== undefined && runs.length > 0) || narrowed) && <Filter asked={asked} onAsk={setAsked} />}
      {runs === undefined && !isError && <Loading what="Reading the log" />}
      {runs?.length === 0 && narrowed && <Typography>No glue-up in the log is like that.</Typography>}
      {runs !== undefined && runs.length > 0 && (
        <>
          <Section
            title="Glue-ups"
            aside={
              <Button component="a" href="/api/runs/log.csv" download>
                Save as CSV
              </Button>
            }
          >
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

const ANY = 'any';
const KIND_OPTIONS = [
  { value: ANY, name: 'every kind' },
  ...KINDS.map(({ id }) => ({ value: id, name: KIND_WORDS[id]?.name ?? id })),
];
const GLUES = [{ value: ANY, name: 'every glue' }, ...ADHESIVE_OPTIONS];

function Filter({ asked, onAsk }: { readonly asked: LogAsked; readonly onAsk: (asked: LogAsked) => void }) {
  const of = (value: string) => (value === ANY ? null : value);
  return (
    <FieldRow>
      <TextField
        label="Build or note"
        size="small"
        type="search"
        value={asked.text}
        onChange={(event) => onAsk({ ...asked, text: event.target.value })}
        sx={{ width: 240 }}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Choice
        label="Kind"
        value={asked.template ?? ANY}
        options={KIND_OPTIONS}
        width={220}
        onChange={(value) => onAsk({ ...asked, template: of(value) })}
      />
      <Choice
        label="Glue"
        value={asked.adhesive ?? ANY}
        options={GLUES}
        width={220}
        onChange={(value) => onAsk({ ...asked, adhesive: of(value) })}
      />
      <Tick label="What went wrong" checked={asked.wrong} onChange={(wrong) => onAsk({ ...asked, wrong })} />
    </FieldRow>
  );
}
