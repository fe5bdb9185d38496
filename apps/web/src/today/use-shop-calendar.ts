import { readWallTime, type Taken, type WallMinute } from '@lean-clasp/core/calendar';
import type { ShopDocument } from '@lean-clasp/core/formats';
import {
  type BuildToDate,
  type GlueWanted,
  glueToGet,
  heldBy,
  type ShopCalendar,
  shopCalendar,
} from '@lean-clasp/core/plan';
import dayjs from 'dayjs';
import { useEffect, useMemo, useState } from 'react';
import { type BuildLine, type StoredBuild, useBuildsInfiniteQuery, useRunsQuery } from '../api/api';
import { requestJson } from '../api/request';
import { releaseOf } from '../bench/release';
import type { RunSummary } from '@lean-clasp/core/runs';
import { arranger } from '../planner/workers';

/** Builds that are looked at: the last worked on of those that wait, and those in clamps. */
const MOST_LOOKED_AT = 40;

const concerned = (listed: readonly BuildLine[], runs: readonly RunSummary[]): readonly BuildLine[] => {
  const run = new Set(runs.filter(({ state }) => state !== 'abandoned').map(({ buildId }) => buildId));
  const waiting = listed.filter(({ glued }) => !glued).slice(0, MOST_LOOKED_AT);
  return [...waiting, ...listed.filter(({ id, glued }) => glued && run.has(id)).slice(0, MOST_LOOKED_AT)];
};

/** The calendar of the shop as far as it is worked out. */
export interface ShopCalendarNow {
  /** Null until every build is thought through. */
  readonly calendar: ShopCalendar | null;
  /** Glue that builds not glued yet want more of than there is. */
  readonly toGet: readonly GlueWanted[];
  readonly done: number;
  readonly of: number;
  /** What the calendar was worked out from; null until it is. */
  readonly from: {
    readonly builds: readonly BuildToDate[];
    readonly start: WallMinute;
    readonly taken: readonly Taken[];
  } | null;
}

/** A build thought through in a shop. */
export async function toDate(id: string, shop: ShopDocument): Promise<BuildToDate> {
  const { body } = await requestJson<StoredBuild>(`/api/builds/${id}`);
  return arranger().toDate(id, body, shop);
}

/** A build that cannot be planned says so when it is opened; here it has no sessions. */
const nothingToDate = (id: string, name: string): BuildToDate => ({
  id,
  name,
  crew: 1,
  sessions: [],
  machineMin: 0,
  adhesive: '',
  volumeMl: 0,
  failing: 0,
});

/** A moment by the clock on the wall. */
export const wallMinute = (ms: number) => readWallTime(dayjs(ms).format('YYYY-MM-DDTHH:mm'), 'now');
/** The calendar begins at a full quarter of an hour, so that it does not move with every tick of the clock. */
const QUARTER_MS = 15 * 60_000;

/** Plans every build off the page, then puts those that are not glued yet on one calendar. */
export function useShopCalendar(shop: ShopDocument, now: number): ShopCalendarNow {
  const listed = useBuildsInfiniteQuery('', { refetchOnMountOrArgChange: true }).data?.pages[0]?.builds;
  const { data: runs } = useRunsQuery();
  const builds = useMemo(
    () => (listed === undefined || runs === undefined ? undefined : concerned(listed, runs)),
    [listed, runs],
  );
  const [thought, setThought] = useState<readonly BuildToDate[]>([]);
  useEffect(() => {
    if (builds === undefined) return;
    let overtaken = false;
    const think = async () => {
      const all: BuildToDate[] = [];
      for (const { id, name } of builds) {
        all.push(await toDate(id, shop).catch(() => nothingToDate(id, name)));
        if (overtaken) return;
        setThought([...all]);
      }
    };
    void think();
    return () => {
      overtaken = true;
    };
  }, [builds, shop]);
  const from = Math.ceil(now / QUARTER_MS) * QUARTER_MS;
  const of = builds?.length ?? 0;
  const all = useMemo(() => {
    if (builds === undefined || runs === undefined || thought.length < of) return null;
    const glued = runs.filter(({ state }) => state !== 'abandoned');
    const held = glued.flatMap((run) => {
      const { clampsOffMs } = releaseOf(run);
      const own = thought.find(({ id }) => id === run.buildId);
      return own === undefined || clampsOffMs === null || clampsOffMs < from
        ? []
        : heldBy(own, wallMinute(clampsOffMs));
    });
    const waiting = thought.filter(({ id }) => glued.every(({ buildId }) => buildId !== id));
    return {
      from: { builds: waiting, start: wallMinute(from), taken: held },
      calendar: shopCalendar(waiting, shop, wallMinute(from), held),
      toGet: glueToGet(waiting, shop),
    };
  }, [builds, runs, thought, of, shop, from]);
  return {
    calendar: all?.calendar ?? null,
    toGet: all?.toGet ?? [],
    done: thought.length,
    of,
    from: all?.from ?? null,
  };
}
