import type { BuildDocument } from '@lean-clasp/core';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { ThemeProvider } from '@mui/material/styles';
import { render, screen } from '@testing-library/react';
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

const ID = 'stage-floor';

function Open({ children }: { readonly children: ReactNode }) {
  const build = useSelector((state: RootState) => state.documents.open[ID]?.body) as BuildDocument;
  return (
    <OpenBuildProvider id={ID} build={build} shop={DEMO_SHOP}>
      <PlanProvider build={build} shop={DEMO_SHOP}>
        <SelectionProvider>{children}</SelectionProvider>
      </PlanProvider>
    </OpenBuildProvider>
  );
}

/** Renders a part of the workspace around the demo's stage floor; nothing is sent anywhere. */
export function renderBuild(children: ReactNode, change: Partial<BuildDocument> = {}) {
  localStorage.clear();
  // A server that never answers: edits stay pending and the test looks at the page's own state.
  jest.spyOn(globalThis, 'fetch').mockReturnValue(new Promise(() => undefined));
  const store = makeStore(localStorage);
  const body = { ...stageFloor(DEMO_SHOP), ...change };
  store.dispatch(
    opened({ collection: 'builds', document: { id: ID, revision: 0, body, updatedAtMs: 0 }, log: [] }),
  );
  render(
    <Provider store={store}>
      <ThemeProvider theme={themeFor('day')}>
        <MemoryRouter>
          <Open>{children}</Open>
        </MemoryRouter>
      </ThemeProvider>
    </Provider>,
  );
  return {
    user: userEvent.setup(),
    build: () => store.getState().documents.open[ID]?.body as BuildDocument,
    store,
  };
}

/** Replaces what stands in a field and leaves it. */
export async function retype(
  user: ReturnType<typeof userEvent.setup>,
  label: string,
  text: string,
): Promise<void> {
  const field = screen.getByRole('textbox', { name: label });
  await user.clear(field);
  await user.type(field, text);
  await user.tab();
}
