import type { ComponentType } from 'react';

type Load = () => Promise<ComponentType>;

/** A build's step by its address; the one screen that needs documents and a plan at once. */
export const BUILD_STEP = '/builds/:buildId/:step';
/** Lies over everything else, without the frame. */
export const BENCH = '/bench/:runId';

const sums: Load = () => import('../sums/SumsPage').then((m) => m.SumsPage);

/** Every screen by its address, read in when first visited. Nothing is imported here, so that a start can look up what it will need. */
export const SCREENS = {
  '/': () => import('../today/TodayPage').then((m) => m.TodayPage),
  '/builds': () => import('../builds/BuildsPage').then((m) => m.BuildsPage),
  '/builds/new': () => import('../builds/KindChooserPage').then((m) => m.KindChooserPage),
  '/builds/new/:template': () => import('../builds/NewBuildPage').then((m) => m.NewBuildPage),
  '/builds/:buildId/paper': () => import('../paper/PaperPage').then((m) => m.PaperPage),
  [BUILD_STEP]: () => import('../workspace/WorkspacePage').then((m) => m.WorkspacePage),
  '/shop': () => import('../shop/ShopPage').then((m) => m.ShopPage),
  '/logbook': () => import('../logbook/LogbookPage').then((m) => m.LogbookPage),
  '/logbook/lessons': () => import('../lessons/LessonsPage').then((m) => m.LessonsPage),
  '/logbook/trends': () => import('../logbook/TrendsPage').then((m) => m.TrendsPage),
  '/logbook/learned': () => import('../logbook/LearnedPage').then((m) => m.LearnedPage),
  '/logbook/:runId': () => import('../logbook/RunPage').then((m) => m.RunPage),
  '/glossary': () => import('../glossary/GlossaryPage').then((m) => m.GlossaryPage),
  '/sums': sums,
  '/sums/:name': sums,
  [BENCH]: () => import('../bench/BenchPage').then((m) => m.BenchPage),
  '*': () => import('../frame/NothingHere').then((m) => m.NothingHere),
} as const satisfies Readonly<Record<string, Load>>;

/** An address of `SCREENS`. */
export type ScreenPath = keyof typeof SCREENS;

/** The address of `SCREENS` that a path of the browser goes by, and the parts that it names; the plainest of several. */
export function screenAt(pathname: string): { readonly path: ScreenPath; readonly parts: readonly string[] } {
  const asked = partsOf(pathname);
  const fits = (path: string) => {
    const wanted = partsOf(path);
    return (
      wanted.length === asked.length && wanted.every((part, i) => part.startsWith(':') || part === asked[i])
    );
  };
  // Names come before what may be anything, as they stand above.
  return { path: (Object.keys(SCREENS) as ScreenPath[]).find(fits) ?? '*', parts: asked };
}

const partsOf = (path: string) => path.split('/').filter((part) => part !== '');
