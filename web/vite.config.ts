import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { conditions: ['@calvetta/source', ...defaultClientConditions] },
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    sourcemap: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // What every screen stands on is one file: it is compressed as one, and is the same from one version to the next.
          groups: [
            {
              name: 'base',
              test: /node_modules\/(?:react|react-dom|scheduler|react-router|@tanstack|zustand|idb)\//,
            },
          ],
        },
      },
    },
  },
  // The host stays what the page was asked by: the server holds it against the page's origin.
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4100', changeOrigin: false } } },
});
