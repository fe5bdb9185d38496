import type { ComponentType } from 'react';
import { createBrowserRouter, Navigate } from 'react-router';
import { Frame } from '../frame/Frame';
import { Loading } from '../frame/Loading';
import { PageFault } from '../frame/PageFault';

/** Makes a route module out of a lazily loaded screen. */
const screen = (load: () => Promise<ComponentType>) => async () => ({ Component: await load() });

/** Every address of the app. Screens load when first visited. */
export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <PageFault />,
    hydrateFallbackElement: <Loading />,
    children: [
      { index: true, lazy: screen(() => import('../today/TodayPage').then((m) => m.TodayPage)) },
      { path: 'builds', lazy: screen(() => import('../builds/BuildsPage').then((m) => m.BuildsPage)) },
      {
        path: 'builds/new',
        lazy: screen(() => import('../builds/NewBuildPage').then((m) => m.NewBuildPage)),
      },
      { path: 'builds/:buildId', element: <Navigate to="fit" replace /> },
      {
        path: 'builds/:buildId/:step',
        lazy: screen(() => import('../workspace/WorkspacePage').then((m) => m.WorkspacePage)),
      },
      { path: 'shop', lazy: screen(() => import('../shop/ShopPage').then((m) => m.ShopPage)) },
      { path: 'logbook', lazy: screen(() => import('../logbook/LogbookPage').then((m) => m.LogbookPage)) },
      { path: 'logbook/:runId', lazy: screen(() => import('../logbook/RunPage').then((m) => m.RunPage)) },
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
]);
