import { makeRunClock } from './run-clock';

/** A device whose wall clock can be set, and which can sleep. */
function device() {
  const state = { wallMs: 1_780_000_000_000, evenMs: 5000 };
  return {
    clock: makeRunClock({ wall: () => state.wallMs, even: () => state.evenMs }),
    pass: (ms: number) => {
      state.wallMs += ms;
      state.evenMs += ms;
    },
    setWall: (byMs: number) => {
      state.wallMs += byMs;
    },
    wall: () => state.wallMs,
  };
}

describe('the clock of a run', () => {
  it.each([3_600_000, -3_600_000, 2_500])(
    'runs on where the wall clock is set by %i ms, and tells once',
    (byMs) => {
      const { clock, pass, setWall } = device();
      const startMs = clock.now();
      pass(60_000);
      expect(clock.jumped()).toBeNull();
      setWall(byMs);
      pass(1000);
      expect(clock.jumped()).toEqual({ byMs });
      expect(clock.jumped()).toBeNull();
      expect(clock.now() - startMs).toBe(61_000);
      setWall(-byMs);
      expect(clock.jumped()).toEqual({ byMs: -byMs });
    },
  );

  it('takes no notice of a second to and fro', () => {
    const { clock, setWall } = device();
    setWall(900);
    expect(clock.jumped()).toBeNull();
  });

  it('goes by another clock when told to, and is not startled by it', () => {
    const { clock, pass, wall } = device();
    clock.set(wall() - 600_000);
    pass(1000);
    expect(clock.now()).toBe(wall() - 600_000);
    expect(clock.jumped()).toBeNull();
  });
});
