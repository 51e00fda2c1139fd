import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { readyMade } from '../scripts/ready-made.js';

const root = fileURLToPath(new URL('..', import.meta.url));

// One file starts faster than the many it is made of.
export default defineConfig({
  root,
  plugins: [readyMade({ file: '/cli/compiled.js', name: 'projectCheck', from: 'formats/index.js', schema: 'projectFileSchema' })],
  // The solver finds what it is made of beside itself.
  ssr: { noExternal: true, external: ['highs', 'pdfkit', 'qrcode', 'ics'] },
  build: { ssr: 'build/node/cli/entry.js', outDir: 'build/cli', emptyOutDir: true, minify: true, target: 'node20' },
});
