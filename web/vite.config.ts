import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { target: 'es2023', chunkSizeWarningLimit: 700, manifest: true },
  server: { host: '127.0.0.1', proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:4170' } },
});
