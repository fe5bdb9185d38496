import type { Taken, WallMinute } from '../../calendar';
import type { RackLot, ShopDocument } from '../../formats';
import { type BuildToDate, shopCalendar, type ShopCalendar } from './shop-calendar';

/** What one more clamp of a lot would save over all builds that wait. */
export interface Worth {
  readonly lot: RackLot;
  /** Builds that find a day with it and none without. */
  readonly placed: readonly string[];
  /** Builds of whose verdicts fewer fail with it. */
  readonly mended: readonly string[];
  /** Clamp-ups that fall away. */
  readonly sessions: number;
  /** By how much sooner the last clamps come off, min; 0 where later or the same. */
  readonly soonerMin: number;
}

/** What is asked: the builds as they are now, and how one is planned anew in a shop with another rack. */
export interface WorthAsked {
  readonly builds: readonly BuildToDate[];
  readonly shop: ShopDocument;
  readonly start: WallMinute;
  readonly taken: readonly Taken[];
  readonly replan: (id: string, shop: ShopDocument) => Promise<BuildToDate>;
  /** Told after each lot; an answer of no ends the search. */
  readonly told: (done: number, of: number) => boolean;
}

/** Less is not worth a word: an hour. */
const WORTH_MIN = 60;

/**
 * Tries one more clamp of each lot, bought, borrowed or made: builds that use up a lot are planned anew with it, then all are put on one
 * calendar again. Those that would save anything, the most first: a build that could not be glued, or not well, then clamp-ups, then hours.
 */
export async function worthOfOneMore({
  builds,
  shop,
  start,
  taken,
  replan,
  told,
}: WorthAsked): Promise<Worth[]> {
  const before = shopCalendar(builds, shop, start, taken);
  const found: Worth[] = [];
  for (const [i, lot] of shop.rack.entries()) {
    const more = {
      ...shop,
      rack: shop.rack.map((each) => (each.id === lot.id ? { ...each, count: each.count + 1 } : each)),
    };
    const anew: BuildToDate[] = [];
    for (const build of builds) anew.push(usesUp(build, lot) ? await replan(build.id, more) : build);
    const mended = anew.filter(({ failing }, k) => failing < (builds[k]?.failing ?? 0));
    const worth: Worth = {
      ...compared(before, shopCalendar(anew, more, start, taken), lot),
      mended: mended.map(({ name }) => name),
    };
    if (
      worth.placed.length > 0 ||
      worth.mended.length > 0 ||
      worth.sessions > 0 ||
      worth.soonerMin >= WORTH_MIN
    )
      found.push(worth);
    if (!told(i + 1, shop.rack.length)) break;
  }
  return found.sort(
    (a, b) =>
      b.placed.length + b.mended.length - (a.placed.length + a.mended.length) ||
      b.sessions - a.sessions ||
      b.soonerMin - a.soonerMin,
  );
}

/** Whether more of a lot could change a build: it takes all there is of it, fails at something, or has no order with what there is. */
const usesUp = ({ sessions, failing }: BuildToDate, { id, count }: RackLot): boolean =>
  failing > 0 || sessions.length === 0 || sessions.some(({ clamps }) => (clamps[id] ?? 0) >= count);

function compared(before: ShopCalendar, after: ShopCalendar, lot: RackLot): Omit<Worth, 'mended'> {
  const ids = ({ sessions }: ShopCalendar) => new Set(sessions.map(({ build }) => build));
  const [had, has] = [ids(before), ids(after)];
  // What is newly placed adds sessions of its own; only those that were there before can fall away.
  const counted = ({ sessions }: ShopCalendar) =>
    sessions.filter(({ build }) => had.has(build) && has.has(build));
  const last = (calendar: ShopCalendar) =>
    Math.max(0, ...counted(calendar).map(({ clampsOff }) => clampsOff));
  const placed = after.sessions.filter(({ build, session }) => !had.has(build) && session === 0);
  return {
    lot,
    placed: placed.map(({ name }) => name),
    sessions: Math.max(0, counted(before).length - counted(after).length),
    soonerMin: Math.max(0, last(before) - last(after)),
  };
}
