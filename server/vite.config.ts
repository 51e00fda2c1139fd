import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { readyMade } from '../scripts/ready-made.js';

// Reading the framework's many small files takes more than half of a cold start: they are put into a few large ones.
export default defineConfig({
  root: fileURLToPath(new URL('..', import.meta.url)),
  plugins: [readyMade({ file: '/server/compiled.js', name: 'pieceCheck', from: 'kinds/index.js', schema: 'pieceSchema' })],
  ssr: {
    noExternal: true,
    // These bring files of their own, or are asked for by the framework and not used here.
    external: [
      '@electric-sql/pglite',
      'fs-native-extensions',
      'highs',
      'piscina',
      'pdfkit',
      'qrcode',
      'sharp',
      'pino',
      'pino-http',
      '@nestjs/microservices',
      '@nestjs/microservices/microservices-module.js',
      '@nestjs/websockets',
      '@nestjs/websockets/socket-module.js',
      '@fastify/static',
    ],
  },
  build: {
    ssr: true,
    rolldownOptions: { input: { main: 'build/node/server/main.js', worker: 'build/node/server/work/worker.js' } },
    outDir: 'build/server',
    emptyOutDir: true,
    minify: false,
    target: 'node20',
  },
});
