import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'keeper',
      filename: 'keeper.ts',
      // a newer version is announced by the page, never taken in the middle of a song
      injectRegister: null,
      registerType: 'prompt',
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,woff2,woff,otf,ttf,svg,png,mp3,wav,json}'],
        // the engraver is fetched when a score is first opened, and by those who open one
        globIgnores: ['.vite/**', '**/engraver-worker-*.js'],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
      manifest: {
        name: 'Aurora Ridge',
        short_name: 'Aurora Ridge',
        description: 'Keys, numbers and charts for a band: harmonize, analyze, transpose, play.',
        lang: 'en',
        start_url: '/',
        scope: '/',
        display: 'standalone',
        background_color: '#f6f1e6',
        theme_color: '#f6f1e6',
        categories: ['music'],
        icons: [
          { src: '/icons/ridge-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icons/ridge-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icons/ridge-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: '/ridge.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
        shortcuts: [
          { name: 'Tonight on the stand', url: '/band/stand' },
          { name: 'Harmonize', url: '/harmonize' },
        ],
      },
    }),
  ],
  worker: { format: 'es' },
  // the engraver asks for it outside of browsers alone
  resolve: { alias: { 'node:module': fileURLToPath(new URL('./src/parts/score/no-node.ts', import.meta.url)) } },
  // no data: addresses, which the content security policy refuses
  build: {
    target: 'es2023',
    assetsInlineLimit: 0,
    // the engraver, compiled; everything else stays below a tenth of it
    chunkSizeWarningLimit: 8500,
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // few files for a phone to ask for: what changes with the years, what opens the house, what rooms share
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler)[\\/]/, priority: 5 },
            // what draws pictures of figures: the log and the ridge of an analysis have some
            {
              name: 'figures',
              test: /node_modules[\\/](recharts|d3-[a-z]+|victory-vendor|@reduxjs|redux|redux-thunk|react-redux|reselect|immer|es-toolkit|decimal\.js-light|internmap)[\\/]/,
              priority: 3,
            },
            { name: 'house', tags: ['$initial'], priority: 4 },
            {
              name: 'after',
              test: /(DeviceSigns|SaveState|HandSheet|WhyOfSelection|RoomHint|CommandMenu|Paper)\.tsx$/,
              priority: 1,
            },
            { name: 'rooms', minShareCount: 3, priority: 2 },
            { name: 'desks', minShareCount: 2, priority: 1, entriesAware: true, entriesAwareMergeThreshold: 60_000 },
          ],
        },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:4170' } },
});
