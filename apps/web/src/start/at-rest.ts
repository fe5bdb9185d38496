/** The first screen has come to rest by then, ms. */
const FIRST_SCREEN_MS = 3000;
/** Nobody waits longer than this for what is done in the quiet, ms. */
const NO_LATER_MS = 4000;

/** A moment in which the page has nothing else to do. */
export const quiet = (): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => done(), { timeout: NO_LATER_MS });
    else setTimeout(done, 0);
  });

/** The quiet after the first screen: time for what makes later ones quick. */
export async function afterFirstScreen(): Promise<void> {
  await new Promise((done) => setTimeout(done, FIRST_SCREEN_MS));
  await quiet();
}
