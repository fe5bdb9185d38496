import type { BuildDocument } from '@lean-clasp/core';
import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import { ThemeProvider } from '@mui/material/styles';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider, useSelector } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { makeStore, type RootState } from '../src/app/store';
import { themeFor } from '../src/app/theme';
import { opened } from '../src/documents/documents-slice';
import { SelectionProvider } from '../src/drawing/selection';
import { PlanProvider } from '../src/planner/plan-context';
import { OpenBuildProvider } from '../src/workspace/open-build';

function Open({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const build = useSelector((state: RootState) => state.documents.open[id]?.body) as BuildDocument;
  return (
    <OpenBuildProvider id={id} build={build} shop={DEMO_SHOP}>
      <PlanProvider build={build} shop={DEMO_SHOP}>
        <SelectionProvider>{children}</SelectionProvider>
      </PlanProvider>
    </OpenBuildProvider>
  );
}

/** Renders a part of the workspace around one of the demo's assemblies; nothing is sent anywhere. */
export function renderAssembly(id: string, children: ReactNode, change: Partial<BuildDocument> = {}) {
  localStorage.clear();
  // A server that never answers: edits stay pending and the test looks at the page's own state.
  jest.spyOn(globalThis, 'fetch').mockReturnValue(new Promise(() => undefined));
  const found = wagonBuilds().find((entry) => entry.id === id)?.build;
  if (found === undefined) throw new Error(`the demo has no ${id}`);
  const body = { ...found, ...change };
  const store = makeStore(localStorage);
  store.dispatch(
    opened({ collection: 'builds', document: { id, revision: 0, body, updatedAtMs: 0 }, log: [] }),
  );
  render(
    <Provider store={store}>
      <ThemeProvider theme={themeFor('day')}>
        <MemoryRouter>
          <Open id={id}>{children}</Open>
        </MemoryRouter>
      </ThemeProvider>
    </Provider>,
  );
  return {
    user: userEvent.setup(),
    build: () => store.getState().documents.open[id]?.body as BuildDocument,
  };
}
