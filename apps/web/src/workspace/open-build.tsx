import type { BuildDocument, ShopDocument } from '@lean-clasp/core';
import { createContext, type ReactNode, use, useCallback, useMemo } from 'react';
import { useAppDispatch } from '../app/store';
import { editDocument } from '../documents/sync';

/** The build on show and the one way to change it. */
export interface OpenBuild {
  readonly id: string;
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  /** Edits by a pure function; `label` names the step of undo. */
  readonly edit: (label: string, change: (build: BuildDocument) => BuildDocument) => void;
}

const OpenBuildContext = createContext<OpenBuild | null>(null);

/** Hands the open build to everything below. */
export function OpenBuildProvider({
  id,
  build,
  shop,
  children,
}: Omit<OpenBuild, 'edit'> & { readonly children: ReactNode }) {
  const dispatch = useAppDispatch();
  const edit = useCallback<OpenBuild['edit']>(
    (label, change) => void dispatch(editDocument<BuildDocument>(id, label, change)),
    [dispatch, id],
  );
  const value = useMemo((): OpenBuild => ({ id, build, shop, edit }), [id, build, shop, edit]);
  return <OpenBuildContext value={value}>{children}</OpenBuildContext>;
}

/** The build on show. */
export function useOpenBuild(): OpenBuild {
  const open = use(OpenBuildContext);
  if (open === null) throw new Error('useOpenBuild outside of an open build');
  return open;
}
