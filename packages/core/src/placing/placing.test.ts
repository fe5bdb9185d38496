import { ofCode } from '../findings';
import { resolveSpecies } from '../materials';
import { panelPressure } from '../mechanics';
import { NO_WISHES, type ShopDocument } from '../formats';
import { planBuild, rowOf, withRow } from '../plan';
import { maplePanel, planRow, TEST_SHOP } from '../test-support/builds';
import { type PlacingJob, placeClamps, placeOnRow, type SetClamp } from '.';

const maple = resolveSpecies('hard-maple').properties;
const oak = resolveSpecies('red-oak').properties;
const board = (widthMm: number, wood = maple) => ({ widthMm, wood, cut: 'flat' as const, thicknessMm: 20 });

/** Off-centre widths and woods, three lots, five places. */
const SMALL: PlacingJob = {
  panel: { boards: [board(95), board(140, oak), board(80)], lengthMm: 610 },
  targetMPa: [0.9, 1.1],
  lots: [
    { id: 'strong', count: 2, forceN: 5200, padMm: 40 },
    { id: 'middling', count: 2, forceN: 4100, padMm: 45 },
    { id: 'weak', count: 1, forceN: 2600, padMm: 30 },
  ],
  placesMm: [60, 190, 322, 440, 565],
  pinned: [],
  mostClamps: 5,
  betweenMm: 5,
};

/** Every way of putting a lot, or nothing, at each place, as a plain count in base lots + 1. */
function everySet(job: PlacingJob): SetClamp[][] {
  const base = job.lots.length + 1;
  return Array.from({ length: base ** job.placesMm.length }, (_, code) => {
    let rest = code;
    return job.placesMm.flatMap((xMm) => {
      const lot = job.lots[(rest % base) - 1];
      rest = Math.floor(rest / base);
      return lot === undefined ? [] : [{ lotId: lot.id, xMm }];
    });
  }).filter((set) =>
    job.lots.every(({ id, count }) => set.filter(({ lotId }) => lotId === id).length <= count),
  );
}

/** Lowest share of a set by the elements with contact, not by adding anything up. */
function shareOf(job: PlacingJob, set: readonly SetClamp[]): number {
  if (set.length === 0) return 0;
  const { lines } = panelPressure({
    ...job.panel,
    clamps: set.map(({ lotId, xMm }) => {
      const lot = job.lots.find(({ id }) => id === lotId);
      return { xMm, forceN: lot?.forceN ?? 0, padMm: lot?.padMm ?? 1 };
    }),
  });
  return Math.min(...lines.map(({ minMPa }, i) => minMPa / (job.targetMPa[i] ?? 1)));
}

