import { findClampKind } from '@lean-clasp/core/clamps';
import { DEMO_SHOP } from '@lean-clasp/core/demo';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { weekOf } from '@lean-clasp/core/plan';
import { screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { fillIn, pickIn } from '../../test/render-build';
import { renderPage } from '../../test/render-page';
import { useDocument } from '../documents/use-document';
import { BenchesSection } from './BenchesSection';
import { BlocksSection, CaulsSection } from './CaulsSection';
import { HoursSection } from './HoursSection';
import { SpreadersSection, WoodsSection } from './OwnSection';
import { PeopleSection } from './PeopleSection';
import { RackSection } from './RackSection';
import { SHOP_ID } from './shop-id';
import { ShopPage } from './ShopPage';

/** One part of the page around the open shop: the whole page is drawn anew for every key, which a test would wait for. */
function Part({ of: Section }: { readonly of: (props: { readonly shop: ShopDocument }) => ReactNode }) {
  const state = useDocument('shops', SHOP_ID);
  return state.kind === 'open' ? <Section shop={state.body as ShopDocument} /> : null;
}
const open = (
  section: (props: { readonly shop: ShopDocument }) => ReactNode,
  change: Partial<ShopDocument> = {},
  units: 'metric' | 'imperial' = 'metric',
) => renderPage(<Part of={section} />, { shop: { ...DEMO_SHOP, ...change }, silent: true, units });

const lots = (name: string | RegExp) => screen.getAllByRole('group', { name });
const last = <T,>(of: readonly T[]): T => {
  const found = of.at(-1);
  if (found === undefined) throw new Error('there is none');
  return found;
};

describe('woods and spreaders of one’s own', () => {
  it('takes a wood by its weight and the wood it is like, its movement in mm a metre, and forgets it again', async () => {
    const { user, shop } = open(WoodsSection, { woods: [], methods: [] });
    await user.click(screen.getByRole('button', { name: 'Add a wood' }));
    const [group] = lots('Wood Own wood');
    if (group === undefined) throw new Error('no wood');
    await pickIn(user, group, 'Most like', 'Cherry');
    expect(within(group).getByText('empty: 2.48 mm/m')).toBeInTheDocument();
    await fillIn(user, group, 'Weight', '910');
    await fillIn(user, group, 'Moves, flat-sawn', '3.1');
    await user.click(within(group).getByRole('checkbox', { name: 'oily' }));
    const own = () => last(shop().woods ?? []);
    expect(own()).toMatchObject({ like: 'cherry', densityKgPerM3: 910, cR: null, oily: true });
    expect(own().cT).toBeCloseTo(0.0031, 12);
    await fillIn(user, group, 'Moves, flat-sawn', '');
    expect(own().cT).toBeNull();
    await fillIn(user, group, 'Weight', '9100');
    expect(own().densityKgPerM3).toBe(910);
    await user.click(within(group).getByRole('button', { name: 'Remove the wood Own wood' }));
    expect(shop().woods).toEqual([]);
  });

  it('takes a spreader by what was timed with it', async () => {
    const { user, shop } = open(SpreadersSection, { woods: [], methods: [] });
    await user.click(screen.getByRole('button', { name: 'Add a spreader' }));
    const [group] = lots('Spreader own spreader');
    if (group === undefined) throw new Error('no spreader');
    await fillIn(user, group, 'Bead', '4');
    await fillIn(user, group, 'Along an edge', '6');
    await fillIn(user, group, 'Over a face', '');
    await fillIn(user, group, 'Left on it', '15');
    expect(last(shop().methods ?? [])).toMatchObject({
      name: 'own spreader',
      beadMPerMin: 4,
      alongMPerMin: 6,
      areaM2PerMin: null,
      waste: 0.15,
    });
    await user.click(within(group).getByRole('button', { name: 'Remove the spreader own spreader' }));
    expect(shop().methods).toEqual([]);
  });
});

describe('the rack', () => {
  it('knows how far jaws reach in and what a turn adds, and forgets it again', async () => {
    const { user, shop } = open(RackSection, { rack: DEMO_SHOP.rack.slice(0, 1) });
    const [group] = lots('Lot of T-bar sash clamps');
    if (group === undefined) throw new Error('no lot');
    await fillIn(user, group, 'Jaws reach in', '90');
    await fillIn(user, group, 'Pull of one turn', '1500 N');
    expect(shop().rack[0]).toEqual({ ...DEMO_SHOP.rack[0], reachMm: 90, perTurnN: 1500 });
    await fillIn(user, group, 'Jaws reach in', '');
    await fillIn(user, group, 'Pull of one turn', '');
    expect(shop().rack[0]).toEqual(DEMO_SHOP.rack[0]);
  });

  it('asks of a bag how large it is inside, and of nothing that opens', async () => {
    const { user, shop } = open(RackSection, {
      rack: DEMO_SHOP.rack.filter(({ kind }) => kind === 'vacuum'),
    });
    const [group] = lots('Lot of vacuum bags');
    if (group === undefined) throw new Error('no bag');
    expect(within(group).queryByLabelText('Opens to')).toBeNull();
    await fillIn(user, group, 'Bag, length', '2500');
    await fillIn(user, group, 'Bag, width', '1300');
    expect(shop().rack[0]?.bag).toEqual({ lengthMm: 2500, widthMm: 1300 });
    await fillIn(user, group, 'Bag, width', '');
    expect(shop().rack[0]?.bag).toEqual({ lengthMm: 2500, widthMm: null });
    await fillIn(user, group, 'Bag, length', '');
    expect(shop().rack[0]).not.toHaveProperty('bag');
  });

  it('takes a new lot, its kind with the jaws of that kind, how many, how far it opens, and a pull that was measured', async () => {
    const { user, shop } = open(RackSection);
    const before = shop().rack.length;
    await user.click(screen.getByRole('button', { name: 'Add clamps' }));
    expect(shop().rack).toHaveLength(before + 1);
    const own = () => last(shop().rack);
    await pickIn(
      user,
      last(lots(/^Lot of /).filter((g) => within(g).queryByLabelText('Pull, measured'))),
      'Kind',
      'screw band',
    );
    const { padWidthMm, padHeightMm } = findClampKind('screw-band');
    expect(own()).toMatchObject({ kind: 'screw-band', padWidthMm, padHeightMm });
    const [group] = lots('Lot of screw bands');
    if (group === undefined) throw new Error('no lot');
    await fillIn(user, group, 'How many', '6');
    await fillIn(user, group, 'Opens to', '220');
    await fillIn(user, group, 'Pull, measured', '3200 N');
    await fillIn(user, group, 'Jaw width', '12');
    await fillIn(user, group, 'Jaw height', '18');
    expect(own()).toMatchObject({
      count: 6,
      maxOpeningMm: 220,
      forceN: 3200,
      padWidthMm: 12,
      padHeightMm: 18,
    });
    await fillIn(user, group, 'Pull, measured', '');
    expect(own().forceN).toBeNull();
    expect(within(group).getByText('empty: 4.0 kN, typical')).toBeInTheDocument();
    await user.click(within(group).getByRole('button', { name: 'Remove the lot of screw bands' }));
    expect(shop().rack).toHaveLength(before);
  });

  it('reads and shows inches and pounds where the person works in them', async () => {
    const { user, shop } = open(RackSection, {}, 'imperial');
    const [group] = lots('Lot of pipe clamps');
    if (group === undefined) throw new Error('no lot');
    await fillIn(user, group, 'Opens to', '31 1/2');
    expect(shop().rack.find(({ kind }) => kind === 'pipe')?.maxOpeningMm).toBeCloseTo(800.1, 6);
    expect(within(group).getByRole('textbox', { name: 'Opens to' })).toHaveValue('31 1/2"');
    await fillIn(user, group, 'Pull, measured', '900 lbf');
    expect(shop().rack.find(({ kind }) => kind === 'pipe')?.forceN).toBeCloseTo(900 * 4.4482216, 2);
  });

  it('keeps the last good figure when one is out of bounds, and says what may be', async () => {
    const { user, shop } = open(RackSection);
    const [group] = lots('Lot of pipe clamps');
    if (group === undefined) throw new Error('no lot');
    const before = shop().rack;
    await fillIn(user, group, 'How many', '2.5');
    await fillIn(user, group, 'Opens to', '-3');
    expect(shop().rack.map(({ maxOpeningMm }) => maxOpeningMm)).toEqual(
      before.map(({ maxOpeningMm }) => maxOpeningMm),
    );
    expect(shop().rack.every(({ count }) => Number.isInteger(count))).toBe(true);
    expect(within(group).getByRole('textbox', { name: 'Opens to' })).toHaveAttribute('aria-invalid', 'true');
  });

  it('says so when it is empty', () => {
    open(RackSection, { rack: [] });
    expect(screen.getByText(/The rack is empty: no plan can place a clamp/)).toBeInTheDocument();
  });
});

describe('cauls and blocks', () => {
  it('are counted in pairs until somebody lists them', async () => {
    const counted = { ...DEMO_SHOP };
    delete counted.cauls;
    const { user, shop } = renderPage(<Part of={CaulsSection} />, {
      shop: { ...counted, caulPairs: 3 },
      silent: true,
    });
    const pairs = screen.getByRole('textbox', { name: 'Pairs of cauls' });
    await user.clear(pairs);
    await user.paste('5');
    expect(shop().caulPairs).toBe(5);
    await user.click(screen.getByRole('button', { name: 'Add cauls' }));
    expect(shop().cauls).toHaveLength(1);
    expect(screen.queryByRole('textbox', { name: 'Pairs of cauls' })).toBeNull();
  });

  it('have their wood, size and crown', async () => {
    const { user, shop } = open(CaulsSection);
    const before = shop().cauls ?? [];
    const [group] = lots('Lot of cauls');
    if (group === undefined) throw new Error('no cauls');
    await fillIn(user, group, 'Length', '820');
    await fillIn(user, group, 'Crown', '0.85');
    await pickIn(user, group, 'Wood', 'Beech');
    expect(shop().cauls?.[0]).toMatchObject({ lengthMm: 820, crownMm: 0.85, species: 'beech' });
    expect(shop().cauls?.slice(1)).toEqual(before.slice(1));
    await user.click(within(group).getByRole('button', { name: 'Remove these cauls' }));
    expect(shop().cauls).toEqual(before.slice(1));
  });

  it('hold by their face, unless their grip was measured', async () => {
    const { user, shop } = open(BlocksSection, { blocks: [] });
    await user.click(screen.getByRole('button', { name: 'Add blocks' }));
    const [group] = lots('Lot of blocks');
    if (group === undefined) throw new Error('no blocks');
    expect(within(group).getByText('empty: 0.35, usual')).toBeInTheDocument();
    await pickIn(user, group, 'Its face', 'abrasive');
    expect(within(group).getByText('empty: 0.75, usual')).toBeInTheDocument();
    await fillIn(user, group, 'Grip, measured', '0.62');
    expect(shop().blocks?.[0]).toMatchObject({ face: 'abrasive', friction: 0.62 });
    await pickIn(user, group, 'What', 'battens');
    expect(shop().blocks?.[0]?.kind).toBe('batten');
    await user.click(screen.getByRole('button', { name: 'Remove these battens' }));
    expect(shop().blocks).toEqual([]);
  });
});

describe('hours, benches, name and pace', () => {
  it('takes hours as they are said, day by day, and keeps the last good ones', async () => {
    const { user, shop } = open(HoursSection);
    const monday = screen.getByRole('textbox', { name: 'Monday' });
    const others = weekOf(shop()).hours.filter(({ day }) => day !== 1);
    await user.clear(monday);
    await user.paste('9-12, 13:30 to 18');
    const onMonday = () => weekOf(shop()).hours.filter(({ day }) => day === 1);
    expect(onMonday()).toEqual([
      { day: 1, fromMin: 540, toMin: 720 },
      { day: 1, fromMin: 810, toMin: 1080 },
    ]);
    await user.clear(monday);
    await user.paste('all morning');
    expect(screen.getByText(/The last good hours are kept/)).toBeInTheDocument();
    expect(weekOf(shop()).hours.filter(({ day }) => day !== 1)).toEqual(others);
  });

  it('counts benches until they are listed with their size, and by the list from then on', async () => {
    const { user, shop } = open(BenchesSection, { benches: [] });
    await fillIn(user, document.body, 'How many benches', '3');
    expect(weekOf(shop()).benches).toBe(3);
    await user.click(screen.getByRole('button', { name: 'Add a bench' }));
    expect(screen.queryByRole('textbox', { name: 'How many benches' })).toBeNull();
    expect(weekOf(shop()).benches).toBe(1);
    await fillIn(user, document.body, 'Out of flat', '0.6');
    await fillIn(user, document.body, 'Length', '2100');
    expect(shop().benches).toMatchObject([{ name: 'Bench', lengthMm: 2100, widthMm: 700, flatMm: 0.6 }]);
    await user.click(screen.getByRole('button', { name: 'Remove Bench' }));
    expect(weekOf(shop()).benches).toBe(3);
  });

  it('takes a name that is not empty and a pace within reason', async () => {
    const { user, shop } = open(PeopleSection);
    await fillIn(user, document.body, 'Name of the shop', ' by the canal');
    expect(shop().name).toBe('The Wagon Shed by the canal');
    await fillIn(user, document.body, 'Pace', '1.2');
    expect(shop().paceFactor).toBe(1.2);
    await fillIn(user, document.body, 'Pace', '9');
    expect(shop().paceFactor).toBe(1.2);
  });
});

describe('rows from a spreadsheet', () => {
  const ROWS = 'Kind\tHow many\tOpens to (in)\npipe clamp\t4\t36\nanvil\t2\t20';

  it('are shown with what is wrong with each, and taken only then', async () => {
    const { user, shop } = open(RackSection, { rack: [] });
    await user.click(screen.getByRole('button', { name: 'Paste clamps' }));
    await user.click(screen.getByLabelText('Rows'));
    await user.paste(ROWS);
    expect(screen.getByText(/2 rows read under their heads; 1 cannot be taken/)).toBeInTheDocument();
    expect(screen.getByText(/Kind: “anvil” names nothing here/)).toBeInTheDocument();
    expect(shop().rack).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Take 1 row' }));
    expect(shop().rack).toMatchObject([{ kind: 'pipe', count: 4, maxOpeningMm: 914.4 }]);
  });

  it('are taken up from wherever on the table they are pasted, and left where they are dropped', async () => {
    const { user, shop } = open(RackSection, { rack: DEMO_SHOP.rack.slice(0, 1) });
    await user.click(screen.getByLabelText('How many'));
    await user.paste(ROWS);
    expect(screen.getByRole('dialog', { name: 'Paste clamps from a spreadsheet' })).toBeInTheDocument();
    await user.click(screen.getByRole('button', { name: 'Take nothing' }));
    expect(shop().rack).toEqual(DEMO_SHOP.rack.slice(0, 1));
  });
});

describe('a clamp measured by hand', () => {
  it('draws a line through readings of a scale under a lever, and takes pull and turn over', async () => {
    const { user, shop } = open(RackSection, {
      rack: DEMO_SHOP.rack.slice(0, 1).map((lot) => ({ ...lot, measured: [] })),
    });
    await user.click(screen.getByRole('button', { name: /Measure the pull of the T-bar/ }));
    const dialog = screen.getByRole('dialog', { name: /Measure the pull/ });
    const take = within(dialog).getByRole('button', { name: 'Take it over' });
    expect(take).toBeDisabled();
    await fillIn(user, dialog, 'Lever', '3');
    await user.type(within(dialog).getByRole('textbox', { name: /Turns past snug/ }), '0, 10\n1, 60\n2, 110');
    // 50 kg a turn × 9.81 × 3.
    expect(within(dialog).getByText('1.5 kN')).toBeInTheDocument();
    await user.click(within(dialog).getByRole('button', { name: 'Take over 3.2 kN' }));
    expect(shop().rack[0]).toMatchObject({
      forceN: 3236,
      perTurnN: 1471,
      measured: [{ forceN: 3236, perTurnN: 1471, errorN: 0 }],
    });
    // Once more, on another day: the mean of both.
    await user.click(screen.getByRole('button', { name: /Measure the pull of the T-bar/ }));
    const again = screen.getByRole('dialog', { name: /Measure the pull/ });
    await fillIn(user, again, 'Lever', '3');
    await user.type(within(again).getByRole('textbox', { name: /Turns past snug/ }), '0, 10\n1, 50\n2, 90');
    expect(within(again).getByText(/With the time before that is 2\.9 kN/)).toBeInTheDocument();
    await user.click(within(again).getByRole('button', { name: /^Take over/ }));
    expect(shop().rack[0]?.forceN).toBeCloseTo((3236 + 2648) / 2, -2);
    expect(shop().rack[0]?.measured).toHaveLength(2);
  });
});

describe('whose hands there are', () => {
  it('are named, added and taken off, and never nobody', async () => {
    const { user, shop } = open(PeopleSection, { crew: ['you'] });
    expect(screen.queryByRole('button', { name: 'Remove you' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Add a person' }));
    await user.clear(screen.getByRole('textbox', { name: 'Person 2' }));
    await user.type(screen.getByRole('textbox', { name: 'Person 2' }), 'Ada');
    expect(shop().crew[1]).toMatch(/Ada$/);
    await user.click(screen.getByRole('button', { name: 'Remove you' }));
    expect(shop().crew).toHaveLength(1);
  });
});

it('shows everything under the name of the shop', async () => {
  renderPage(<ShopPage />, { shop: DEMO_SHOP, silent: true });
  expect(await screen.findByRole('heading', { level: 1, name: DEMO_SHOP.name })).toBeInTheDocument();
  for (const name of [
    'Clamps',
    'Cauls',
    'Blocks and battens',
    'Glue shelf',
    'Air',
    'Benches',
    'Hours',
    'People and pace',
  ]) {
    expect(await screen.findByRole('region', { name })).toBeInTheDocument();
  }
});
