import {
  type AssemblyBuild,
  type BuildDocument,
  isPanel,
  type PanelBuild,
  type ShopDocument,
} from '@lean-clasp/core';
import { createContext, type ReactNode, use, useCallback, useMemo } from 'react';
import { useAppDispatch } from '../app/store';
import { editDocument } from '../documents/sync';
import { askPlan } from '../planner/workers';

/** The build on show and the one way to change it. */
export interface OpenBuild<B> {
  readonly id: string;
  readonly build: B;
  readonly shop: ShopDocument;
  /** Edits by a pure function; `label` names the step of undo. */
  readonly edit: (label: string, change: (build: B) => B) => void;
}

/** An edit of what every build has, whatever its kind. */
type SharedChange = <B extends BuildDocument>(build: B) => B;

/** The part of an open build that no edit changes. */
export interface BuildHandle {
  readonly id: string;
  readonly edit: (label: string, change: SharedChange) => void;
}

const OpenBuildContext = createContext<OpenBuild<BuildDocument> | null>(null);
const BuildHandleContext = createContext<BuildHandle | null>(null);

/** Hands the open build to everything below. */
export function OpenBuildProvider({
  id,
  build,
  shop,
  children,
}: Omit<OpenBuild<BuildDocument>, 'edit'> & { readonly children: ReactNode }) {
  const dispatch = useAppDispatch();
  const edit = useCallback<OpenBuild<BuildDocument>['edit']>(
    (label, change) => {
      const after = dispatch(editDocument<BuildDocument>(id, label, change));
      // Asked before anything is drawn again; a failure is told where the plan is shown.
      if (after !== undefined) askPlan(after, shop).catch(() => undefined);
    },
    [dispatch, id, shop],
  );
  const value = useMemo((): OpenBuild<BuildDocument> => ({ id, build, shop, edit }), [id, build, shop, edit]);
  const handle = useMemo((): BuildHandle => ({ id, edit }), [id, edit]);
  return (
    <BuildHandleContext value={handle}>
      <OpenBuildContext value={value}>{children}</OpenBuildContext>
    </BuildHandleContext>
  );
}

function useAny(): OpenBuild<BuildDocument> {
  const open = use(OpenBuildContext);
  if (open === null) throw new Error('no build is open here');
  return open;
}

/** The build on show, whatever its kind. */
export function useAnyBuild(): Omit<OpenBuild<BuildDocument>, 'edit'> & Pick<BuildHandle, 'edit'> {
  return useAny();
}

/** The panel on show. */
export function useOpenBuild(): OpenBuild<PanelBuild> {
  const open = useAny();
  const { build } = open;
  const edit = useMemo(() => narrowed(open.edit, isPanel), [open.edit]);
  if (!isPanel(build)) throw new Error('the build on show is not a panel');
  return { ...open, build, edit };
}

/** The assembly on show. */
export function useOpenAssembly(): OpenBuild<AssemblyBuild> {
  const open = useAny();
  const { build } = open;
  const edit = useMemo(() => narrowed(open.edit, isAssembly), [open.edit]);
  if (isPanel(build)) throw new Error('the build on show is a panel');
  return { ...open, build, edit };
}

const isAssembly = (build: BuildDocument): build is AssemblyBuild => !isPanel(build);

/** An edit that knows its kind; a build of another kind, which cannot be, is left alone. */
function narrowed<B extends BuildDocument>(
  edit: OpenBuild<BuildDocument>['edit'],
  is: (build: BuildDocument) => build is B,
): OpenBuild<B>['edit'] {
  return (label, change) => edit(label, (build) => (is(build) ? change(build) : build));
}

/** How to name and change the build on show, for whatever need not be drawn again with every edit. */
export function useBuildHandle(): BuildHandle {
  const handle = use(BuildHandleContext);
  if (handle === null) throw new Error('useBuildHandle outside of an open build');
  return handle;
}
