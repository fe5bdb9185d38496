import type { TakeIn, TakeInMode } from '@lean-clasp/archive';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type ChangeEvent, useState } from 'react';
import { api } from '../api/api';
import { ApiError, requestJson } from '../api/request';
import { useAppDispatch } from '../app/store';
import { refresh } from '../documents/sync';
import { Section } from '../frame/Page';
import { slug } from '../parts/save-file';
import { SHOP_ID } from './shop-id';

/** An archive that was chosen, with what it would do either way. */
interface Looked {
  readonly file: File;
  readonly merge: TakeIn;
  readonly replace: TakeIn;
}

const TYPE = 'application/zip';
const take = (file: File, mode: TakeInMode, only: boolean): Promise<TakeIn> =>
  requestJson(`/api/archive?mode=${mode}${only ? '&only=look' : ''}`, {
    method: 'POST',
    body: new Blob([file], { type: TYPE }),
  });

const messageOf = (error: unknown): string =>
  error instanceof ApiError ? error.message : 'The server cannot be reached; nothing was read in.';

/** Everything of the shop as one file, out and in; what would come of reading one in is told first. */
export function ArchiveSection({ name }: { readonly name: string }) {
  const dispatch = useAppDispatch();
  const [looked, setLooked] = useState<Looked | null>(null);
  const [done, setDone] = useState<TakeIn | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const doing = async (work: () => Promise<void>) => {
    setBusy(true);
    setFault(null);
    setDone(null);
    try {
      await work();
    } catch (error) {
      setFault(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  const look = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    // So that the same file can be chosen again.
    event.target.value = '';
    if (file === undefined) return;
    setLooked(null);
    void doing(async () => {
      const merge = await take(file, 'merge', true);
      setLooked({ file, merge, replace: await take(file, 'replace', true) });
    });
  };
  const takeIn = (mode: TakeInMode) =>
    doing(async () => {
      if (looked === null) return;
      setDone(await take(looked.file, mode, false));
      setLooked(null);
      dispatch(api.util.resetApiState());
      await dispatch(refresh(SHOP_ID));
    });
  return (
    <Section title="Everything as one file">
      <Typography sx={{ mb: 1, maxWidth: 760 }}>
        Shop, builds, log and pictures as a zip file of plain JSON, tables and JPEG, with a page that lists
        them.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1 }}>
        <Button component="a" href="/api/archive" download={`${slug(name)}.zip`} variant="outlined">
          Save everything
        </Button>
        <Button component="label" disabled={busy}>
          Read one in
          <input
            type="file"
            accept=".zip,application/zip"
            hidden
            onChange={look}
            aria-label="Archive to read in"
          />
        </Button>
      </Box>
      {fault !== null && (
        <Alert severity="error" variant="outlined">
          {fault}
        </Alert>
      )}
      {looked !== null && (
        <Alert severity="info" variant="outlined" onClose={() => setLooked(null)}>
          <Typography sx={{ fontWeight: 700 }}>{looked.file.name} holds</Typography>
          <Typography>Added to what is here: {takenWords(looked.merge)}</Typography>
          <Typography>In place of what is here: {takenWords(looked.replace)}</Typography>
          <Faults of={looked.merge} />
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
            <Button variant="contained" disabled={busy} onClick={() => void takeIn('merge')}>
              Add what is not here
            </Button>
            <Button color="error" disabled={busy} onClick={() => void takeIn('replace')}>
              Put it in place of everything
            </Button>
          </Box>
        </Alert>
      )}
      {done !== null && (
        <Alert severity="success" variant="outlined" onClose={() => setDone(null)}>
          Read in: {takenWords(done)}
          <Faults of={done} />
        </Alert>
      )}
    </Section>
  );
}

const SHOP_WORDS: Readonly<Record<TakeIn['shop'], string>> = {
  same: 'the shop is the same',
  'added-to': 'the shop gets lots, bottles or woods that it has not',
  replaced: 'the shop is replaced, which can be undone',
  kept: 'the shop stays as it is',
};

function takenWords({ builds, runs, pictures, shop }: TakeIn): string {
  const parts = [
    `${builds.fresh} new builds`,
    ...(builds.same > 0 ? [`${builds.same} the same`] : []),
    ...(builds.changed > 0 ? [`${builds.changed} that differ`] : []),
    ...(builds.binned > 0 ? [`${builds.binned} into the bin`] : []),
    `${runs.fresh} new glue-ups`,
    ...(pictures > 0 ? [`${pictures} pictures`] : []),
    SHOP_WORDS[shop],
  ];
  return `${parts.join(', ')}.`;
}

/** Files that could not be read. */
function Faults({ of: { faults } }: { readonly of: TakeIn }) {
  if (faults.length === 0) return null;
  return (
    <Box component="ul" sx={{ my: 1, pl: 3 }} aria-label="Left out">
      {faults.slice(0, MOST_FAULTS).map(({ path, says }) => (
        <li key={path}>
          {path}: {says}
        </li>
      ))}
      {faults.length > MOST_FAULTS && <li>and {faults.length - MOST_FAULTS} more</li>}
    </Box>
  );
}

const MOST_FAULTS = 8;
