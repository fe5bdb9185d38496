import { screen } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { useDocument } from './use-document';

function Opened() {
  const state = useDocument('builds', 'shelf');
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
