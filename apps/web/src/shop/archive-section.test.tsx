import { screen, within } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { ArchiveSection } from './ArchiveSection';

const outcome = (change: object = {}) => ({
  builds: { fresh: 2, same: 1, changed: 0, binned: 0 },
  runs: { fresh: 5, known: 0 },
  pictures: 0,
  shop: 'added-to',
  faults: [],
  ...change,
});
const zip = () => new File(['PK'], 'winter.zip', { type: 'application/zip' });

describe('everything as one file', () => {
  it('is saved under the name of the shop', () => {
    renderPage(<ArchiveSection name="Lantern Wagon" />);
    const save = screen.getByRole('link', { name: 'Save everything' });
    expect(save).toHaveAttribute('href', '/api/archive');
    expect(save).toHaveAttribute('download', 'lantern-wagon.zip');
  });

  it('tells what would come of it before anything is taken, then takes it as chosen', async () => {
    const { user, asked } = renderPage(<ArchiveSection name="Wagon" />, {
      server: {
        'POST /api/archive': ({ query }) =>
          query.get('mode') === 'replace'
            ? outcome({ builds: { fresh: 0, same: 1, changed: 1, binned: 7 }, shop: 'replaced' })
            : outcome({ faults: [{ path: 'builds/b1.json', says: 'It is no JSON.' }] }),
      },
    });
    await user.upload(screen.getByLabelText('Archive to read in'), zip());
    const told = await screen.findByText('winter.zip holds');
    const box = within(told.closest('[role="alert"]') as HTMLElement);
    expect(box.getByText(/2 new builds, 1 the same, 5 new glue-ups, the shop gets/)).toBeInTheDocument();
    expect(box.getByText(/1 that differ, 7 into the bin/)).toBeInTheDocument();
    expect(box.getByText('builds/b1.json: It is no JSON.')).toBeInTheDocument();
    const archive = () => asked.filter(({ path }) => path === '/api/archive');
    expect(archive().map(({ query }) => query.get('only'))).toEqual(['look', 'look']);
    await user.click(box.getByRole('button', { name: 'Add what is not here' }));
    expect(await screen.findByText(/^Read in: 2 new builds/)).toBeInTheDocument();
    const [last] = archive().slice(-1);
    expect([last?.query.get('mode'), last?.query.get('only')]).toEqual(['merge', null]);
  });

  it('says why a file is none, and offers nothing', async () => {
    const { user } = renderPage(<ArchiveSection name="Wagon" />);
    await user.upload(screen.getByLabelText('Archive to read in'), zip());
    expect(await screen.findByRole('alert')).toHaveTextContent('Nothing here.');
    expect(screen.queryByRole('button', { name: 'Add what is not here' })).toBeNull();
  });
});
