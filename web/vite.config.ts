import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { conditions: ['@calvetta/source', ...defaultClientConditions] },
  worker: { format: 'es' },
  build: { target: 'es2023', sourcemap: true },
  // The host stays what the page was asked by: the server holds it against the page's origin.
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4100', changeOrigin: false } } },
});
