import { atMost } from '../parts/at-most';
import { type ReadIn, readIn } from '../parts/read-in';
import { quiet } from '../start/at-rest';
import { BUILD_STEP, SCREENS, screenAt, type ScreenPath } from '../start/screens';
import { headStart } from '../workspace/head-start';
import { STEP_PANELS } from '../workspace/step-panels';
import { STEP_PARTS } from '../workspace/step-parts';
import { isStepId } from '../workspace/steps-list';
import type { AppStore } from './store';

/** A screen comes without its documents when these take longer, ms: shorter than what one takes for a wait. */
const LONGEST_HEAD_START_MS = 250;

/** Every screen by its address, to be drawn once it has been read in. */
const PAGES = Object.fromEntries(
  Object.entries(SCREENS).map(([path, load]) => [path, readIn(load)]),
) as Readonly<Record<ScreenPath, ReadIn>>;

/** The screen of the build that is open, or being opened. */
let opened: { readonly buildId: string; readonly page: ReadIn } | undefined;

/**
 * What is drawn at an address of `SCREENS`. That of a build has the build opened and planned, and its step's panel fetched, while it is
 * itself read in, and waits for them a moment.
 */
export function pageAt(
  path: ScreenPath,
  { buildId = '', step }: Readonly<Partial<Record<string, string>>>,
  store: AppStore,
): ReadIn {
  if (path !== BUILD_STEP) return PAGES[path];
  if (opened?.buildId !== buildId) {
    const withDocuments = async () => {
      const page = SCREENS[BUILD_STEP]();
      // A failure is told by the screen itself, which asks again.
      const documents = store.dispatch(headStart(buildId, step)).catch(() => undefined);
      const panel = isStepId(step) ? STEP_PANELS[step].ahead() : undefined;
      await atMost(LONGEST_HEAD_START_MS, Promise.all([documents, panel]));
      return page;
    };
    opened = { buildId, page: readIn(withDocuments) };
  }
  return opened.page;
}

/** Once another screen is on show, the next build to be opened gets a head start again. */
export function leaveBuild(): void {
  opened = undefined;
}

/** The screen at the window's address, read in, or a moment later if it is still on its way. */
export async function firstPage(store: AppStore): Promise<void> {
  const { path, parts } = screenAt(location.pathname);
  const [, buildId, step] = parts;
  await atMost(LONGEST_HEAD_START_MS, pageAt(path, { buildId, step }, store).ahead());
}

/** Fetches every screen, each in a quiet moment, so that it opens though the server has gone. */
export async function fetchPages(): Promise<void> {
  for (const page of [PAGES, STEP_PANELS, STEP_PARTS].flatMap((pages) => Object.values<ReadIn>(pages))) {
    await quiet();
    await page.ahead();
  }
}
