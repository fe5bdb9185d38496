import { keepProgram } from './program';

/** What the browser is asked to keep the program with. */
class Pretended extends EventTarget {
  static made: Pretended[] = [];
  registered = 0;
  skipped = 0;
  constructor(readonly script: string) {
    super();
    Pretended.made.push(this);
  }
  register() {
    this.registered += 1;
    return Promise.resolve();
  }
  messageSkipWaiting() {
    this.skipped += 1;
  }
}

jest.mock('workbox-window', () => ({ Workbox: Pretended }));

describe('keeping the program', () => {
  beforeEach(() => {
    Pretended.made = [];
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
    Reflect.deleteProperty(navigator, 'serviceWorker');
  });

  it('does nothing where a browser does not allow it', async () => {
    await keepProgram(() => undefined);
    expect(Pretended.made).toEqual([]);
  });

  it('begins once hands rest, and loads a newer program only when told to', async () => {
    Object.defineProperty(navigator, 'serviceWorker', { value: {}, configurable: true });
    const newer: (() => void)[] = [];
    const kept = keepProgram((load) => newer.push(load));
    await jest.advanceTimersByTimeAsync(2900);
    expect(Pretended.made).toEqual([]);
    await jest.advanceTimersByTimeAsync(200);
    await kept;
    const [worker] = Pretended.made;
    expect(worker).toMatchObject({ script: '/sw.js', registered: 1 });
    worker?.dispatchEvent(new Event('waiting'));
    expect(newer).toHaveLength(1);
    expect(worker?.skipped).toBe(0);
    newer[0]?.();
    expect(worker?.skipped).toBe(1);
  });
});
