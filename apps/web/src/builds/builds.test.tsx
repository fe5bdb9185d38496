import { wagonBuilds } from '@lean-clasp/core/demo';
import { FREE, KINDS, startOf } from '@lean-clasp/core/kinds';
import { KIND_WORDS, questionWords } from '@lean-clasp/words';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { buildServer, renderPage, type Server } from '../../test/render-page';
import { retype } from '../../test/render-build';
import { BuildsPage } from './BuildsPage';
import { KindChooserPage } from './KindChooserPage';
import { NewBuildPage } from './NewBuildPage';

const STORED = wagonBuilds()
  .slice(0, 3)
  .map(({ id, build }, i) => ({ id, revision: i, body: build, updatedAtMs: 1_790_000_000_000 - i }));

const LIST: Server = buildServer(STORED);

describe('Builds', () => {
  it('lists every build with its picture, its kind and its project', async () => {
    renderPage(<BuildsPage />, { server: LIST });
    for (const { id, body } of STORED) {
      const link = await screen.findByRole('link', { name: body.name });
      expect(link).toHaveAttribute('href', `/builds/${id}/fit`);
      await waitFor(() => expect(link.querySelectorAll('svg path').length).toBeGreaterThan(3));
    }
    expect(screen.getAllByText(/^The Lantern Wagon · /)).toHaveLength(3);
  });

  it('reads in one that was saved, opens it, and says why a file is none', async () => {
    const { user, asked } = renderPage(<BuildsPage />, {
      server: {
        ...LIST,
        'POST /api/builds/read': ({ body }) => ({ id: 'read', revision: 0, body, updatedAtMs: 0 }),
      },
    });
    const input = await screen.findByLabelText('Read in a build');
    const json = (text: string) => new File([text], 'build.json', { type: 'application/json' });
    await user.upload(input, json('{'));
    expect(await screen.findByText(/^The file is no JSON/)).toBeInTheDocument();
    await user.upload(input, json(JSON.stringify(STORED[0]?.body)));
    await waitFor(() => expect(screen.getByTestId('where').textContent).toBe('/builds/read/fit'));
    expect(asked.find(({ method }) => method === 'POST')?.body).toEqual(STORED[0]?.body);
  });

  it('asks before it removes one, and keeps it when told to', async () => {
    const { user, asked } = renderPage(<BuildsPage />, { server: LIST });
    const name = STORED[0]?.body.name ?? '';
    await user.click(await screen.findByRole('button', { name: `Remove ${name}` }));
    const dialog = screen.getByRole('dialog', { name: new RegExp(name) });
    expect(dialog.textContent).toMatch(/stay in the logbook/);
    await user.click(within(dialog).getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(asked.filter(({ method }) => method === 'DELETE')).toEqual([]);
  });

  it('removes it when that is confirmed', async () => {
    const id = STORED[1]?.id ?? '';
    const { user, asked } = renderPage(<BuildsPage />, {
      server: { ...LIST, [`DELETE /api/builds/${id}`]: () => null },
    });
    await user.click(await screen.findByRole('button', { name: `Remove ${STORED[1]?.body.name}` }));
    await user.click(screen.getByRole('button', { name: 'Remove' }));
    await waitFor(() =>
      expect(asked.map(({ method, path }) => `${method} ${path}`)).toContain(`DELETE /api/builds/${id}`),
    );
  });

  it('puts back what was removed, from the bin', async () => {
    const [first] = STORED;
    if (first === undefined) throw new Error('no build');
    const line = { id: first.id, name: 'Old flats', project: '', template: 'tenon-frame', revision: 3 };
    const { user, asked } = renderPage(<BuildsPage />, {
      server: {
        ...LIST,
        'GET /api/bin': () => ({
          documents: [{ ...line, updatedAtMs: 0, deletedAtMs: Date.now() }],
          next: null,
        }),
        [`POST /api/bin/${first.id}/restore`]: () => null,
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Put back Old flats' }));
    await waitFor(() =>
      expect(asked.map(({ method, path }) => `${method} ${path}`)).toContain(
        `POST /api/bin/${first.id}/restore`,
      ),
    );
  });

  it('draws only what is near the screen of a thousand, and reads on when asked', async () => {
    const many = Array.from({ length: 1000 }, (_, i) => ({
      ...(STORED[0] as (typeof STORED)[number]),
      id: `b${i}`,
      updatedAtMs: 1_790_000_000_000 - i,
    }));
    const { user, asked } = renderPage(<BuildsPage />, { server: buildServer(many) });
    await screen.findAllByRole('listitem');
    await user.click(await screen.findByRole('button', { name: 'Older builds' }));
    await waitFor(() => expect(asked.filter(({ path }) => path === '/api/builds')).toHaveLength(2));
    expect(screen.getAllByRole('listitem').length).toBeLessThan(60);
    expect(document.querySelectorAll('*').length).toBeLessThan(5000);
    expect(screen.getByLabelText('Find by name or project')).toBeInTheDocument();
  });

  it('says what to do where there is none, and where the server is away', async () => {
    renderPage(<BuildsPage />, { server: buildServer([]) });
    expect(await screen.findByText(/No build yet\. Start one/)).toBeInTheDocument();
    renderPage(<BuildsPage />);
    expect(await screen.findByText(/The server does not answer/)).toBeInTheDocument();
  });
});

describe('the chooser of kinds', () => {
  it('shows every kind as a drawing with what it is about', () => {
    renderPage(<KindChooserPage />);
    for (const template of [...KINDS.map(({ id }) => id), FREE]) {
      const words = KIND_WORDS[template];
      const link = screen.getByRole('link', { name: words?.name });
      expect(link).toHaveAttribute('href', `/builds/new/${template}`);
      expect(link.querySelectorAll('svg path').length).toBeGreaterThan(1);
      expect(screen.getByText(words?.about ?? 'nothing')).toBeInTheDocument();
    }
  });
});

describe('a new build', () => {
  const start = (template: string, units: 'metric' | 'imperial' = 'metric', server: Server = {}) =>
    renderPage(<NewBuildPage />, {
      path: '/builds/new/:template',
      at: `/builds/new/${template}`,
      units,
      server,
    });

  it.each(KINDS.map((kind) => [kind.id, kind] as const))(
    '%s asks its few questions and judges while they are answered',
    async (id, kind) => {
      start(id);
      const form = document.querySelector('form');
      for (const [question, { later, when }] of Object.entries(kind.questions)) {
        if (later === true || when?.(startOf(kind)) === false) continue;
        if (['sidesMm', 'anglesDeg'].includes(question)) continue;
        expect(form?.textContent).toContain(questionWords(id, question));
      }
      for (const aspect of ['In time', 'Tight', 'Square', 'Flat']) {
        expect(await screen.findByText(aspect)).toBeInTheDocument();
      }
      expect(document.body.textContent).not.toMatch(/undefined|NaN|\[object/);
      expect(screen.getByRole('button', { name: 'Start this build' })).toBeEnabled();
    },
  );

  it.each(KINDS.map(({ id }) => id))('%s speaks inches to those who do', (id) => {
    start(id, 'imperial');
    expect(document.querySelector('form')?.innerHTML).toMatch(/value="[^"]*(in|″|")/);
    expect(document.body.textContent).not.toMatch(/undefined|NaN/);
  });

  it('sends what was answered, and opens what came of it', async () => {
    const { user, asked } = start('edge-panel', 'metric', {
      'POST /api/builds': ({ body }) => ({ id: 'fresh', revision: 0, body, updatedAtMs: 0 }),
    });
    await retype(user, 'Name', 'Bench top');
    await retype(user, 'Width', '480');
    await retype(user, 'Boards', '5');
    await user.click(screen.getByRole('button', { name: 'Start this build' }));
    await waitFor(() => expect(screen.getByTestId('where').textContent).toBe('/builds/fresh/fit'));
    const made = asked.find(({ method }) => method === 'POST');
    expect(made?.body).toMatchObject({
      template: 'edge-panel',
      name: 'Bench top',
      answers: { widthMm: 480, boards: 5 },
    });
  });

  it('keeps what cannot be made out, says why and with what it can', async () => {
    const { user } = start('tenon-frame');
    await retype(user, 'Tenon length', '290');
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(/Possible: /);
    expect(screen.getByRole('button', { name: 'Start this build' })).toBeDisabled();
    await retype(user, 'Tenon length', '40');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(screen.getByRole('button', { name: 'Start this build' })).toBeEnabled();
  });

  it('wants a name', async () => {
    const { user } = start('reglue');
    await user.clear(screen.getByRole('textbox', { name: 'Name' }));
    expect(screen.getByRole('button', { name: 'Start this build' })).toBeDisabled();
  });

  it('tells what the server has against it, and stays', async () => {
    const { user } = start('reglue');
    await user.click(screen.getByRole('button', { name: 'Start this build' }));
    expect(await screen.findByRole('alert')).toBeInTheDocument();
    expect(screen.getByTestId('where').textContent).toBe('/builds/new/reglue');
  });

  it('has no page for a kind that is none', () => {
    start('spaceship');
    expect(screen.queryByRole('button', { name: 'Start this build' })).toBeNull();
  });

  it('judges anew as answers change: more boards take longer', async () => {
    start('edge-panel');
    const before = (await screen.findByText('In time')).parentElement?.textContent ?? '';
    fireEvent.change(screen.getByRole('textbox', { name: 'Boards' }), { target: { value: '9' } });
    await waitFor(() => expect(screen.getByText('In time').parentElement?.textContent).not.toBe(before));
  });
});