describe('placing clamps', () => {
  it('adds single clamps up to what the elements say of the set', () => {
    const placing = placeClamps(SMALL);
    expect(placing.lowestShare).toBeCloseTo(shareOf(SMALL, placing.clamps), 1);
    expect(Math.abs(placing.lowestShare - shareOf(SMALL, placing.clamps))).toBeLessThan(0.03);
  });

  it('equals exhaustive search on five places: nothing with fewer clamps meets it, nothing with as many is more even', () => {
    const job: PlacingJob = {
      ...SMALL,
      targetMPa: [0.55, 0.68],
      lots: SMALL.lots.slice(0, 2),
    };
    const placing = placeClamps(job);
    expect(placing.status).toBe('proven');
    expect(placing.lowestShare).toBeGreaterThanOrEqual(1);
    const count = placing.clamps.length;
    // The elements with contact are slow: of the sets that could do by force, every one is pressed.
    const couldDo = everySet(job).filter(
      (set) =>
        set.length <= count &&
        set.reduce((sum, { lotId }) => sum + (SMALL.lots.find(({ id }) => id === lotId)?.forceN ?? 0), 0) >=
          0.68 * 610 * 20,
    );
    expect(couldDo.length).toBeGreaterThan(20);
    const pressed = couldDo.map((set) => ({ set, share: shareOf(job, set) }));
    const fewer = pressed.filter(({ set }) => set.length < count);
    expect(Math.max(0, ...fewer.map(({ share }) => share))).toBeLessThan(1);
    const asMany = pressed.filter(({ set }) => set.length === count);
    const best = asMany.reduce((a, b) => (b.share > a.share ? b : a));
    // Sums and contact elements differ by their meshes; the set found is the best of them to within that.
    expect(shareOf(job, placing.clamps)).toBeGreaterThan(best.share - 0.02);
  });

  it('is the best of every set by its own sums too, with a pinned clamp in the way', () => {
    const pinnedJob: PlacingJob = {
      ...SMALL,
      targetMPa: [9, 9],
      pinned: [{ lotId: 'weak', xMm: 322 }],
      lots: SMALL.lots.map((lot) => (lot.id === 'weak' ? { ...lot, count: 0 } : lot)),
    };
    const placing = placeClamps(pinnedJob);
    expect(placing.clamps).toContainEqual({ lotId: 'weak', xMm: 322 });
    expect(placing.clamps.filter(({ xMm }) => xMm === 322)).toHaveLength(1);
    expect(placing.lowestShare).toBeLessThan(1);
    // Nothing reaches 9 MPa; taking any one off never helps the lowest.
    for (const clamp of placing.clamps) {
      const less = placing.clamps.filter((other) => other !== clamp);
      expect(shareOf(pinnedJob, less)).toBeLessThan(placing.lowestShare + 0.02);
    }
  });

  it('with many places it does at least as well as with five of them', () => {
    const many = placeClamps({
      ...SMALL,
      placesMm: Array.from({ length: 56 }, (_, i) => 25 + 10 * i),
    });
    const five = placeClamps(SMALL);
    expect(many.clamps.length).toBeLessThanOrEqual(five.clamps.length);
    expect(many.lowestShare).toBeGreaterThanOrEqual(1);
  });

  it('keeps jaws apart and on the edge', () => {
    const tight = placeClamps({ ...SMALL, placesMm: [10, 300, 330, 350, 605], targetMPa: [9, 9] });
    const xs = tight.clamps.map(({ xMm }) => xMm);
    expect(xs).not.toContain(10);
    expect(xs).not.toContain(605);
    tight.clamps.slice(1).forEach((clamp, i) => {
      expect(clamp.xMm - (tight.clamps[i]?.xMm ?? 0)).toBeGreaterThanOrEqual(35);
    });
  });

  it('without a clamp to place it says so by a share of nothing', () => {
    const none = placeClamps({ ...SMALL, lots: [] });
    expect(none.clamps).toEqual([]);
    expect(none.lowestShare).toBe(0);
  });
});

