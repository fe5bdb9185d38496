import { promiseOf } from '../bench';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '../demo';
import type { BuildDocument, Lesson, RackLot, ShopDocument } from '../formats';
import { NO_WISHES, USUAL_ROW } from '../formats';
import { planBuild, withRow } from '../plan';
import { newBuild } from '../templates';
import {
  closesInMin,
  conditionHolds,
  LIBRARY,
  LIBRARY_IDS,
  type LibraryId,
  lessonsBearing,
  lessonSteps,
  saidOf,
  SOME_DAY,
  triggers,
  type When,
  withLessons,
} from '.';

const demo = (id: string): BuildDocument =>
  wagonBuilds().find((each) => each.id === id)?.build ?? stageFloor(DEMO_SHOP);
const panel = stageFloor(DEMO_SHOP);

/** What a plan is made from, and when it is looked at. */
interface Case {
  readonly build: BuildDocument;
  readonly shop?: ShopDocument;
  readonly when?: When;
}

const made = (template: string, answers: BuildDocument['answers'], change: Partial<BuildDocument> = {}) => ({
  ...newBuild({ template, name: 'Case', project: '', service: 'dry', answers }, DEMO_SHOP, () => 'x'),
  ...change,
});
const lots = (change: (lot: RackLot) => Partial<RackLot>): ShopDocument => ({
  ...DEMO_SHOP,
  rack: DEMO_SHOP.rack.map((lot) => ({ ...lot, ...change(lot) })),
});
const placed = (...xMm: number[]) =>
  withRow(panel, {
    clamps: xMm.map((x, i) => ({ id: `c${i}`, rackId: 'tbar-long', xMm: x, side: 'below' as const })),
  });
const row = (change: object) => withRow(panel, change);
const edged = (kind: 'bare' | 'blocks') => row({ edge: { kind, thicknessMm: 20 } });
const opened = (openedOn: string): ShopDocument => ({
  ...DEMO_SHOP,
  bottles: DEMO_SHOP.bottles.map((bottle) => ({ ...bottle, openedOn })),
});
const inAir = (tempC: number): BuildDocument => ({ ...panel, climate: { tempC, rhPct: 50 } });
const sheet = (faces: string, crew: number) =>
  made('veneered-sheet', { ...demo('backdrop').answers, faces }, { crew });
const trunk = (change: Partial<BuildDocument> = {}) => ({ ...demo('costume-trunk'), ...change });
const finished = (finish: 'clear' | 'paint') => ({ wishes: { ...NO_WISHES, finish } });
const mirror = (change: Partial<BuildDocument> = {}) => ({ ...demo('dressing-mirror'), ...change });
const onlyOf = (...kinds: string[]): ShopDocument => ({
  ...DEMO_SHOP,
  rack: DEMO_SHOP.rack.filter(({ kind }) => kinds.includes(kind)),
});
const at = (left: number): When => ({ today: '2026-05-01', closesInMin: left });
/** A square post, drawn by clamps in opposed pairs where there is nothing to go round it. */
const SQUARE_POST = {
  ...demo('lamp-posts'),
  answers: { ...demo('lamp-posts').answers, staves: 4, posts: 1 },
};

