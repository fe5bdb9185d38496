import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { createContext, type ReactNode, use, useCallback, useMemo } from 'react';
import { useAppDispatch } from '../app/store';
import { editDocument } from '../documents/sync';
import { askFirst, letGoOfFixes } from '../planner/workers';

/** The part of an open build that no edit changes. */
export interface BuildHandle {
  readonly id: string;
  /** Edits by a pure function; `label` names the step of undo. */
  readonly edit: (label: string, change: (build: BuildDocument) => BuildDocument) => void;
}

/** The build on show and the one way to change it. */
export interface OpenBuild extends BuildHandle {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
}

const OpenBuildContext = createContext<OpenBuild | null>(null);
const BuildHandleContext = createContext<BuildHandle | null>(null);

/** Hands the open build to everything below. */
export function OpenBuildProvider({
  id,
  build,
  shop,
  children,
}: Omit<OpenBuild, 'edit'> & { readonly children: ReactNode }) {
  const dispatch = useAppDispatch();
  const edit = useCallback<BuildHandle['edit']>(
    (label, change) => {
      const after = dispatch(editDocument<BuildDocument>(id, label, change));
      if (after === undefined) return;
      // Asked before anything is drawn again, with nothing beside it; a failure is told where the plan is shown.
      letGoOfFixes().catch(() => undefined);
      askFirst(after, shop).catch(() => undefined);
    },
    [dispatch, id, shop],
  );
  const value = useMemo((): OpenBuild => ({ id, build, shop, edit }), [id, build, shop, edit]);
  const handle = useMemo((): BuildHandle => ({ id, edit }), [id, edit]);
  return (
    <BuildHandleContext value={handle}>
      <OpenBuildContext value={value}>{children}</OpenBuildContext>
    </BuildHandleContext>
  );
}

/** The build on show. */
export function useOpenBuild(): OpenBuild {
  const open = use(OpenBuildContext);
  if (open === null) throw new Error('no build is open here');
  return open;
}

/** How to name and change the build on show, for whatever need not be drawn again with every edit. */
export function useBuildHandle(): BuildHandle {
  const handle = use(BuildHandleContext);
  if (handle === null) throw new Error('useBuildHandle outside of an open build');
  return handle;
}
