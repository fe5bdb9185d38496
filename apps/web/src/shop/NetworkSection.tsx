import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import {
  problemOf,
  useNetworkQuery,
  useRemovePassphraseMutation,
  useSetPassphraseMutation,
} from '../api/api';
import type { Role } from '../access/access-slice';
import { PassphraseField } from '../access/PassphraseField';
import { useAppSelector } from '../app/store';
import { instantWords } from '../bench/release';
import { Section } from '../frame/Page';
import { useNow } from '../parts/use-now';

const QR_PX = 148;

/** Where other devices of the shop find it, and who comes in. */
export function NetworkSection() {
  const here = useAppSelector(({ access }) => access.here);
  const { data } = useNetworkQuery();
  if (data === undefined) return null;
  const { addresses, secure, passphrases, calendar } = data;
  const setAt = (role: Role) => passphrases.find((each) => each.role === role)?.setAtMs ?? null;
  return (
    <Section title="Network">
      {addresses.length === 0 ? (
        <Typography sx={{ mb: 2, maxWidth: 760 }}>
          Only this machine reaches the shop. To run a glue-up from a tablet at the bench, start it with{' '}
          <code>npm start -- --host 0.0.0.0</code>, with <code>--https</code> as well if the tablet shall keep
          its screen awake.
        </Typography>
      ) : (
        <Addresses addresses={addresses} secure={secure} />
      )}
      {addresses.length > 0 && passphrases.length === 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 2 }}>
          No passphrase is set: nobody comes in from the network yet.
        </Alert>
      )}
      {here ? (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4 }}>
          <Passphrase
            role="bench"
            what="For the bench: reads everything, runs glue-ups"
            setAtMs={setAt('bench')}
          />
          <Passphrase role="owner" what="For the owner: everything" setAtMs={setAt('owner')} />
        </Box>
      ) : (
        <Typography color="text.secondary">
          Passphrases are set at the machine that serves the shop.
        </Typography>
      )}
      <CalendarFeed address={`${addresses[0] ?? location.origin}${calendar}`} />
    </Section>
  );
}

/** Where a calendar subscribes to clamps-off, machining and later looks. */
function CalendarFeed({ address }: { readonly address: string }) {
  return (
    <Box sx={{ mt: 2, maxWidth: 760 }}>
      <Typography>
        A calendar that subscribes to this address tells when clamps may come off, when wood may meet a plane
        and when to look again, with an alarm:
      </Typography>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography sx={{ fontFamily: 'monospace', overflowWrap: 'anywhere', flex: '1 1 320px' }}>
          {address}
        </Typography>
        {/* Browsers copy for pages they trust alone. */}
        {window.isSecureContext && (
          <Button onClick={() => void navigator.clipboard.writeText(address)}>Copy</Button>
        )}
      </Box>
      <Typography color="text.secondary">
        Whoever has the address can read it. A passphrase set anew gives it another.
      </Typography>
    </Box>
  );
}

function Addresses({
  addresses,
  secure,
}: {
  readonly addresses: readonly string[];
  readonly secure: boolean;
}) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, mb: 2 }}>
      {addresses[0] !== undefined && (
        <Box sx={{ bgcolor: '#fff', p: 1, lineHeight: 0 }}>
          <QRCodeSVG value={addresses[0]} size={QR_PX} title={`Code of ${addresses[0]}`} marginSize={1} />
        </Box>
      )}
      <Box sx={{ flex: '1 1 320px', maxWidth: 640 }}>
        {addresses.map((address) => (
          <Typography key={address} sx={{ fontFamily: 'monospace', overflowWrap: 'anywhere' }}>
            {address}
          </Typography>
        ))}
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          {secure ? (
            <>
              Each device warns once, since it does not know the certificate that this server made for itself.
              One that has <Link href="/api/certificate">the certificate</Link> among those it trusts keeps
              the program too, and runs it while the server is away.
            </>
          ) : (
            <>
              Without HTTPS a tablet’s browser refuses to keep the screen awake and to keep the program for
              when the server is away, and whoever is on the same network can read along, the passphrase
              included. Start with <code>--https</code> for both.
            </>
          )}
        </Typography>
      </Box>
    </Box>
  );
}

function Passphrase({
  role,
  what,
  setAtMs,
}: {
  readonly role: Role;
  readonly what: string;
  readonly setAtMs: number | null;
}) {
  const [phrase, setPhrase] = useState('');
  const [save, { error, isLoading, reset }] = useSetPassphraseMutation();
  const [remove] = useRemovePassphraseMutation();
  const now = useNow(false);
  return (
    <Box
      component="form"
      aria-label={`Passphrase of the ${role}`}
      onSubmit={(event) => {
        event.preventDefault();
        save({ role, passphrase: phrase })
          .unwrap()
          .then(
            () => setPhrase(''),
            () => undefined,
          );
      }}
      sx={{
        display: 'grid',
        gap: 1,
        justifyItems: 'start',
        alignContent: 'start',
        flex: '0 1 420px',
        minWidth: 0,
        gridTemplateColumns: 'minmax(0, 1fr)',
      }}
    >
      <Typography>{what}</Typography>
      <PassphraseField
        label={role === 'bench' ? 'Bench passphrase' : 'Owner passphrase'}
        value={phrase}
        problem={error === undefined ? null : problemOf(error)}
        hint={setAtMs === null ? 'Not set. Three or four words.' : `Set ${instantWords(setAtMs, now)}.`}
        complete="new-password"
        onChange={(text) => {
          setPhrase(text);
          reset();
        }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="outlined" disabled={phrase.trim() === '' || isLoading}>
          {setAtMs === null ? 'Set it' : 'Set another'}
        </Button>
        {setAtMs !== null && (
          <Button color="error" onClick={() => void remove(role)}>
            Take it away
          </Button>
        )}
      </Box>
      {setAtMs !== null && (
        <Typography variant="body2" color="text.secondary">
          Setting another or taking it away signs out whoever came in by it.
        </Typography>
      )}
    </Box>
  );
}
