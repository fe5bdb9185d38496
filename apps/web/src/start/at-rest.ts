/** Hands that have done nothing for so long are not in the middle of something, ms. */
const HANDS_OFF_MS = 3000;
/** Busy hands are waited for no longer than this, ms. */
const BUSY_MS = 30_000;
/** Nobody waits longer than this for what is done in the quiet, ms. */
const NO_LATER_MS = 4000;

/** A moment in which the page has nothing else to do. */
export const quiet = (): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => done(), { timeout: NO_LATER_MS });
    else setTimeout(done, 0);
  });

let rest: Promise<void> | undefined;

/** The first quiet after the first screen, hands included: time for what makes later screens quick. */
export const afterFirstScreen = (): Promise<void> => (rest ??= handsOff().then(quiet));

function handsOff(): Promise<void> {
  return new Promise((done) => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const wait = () => {
      clearTimeout(timer);
      timer = setTimeout(stop, HANDS_OFF_MS);
    };
    const stop = () => {
      clearTimeout(timer);
      clearTimeout(atLast);
      for (const hand of HANDS) removeEventListener(hand, wait, true);
      done();
    };
    const atLast = setTimeout(stop, BUSY_MS);
    for (const hand of HANDS) addEventListener(hand, wait, true);
    wait();
  });
}

const HANDS = ['keydown', 'pointerdown'] as const;
