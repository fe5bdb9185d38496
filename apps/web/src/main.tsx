import './app/print.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { makeStore } from './app/store';
import { startCourier } from './keeping/courier';
import { browserStorage } from './keeping/browser-storage';

const root = document.getElementById('root');
if (root === null) throw new Error('index.html has no #root');
const store = makeStore(browserStorage());
void store.dispatch(startCourier());
createRoot(root).render(
  <StrictMode>
    <App store={store} />
  </StrictMode>,
);
