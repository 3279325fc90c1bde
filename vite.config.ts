import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const backend = `http://127.0.0.1:${process.env['PORT'] ?? '4180'}`;

export default defineConfig({
  root: 'studio',
  base: '/studio/',
  plugins: [react(), tailwind()],
  // As the studio itself: in the older form, packages that ask what they run in are told the wrong thing.
  worker: { format: 'es' },
  build: {
    outDir: '../dist/studio',
    emptyOutDir: true,
    target: ['chrome111', 'firefox113', 'safari16.4'],
    assetsInlineLimit: 0,
    // Tells the build which files the screen for capturing needs, so that it opens without a network.
    manifest: true,
    rollupOptions: { input: { studio: 'studio/index.html', capture: 'studio/capture/index.html' } },
  },
  server: {
    port: 4181,
    proxy: { '/api': backend, '/l': backend, '/studio/see': backend },
  },
});
