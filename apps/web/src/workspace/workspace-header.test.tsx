import { DEMO_SHOP } from '@lean-clasp/core/demo';
import { act, screen, waitFor, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { edited, syncChanged } from '../documents/documents-slice';
import { SyncNotice } from '../documents/SyncNotice';
import { StepNav } from './StepNav';
import { WorkspaceHeader } from './WorkspaceHeader';

const ID = 'stage-floor';

describe('the head of the workspace', () => {
  it('takes another name, and keeps the last one while it is empty', async () => {
    const { user, build } = renderBuild(<WorkspaceHeader />);
    const name = await screen.findByRole('textbox', { name: 'Name of the build' });
    await user.clear(name);
    expect(build().name).toBe('Stage floor');
    await user.paste('Stage floor, upper half');
    expect(build().name).toContain('upper half');
  });

  it('says how many hands there are, and takes another number', async () => {
    const { user, build } = renderBuild(<WorkspaceHeader />);
    await user.click(await screen.findByRole('button', { name: '1 pair of hands' }));
    await user.click(screen.getByRole('menuitem', { name: '3 pairs of hands' }));
    expect(build().crew).toBe(3);
    expect(await screen.findByRole('button', { name: '3 pairs of hands' })).toBeInTheDocument();
  });

  it('takes an air of its own for this glue-up, which moves no wood, and the shop’s again', async () => {
    const { user, build } = renderBuild(<WorkspaceHeader />);
    const { tempC, rhPct } = DEMO_SHOP.climate;
    await user.click(await screen.findByRole('button', { name: `${tempC} °C · ${rhPct} % · wood 9.7 %` }));
    const air = screen.getByRole('dialog', { name: 'Air' });
    const fill = async (label: string, text: string) => {
      const field = within(air).getByRole('textbox', { name: label });
      await user.clear(field);
      await user.paste(text);
      await user.tab();
    };
    await fill('Temperature', '9 °C');
    await fill('Humidity', '88');
    expect(build().climate).toEqual({ tempC: 9, rhPct: 88 });
    expect(within(air).getByText(/reckoned at 9\.7 %: wood follows the air of weeks/)).toBeInTheDocument();
    expect(within(air).getByText(/Left in this air it would settle at 1\d\.\d %/)).toBeInTheDocument();
    await user.click(within(air).getByRole('checkbox', { name: 'Same air as the shop' }));
    expect(build().climate).toBeNull();
  });

  it('takes back and does again what it names', async () => {
    const { user, build } = renderBuild(<WorkspaceHeader />);
    expect(screen.getByRole('button', { name: 'Nothing to take back' })).toBeDisabled();
    await user.click(await screen.findByRole('button', { name: '1 pair of hands' }));
    await user.click(screen.getByRole('menuitem', { name: '2 pairs of hands' }));
    await user.click(screen.getByRole('button', { name: 'Take back: Pairs of hands' }));
    expect(build().crew).toBe(1);
    await user.click(screen.getByRole('button', { name: 'Do again: Pairs of hands' }));
    expect(build().crew).toBe(2);
    expect(screen.getByRole('button', { name: 'Nothing to do again' })).toBeDisabled();
  });

  it.each([
    ['saved', 'kept'],
    ['saving', 'keeping …'],
    ['offline', 'kept here'],
  ] as const)('says of a document that is %s: %s', async (kind, words) => {
    const { store } = renderBuild(<WorkspaceHeader />);
    act(() => {
      store.dispatch(syncChanged({ id: ID, sync: { kind } }));
    });
    expect(await screen.findByText(words)).toBeInTheDocument();
  });
});

describe('the steps', () => {
  it('are seven, of which one is on show, and those with a failing verdict say so', async () => {
    renderBuild(<StepNav step="glue" />);
    const steps = screen.getByRole('navigation', { name: 'Steps' });
    const links = within(steps).getAllByRole('link');
    expect(links.map((link) => link.getAttribute('href'))).toEqual(
      ['fit', 'glue', 'order', 'squeeze', 'rehearse', 'glue-up', 'record'].map(
        (step) => `/builds/${ID}/${step}`,
      ),
    );
    expect(links.filter((link) => link.getAttribute('aria-current') === 'step')).toHaveLength(1);
    // One person in fast glue misses the window.
    await waitFor(() =>
      expect(
        within(steps).getByRole('link', { name: /^Order.*has a verdict that fails$/ }),
      ).toBeInTheDocument(),
    );
    expect(within(steps).queryByRole('link', { name: /^Squeeze.*has a verdict/ })).toBeNull();
  });
});

describe('the notice about keeping', () => {
  const noticed = (sync: Parameters<typeof syncChanged>[0]['sync'], edits = 0) => {
    const page = renderBuild(<SyncNotice id={ID} />);
    act(() => {
      for (let i = 0; i < edits; i += 1) {
        page.store.dispatch(
          edited({
            id: ID,
            edit: {
              id: `e${i}`,
              kind: 'edit',
              label: 'Pairs of hands',
              group: `g${i}`,
              patch: [{ op: 'replace', path: '/crew', value: i + 2 }],
              inverse: [{ op: 'replace', path: '/crew', value: i + 1 }],
            },
          }),
        );
      }
      page.store.dispatch(syncChanged({ id: ID, sync }));
    });
    return page;
  };

  it('is silent while all is well', () => {
    noticed({ kind: 'saved' });
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('counts what waits for a server that does not answer, one as one', () => {
    noticed({ kind: 'offline' }, 1);
    expect(screen.getByRole('alert').textContent).toBe(
      'The server does not answer. Your 1 edit is kept in this browser and will go in by itself.',
    );
  });

  it('counts several as several', () => {
    noticed({ kind: 'offline' }, 3);
    expect(screen.getByRole('alert').textContent).toContain('Your 3 edits are kept');
    expect(screen.getByRole('alert').textContent).toContain('by themselves');
  });

  it('says how many edits of the last visit an upgrade has left out', () => {
    noticed({ kind: 'outdated', edits: 1 });
    expect(screen.getByRole('alert').textContent).toContain('One edit of your last visit never reached');
    expect(screen.getByRole('alert').textContent).toContain('it is not in it');
  });

  it('asks whose to keep when another window has changed it, and takes the other', async () => {
    const page = renderBuild(<SyncNotice id={ID} />);
    const theirs = { id: ID, revision: 9, body: { ...page.build(), crew: 4 }, updatedAtMs: 0 };
    act(() => {
      page.store.dispatch(
        syncChanged({ id: ID, sync: { kind: 'conflict', clashes: ['Pairs of hands'], unfit: 0 } }),
      );
    });
    jest
      .spyOn(globalThis, 'fetch')
      .mockImplementation((input) =>
        Promise.resolve(
          new Response(
            JSON.stringify(
              (input instanceof Request ? input.url : String(input)).endsWith('/edits') ? [] : theirs,
            ),
            { headers: { 'content-type': 'application/json' } },
          ),
        ),
      );
    expect(screen.getByRole('alert').textContent).toContain('in another window: Pairs of hands');
    await page.user.click(screen.getByRole('button', { name: 'Take the other' }));
    await waitFor(() => expect(page.build().crew).toBe(4));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('gives the server’s own reason where it refused, and the way back', () => {
    noticed({ kind: 'refused', message: 'widthMm is 9,000 mm; it must be 20 to 1,500 mm.' });
    expect(screen.getByRole('alert').textContent).toContain('it must be 20 to 1,500 mm');
    expect(screen.getByRole('button', { name: 'Go back to the last good state' })).toBeInTheDocument();
  });
});
