import './app/print.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { watchSession } from './access/session';
import { App } from './app/App';
import { fetchScreens } from './app/router';
import { makeStore } from './app/store';
import { startCourier } from './keeping/courier';
import { browserStorage } from './keeping/browser-storage';
import { planner } from './planner/workers';

const root = document.getElementById('root');
if (root === null) throw new Error('index.html has no #root');
// What plans a build starts while everything else is still being read in.
if (location.pathname.startsWith('/builds/')) planner();
const store = makeStore(browserStorage());
void store.dispatch(watchSession());
void store.dispatch(startCourier());
createRoot(root).render(
  <StrictMode>
    <App store={store} />
  </StrictMode>,
);

/** The first screen has come to rest by then, ms. */
const QUIET_AFTER_MS = 3000;
setTimeout(() => void fetchScreens(), QUIET_AFTER_MS);
