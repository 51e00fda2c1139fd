import { fileURLToPath, pathToFileURL } from 'node:url';
import standalone from 'ajv/dist/standalone/index.js';
import type { Plugin } from 'vite';

const CORE = new URL('../build/node/core/', import.meta.url);

/** Where the check of a schema is put in. */
interface Place {
  /** The end of the path of the module that is replaced. */
  readonly file: string;
  /** The name that it gives the check out by. */
  readonly name: string;
  /** The built module of the core that has the schema, and the function in it that makes it. */
  readonly from: string;
  readonly schema: string;
}

/** A module of the validator's as its default, however it was made. */
const helperOf = (i: number) => `(helper${i}.default?.default ? helper${i}.default : helper${i})`;

/** The quick check of a schema as ready-made code: making it out of the schema takes most of a start, or of a first answer. */
export function readyMade({ file, name, from, schema }: Place): Plugin {
  return {
    name: 'ready-made-check',
    async load(id) {
      if (!id.endsWith(file)) return null;
      const load = (path: string) => import(pathToFileURL(fileURLToPath(new URL(path, CORE))).href) as Promise<Record<string, unknown>>;
      const { quickCheckCode } = (await load('formats/index.js')) as typeof import('../core/formats/index.js');
      const made = quickCheckCode(((await load(from))[schema] as () => Parameters<typeof quickCheckCode>[0])(), (ajv, check) =>
        standalone.default(ajv, check),
      );
      const helpers = [...new Set(made.match(/require\("[^"]+"\)/g) ?? [])];
      const imports = helpers.map((text, i) => `import * as helper${i} from ${text.slice('require('.length, -1)};`);
      const body = helpers.reduce((code, text, i) => code.replaceAll(text, helperOf(i)), made);
      return `${imports.join('\n')}\n${body}\nexport const ${name} = validate;`;
    },
  };
}
