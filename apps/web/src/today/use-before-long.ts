import { airAtHour } from '@lean-clasp/core/air';
import type { BeforeLong } from '@lean-clasp/core/bench';
import type { Climate, ShopDocument } from '@lean-clasp/core/formats';
import type { ShopSession } from '@lean-clasp/core/plan';
import { useEffect, useState } from 'react';
import type { StoredBuild } from '../api/api';
import { requestJson } from '../api/request';
import { whenNow } from '../lessons/when-now';
import { arranger } from '../planner/workers';

const MIN_A_DAY = 1440;
const MIN_AN_HOUR = 60;
/** Sessions that are looked at closely. */
const SOON = 3;

/** What there is to say of a session that comes up. */
export interface Soon extends BeforeLong {
  readonly session: ShopSession;
  /** Usual at the hour at which it begins; null where nobody knows it. */
  readonly air: Climate | null;
}

/** Looks at the next sessions for the hour at which each begins; those that cannot be looked at are left out. */
export function useBeforeLong(
  sessions: readonly ShopSession[] | null,
  shop: ShopDocument,
  now: number,
): readonly Soon[] {
  const [soon, setSoon] = useState<readonly Soon[]>([]);
  const next = sessions?.slice(0, SOON) ?? [];
  const asked = next.map(({ build, session, start }) => `${build} ${session} ${start}`).join(', ');
  useEffect(() => {
    let overtaken = false;
    const look = async () => {
      const found: Soon[] = [];
      for (const session of next) {
        const said = await lookAt(session, shop, now).catch(() => null);
        if (overtaken) return;
        if (said !== null) found.push(said);
      }
      setSoon(found);
    };
    void look();
    return () => {
      overtaken = true;
    };
    // The sessions are named by what is asked; the clock moves on without anything new to say.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see above
  }, [asked, shop]);
  return soon;
}

async function lookAt(session: ShopSession, shop: ShopDocument, now: number): Promise<Soon> {
  const { body } = await requestJson<StoredBuild>(`/api/builds/${session.build}`);
  const air = airAtHour(shop.hours, (session.start % MIN_A_DAY) / MIN_AN_HOUR);
  return { ...(await arranger().beforeLong(body, shop, whenNow(shop, now), air)), session, air };
}
