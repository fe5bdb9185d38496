import type { ShopDocument } from '@lean-clasp/core/formats';
import { accepted, forgotten, learn, type Lore, pacesByPerson, refused } from '@lean-clasp/core/learning';
import { loreWords, WORK_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { useEvidenceQuery } from '../api/api';
import { SyncNotice } from '../documents/SyncNotice';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page, Section } from '../frame/Page';
import { InTurn } from '../parts/InTurn';
import { type Format, useFormat } from '../quantities/use-format';
import { SHOP_ID } from '../shop/shop-id';
import { useEditShop } from '../shop/use-edit-shop';
import { LearnedEntry } from './LearnedEntry';
import { LogbookTabs } from './LogbookTabs';
import { OwnPulls } from './OwnPulls';

/** What the log teaches: each with its evidence, before and after, to be taken over, refused or forgotten. */
export function LearnedPage() {
  const state = useDocument('shops', SHOP_ID);
  const { data: evidence, isError } = useEvidenceQuery();
  const shop = state.kind === 'open' ? (state.body as ShopDocument) : null;
  return (
    <Page
      title="Learned"
      intro="What your own glue-ups say of your pace, your glue and what comes out. Plans go by it only once you accept it; given-up glue-ups and practice teach nothing."
      actions={<LogbookTabs />}
    >
      {state.kind === 'failed' && <Typography color="error">{state.message}</Typography>}
      {isError && (
        <Typography color="error">The log cannot be read: the server does not answer. Load again.</Typography>
      )}
      {shop === null || evidence === undefined ? (
        !isError && state.kind !== 'failed' && <Loading what="Reading the log" />
      ) : (
        <>
          <SyncNotice id={SHOP_ID} />
          <InTurn>
            <All evidence={evidence} shop={shop} />
            <InTurn>
              <Walked shop={shop} />
              <OwnPulls shop={shop} />
              <People evidence={evidence} />
            </InTurn>
          </InTurn>
        </>
      )}
    </Page>
  );
}

const HEADINGS: readonly (readonly [Lore['state'], string, string])[] = [
  [
    'proposed',
    'To be decided',
    'Nothing new: what the log says, plans go by already, or it says too little.',
  ],
  [
    'in-use',
    'Plans go by this',
    'Nothing accepted yet: plans go by the built-in figures and the shop’s general pace.',
  ],
  ['refused', 'Refused', ''],
  ['too-little', 'Not enough yet, or no different', ''],
];

function All({
  evidence,
  shop,
}: {
  readonly evidence: Parameters<typeof learn>[0];
  readonly shop: ShopDocument;
}) {
  const lore = useMemo(() => learn(evidence, shop), [evidence, shop]);
  return HEADINGS.map(([state, title, empty]) => {
    const own = lore.filter((each) => each.state === state);
    if (own.length === 0 && empty === '') return null;
    return (
      <Section key={state} title={title}>
        {own.length === 0 && <Typography>{empty}</Typography>}
        {own.map((each) => (
          <Entry key={each.key} lore={each} />
        ))}
      </Section>
    );
  });
}

/** Paces that a dry run gave, and no glue-up yet. */
function Walked({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const walked = (shop.learned?.pace ?? []).filter(({ runs }) => runs === 0);
  if (walked.length === 0) return null;
  return (
    <Section title="From dry runs">
      {walked.map(({ work, method, factor, on }) => {
        const subject = { kind: 'pace', work, method } as const;
        const name = loreWords(subject);
        return (
          <Box key={name} sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 44 }}>
            <Typography sx={{ flex: 1 }}>
              {name}: × {factor}, walked without glue on {dayjs(on).format('D MMM YYYY')}
            </Typography>
            <Button
              aria-label={`Forget: ${name}, from a dry run`}
              onClick={() =>
                edit(`Forgotten: ${name}`, (before) =>
                  forgotten(before, { subject, key: `pace:${work}:${method}` }),
                )
              }
            >
              Forget
            </Button>
          </Box>
        );
      })}
    </Section>
  );
}

