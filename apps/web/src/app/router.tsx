import { createBrowserRouter, type LoaderFunctionArgs, Navigate, type RouteObject } from 'react-router';
import { AccessGate } from '../access/AccessGate';
import { Frame } from '../frame/Frame';
import { Loading } from '../frame/Loading';
import { PageFault } from '../frame/PageFault';
import { atMost } from '../parts/at-most';
import { quiet } from '../start/at-rest';
import { BENCH, BUILD_STEP, SCREENS } from '../start/screens';
import { headStart } from '../workspace/head-start';
import { STEP_PANELS } from '../workspace/step-panels';
import { STEP_PARTS } from '../workspace/step-parts';
import { isStepId, STEPS } from '../workspace/steps-list';
import type { AppStore } from './store';

/** Fetches every screen, each in a quiet moment, so that it opens though the server has gone. */
export async function fetchScreens(): Promise<void> {
  for (const load of Object.values(SCREENS)) {
    await quiet();
    await load().catch(() => undefined);
  }
  for (const { id } of STEPS) {
    await quiet();
    await STEP_PANELS[id].ahead();
  }
  for (const part of Object.values(STEP_PARTS)) {
    await quiet();
    await part.ahead();
  }
}

/** A screen comes without its documents when these take longer, ms: shorter than what one takes for a wait. */
const LONGEST_HEAD_START_MS = 250;

/** Has a build opened and planned, and its step's panel fetched, while the screen itself is read in; waits for them a moment. */
const headStartOf =
  (store: AppStore) =>
  async ({ params }: LoaderFunctionArgs): Promise<null> => {
    const { buildId = '', step } = params;
    // A failure is told by the screen itself, which asks again.
    const opened = store.dispatch(headStart(buildId, step)).catch(() => undefined);
    const panel = isStepId(step) ? STEP_PANELS[step].ahead() : undefined;
    await atMost(LONGEST_HEAD_START_MS, Promise.all([opened, panel]));
    return null;
  };

/** The router once it can draw the screen at its address, or a moment later if that is still on its way. */
export async function untilDrawable(router: AppRouter): Promise<void> {
  if (router.state.initialized) return;
  const ready = new Promise<void>((done) => {
    const stop = router.subscribe(({ initialized }) => {
      if (!initialized) return;
      stop();
      done();
    });
  });
  await atMost(LONGEST_HEAD_START_MS, ready);
}

/** What leads from addresses to screens. */
export type AppRouter = ReturnType<typeof createBrowserRouter>;

/** Every address of the app. Screens load when first visited. */
export const makeRouter = (store: AppStore) =>
  createBrowserRouter([{ element: <AccessGate />, children: placesOf(store) }]);

const placesOf = (store: AppStore): RouteObject[] => {
  const screen = (path: string): RouteObject => ({
    path,
    lazy: async () => ({ Component: await SCREENS[path]?.() }),
    ...(path === BUILD_STEP
      ? {
          loader: headStartOf(store),
          shouldRevalidate: ({ currentParams, nextParams }) => currentParams.buildId !== nextParams.buildId,
        }
      : {}),
  });
  const around = { errorElement: <PageFault />, hydrateFallbackElement: <Loading /> };
  const framed = Object.keys(SCREENS).filter((path) => path !== BENCH);
  return [
    {
      element: <Frame />,
      ...around,
      children: [...framed.map(screen), { path: '/builds/:buildId', element: <Navigate to="fit" replace /> }],
    },
    { ...screen(BENCH), ...around },
  ];
};