describe('placing on a panel from the rack', () => {
  let next = 0;
  const makeId = () => `p${(next += 1)}`;
  const bare = maplePanel({ clamps: [] });
  /** Only so many long clamps, nothing weaker beside them. */
  const shopWith = ({ count }: { readonly count: number }): ShopDocument => ({
    ...TEST_SHOP,
    rack: TEST_SHOP.rack.filter(({ id }) => id !== 'weak').map((lot) => ({ ...lot, count })),
  });

  it('meets the target by the elements, with sides in turn and nothing fouling', () => {
    const shop = shopWith({ count: 10 });
    const placing = placeOnRow(planBuild(bare, shop), makeId);
    expect(placing.meets).toBe(true);
    const plan = planRow(placing.build, shop);
    expect(plan.clampSet.clashes).toEqual([]);
    const sides = rowOf(placing.build).clamps.map(({ side }) => side);
    sides.slice(1).forEach((side, i) => expect(side).not.toBe(sides[i]));
    const pressed = panelPressure({
      boards: plan.panel.boards.map(({ board: own, wood }) => ({ ...own, wood })),
      lengthMm: plan.panel.lengthMm,
      clamps: plan.clampSet.clamps.map(({ placed, forceN, lot }) => ({
        xMm: placed.xMm,
        forceN,
        padMm: lot.padWidthMm,
      })),
    });
    const lowest = Math.min(...pressed.lines.map(({ minMPa }) => minMPa));
    expect(lowest).toBeGreaterThanOrEqual(plan.lines[0]?.target.lowMPa ?? Infinity);
  });

  it('leaves pinned clamps alone and solves around them', () => {
    const shop = shopWith({ count: 10 });
    const pin = {
      id: 'keep',
      rackId: shop.rack[0]?.id ?? '',
      xMm: 333,
      side: 'below' as const,
      pinned: true,
    };
    const placing = placeOnRow(planBuild(withRow(bare, { clamps: [pin] }), shop), makeId);
    expect(rowOf(placing.build).clamps).toContainEqual(pin);
    expect(placing.meets).toBe(true);
  });

  it('puts cauls across a panel that nothing holds', () => {
    const free = withRow(bare, { holding: { ...rowOf(bare).holding, barsTouch: false, caulPairs: 0 } });
    const placing = placeOnRow(planBuild(free, TEST_SHOP), makeId);
    expect(rowOf(placing.build).holding.caulPairs).toBeGreaterThan(0);
    expect(placing.findings.map(({ code }) => code)).toContain('cauls-added');
    expect(planBuild(placing.build, TEST_SHOP).verdicts.flat.state).not.toBe('fails');
  });

  it('turns every other handle about where neighbours would foul each other', () => {
    const lots = TEST_SHOP.rack
      .filter(({ id }) => id === 'weak')
      .map((lot) => ({ ...lot, count: 60, kind: 'pipe', forceN: 900 }));
    const placing = placeOnRow(planBuild(bare, { ...TEST_SHOP, rack: lots }), makeId);
    const plan = planRow(placing.build, { ...TEST_SHOP, rack: lots });
    expect(rowOf(placing.build).clamps.length).toBeGreaterThan(15);
    expect(plan.clampSet.clashes.filter(({ kind }) => kind === 'jaws')).toEqual([]);
    expect(new Set(rowOf(placing.build).clamps.map(({ handle }) => handle ?? 'last')).size).toBe(2);
  });

  it('reckons with the spread of blocks, and with forces that jaws must not crush with', () => {
    const blocks = withRow(bare, { edge: { kind: 'blocks', thicknessMm: 25 } });
    const through = placeOnRow(planBuild(blocks, shopWith({ count: 10 })), makeId);
    const direct = placeOnRow(planBuild(bare, shopWith({ count: 10 })), makeId);
    expect(rowOf(through.build).clamps.length).toBeLessThanOrEqual(rowOf(direct.build).clamps.length);
    const strong = {
      ...TEST_SHOP,
      rack: shopWith({ count: 10 }).rack.map((lot) => ({ ...lot, forceN: 14_000 })),
    };
    const eased = placeOnRow(planBuild(bare, strong), makeId);
    expect(rowOf(eased.build).clamps.every(({ mostN }) => (mostN ?? Infinity) < 9000)).toBe(true);
    expect(planBuild(eased.build, strong).verdicts.tight.cause.code).not.toBe('jaw-crushes');
  });

  it('says what to borrow, make or do instead when the rack falls short', () => {
    const shop = shopWith({ count: 2 });
    const placing = placeOnRow(planBuild(bare, shop), makeId);
    expect(placing.meets).toBe(false);
    const borrow = ofCode(
      placing.instead.map(({ change }) => change),
      'borrow-clamps',
    );
    expect(borrow?.values.count).toBeGreaterThan(0);
    // Borrowed they do.
    const richer = shopWith({ count: 2 + Number(borrow?.values.count) });
    expect(placeOnRow(planBuild(bare, richer), makeId).meets).toBe(true);
  });

  it('proposes no more clamps where the glue goes soft, and a glue that stands it', () => {
    const hot = { ...bare, wishes: { ...NO_WISHES, warmC: 70 } };
    const placing = placeOnRow(planBuild(hot, shopWith({ count: 10 })), makeId);
    expect(placing.meets).toBe(false);
    const [other, ...more] = placing.instead;
    expect([other?.change.code, more]).toEqual(['use-easier-glue', []]);
    expect(planBuild(other?.build ?? hot, TEST_SHOP).verdicts.tight.cause.code).not.toBe('softens-there');
  });
});
