import type { ComponentType } from 'react';
import { createBrowserRouter, type LoaderFunctionArgs, Navigate, type RouteObject } from 'react-router';
import { AccessGate } from '../access/AccessGate';
import { openDocument } from '../documents/sync';
import { Frame } from '../frame/Frame';
import { Loading } from '../frame/Loading';
import { PageFault } from '../frame/PageFault';
import { planner } from '../planner/workers';
import { SHOP_ID } from '../shop/shop-id';
import { preloadStep } from '../workspace/step-panels';
import { isStepId, STEPS } from '../workspace/steps-list';
import type { AppStore } from './store';

/** Screens of the app, to be fetched before anybody asks for them. */
const SCREENS: (() => Promise<ComponentType>)[] = [];

/** Makes a route module out of a lazily loaded screen. */
const screen = (load: () => Promise<ComponentType>) => {
  SCREENS.push(load);
  return async () => ({ Component: await load() });
};

/** Fetches every screen in the quiet after the first, so that each opens though the server has gone. */
export async function fetchScreens(): Promise<void> {
  for (const load of SCREENS) {
    await quiet();
    await load().catch(() => undefined);
  }
  for (const { id } of STEPS) {
    await quiet();
    preloadStep(id);
  }
}

/** Nobody waits longer than this for a screen to be fetched, ms. */
const NO_LATER_MS = 4000;

/** A moment in which the page has nothing else to do. */
const quiet = (): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => done(), { timeout: NO_LATER_MS });
    else setTimeout(done, 0);
  });

/** Fetches what a build's screen needs while the screen's own code is still on its way. */
const headStart =
  (store: AppStore) =>
  ({ params }: LoaderFunctionArgs): null => {
    const { buildId = '', step } = params;
    // A failure is told by the screen itself, which asks again.
    store.dispatch(openDocument('builds', buildId)).catch(() => undefined);
    store.dispatch(openDocument('shops', SHOP_ID)).catch(() => undefined);
    if (isStepId(step)) preloadStep(step);
    planner();
    return null;
  };

/** Every address of the app. Screens load when first visited. */
export const makeRouter = (store: AppStore) =>
  createBrowserRouter([{ element: <AccessGate />, children: placesOf(store) }]);

const placesOf = (store: AppStore): RouteObject[] => [
  {
    element: <Frame />,
    errorElement: <PageFault />,
    hydrateFallbackElement: <Loading />,
    children: [
      { index: true, lazy: screen(() => import('../today/TodayPage').then((m) => m.TodayPage)) },
      { path: 'builds', lazy: screen(() => import('../builds/BuildsPage').then((m) => m.BuildsPage)) },
      {
        path: 'builds/new',
        lazy: screen(() => import('../builds/KindChooserPage').then((m) => m.KindChooserPage)),
      },
      {
        path: 'builds/new/:template',
        lazy: screen(() => import('../builds/NewBuildPage').then((m) => m.NewBuildPage)),
      },
      { path: 'builds/:buildId', element: <Navigate to="fit" replace /> },
      {
        path: 'builds/:buildId/:step',
        loader: headStart(store),
        shouldRevalidate: ({ currentParams, nextParams }) => currentParams.buildId !== nextParams.buildId,
        lazy: screen(() => import('../workspace/WorkspacePage').then((m) => m.WorkspacePage)),
      },
      {
        path: 'builds/:buildId/paper',
        lazy: screen(() => import('../paper/PaperPage').then((m) => m.PaperPage)),
      },
      { path: 'shop', lazy: screen(() => import('../shop/ShopPage').then((m) => m.ShopPage)) },
      { path: 'logbook', lazy: screen(() => import('../logbook/LogbookPage').then((m) => m.LogbookPage)) },
      {
        path: 'logbook/lessons',
        lazy: screen(() => import('../lessons/LessonsPage').then((m) => m.LessonsPage)),
      },
      {
        path: 'logbook/trends',
        lazy: screen(() => import('../logbook/TrendsPage').then((m) => m.TrendsPage)),
      },
      {
        path: 'logbook/learned',
        lazy: screen(() => import('../logbook/LearnedPage').then((m) => m.LearnedPage)),
      },
      { path: 'logbook/:runId', lazy: screen(() => import('../logbook/RunPage').then((m) => m.RunPage)) },
      {
        path: 'glossary',
        lazy: screen(() => import('../glossary/GlossaryPage').then((m) => m.GlossaryPage)),
      },
      { path: 'sums', lazy: screen(() => import('../sums/SumsPage').then((m) => m.SumsPage)) },
      { path: 'sums/:name', lazy: screen(() => import('../sums/SumsPage').then((m) => m.SumsPage)) },
      { path: '*', lazy: screen(() => import('../frame/NothingHere').then((m) => m.NothingHere)) },
    ],
  },
  {
    path: 'bench/:runId',
    errorElement: <PageFault />,
    hydrateFallbackElement: <Loading />,
    lazy: screen(() => import('../bench/BenchPage').then((m) => m.BenchPage)),
  },
];
