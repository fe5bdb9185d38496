import { requestJson } from '../api/request';
import { STEPS } from '../workspace/steps-list';
import { askEarly, takeEarly } from './early';
import { BENCH, BUILD_STEP, SCREENS, screenAt } from './screens';

describe('the screen that an address leads to', () => {
  it.each([
    ['/', '/'],
    ['/builds', '/builds'],
    ['/builds/', '/builds'],
    ['/builds/new', '/builds/new'],
    ['/builds/new/edge-panel', '/builds/new/:template'],
    ['/builds/stage-floor/paper', '/builds/:buildId/paper'],
    ['/logbook', '/logbook'],
    ['/logbook/trends', '/logbook/trends'],
    ['/logbook/a-run', '/logbook/:runId'],
    ['/sums/window', '/sums/:name'],
    ['/bench/a-run', BENCH],
    ['/nowhere/at/all', '*'],
  ])('%s', (pathname, path) => {
    expect(screenAt(pathname).path).toBe(path);
  });

  it.each(STEPS)('a build at $id, with the build and the step that the address names', ({ id }) => {
    expect(screenAt(`/builds/stage-floor/${id}`)).toEqual({
      path: BUILD_STEP,
      parts: ['builds', 'stage-floor', id],
    });
  });

  it('is one that can be read in', async () => {
    const screens = await Promise.all(
      (['/glossary', '*'] as const).map(async (path) => (await SCREENS[path]()).name),
    );
    expect(screens).toEqual(['GlossaryPage', 'NothingHere']);
  });
});

describe('an answer that is asked for before the app is there', () => {
  const asked: string[] = [];
  const answers: (Response | Error)[] = [];
  const before = globalThis.fetch;
  beforeEach(() => {
    asked.length = 0;
    answers.length = 0;
    globalThis.fetch = (path) => {
      asked.push(path as string);
      const answer = answers.shift() ?? new Error('nothing to say');
      return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer);
    };
  });
  afterEach(() => {
    globalThis.fetch = before;
  });

  it('is taken by the first who wants it, and asked for anew by the next', async () => {
    answers.push(Response.json({ revision: 1 }), Response.json({ revision: 2 }));
    askEarly('/api/builds/a');
    expect(await requestJson('/api/builds/a')).toEqual({ revision: 1 });
    expect(asked).toHaveLength(1);
    expect(await requestJson('/api/builds/a')).toEqual({ revision: 2 });
    expect(asked).toHaveLength(2);
  });

  it('is not taken by whoever sends something to the same address', async () => {
    answers.push(Response.json({ read: true }), Response.json({ sent: true }));
    askEarly('/api/session');
    expect(await requestJson('/api/session', { method: 'POST', body: { passphrase: 'x' } })).toEqual({
      sent: true,
    });
    expect(await takeEarly('/api/session')?.then((response) => response.json())).toEqual({ read: true });
  });

  it('is asked for anew where it was refused, or nobody took it while it was news', async () => {
    jest.useFakeTimers();
    answers.push(
      Response.json({}, { status: 401 }),
      Response.json({ revision: 2 }),
      Response.json({ revision: 3 }),
      Response.json({ revision: 4 }),
    );
    askEarly('/api/runs');
    await jest.advanceTimersByTimeAsync(0);
    expect(await requestJson('/api/runs')).toEqual({ revision: 2 });
    askEarly('/api/builds');
    await jest.advanceTimersByTimeAsync(10_000);
    expect(await requestJson('/api/builds')).toEqual({ revision: 4 });
    jest.useRealTimers();
  });

  it('tells whoever takes it that the server is away, and nobody else', async () => {
    answers.push(new TypeError('away'), Response.json({ back: true }));
    askEarly('/api/builds/a');
    // Nobody has taken it yet: a failure that nobody hears of must not end the page.
    await new Promise((done) => setTimeout(done, 0));
    await expect(requestJson('/api/builds/a')).rejects.toThrow('away');
    expect(await requestJson('/api/builds/a')).toEqual({ back: true });
  });
});

describe('the worker that is begun before the app is there', () => {
  class Pretended extends EventTarget {
    static made: Pretended[] = [];
    readonly postMessage = jest.fn();
    constructor() {
      super();
      Pretended.made.push(this);
    }
  }
  const before = globalThis.Worker;
  beforeEach(() => {
    jest.resetModules();
    Pretended.made = [];
    globalThis.Worker = Pretended as unknown as typeof Worker;
  });
  afterEach(() => {
    globalThis.Worker = before;
  });

  it('goes to the first who asks, once', async () => {
    const { beginPlannerWorker, plannerWorker } = await import('./planner-worker');
    beginPlannerWorker('/api/builds/a', '/api/shops/shop');
    expect(Pretended.made).toHaveLength(1);
    expect(plannerWorker()).toBe(Pretended.made[0]);
    expect(plannerWorker()).toBe(Pretended.made[1]);
  });

  it('is made anew where the one begun could not be read in', async () => {
    const { beginPlannerWorker, plannerWorker } = await import('./planner-worker');
    beginPlannerWorker('/api/builds/a', '/api/shops/shop');
    Pretended.made[0]?.dispatchEvent(new Event('error'));
    expect(plannerWorker()).toBe(Pretended.made[1]);
  });

  const told = async (...answers: Response[]) => {
    const fetchBefore = globalThis.fetch;
    globalThis.fetch = () => Promise.resolve(answers.shift() ?? Response.error());
    const early = await import('./early');
    const paths = ['/api/builds/a', '/api/shops/shop'] as const;
    paths.forEach(early.askEarly);
    const { beginPlannerWorker } = await import('./planner-worker');
    beginPlannerWorker(...paths);
    const taken = paths.map(async (path) => (await early.takeEarly(path))?.json() as unknown);
    await new Promise((done) => setTimeout(done, 0));
    globalThis.fetch = fetchBefore;
    return { taken: await Promise.all(taken), told: Pretended.made[0]?.postMessage.mock.calls };
  };

  it('is told what the address will ask of it, and leaves the answers to the page', async () => {
    const [build, shop] = [
      { revision: 3, body: { name: 'Stage floor' } },
      { revision: 1, body: { rack: [] } },
    ];
    expect(await told(Response.json(build), Response.json(shop))).toEqual({
      taken: [build, shop],
      told: [[{ ahead: { build: build.body, shop: shop.body } }]],
    });
  });

  it('is told nothing where one of them is not to be had', async () => {
    const { told: said } = await told(Response.json({ body: {} }), Response.json({}, { status: 404 }));
    expect(said).toEqual([]);
  });
});

describe('the quiet after the first screen', () => {
  beforeEach(() => {
    jest.resetModules();
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  const waiting = async () => {
    const { afterFirstScreen } = await import('./at-rest');
    let rested = false;
    void afterFirstScreen().then(() => (rested = true));
    return async (ms: number) => {
      await jest.advanceTimersByTimeAsync(ms);
      return rested;
    };
  };

  it('comes three seconds after hands were last seen', async () => {
    const after = await waiting();
    expect(await after(2000)).toBe(false);
    dispatchEvent(new Event('keydown'));
    expect(await after(2000)).toBe(false);
    dispatchEvent(new Event('pointerdown'));
    expect(await after(2900)).toBe(false);
    expect(await after(200)).toBe(true);
  });

  it('comes after half a minute however busy they are', async () => {
    const after = await waiting();
    for (let second = 0; second < 29; second += 1) {
      dispatchEvent(new Event('keydown'));
      expect(await after(1000)).toBe(false);
    }
    dispatchEvent(new Event('keydown'));
    expect(await after(1100)).toBe(true);
  });
});
