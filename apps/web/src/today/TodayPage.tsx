import { useMayChange } from '../access/session';
import { useAppSelector } from '../app/store';
import { ShowRound } from '../tour/ShowRound';
import { NewBuildButton } from '../builds/NewBuildButton';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { nextRecheck, type RunSummary } from '@lean-clasp/core/runs';
import { formatWait } from '@lean-clasp/core/units';
import { storedMoisturePct } from '@lean-clasp/core/air';
import { PLAIN_TRAITS } from '@lean-clasp/core/materials';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import { ASPECT_NAMES, RECHECK_NAMES } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { type ReactNode, Suspense } from 'react';
import { Link as RouterLink } from 'react-router';
import { useBuildQuery, useBuildsInfiniteQuery, useRunsQuery } from '../api/api';
import { instantWords } from '../bench/release';
import { type ReleaseNow, useReleaseNow } from '../bench/use-release';
import { readIn } from '../parts/read-in';
import { useNow } from '../parts/use-now';
import { useVerdictsOf } from '../planner/use-verdicts-of';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page, Section } from '../frame/Page';
import { useFormat } from '../quantities/use-format';
import { AGE_EVERY_MS, airWords } from '../air/air-words';
import { useAirReport, useShopNow } from '../air/use-shop-now';
import { USUAL_MM } from '../air/wood-words';
import { SHOP_ID } from '../shop/shop-id';
import { StateMark } from '../verdicts/state-mark';
import { ShopDates } from './ShopDates';

const MS_PER_MIN = 60_000;
/** Glue-ups older than this are no longer waiting for anything. */
const RECENT_DAYS = 3;

/** Kinds and their drawings, which nobody needs who has been here before. */
const FirstVisit = readIn(() => import('./FirstVisit').then((m) => m.FirstVisit));

/** Today: what is in clamps, what the air is like, what was worked on last. */
export function TodayPage() {
  const now = useNow(true);
  const builds = useBuildsInfiniteQuery('').data?.pages[0]?.builds;
  const mayChange = useMayChange();
  const shownRound = useAppSelector((state) => state.preferences.shownRound);
  const isFirst = mayChange && builds?.length === 0;
  return (
    <Page
      title="Today"
      intro={dayjs(now).format('dddd, D MMMM YYYY')}
      actions={shownRound ? undefined : <ShowRound />}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '3fr 2fr' }, columnGap: 5 }}>
        <Box>
          {isFirst ? (
            <Suspense fallback={<Loading what="Laying out the questions" />}>
              <FirstVisit />
            </Suspense>
          ) : (
            <>
              <InClamps now={now} />
              <Looks now={now} />
              <Next now={now} />
              <LatestBuilds />
            </>
          )}
        </Box>
        <Air />
      </Box>
    </Page>
  );
}

/** The shop as its air is now; null until it is there. */
function useShop() {
  const state = useDocument('shops', SHOP_ID);
  return { state, shop: useShopNow(state.kind === 'open' ? (state.body as ShopDocument) : null) };
}

function InClamps({ now }: { readonly now: number }) {
  const { data: runs } = useRunsQuery();
  const recent = (runs ?? []).filter(
    (run) => run.state !== 'abandoned' && dayjs(now).diff(run.startedAtMs, 'day') < RECENT_DAYS,
  );
  return (
    <Section title="In clamps">
      {runs !== undefined && recent.length === 0 && (
        <Typography>
          Nothing is in clamps. After a glue-up, this says when each clamp may come off and when the wood may
          meet a plane.
        </Typography>
      )}
      {recent.map((run) => (
        <RunLine key={run.id} run={run} now={now} />
      ))}
    </Section>
  );
}

function RunLine({ run, now }: { readonly run: RunSummary; readonly now: number }) {
  const release = useReleaseNow(run, now);
  return (
    <Line to={run.state === 'running' ? `/bench/${run.id}` : `/logbook/${run.id}`} name={run.buildName}>
      {run.state === 'running' ? 'running now' : standsWords(run, release, now)}
    </Line>
  );
}

/** How a piece in clamps, or fresh out of them, stands. */
function standsWords(run: RunSummary, { clampsOffMs, machineMs, laterMin }: ReleaseNow, now: number): string {
  const on = run.clampsOffAtMs == null;
  if (on && clampsOffMs === Infinity) return 'does not set in this air: leave the clamps on, warm it';
  if (on && clampsOffMs !== null && now < clampsOffMs) {
    const late = laterMin > 0 ? ', later than promised: the air was colder' : '';
    return `clamps off ${instantWords(clampsOffMs, now)}, in ${formatWait((clampsOffMs - now) / MS_PER_MIN)}${late}`;
  }
  if (machineMs !== null && now < machineMs) {
    return `${on ? 'clamps may come off' : 'clamps are off'}; plane it from ${instantWords(machineMs, now)}`;
  }
  return 'cured enough to work';
}

/** Something with a name that leads to it, and what there is to say of it. */
function Line({
  to,
  name,
  children,
}: {
  readonly to: string;
  readonly name: string;
  readonly children: ReactNode;
}) {
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 2,
        alignItems: 'baseline',
        minHeight: 44,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Link component={RouterLink} to={to} sx={{ fontWeight: 700, py: 1.25 }}>
        {name}
      </Link>
      <span>{children}</span>
    </Box>
  );
}