function Entry({ lore }: { readonly lore: Lore }) {
  const edit = useEditShop();
  const f = useFormat();
  const [open, setOpen] = useState(false);
  const { subject, state, before, after, low, high, second, runs, behind } = lore;
  const name = loreWords(subject);
  const print = printOf(lore, f);
  const today = dayjs().format('YYYY-MM-DD');
  const asOf = (label: string, change: (shop: ShopDocument) => ShopDocument) =>
    edit(`${label}: ${name}`, change);
  return (
    <LearnedEntry
      name={name}
      actions={
        <>
          {state === 'proposed' && (
            <>
              <Button
                variant="contained"
                color="secondary"
                aria-label={`Accept: ${name}`}
                onClick={() => asOf('Learned', (shop) => accepted(shop, lore, today))}
              >
                Accept
              </Button>
              <Button
                aria-label={`Refuse: ${name}`}
                onClick={() => asOf('Refused', (shop) => refused(shop, lore))}
              >
                Refuse
              </Button>
            </>
          )}
          {(state === 'in-use' || state === 'refused') && (
            <Button
              aria-label={`Forget: ${name}`}
              onClick={() => asOf('Forgotten', (shop) => forgotten(shop, lore))}
            >
              {state === 'refused' ? 'Put forward again' : 'Forget'}
            </Button>
          )}
        </>
      }
    >
      <Typography>
        {before === null ? '' : `Plans go by ${print(before)} now. `}
        The log says <strong>{print(after)}</strong>, with 95 % confidence between {print(low)} and{' '}
        {print(high)}, out of {runs === 1 ? 'one glue-up' : `${runs} glue-ups`}.
        {second !== null &&
          subject.kind === 'scatter' &&
          ` From day to day ${Math.round(100 * second)} % on top.`}
        {second !== null &&
          subject.kind === 'reached' &&
          ` One in ten comes out at ${print(second)} or worse.`}
      </Typography>
      <Button onClick={() => setOpen(!open)} aria-expanded={open} sx={{ px: 0 }}>
        {open ? 'Hide where it comes from' : 'Where it comes from'}
      </Button>
      {open && (
        <TableContainer>
          <Table size="small" aria-label={`Where it comes from: ${name}`} sx={{ maxWidth: 640 }}>
            <TableHead>
              <TableRow>
                <TableCell>glue-up</TableCell>
                <TableCell align="right">it says</TableCell>
                <TableCell align="right">counts</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {behind.map((each) => (
                <TableRow key={each.runId}>
                  <TableCell>
                    <Link component={RouterLink} to={`/logbook/${each.runId}`}>
                      {each.buildName}, {dayjs(each.atMs).format('D MMM YYYY')}
                    </Link>
                  </TableCell>
                  <TableCell align="right">{print(each.value)}</TableCell>
                  <TableCell align="right">
                    {each.weight < NOTHING ? 'not: too far off' : `${Math.round(100 * each.weight)} %`}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      )}
    </LearnedEntry>
  );
}

/** A weight below this is none. */
const NOTHING = 0.02;

function printOf({ subject }: Lore, f: Format): (value: number) => string {
  switch (subject.kind) {
    case 'pace':
    case 'window':
      return (value) => `× ${value.toFixed(2)}`;
    case 'scatter':
      return (value) => `${Math.round(100 * value)} %`;
    case 'reached':
      return f.fine;
  }
}

function People({ evidence }: { readonly evidence: Parameters<typeof pacesByPerson>[0] }) {
  const people = useMemo(() => pacesByPerson(evidence), [evidence]);
  if (people.length === 0) return null;
  return (
    <Section title="Person by person">
      <TableContainer>
        <Table size="small" aria-label="Pace of each person" sx={{ maxWidth: 640 }}>
          <TableHead>
            <TableRow>
              <TableCell>who</TableCell>
              <TableCell>work</TableCell>
              <TableCell align="right">pace</TableCell>
              <TableCell align="right">95 % between</TableCell>
              <TableCell align="right">glue-ups</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {people.map(({ person, work, factor, low, high, runs }) => (
              <TableRow key={`${person} ${work}`}>
                <TableCell>{person}</TableCell>
                <TableCell>{WORK_WORDS[work]}</TableCell>
                <TableCell align="right">× {factor.toFixed(2)}</TableCell>
                <TableCell align="right">
                  {low.toFixed(2)}–{high.toFixed(2)}
                </TableCell>
                <TableCell align="right">{runs}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Plans go by the pace of the shop, not of one person.
      </Typography>
    </Section>
  );
}
