import { cleanup, screen, waitFor } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { useDocument } from './use-document';

function Opened({ id = 'shelf' }: { readonly id?: string }) {
  const state = useDocument('builds', id);
  if (state.kind === 'failed') return <p>{state.message}</p>;
  return <p>{state.kind === 'open' ? 'here' : 'on its way'}</p>;
}

const document = { id: 'shelf', revision: 0, body: {}, updatedAtMs: 0 };

it('opens by itself once the server answers again', async () => {
  let away = true;
  renderPage(<Opened />, {
    server: {
      'GET /api/builds/shelf': () => {
        if (away) throw new TypeError('nobody there');
        return document;
      },
      'GET /api/builds/shelf/edits': () => [],
    },
  });
  expect(await screen.findByText(/The server does not answer/)).toBeInTheDocument();
  away = false;
  globalThis.dispatchEvent(new Event('online'));
  expect(await screen.findByText('here')).toBeInTheDocument();
});

it('asks no more once it was left, though the answer comes after that', async () => {
  const { asked } = renderPage(<Opened id="never-seen" />, {
    server: {
      'GET /api/builds/never-seen': () => {
        throw new TypeError('nobody there');
      },
      'GET /api/builds/never-seen/edits': () => [],
    },
  });
  cleanup();
  await waitFor(() => expect(asked).toHaveLength(2));
  await new Promise((done) => setTimeout(done, 50));
  globalThis.dispatchEvent(new Event('online'));
  await new Promise((done) => setTimeout(done, 50));
  expect(asked).toHaveLength(2);
});