/** Days before a look is due that it is told. */
const AHEAD_DAYS = 2;

/** Pieces to be looked at again, the longest due first. */
function Looks({ now }: { readonly now: number }) {
  const { data: runs = [] } = useRunsQuery();
  const due = runs
    .flatMap(({ id, buildName, clampedAtMs, rechecks = {} }) => {
      const next = nextRecheck(clampedAtMs, rechecks, now);
      return next === null || dayjs(next.atMs).diff(now, 'day') >= AHEAD_DAYS
        ? []
        : [{ id, buildName, ...next }];
    })
    .sort((a, b) => a.atMs - b.atMs);
  if (due.length === 0) return null;
  return (
    <Section title="To be looked at again">
      {due.slice(0, MOST_LOOKS).map(({ id, buildName, due: which, atMs }) => (
        <Line key={id} to={`/logbook/${id}`} name={buildName}>
          {RECHECK_NAMES[which]}, due {instantWords(atMs, now)}
        </Line>
      ))}
    </Section>
  );
}

/** Most of them that are told at once. */
const MOST_LOOKS = 6;

function Next({ now }: { readonly now: number }) {
  const { shop } = useShop();
  return shop === null ? null : <ShopDates shop={shop} now={now} />;
}

function LatestBuilds() {
  const builds = useBuildsInfiniteQuery('').data?.pages[0]?.builds;
  const { shop } = useShop();
  return (
    <Section title="Worked on last" aside={<NewBuildButton />}>
      {builds?.length === 0 && (
        <Typography>No build yet. Every kind takes at most eight answers to set up.</Typography>
      )}
      {builds?.slice(0, 5).map(({ id, revision, name, project }) => (
        <Box
          key={id}
          sx={{
            display: 'flex',
            gap: 2,
            alignItems: 'baseline',
            minHeight: 44,
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <Link component={RouterLink} to={`/builds/${id}/fit`} sx={{ fontWeight: 700, py: 1.25 }}>
            {name}
          </Link>
          <Box component="span" sx={{ color: 'text.secondary', flex: 1 }}>
            {project}
          </Box>
          {shop !== null && <VerdictsOf id={id} revision={revision} shop={shop} />}
        </Box>
      ))}
    </Section>
  );
}

/** The verdicts of a build that is still to be fetched. */
function VerdictsOf({
  id,
  revision,
  shop,
}: {
  readonly id: string;
  readonly revision: number;
  readonly shop: ShopDocument;
}) {
  const { data } = useBuildQuery({ id, revision });
  return data === undefined ? null : <Verdicts build={data.body} shop={shop} />;
}

/** The four verdicts of a build in the shop as it is now, by shape and name. */
function Verdicts({ build, shop }: { readonly build: BuildDocument; readonly shop: ShopDocument }) {
  const verdicts = useVerdictsOf(build, shop);
  if (verdicts === null) return null;
  return (
    <Box component="span" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, fontSize: '0.9375rem' }}>
      {ASPECTS.map((aspect) => (
        <span key={aspect}>
          <StateMark state={verdicts[aspect].state} /> {ASPECT_NAMES[aspect]}
        </span>
      ))}
    </Box>
  );
}

function Air() {
  const { state, shop } = useShop();
  const f = useFormat();
  const report = useAirReport(shop?.sensor?.follow ?? false);
  const nowMs = useNow(report.state !== 'none', AGE_EVERY_MS);
  if (shop === null) {
    return state.kind === 'failed' ? <Typography color="error">{state.message}</Typography> : null;
  }
  const { climate, hours } = shop;
  return (
    <Section
      title="Air in the shop"
      aside={
        <Button component={RouterLink} to="/shop">
          Change
        </Button>
      }
    >
      <Typography sx={{ fontSize: '1.75rem', fontWeight: 700 }}>
        {f.temperature(climate.tempC)}, {Math.round(climate.rhPct)} %
      </Typography>
      <Typography sx={{ mb: 2 }}>
        Boards that lie here are at {storedMoisturePct(USUAL_MM, PLAIN_TRAITS, shop).toFixed(1)} % moisture by
        the air of weeks. {report.state === 'none' ? 'Typed in by hand under Shop.' : airWords(report, nowMs)}
      </Typography>
      {hours.length > 0 && (
        <>
          <Typography variant="h3">Through the day, as a rule</Typography>
          {hours.filter(isTold).map((hour) => (
            <Box key={hour.hour} sx={{ display: 'flex', gap: 2 }}>
              <Box sx={{ width: 60 }}>{String(hour.hour).padStart(2, '0')}:00</Box>
              <Box>
                {f.temperature(hour.tempC)}, {Math.round(hour.rhPct)} %
              </Box>
            </Box>
          ))}
        </>
      )}
    </Section>
  );
}

/** A day that was read hour by hour is told every four hours. */
const isTold = (_: unknown, i: number, hours: readonly unknown[]): boolean =>
  hours.length <= 8 || i % 4 === 2;
