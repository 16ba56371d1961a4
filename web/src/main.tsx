import 'reflect-metadata/lite';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { App } from './App.tsx';
import { registerServiceWorker } from './offline/register-worker.ts';
import { askAhead } from './plans/ask-ahead.ts';
import { store } from './store.ts';
import './styles.css';

const root = document.getElementById('root');
if (root === null) throw new Error('Broken invariant: the page has no root');
if (import.meta.env.PROD) registerServiceWorker();
askAhead(window.location.pathname, store.dispatch);
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);
