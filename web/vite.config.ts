import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  // no data: addresses, which the content security policy refuses
  build: { target: 'es2023', assetsInlineLimit: 0, chunkSizeWarningLimit: 700, manifest: true },
  server: { host: '127.0.0.1', proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:4170' } },
});