/** A plan that has the fault, and its mended twin. */
const TWINS: Readonly<Record<LibraryId, readonly [faulty: Case, mended: Case]>> = {
  'clamp-too-short': [
    { build: row({ edge: { kind: 'blocks', thicknessMm: 20 } }), shop: lots(() => ({ maxOpeningMm: 675 })) },
    { build: row({ edge: { kind: 'blocks', thicknessMm: 20 } }), shop: lots(() => ({ maxOpeningMm: 1200 })) },
  ],
  'clamps-foul': [{ build: placed(100, 150, 800) }, { build: placed(100, 450, 800) }],
  'wrong-way-round': [{ build: mirror({ prepared: [] }) }, { build: mirror({ prepared: ['mark-faces'] }) }],
  'pencil-left-in': [{ build: trunk(finished('clear')) }, { build: trunk(finished('paint')) }],
  'glued-to-caul': [
    { build: row({ holding: { ...USUAL_ROW.holding, caulPairs: 2 } }) },
    { build: row({ holding: { ...USUAL_ROW.holding, caulPairs: 0 } }) },
  ],
  'thin-film': [
    { build: { ...demo('backdrop'), glue: { ...demo('backdrop').glue, method: 'bead' } } },
    { build: { ...demo('backdrop'), glue: { ...demo('backdrop').glue, method: 'roller' } } },
  ],
  'late-in-the-day': [
    { build: panel, when: at(20) },
    { build: panel, when: at(240) },
  ],
  'shut-out': [
    { build: trunk() },
    { build: trunk({ answers: { ...demo('costume-trunk').answers, shelves: 0 } }) },
  ],
  'tight-cauls': [
    { build: row({ holding: { ...USUAL_ROW.holding, caulPairs: 2 } }) },
    { build: row({ holding: { ...USUAL_ROW.holding, caulPairs: 0 } }) },
  ],
  'climbing-mitre': [
    { build: SQUARE_POST, shop: onlyOf('f-heavy') },
    { build: SQUARE_POST, shop: onlyOf('band') },
  ],
  'sliding-band': [
    { build: mirror(), shop: onlyOf('band') },
    { build: mirror(), shop: onlyOf('t-bar', 'pipe', 'parallel-jaw', 'f-heavy') },
  ],
  'crept-back': [
    { build: mirror({ dryFit: { acMm: 1001.2, bdMm: 1000, bowMm: null, twistMm: null } }) },
    { build: mirror({ dryFit: { acMm: 1000.2, bdMm: 1000, bowMm: null, twistMm: null } }) },
  ],
  'bow-for-square': [
    { build: mirror({ dryFit: { acMm: null, bdMm: null, bowMm: 1.5, twistMm: null } }) },
    { build: mirror({ dryFit: { acMm: null, bdMm: null, bowMm: 0.2, twistMm: null } }) },
  ],
  'lifted-panel': [{ build: row({ pullOffsetMm: 6 }) }, { build: row({ pullOffsetMm: 1 }) }],
  'one-sided-veneer': [{ build: sheet('one', 2) }, { build: sheet('both', 2) }],
  'cold-shop': [{ build: inAir(11) }, { build: inAir(20) }],
  'old-bottle': [
    { build: panel, shop: opened('2024-01-01'), when: at(300) },
    { build: panel, shop: opened('2026-04-01'), when: at(300) },
  ],
  'glassy-end-grain': [
    { build: mirror({ prepared: [] }) },
    { build: mirror({ prepared: ['size-end-grain'] }) },
  ],
  'jaw-marks': [{ build: edged('bare') }, { build: edged('blocks') }],
  'film-under-oil': [
    { build: trunk({ ...finished('clear'), prepared: [] }) },
    { build: trunk({ ...finished('clear'), prepared: ['mask-at-dry-fit'] }) },
  ],
  'planed-too-early': [
    { build: panel },
    { build: { ...panel, glue: { ...panel.glue, adhesive: 'epoxy-slow' } } },
  ],
  'hot-cup': [
    { build: demo('proscenium') },
    { build: { ...demo('proscenium'), glue: { adhesive: 'pva-interior', method: 'roller', faces: 1 } } },
  ],
  'alone-with-a-sheet': [{ build: sheet('both', 1) }, { build: sheet('both', 2) }],
  'forgotten-inside': [
    { build: trunk({ prepared: [] }) },
    { build: trunk({ prepared: ['holes-before-closing'] }) },
  ],
};

const bears = (id: string, { build, shop = DEMO_SHOP, when = SOME_DAY }: Case): boolean =>
  lessonsBearing(planBuild(build, shop), when).some((lesson) => lesson.id === id);

