import { readWallTime } from '../../calendar';
import { DEMO_SHOP, wagonBuilds } from '../../demo';
import type { ShopDocument } from '../../formats';
import { planBuild } from '../plan-build';
import { hoursLeft, slipsOf, startsOf } from './day';
import { buildToDate, shopCalendar } from './shop-calendar';

const at = (text: string) => readWallTime(text, 'at');
/** A Thursday. */
const MORNING = at('2026-11-26T08:00');
const SHOP: ShopDocument = {
  ...DEMO_SHOP,
  benches: [],
  week: { hours: [4, 5].map((day) => ({ day, fromMin: 480, toMin: 1020 })), benches: 1 },
};
const BUILDS = wagonBuilds()
  .filter(({ id }) => ['scenery-flats', 'lantern', 'costume-trunk', 'lamp-posts'].includes(id))
  .map(({ id, build }) => buildToDate(id, planBuild(build, SHOP)));
const from = (start: number, builds = BUILDS) => shopCalendar(builds, SHOP, start);

describe('the hours left of a day', () => {
  it('hold the sessions that end before closing, and no other', () => {
    const calendar = from(MORNING);
    const left = hoursLeft(calendar, SHOP, MORNING);
    expect(left).toMatchObject({ closes: at('2026-11-26T17:00'), leftMin: 540 });
    expect(left?.fits.length).toBeGreaterThan(0);
    const others = calendar.sessions.filter((session) => left?.fits.includes(session) !== true);
    expect(others.every(({ handsEnd }) => handsEnd > at('2026-11-26T17:00'))).toBe(true);
  });

  it('are none while the shop is closed', () => {
    expect(hoursLeft(from(MORNING), SHOP, at('2026-11-26T18:00'))).toBeNull();
  });
});

describe('what slipped', () => {
  it('is nothing while all goes as planned', () => {
    expect(slipsOf(startsOf(from(MORNING)), from(MORNING), MORNING)).toEqual({ slipped: [], moved: [] });
  });

  it('names what did not begin in its time, and by how much that moves what comes after it', () => {
    const planned = startsOf(from(MORNING));
    const noon = at('2026-11-26T12:00');
    const { slipped, moved } = slipsOf(planned, from(noon), noon);
    const due = planned.filter(({ start }) => start < noon);
    expect(slipped.map(({ session }) => session.build).sort()).toEqual(due.map(({ build }) => build).sort());
    for (const { session, was } of [...slipped, ...moved]) {
      expect(was).toBe(
        planned.find((each) => each.build === session.build && each.session === session.session)?.start,
      );
      expect(session.start - was).toBeGreaterThanOrEqual(30);
    }
    // With one bench everything waits for what is late.
    expect(slipped.length + moved.length).toBe(planned.length);
  });

  it('leaves out what was glued meanwhile', () => {
    const planned = startsOf(from(MORNING));
    const first = planned[0]?.build;
    const noon = at('2026-11-26T12:00');
    const left = BUILDS.filter(({ id }) => id !== first);
    const { slipped, moved } = slipsOf(planned, from(noon, left), noon);
    expect([...slipped, ...moved].some(({ session }) => session.build === first)).toBe(false);
  });
});
