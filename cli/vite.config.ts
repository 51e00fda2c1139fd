import { fileURLToPath, pathToFileURL } from 'node:url';
import standalone from 'ajv/dist/standalone/index.js';
import { defineConfig, type Plugin } from 'vite';

const root = fileURLToPath(new URL('..', import.meta.url));

/** The check of project files as ready-made code: making it out of the schema takes most of a start. */
function readyMade(): Plugin {
  return {
    name: 'ready-made-check',
    async load(id) {
      if (!id.endsWith('/cli/compiled.js')) return null;
      const { projectFileSchema, quickCheckCode } = (await import(
        pathToFileURL(`${root}build/node/core/formats/index.js`).href
      )) as typeof import('../core/formats/index.js');
      const made = quickCheckCode(projectFileSchema(), (ajv, check) => standalone.default(ajv, check));
      const helpers = [...new Set(made.match(/require\("[^"]+"\)/g) ?? [])];
      const imports = helpers.map((text, i) => `import * as helper${i} from ${text.slice('require('.length, -1)};`);
      const body = helpers.reduce(
        (code, text, i) => code.replaceAll(text, `(helper${i}.default?.default ? helper${i}.default : helper${i})`),
        made,
      );
      return `${imports.join('\n')}\n${body}\nexport const projectCheck = validate;`;
    },
  };
}

// One file starts faster than the many it is made of.
export default defineConfig({
  root,
  plugins: [readyMade()],
  // The solver finds what it is made of beside itself.
  ssr: { noExternal: true, external: ['highs', 'pdfkit', 'qrcode', 'ics'] },
  build: { ssr: 'build/node/cli/entry.js', outDir: 'build/cli', emptyOutDir: true, minify: true, target: 'node20' },
});