describe('lessons that do not arise', () => {
  const known = (build: BuildDocument) =>
    lessonsBearing(planBuild({ ...build, prepared: [] }, DEMO_SHOP)).map(({ id }) => id);

  it('are end grain that drinks, for glue that sets before it could', () => {
    expect(known(demo('hatch-mouldings'))).not.toContain('glassy-end-grain');
    expect(known({ ...demo('dressing-mirror') })).toContain('glassy-end-grain');
  });

  it('are squeeze-out on a face, where nothing is squeezed out on one', () => {
    const oiled = { wishes: { ...NO_WISHES, finish: 'clear' as const } };
    for (const id of ['valance-edge', 'backdrop']) {
      expect(known({ ...demo(id), ...oiled })).not.toContain('film-under-oil');
    }
  });
});

describe('lessons of the library', () => {
  it.each(LIBRARY_IDS)('%s comes back on a plan with the fault, and not on its mended twin', (id) => {
    const [faulty, mended] = TWINS[id];
    expect([bears(id, faulty), bears(id, mended)]).toEqual([true, false]);
  });

  it('each names at least one condition', () => {
    expect(LIBRARY.filter(({ when }) => when.length === 0)).toEqual([]);
  });
});

describe('lessons of a shop', () => {
  const own: Lesson = {
    id: 'own-1',
    title: 'The long caul hid the line',
    happened: '',
    cause: '',
    cost: '',
    change: 'Shorter cauls.',
    when: [
      { trait: 'kind', any: ['edge-panel'] },
      { trait: 'joints', above: 2 },
    ],
    at: 'press',
    learnedOn: '2026-03-01',
    runId: null,
  };
  const taught = withLessons(DEMO_SHOP, () => ({ own: [own], away: ['planed-too-early'] }));

  it('come first, and what was put away stays away', () => {
    const bearing = lessonsBearing(planBuild(panel, taught));
    expect(bearing[0]?.id).toBe('own-1');
    expect(bearing.map(({ id }) => id)).not.toContain('planed-too-early');
    expect(lessonsBearing(planBuild(trunk(), taught)).map(({ id }) => id)).not.toContain('own-1');
    const two = { ...panel, boards: panel.boards?.slice(0, 2) ?? [], jointNotes: [] };
    expect(lessonsBearing(planBuild(two, taught)).map(({ id }) => id)).not.toContain('own-1');
  });

  it('are said with the first step of their kind', () => {
    const steps = [
      { id: 's1', kind: 'spread' },
      { id: 's2', kind: 'close' },
      { id: 's3', kind: 'set-clamp' },
      { id: 's4', kind: 'tighten' },
    ];
    expect([...lessonSteps([saidOf(own)], steps).keys()]).toEqual(['s3']);
    expect(lessonSteps([saidOf({ ...own, at: 'before' })], steps).size).toBe(0);
    const three = [1, 2, 3].map((n) => saidOf({ ...own, id: `own-${n}` }));
    expect([...lessonSteps(three, steps)].map(([step, { lesson }]) => `${step} ${lesson}`)).toEqual([
      's3 own-1',
      's4 own-2',
    ]);
  });

  it('ask nothing of what nobody knows', () => {
    const unknown = { amount: () => null, words: () => [] };
    expect(conditionHolds({ trait: 'bow-mm', above: 0 }, unknown)).toBe(false);
    expect(conditionHolds({ trait: 'bow-mm', below: 1000 }, unknown)).toBe(false);
    expect(triggers([{ trait: 'left-today-min', below: 30 }], planBuild(panel, DEMO_SHOP))).toBe(false);
  });

  it('take a bottle that is to be opened yet for one that nobody knows, and a run for it stays sound', () => {
    const plan = planBuild(panel, opened('2026-12-01'));
    expect(promiseOf(plan, 0, at(300)).job?.bottlePct).toBeNull();
  });

  it('know how long the shop is open still', () => {
    const shop = {
      ...DEMO_SHOP,
      benches: [],
      week: { hours: [{ day: 1, fromMin: 480, toMin: 1020 }], benches: 1 },
    };
    expect(closesInMin(shop, 1, 960)).toBe(60);
    expect(closesInMin(shop, 1, 1020)).toBeNull();
    expect(closesInMin(shop, 2, 960)).toBeNull();
  });
});
