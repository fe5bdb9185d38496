import type { BuildDocument } from '@lean-clasp/core/formats';
import {
  canBePlaced,
  type Plan,
  planBuild,
  settlePlan,
  type SqueezedPull,
  suits,
} from '@lean-clasp/core/plan';
import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import {
  addPulled,
  asTheyStand,
  changePulled,
  easePulled,
  leaveWorkedOut,
  lotForOneMore,
  placeOn,
  removePulled,
  slideOnPull,
} from './pull-edits';

const buildOf = (id: string): BuildDocument => {
  const found = wagonBuilds().find((each) => each.id === id);
  if (found === undefined) throw new Error(`the demo has no ${id}`);
  return found.build;
};
const planOf = (build: BuildDocument): Plan => settlePlan(planBuild(build, DEMO_SHOP));
const pullOf = (build: BuildDocument, i = 0): SqueezedPull => {
  const pull = planOf(build).squeeze?.pulls[i];
  if (pull === undefined) throw new Error('nothing pulls');
  return pull;
};
const TRUNK = buildOf('costume-trunk');
const across = pullOf(TRUNK);
const kept = asTheyStand(across);
const placed = placeOn('across', kept)(TRUNK);
const clampsOf = ({ squeeze }: BuildDocument) => squeeze?.clamps ?? [];

it('keeps clamps where they stand, in whole millimetres and under ids of their own', () => {
  expect(kept).toHaveLength(across.clamps.length);
  expect(new Set(kept.map(({ id }) => id)).size).toBe(kept.length);
  kept.forEach(({ alongMm, acrossMm, rackId }, i) => {
    expect(alongMm).toBe(Math.round(across.clamps[i]?.place?.alongMm ?? NaN));
    expect(acrossMm).toBe(Math.round(across.clamps[i]?.place?.acrossMm ?? NaN));
    expect(rackId).toBe(across.clamps[i]?.lot.id);
  });
});

it('knows which pulls can be placed one by one: not tape or a bag', () => {
  expect(canBePlaced(across, DEMO_SHOP.rack)).toBe(true);
  expect(canBePlaced(pullOf(buildOf('prop-shelf')), DEMO_SHOP.rack)).toBe(false);
  expect(canBePlaced(pullOf(buildOf('backdrop')), DEMO_SHOP.rack)).toBe(false);
});

it('moves, eases, pins and takes off one clamp and no other', () => {
  const [first, ...others] = kept;
  if (first === undefined) throw new Error('a case is clamped');
  const moved = changePulled(first.id, { alongMm: 99, pinned: true })(placed);
  expect(clampsOf(moved)).toEqual([{ ...first, alongMm: 99, pinned: true }, ...others]);
  const eased = easePulled(first.id, 800)(placed);
  expect(clampsOf(eased)[0]).toEqual({ ...first, mostN: 800 });
  expect(clampsOf(easePulled(first.id, null)(eased))).toEqual(kept);
  expect(clampsOf(removePulled(first.id)(placed))).toEqual(others);
});

it('slides one clamp: of those worked out the others are kept where they stand', () => {
  const [first] = kept;
  if (first === undefined) throw new Error('a case is clamped');
  const to = { alongMm: 55, acrossMm: 66 };
  const number = across.clamps[0]?.number ?? 0;
  const places = (build: BuildDocument) =>
    clampsOf(build).map(({ alongMm, acrossMm }) => ({ alongMm, acrossMm }));
  const others = kept.slice(1).map(({ alongMm, acrossMm }) => ({ alongMm, acrossMm }));
  expect(places(slideOnPull(across, number, to)(TRUNK))).toEqual([to, ...others]);
  // What was placed keeps its id.
  expect(clampsOf(slideOnPull(pullOf(placed), number, to)(placed))[0]).toEqual({ ...first, ...to });
});

it('leaves a pull to be worked out without touching another', () => {
  const both = placeOn('back', asTheyStand(pullOf(TRUNK, 1)))(placed);
  const left = leaveWorkedOut('across')(both);
  expect(clampsOf(left)).toHaveLength(4);
  expect(clampsOf(left).every(({ pull }) => pull === 'back')).toBe(true);
});

it('puts one more in the widest gap, from a lot of which some are left', () => {
  const [first, last] = [kept[0], kept.at(-1)];
  if (first === undefined || last === undefined) throw new Error('a case is clamped');
  const two = placeOn('across', [first, last])(TRUNK);
  const lot = lotForOneMore(pullOf(two).planned, DEMO_SHOP.rack, suits);
  if (lot === undefined) throw new Error('the rack has some left');
  const added = clampsOf(addPulled('across', lot, 500)(two)).at(-1);
  expect(added?.alongMm).toBe(Math.round((first.alongMm + last.alongMm) / 2));
  // The next of the weakest lot that is there.
  expect(added?.rackId).toBe(lot.id);
  expect(added?.acrossMm).toBe(first.acrossMm);
  // With all of that lot in use, another one that suits.
  const inUse = [first, last].filter(({ rackId }) => rackId === first.rackId).length;
  const used = DEMO_SHOP.rack.map((each) => (each.id === first.rackId ? { ...each, count: inUse } : each));
  expect(lotForOneMore(pullOf(two).planned, used, suits)?.id).not.toBe(first.rackId);
});
