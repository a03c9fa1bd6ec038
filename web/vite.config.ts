import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  resolve: { conditions: ['sorn-source', 'module', 'browser', 'development|production'] },
  build: {
    // The content policy lets fonts and scripts come from files only.
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 1200,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4680' } },
});
