import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
  // Compressed once, here: the server hands out what lies beside each file.
  plugins: [
    react(),
    tailwindcss(),
    compression({ algorithms: ['gzip'], include: /\.(?:js|css|svg)$/, logLevel: 'silent' }),
  ],
  resolve: { conditions: ['@calvetta/source', ...defaultClientConditions] },
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    sourcemap: true,
    rolldownOptions: {
      output: {
        // Shared files are called after all that share them otherwise.
        chunkFileNames: (file) => `assets/${file.name.replace(/~.*/, '')}-[hash].js`,
        codeSplitting: {
          groups: [
            // What every screen stands on is one file: it is the same from one version to the next.
            {
              name: 'base',
              test: /node_modules\/(?:react|react-dom|scheduler|react-router|@tanstack|zustand|idb)\//,
              priority: 3,
            },
            // What the Bench asks for before it is drawn is one more.
            { name: 'first', tags: ['$initial'], priority: 2 },
            // What later screens share comes in files worth a request: each costs the shop's network a round trip.
            {
              name: 'shared',
              minShareCount: 2,
              entriesAware: true,
              entriesAwareMergeThreshold: 40_000,
              priority: 1,
            },
          ],
        },
      },
    },
  },
  // The host stays what the page was asked by: the server holds it against the page's origin.
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4100', changeOrigin: false } } },
});
