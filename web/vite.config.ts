import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react()],
  build: { outDir: '../build/web', emptyOutDir: true, sourcemap: false },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4170' } },
});
