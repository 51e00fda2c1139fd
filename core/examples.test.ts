import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** An example in a doc comment that says what comes of it: an expression, two strokes, and a value. */
interface Example {
  readonly file: string;
  readonly line: number;
  readonly expression: string;
  readonly value: string;
}

const CORE = join(process.cwd(), 'core');

function examplesIn(file: string): Example[] {
  return readFileSync(join(CORE, file), 'utf8')
    .split('\n')
    .flatMap((text, i): Example[] => {
      const [, expression, value] = /@example (.+?) \/\/ (.+?)(?:\s*\*\/)?$/.exec(text) ?? [];
      return expression && value ? [{ file, line: i + 1, expression, value }] : [];
    });
}

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'));
const examples = files.flatMap(examplesIn);

/** What an expression of a file comes to: all that the file gives out is known there, lengths and other measures, and the samples of `testing/examples.ts`. */
function worked({ file, expression, value }: Example): readonly [unknown, unknown] {
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- which files there are is only known as it runs
  const load = (path: string) => require(path) as Record<string, unknown>;
  const rooms = ['length/index.ts', 'measures/index.ts', 'figure/index.ts', 'testing/examples.ts', file];
  const known = Object.assign({}, ...rooms.map((room) => load(join(CORE, room)))) as Record<string, unknown>;
  // oxlint-disable-next-line typescript/no-implied-eval -- the examples are our own
  const run = new Function(...Object.keys(known), `return [${expression}, ${value}];`) as (...known: unknown[]) => [unknown, unknown];
  return run(...Object.values(known));
}

/** So many places after the point as are written. */
const placesOf = (value: string) => /\.(\d+)$/.exec(value)?.[1]?.length ?? 9;

test('there are examples, and each says what comes of it once', () => {
  expect(examples.length).toBeGreaterThan(30);
  expect(new Set(examples.map((e) => `${e.file} ${e.expression}`)).size).toBe(examples.length);
});

test.each(examples.map((e) => [`${e.file}:${e.line}`, e.expression, e] as const))('%s: %s', (_, __, example) => {
  const [come, said] = worked(example);
  if (typeof said === 'number') expect(come).toBeCloseTo(said, placesOf(example.value));
  else expect(come).toEqual(said);
});
