import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Writes which modules went into which chunk, so that a test can hold the page's bundle against what belongs in the worker. */
function chunkModules(name: string): Plugin {
  return {
    name: 'chunk-modules',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).flatMap((entry) =>
        entry.type === 'chunk'
          ? [
              {
                file: entry.fileName,
                entry: entry.isEntry,
                imports: entry.imports,
                modules: Object.keys(entry.modules).map((id) =>
                  id.replaceAll('\\', '/').replace(/^.*\/(?=(?:core|contract|web|node_modules)\/)/, ''),
                ),
              },
            ]
          : [],
      );
      this.emitFile({ type: 'asset', fileName: `${name}-modules.json`, source: JSON.stringify(chunks, null, 1) });
    },
  };
}

/** Too large for the first load and not wanted at once: fetched quietly after it. */
const LATER = /^assets\/print-card-[^/]+\.js$/;

/** Names what is fetched quietly after the first load, for the page that does it. */
const later: Plugin = {
  name: 'fetched-later',
  generateBundle(_options, bundle) {
    const files = Object.values(bundle).flatMap(({ fileName }) => (LATER.test(fileName) ? [`/${fileName}`] : []));
    if (files.length === 0) this.error('Nothing is fetched after the first load: the PDF maker has another name.');
    this.emitFile({ type: 'asset', fileName: 'later.json', source: JSON.stringify(files) });
  },
};

/** Where the server is silent, every address is answered with the page that came with this worker's own scripts, and never with an older one. */
const ownPage = {
  cacheWillUpdate: async () => null,
  cachedResponseWillBeUsed: async () => (await caches.match('/index.html', { ignoreSearch: true })) ?? null,
};

/** Pages open without a signal too; what they show is kept by the page itself (`src/offline`). With a signal the server always speaks first. */
const offline = VitePWA({
  injectRegister: false,
  manifest: {
    name: 'Wainrope',
    short_name: 'Wainrope',
    description: 'A register of recovery gear and rigs checked before anyone tensions a line',
    display: 'standalone',
    background_color: '#efe9dc',
    theme_color: '#23282a',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,woff2}', 'later.json'],
    globIgnores: ['**/print-card-*.js', '**/plotly-cartesian*.js'],
    navigateFallback: null,
    skipWaiting: true,
    clientsClaim: true,
    inlineWorkboxRuntime: true,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkFirst',
        options: { cacheName: 'wainrope-page', networkTimeoutSeconds: 5, plugins: [ownPage] },
      },
      {
        urlPattern: ({ url, sameOrigin }) => sameOrigin && /^\/assets\/plotly-cartesian[^/]*\.js$/.test(url.pathname),
        handler: 'CacheFirst',
        options: { cacheName: 'wainrope-charts', expiration: { maxEntries: 4 }, cacheableResponse: { statuses: [200] } },
      },
      {
        urlPattern: ({ url, sameOrigin }) => sameOrigin && /^\/assets\/print-card-[^/]+\.js$/.test(url.pathname),
        handler: 'CacheFirst',
        options: { cacheName: 'wainrope-later', expiration: { maxEntries: 4 }, cacheableResponse: { statuses: [200] } },
      },
    ],
  },
});

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind(), chunkModules('page'), later, offline],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es', plugins: () => [chunkModules('worker')] },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // What every page begins with comes in one file: a browser fetches only a few at a time.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } } },
  },
  server: { proxy: { '/api': process.env.WAINROPE_API ?? 'http://127.0.0.1:4810' }, host: '127.0.0.1' },
});
