import 'reflect-metadata/lite';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { App, fetchPage } from './App.tsx';
import { wainropeApi } from './api/wainrope-api.ts';
import { registerServiceWorker } from './offline/register-worker.ts';
import { askAhead } from './plans/ask-ahead.ts';
import { store } from './store.ts';
import './styles.css';

/** The first picture waits this long at most for its page's script, ms, so that nothing has to be drawn twice. */
const FIRST_PICTURE_MS = 300;

/** Draws the application, as soon as its page is there. */
async function begin(root: HTMLElement): Promise<void> {
  const { pathname } = window.location;
  const page = fetchPage(pathname);
  store.dispatch(wainropeApi.endpoints.getSession.initiate(undefined, { subscribe: false }));
  askAhead(pathname, store.dispatch);
  await Promise.race([page, new Promise((resolve) => setTimeout(resolve, FIRST_PICTURE_MS))]);
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <App />
      </Provider>
    </StrictMode>,
  );
}

const root = document.getElementById('root');
if (root === null) throw new Error('Broken invariant: the page has no root');
if (import.meta.env.PROD) registerServiceWorker();
void begin(root);
