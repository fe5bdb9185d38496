import './app/print.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { watchSession } from './access/session';
import { App } from './app/App';
import { fetchPages, firstPage } from './app/pages';
import { makeStore } from './app/store';
import { startCourier } from './keeping/courier';
import { browserStorage } from './keeping/browser-storage';
import { afterFirstScreen } from './start/at-rest';

const root = document.getElementById('root');
if (root === null) throw new Error('index.html has no #root');
const store = makeStore(browserStorage());
void store.dispatch(watchSession());
void store.dispatch(startCourier());
void firstPage(store).then(() =>
  createRoot(root).render(
    <StrictMode>
      <App store={store} />
    </StrictMode>,
  ),
);
void afterFirstScreen().then(fetchPages);
