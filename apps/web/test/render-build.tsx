import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { ThemeProvider } from '@mui/material/styles';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider, useSelector } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { makeStore, type RootState } from '../src/app/store';
import { themeFor } from '../src/app/theme';
import { opened } from '../src/documents/documents-slice';
import { SelectionProvider } from '../src/drawing/selection';
import { PlanProvider } from '../src/planner/plan-context';
import { SHOP_ID } from '../src/shop/shop-id';
import { OpenBuildProvider } from '../src/workspace/open-build';

const STAGE_FLOOR = 'stage-floor';

function Open({
  id,
  shop,
  children,
}: {
  readonly id: string;
  readonly shop: ShopDocument;
  readonly children: ReactNode;
}) {
  const build = useSelector((state: RootState) => state.documents.open[id]?.body) as BuildDocument;
  return (
    <OpenBuildProvider id={id} build={build} shop={shop}>
      <PlanProvider build={build} shop={shop}>
        <SelectionProvider>{children}</SelectionProvider>
      </PlanProvider>
    </OpenBuildProvider>
  );
}

/** The build of the demo that has an id. */
function demoBuild(id: string): BuildDocument {
  const build =
    id === STAGE_FLOOR ? stageFloor(DEMO_SHOP) : wagonBuilds().find((each) => each.id === id)?.build;
  if (build === undefined) throw new Error(`the demo has no ${id}`);
  return build;
}

/** Renders a part of the workspace around one of the demo's builds, the stage floor unless another is named; nothing is sent anywhere. */
export function renderBuild(
  children: ReactNode,
  change: Partial<BuildDocument> = {},
  id: string = STAGE_FLOOR,
  shop: ShopDocument = DEMO_SHOP,
) {
  localStorage.clear();
  // A server that never answers: edits stay pending and the test looks at the page's own state.
  jest.spyOn(globalThis, 'fetch').mockReturnValue(new Promise(() => undefined));
  const store = makeStore(localStorage);
  const body = { ...demoBuild(id), ...change };
  store.dispatch(
    opened({ collection: 'builds', document: { id, revision: 0, body, updatedAtMs: 0 }, log: [] }),
  );
  store.dispatch(
    opened({
      collection: 'shops',
      document: { id: SHOP_ID, revision: 0, body: shop, updatedAtMs: 0 },
      log: [],
    }),
  );
  render(
    <Provider store={store}>
      <ThemeProvider theme={themeFor('day')}>
        <MemoryRouter>
          <Open id={id} shop={shop}>
            {children}
          </Open>
        </MemoryRouter>
      </ThemeProvider>
    </Provider>,
  );
  return {
    user: userEvent.setup(),
    build: () => store.getState().documents.open[id]?.body as BuildDocument,
    store,
  };
}

type User = ReturnType<typeof userEvent.setup>;

/** Replaces what stands in a field of one part of the page and leaves it; in one go, for parts that are slow to draw anew. */
export async function fillIn(user: User, part: HTMLElement, label: string, text: string): Promise<void> {
  const field = within(part).getByRole('textbox', { name: label });
  await user.clear(field);
  await user.paste(text);
  await user.tab();
}

/** Chooses from a list in one part of the page. */
export async function pickIn(
  user: User,
  part: HTMLElement,
  label: string,
  option: string | RegExp,
): Promise<void> {
  await user.click(within(part).getByRole('combobox', { name: label }));
  await user.click(screen.getByRole('option', { name: option }));
}

/** Replaces what stands in a field and leaves it. */
export async function retype(user: User, label: string, text: string): Promise<void> {
  const field = screen.getByRole('textbox', { name: label });
  await user.clear(field);
  await user.type(field, text);
  await user.tab();
}
