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

/** What the register answered is marked with when it was, wherever the device's copy is shown in its place. */
const markKept = {
  cachedResponseWillBeUsed: async ({ cachedResponse }: { cachedResponse?: Response }) => {
    if (!cachedResponse) return null;
    const headers = new Headers(cachedResponse.headers);
    headers.set('X-Kept-Since', headers.get('Date') ?? '');
    return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers });
  },
};

/** Pages open without a signal too, with what the register last answered on this device; with a signal the server always speaks first. */
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
    globPatterns: ['**/*.{js,css,html,svg,woff2}'],
    navigateFallback: null,
    skipWaiting: true,
    clientsClaim: true,
    inlineWorkboxRuntime: true,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkFirst',
        options: { cacheName: 'wainrope-page', precacheFallback: { fallbackURL: 'index.html' } },
      },
      {
        urlPattern: ({ url, sameOrigin }) =>
          sameOrigin && /^\/api\/v1\/(?!events|bundle|photos|calendar|audit|health|gear\/export)/.test(url.pathname),
        handler: 'NetworkFirst',
        options: {
          cacheName: 'wainrope-register',
          plugins: [markKept],
          expiration: { maxEntries: 400 },
          cacheableResponse: { statuses: [200] },
        },
      },
    ],
  },
});

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind(), chunkModules('page'), offline],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es', plugins: () => [chunkModules('worker')] },
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': process.env.WAINROPE_API ?? 'http://127.0.0.1:4810' }, host: '127.0.0.1' },
});
