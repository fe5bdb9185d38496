import { inSentence } from '@lean-clasp/words';
import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { ShopDocument } from '@lean-clasp/core/formats';
import type { BuildToDate, GlueWanted, ShopCalendar, ShopSession } from '@lean-clasp/core/plan';
import { bottleState } from '@lean-clasp/core/shelf';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import { useAppSelector } from '../app/store';
import { Section } from '../frame/Page';
import { useFormat } from '../quantities/use-format';
import { saveCalendar } from '../order/save-calendar';
import { dayAndTime, dayOf, timeOf } from '../order/wall-words';
import { HoursToday } from './HoursToday';
import { LessonsToday } from './LessonsToday';
import { OneMoreClamp } from './OneMoreClamp';
import { Slipped } from './Slipped';
import { useBeforeLong } from './use-before-long';
import { useDayPlan } from './use-day-plan';
import { useShopCalendar, wallMinute } from './use-shop-calendar';

/** Sessions shown; more are in the calendar file. */
const MOST_SESSIONS = 8;

/** What can start next with the clamps, benches, hands and hours there are, over all builds not yet glued. */
export function ShopDates({ shop, now }: { readonly shop: ShopDocument; readonly now: number }) {
  const { calendar, toGet, done, of, from } = useShopCalendar(shop, now);
  const minute = wallMinute(now);
  const slips = useDayPlan(calendar, dayjs(now).format('YYYY-MM-DD'), minute);
  const soon = useBeforeLong(calendar?.sessions ?? null, shop, now);
  return (
    <>
      <Slipped slips={slips} />
      <Section
        title="What can start next"
        aside={
          calendar !== null && calendar.sessions.length > 0 ? (
            <Button variant="outlined" onClick={() => void saveCalendar(shop.name, calendar.sessions)}>
              Save as calendar file (.ics)
            </Button>
          ) : undefined
        }
      >
        {calendar === null ? (
          <Box role="status">
            <Typography>
              Thinking builds through, {done} of {of}.
            </Typography>
            <LinearProgress
              aria-label="Builds thought through"
              variant="determinate"
              value={of === 0 ? 0 : (100 * done) / of}
            />
          </Box>
        ) : (
          <>
            <HoursToday calendar={calendar} shop={shop} now={minute} soon={soon} />
            <Days calendar={calendar} />
            <ToGet list={toGet} />
            {from !== null && from.builds.length > 0 && <ShopListLink />}
            <Aged waiting={from?.builds ?? []} shop={shop} now={now} />
            {from !== null && from.builds.length > 0 && <OneMoreClamp shop={shop} {...from} />}
          </>
        )}
      </Section>
      <LessonsToday soon={soon} />
    </>
  );
}

function Days({ calendar }: { readonly calendar: ShopCalendar }) {
  const { sessions, noPlace, lastOfDay } = calendar;
  if (sessions.length === 0 && noPlace.length === 0) {
    return <Typography>Every build is glued up, or none has an order yet that can be glued.</Typography>;
  }
  return (
    <>
      <Box component="ul" aria-label="Sessions by day" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {sessions.slice(0, MOST_SESSIONS).map((session) => (
          <SessionLine key={`${session.build} ${session.session}`} session={session} />
        ))}
      </Box>
      {sessions.length > MOST_SESSIONS && (
        <Typography sx={{ mt: 1 }}>
          {sessions.length - MOST_SESSIONS} more until {dayOf(sessions.at(-1)?.start ?? 0)}.
        </Typography>
      )}
      {lastOfDay !== null && (
        <Typography sx={{ mt: 1 }}>
          Last on {dayOf(lastOfDay.by)}: <strong>{lastOfDay.session.name}</strong>, begun by{' '}
          {timeOf(lastOfDay.by)}. Of what is due before closing its clamps stay on longest, so that it cures
          overnight (judgement).
        </Typography>
      )}
      {noPlace.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          No day for {noPlace.map(({ name, code }) => `${name} (${NO_PLACE[code]})`).join(', ')}.
        </Typography>
      )}
    </>
  );
}

/** What to buy before all of it is glued. */
function ToGet({ list }: { readonly list: readonly GlueWanted[] }) {
  const f = useFormat();
  if (list.length === 0) return null;
  return (
    <Typography sx={{ mt: 1 }}>
      To get:{' '}
      {list
        .map(
          ({ adhesive, wantedMl, thereMl, builds }) =>
            `${inSentence(findAdhesive(adhesive).name)}, ${f.volume(wantedMl - thereMl)} for ${builds.join(', ')}`,
        )
        .join('; ')}
      .
    </Typography>
  );
}

/** What waits wants bought, borrowed and made, to take along. */
function ShopListLink() {
  const units = useAppSelector((state) => state.preferences.units);
  const paper = units === 'imperial' ? 'letter' : 'a4';
  return (
    <Typography sx={{ mt: 1 }}>
      <Link href={`/api/shop-list?paper=${paper}&units=${units}`} download>
        Shop list: what to buy, borrow and make (PDF)
      </Link>
    </Typography>
  );
}

/** Bottles that what waits goes by, and that are past their time. */
function Aged({
  waiting,
  shop,
  now,
}: {
  readonly waiting: readonly BuildToDate[];
  readonly shop: ShopDocument;
  readonly now: number;
}) {
  const wanted = new Set(waiting.map(({ adhesive }) => adhesive));
  const today = dayjs(now).format('YYYY-MM-DD');
  const past = shop.bottles.filter(
    (bottle) => wanted.has(bottle.adhesive) && bottleState(bottle, today).past,
  );
  if (past.length === 0) return null;
  return (
    <Typography sx={{ mt: 1 }}>
      Past its time on the shelf:{' '}
      {past
        .map(
          (bottle) =>
            `${inSentence(findAdhesive(bottle.adhesive).name)}, open since ${bottle.openedOn ?? ''}`,
        )
        .join('; ')}
      . Get fresh glue, or break two glued offcuts first.
    </Typography>
  );
}

const NO_PLACE: Readonly<Record<ShopCalendar['noPlace'][number]['code'], string>> = {
  'too-few-clamps': 'more clamps than the rack has',
  'too-few-hands': 'more hands than there are',
  'too-few-benches': 'more benches than there are',
  'no-opening-long-enough': 'longer than the shop is open at a stretch',
  'waits-in-a-circle': 'its sessions wait for each other',
};

function SessionLine({ session }: { readonly session: ShopSession }) {
  const { build, name, start, clampsOff, of } = session;
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: '10.5em minmax(0, 1fr)',
        columnGap: 2,
        alignItems: 'baseline',
        minHeight: 44,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <span>{dayAndTime(start)}</span>
      <span>
        <Link
          component={RouterLink}
          to={`/builds/${build}/order`}
          sx={{ fontWeight: 700, display: 'inline-block', py: 1.25 }}
        >
          {name}
        </Link>
        {of > 1 && `, session ${session.session + 1} of ${of}`}; clamps off {dayAndTime(clampsOff)}
      </span>
    </Box>
  );
}
