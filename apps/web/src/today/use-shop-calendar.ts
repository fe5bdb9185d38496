import { readWallTime } from '@lean-clasp/core/calendar';
import type { ShopDocument } from '@lean-clasp/core/formats';
import {
  type BuildToDate,
  type GlueToGet,
  glueToGet,
  heldBy,
  type ShopCalendar,
  shopCalendar,
} from '@lean-clasp/core/plan';
import dayjs from 'dayjs';
import { useEffect, useMemo, useState } from 'react';
import { useBuildsQuery, useRunsQuery } from '../api/api';
import { releaseOf } from '../bench/release';
import { arranger } from '../planner/workers';

/** The calendar of the shop as far as it is worked out. */
export interface ShopCalendarNow {
  /** Null until every build is thought through. */
  readonly calendar: ShopCalendar | null;
  /** Glue that builds not glued yet want more of than there is. */
  readonly toGet: readonly GlueToGet[];
  readonly done: number;
  readonly of: number;
}

const wallMinute = (ms: number) => readWallTime(dayjs(ms).format('YYYY-MM-DDTHH:mm'), 'now');
/** The calendar begins at a full quarter of an hour, so that it does not move with every tick of the clock. */
const QUARTER_MS = 15 * 60_000;

/** Plans every build off the page, then puts those that are not glued yet on one calendar. */
export function useShopCalendar(shop: ShopDocument, now: number): ShopCalendarNow {
  const { data: builds } = useBuildsQuery();
  const { data: runs } = useRunsQuery();
  const [thought, setThought] = useState<readonly BuildToDate[]>([]);
  useEffect(() => {
    if (builds === undefined) return;
    let overtaken = false;
    const think = async () => {
      const all: BuildToDate[] = [];
      for (const { id, body } of builds) {
        // A build that cannot be planned says so when it is opened; here it has no sessions.
        const none: BuildToDate = {
          id,
          name: body.name,
          crew: body.crew,
          sessions: [],
          machineMin: 0,
          adhesive: body.glue.adhesive,
          volumeMl: 0,
        };
        all.push(
          await arranger()
            .toDate(id, body, shop)
            .catch(() => none),
        );
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
      calendar: shopCalendar(waiting, shop, wallMinute(from), held),
      toGet: glueToGet(waiting, shop),
    };
  }, [builds, runs, thought, of, shop, from]);
  return { calendar: all?.calendar ?? null, toGet: all?.toGet ?? [], done: thought.length, of };
}
