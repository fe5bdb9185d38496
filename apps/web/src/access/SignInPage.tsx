import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type SubmitEvent, useState } from 'react';
import { ApiError } from '../api/request';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useTitle } from '../frame/Page';
import { PassphraseField } from './PassphraseField';
import { signIn } from './session';

/** What a device from the network sees first. */
export function SignInPage() {
  useTitle('Come in');
  const dispatch = useAppDispatch();
  const open = useAppSelector(({ access }) => access.open);
  const [phrase, setPhrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    setBusy(true);
    dispatch(signIn(phrase))
      .catch((error: unknown) =>
        setProblem(
          error instanceof ApiError ? error.body.error.message : 'The server does not answer. Try again.',
        ),
      )
      .finally(() => setBusy(false));
  };
  return (
    <Box component="main" sx={{ p: { xs: 3, md: 8 }, maxWidth: 620 }}>
      <Typography color="text.secondary">Lean Clasp</Typography>
      <Typography variant="h1">This shop asks for its passphrase</Typography>
      {open ? (
        <Box
          component="form"
          onSubmit={submit}
          sx={{ mt: 3, display: 'grid', gap: 2, justifyItems: 'start' }}
        >
          <PassphraseField
            value={phrase}
            problem={problem}
            complete="current-password"
            onChange={(text) => {
              setPhrase(text);
              setProblem(null);
            }}
          />
          <Button type="submit" variant="contained" size="large" disabled={busy || phrase.trim() === ''}>
            Come in
          </Button>
          <Typography color="text.secondary">
            It was set at the machine that serves the shop. That for the bench lets this device run glue-ups;
            the owner’s lets it change plans as well.
          </Typography>
        </Box>
      ) : (
        <Typography sx={{ mt: 2 }}>
          None is set yet. At the machine that serves the shop, open Shop and set one under Network; then load
          this page again.
        </Typography>
      )}
    </Box>
  );
}
