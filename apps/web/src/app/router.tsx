import { createBrowserRouter, type LoaderFunctionArgs, Navigate, type RouteObject } from 'react-router';
import { AccessGate } from '../access/AccessGate';
import { Frame } from '../frame/Frame';
import { Loading } from '../frame/Loading';
import { PageFault } from '../frame/PageFault';
import { quiet } from '../start/at-rest';
import { BENCH, BUILD_STEP, SCREENS } from '../start/screens';
import { headStart } from '../workspace/head-start';
import { preloadStep } from '../workspace/step-loaders';
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
    preloadStep(id);
  }
}

/** Has a build opened and planned, and its step's panel fetched, while the screen itself is read in. */
const headStartOf =
  (store: AppStore) =>
  ({ params }: LoaderFunctionArgs): null => {
    const { buildId = '', step } = params;
    // A failure is told by the screen itself, which asks again.
    store.dispatch(headStart(buildId)).catch(() => undefined);
    if (isStepId(step)) preloadStep(step);
    return null;
  };

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
