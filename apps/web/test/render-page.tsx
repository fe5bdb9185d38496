import { DEMO_SHOP } from '@lean-clasp/core/demo';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { ThemeProvider } from '@mui/material/styles';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { preferred } from '../src/app/preferences';
import { makeStore } from '../src/app/store';
import { themeFor } from '../src/app/theme';
import type { StoredBuild } from '../src/api/api';
import { opened } from '../src/documents/documents-slice';
import { SHOP_ID } from '../src/shop/shop-id';

/** One thing asked of the stand-in server. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly query: URLSearchParams;
  readonly body: unknown;
}

type Answer = (asked: Asked) => unknown;

/** What a stand-in server answers, by method and path; undefined: it does not know that. */
export type Server = Readonly<Record<string, Answer>>;

/** A server that has these builds: pages of sixty, and each whole. */
export const buildServer = (
  builds: readonly StoredBuild[],
  glued: ReadonlySet<string> = new Set(),
): Server => ({
  'GET /api/builds': ({ query }) => {
    const from = Number(query.get('after') ?? 0);
    return {
      builds: builds.slice(from, from + 60).map(({ id, revision, body, updatedAtMs }) => ({
        id,
        revision,
        updatedAtMs,
        name: body.name,
        project: body.project,
        template: body.template,
        glued: glued.has(id),
      })),
      next: from + 60 < builds.length ? String(from + 60) : null,
    };
  },
  'GET /api/bin': () => ({ documents: [], next: null }),
  ...Object.fromEntries(builds.map((build) => [`GET /api/builds/${build.id}`, () => build])),
});

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });

/** Files that are sent are not looked into. */
const isJson = (request: Request): boolean => request.headers.get('content-type')?.includes('json') ?? false;

/** Where the router stands. */
function Where() {
  return <output data-testid="where">{useLocation().pathname}</output>;
}

/** Renders a whole page at an address, with a shop open and a server that answers as told; what it was asked is kept. */
export function renderPage(
  page: ReactNode,
  {
    path = '/',
    at = path,
    server = {},
    shop = DEMO_SHOP,
    units = 'metric',
    silent = false,
    kept = {},
  }: {
    readonly path?: string;
    readonly at?: string;
    readonly server?: Server;
    readonly shop?: ShopDocument;
    readonly units?: 'metric' | 'imperial';
    /** The server never answers, so that edits stay pending and the page's own state is looked at. */
    readonly silent?: boolean;
    /** What this browser kept by name. */
    readonly kept?: Readonly<Record<string, unknown>>;
  } = {},
) {
  localStorage.clear();
  for (const [key, value] of Object.entries(kept)) localStorage.setItem(key, JSON.stringify(value));
  const asked: Asked[] = [];
  jest.spyOn(globalThis, 'fetch').mockImplementation(async (input, init) => {
    const request =
      input instanceof Request ? input : new Request(new URL(String(input), location.origin), init);
    const text = await request.text();
    const one: Asked = {
      method: request.method,
      path: new URL(request.url).pathname,
      query: new URL(request.url).searchParams,
      body: text === '' || !isJson(request) ? null : (JSON.parse(text) as unknown),
    };
    asked.push(one);
    if (silent) return new Promise<Response>(() => undefined);
    const answer = server[`${one.method} ${one.path}`];
    return answer === undefined
      ? json({ error: { code: 'unknown-id', field: '', message: 'Nothing here.', allowed: '' } }, 404)
      : json(answer(one));
  });
  const store = makeStore(localStorage);
  store.dispatch(preferred({ units }));
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
        <MemoryRouter initialEntries={[at]}>
          <Routes>
            <Route path={path} element={page} />
            <Route path="*" element={null} />
          </Routes>
          <Where />
        </MemoryRouter>
      </ThemeProvider>
    </Provider>,
  );
  return {
    user: userEvent.setup(),
    store,
    asked,
    shop: () => store.getState().documents.open[SHOP_ID]?.body as ShopDocument,
  };
}
