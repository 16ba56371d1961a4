import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

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

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind(), chunkModules('page')],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es', plugins: () => [chunkModules('worker')] },
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': process.env.WAINROPE_API ?? 'http://127.0.0.1:4810' }, host: '127.0.0.1' },
});
