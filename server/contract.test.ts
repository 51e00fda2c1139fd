import { readFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import { startApp, type TestApp } from './test/app.js';

type Schema = Record<string, unknown>;
interface Operation {
  readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, { readonly schema: Schema }>> }>>;
}
interface Contract {
  readonly components: Schema;
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
}

let running: TestApp;
let contract: Contract;
beforeAll(async () => {
  running = await startApp();
  contract = JSON.parse((await running.http.get('/api/docs-json')).text) as Contract;
}, 60_000);
afterAll(() => running.close());

const ajv = new Ajv({ strict: false });

/** A schema of the contract as a check, with what it refers to there. */
function checkOf(schema: Schema) {
  if (!ajv.getSchema('contract')) ajv.addSchema({ $id: 'contract', components: contract.components });
  return ajv.compile(JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"contract#/')) as Schema);
}

const published = () => JSON.parse(readFileSync('docs/api.json', 'utf8')) as Contract;

/** The path of the contract that a request goes to: fixed parts before those that stand for something. */
function pathOf(path: string): string {
  const parts = path.split('?')[0]?.split('/') ?? [];
  const fits = Object.keys(contract.paths).filter((known) => {
    const own = known.split('/');
    return own.length === parts.length && own.every((p, i) => p.startsWith('{') || p === parts[i]);
  });
  const fixed = (known: string) => known.split('/').filter((p) => !p.startsWith('{')).length;
  const [best] = fits.sort((a, b) => fixed(b) - fixed(a));
  if (!best) throw new Error(`${path} is not in the contract`);
  return best;
}

/** Asks, and holds the answer against what the contract says of it. */
async function ask(method: 'get' | 'post' | 'put' | 'delete', path: string, body?: object): Promise<{ status: number; body: unknown }> {
  const answer = await running.http[method](path).send(body);
  const operation = contract.paths[pathOf(path)]?.[method];
  const said = operation?.responses[String(answer.status)] ?? operation?.responses['default'];
  if (!said) throw new Error(`${method} ${path} has no answer ${answer.status} in the contract`);
  const [schema] = Object.values(said.content ?? {}).map((c) => c.schema);
  const given: unknown = answer.text === '' ? undefined : JSON.parse(answer.text);
  if (schema) {
    const check = checkOf(schema);
    check(given);
    expect([path, check.errors]).toEqual([path, null]);
  } else expect([path, given]).toEqual([path, undefined]);
  return { status: answer.status, body: given };
}

const shed = '/api/projects/print-shed';
const wren = { name: 'Wren the younger', height: 130_000_000 };

test('every endpoint says what it answers with, and how it tells an error', () => {
  for (const [path, methods] of Object.entries(contract.paths))
    for (const [method, { responses }] of Object.entries(methods)) {
      const good = Object.keys(responses).filter((status) => status.startsWith('2'));
      expect([method, path, good.length]).toEqual([method, path, 1]);
      const [status] = good as [string];
      expect([method, path, status === '204' || responses[status]?.content !== undefined]).toEqual([method, path, true]);
      expect([method, path, Object.keys(responses['default']?.content ?? {})]).toEqual([method, path, ['application/problem+json']]);
    }
});

test('answers and errors are as it says, from the first project to what is taken back', async () => {
  const asked = [
    await ask('get', '/api/health'),
    await ask('get', '/api/projects'),
    await ask('get', shed),
    await ask('get', `${shed}/file`),
    await ask('get', `${shed}/pieces`),
    await ask('get', `${shed}/pieces/ink-case/solution`),
    await ask('post', `${shed}/people`, { id: 'younger', data: wren, label: 'Added one' }),
    await ask('put', `${shed}/people/younger`, { version: 1, data: { ...wren, height: 131_000_000 }, label: 'Grew' }),
    await ask('get', `${shed}/history?scope=people`),
    await ask('get', `${shed}/changes`),
    await ask('post', `${shed}/undo`, { scope: ['people'] }),
    await ask('post', `${shed}/redo`, { scope: ['people'] }),
    await ask('post', `${shed}/undo`, { scope: ['people/nobody'] }),
    await ask('delete', `${shed}/people/younger?version=4`),
    await ask('get', `${shed}/readings`),
  ];
  expect(asked.map((a) => a.status)).toEqual([200, 200, 200, 200, 200, 200, 201, 200, 200, 200, 200, 200, 200, 204, 200]);
  const refused = [
    await ask('get', `${shed}/pieces/no-such-piece`),
    await ask('get', '/api/projects/no-such-project'),
    await ask('post', `${shed}/people`, { id: 'Capital', data: {}, label: '' }),
    await ask('put', `${shed}/people/wren`, { version: 99, data: wren, label: 'Late' }),
    await ask('post', '/api/projects/files?id=other', { format: 'something else' }),
    await ask('delete', `${shed}/stock/birch-18?version=1`),
    await ask('get', `${shed}/changes?before=yesterday`),
  ];
  expect(refused.map((a) => a.status)).toEqual([404, 404, 400, 409, 400, 409, 400]);
});

test('what is not as it says is noticed', () => {
  const problem = checkOf({ $ref: '#/components/schemas/Problem' });
  expect(problem({ type: 'about:blank', title: 'Not found', status: 404, detail: 'There is none.' })).toBe(true);
  expect(problem({ type: 'about:blank', title: 'Not found', status: '404', detail: 'There is none.' })).toBe(false);
  expect(problem({ error: 'not found' })).toBe(false);
  const list = checkOf((contract.paths['/api/projects']?.['get']?.responses['200']?.content ?? {})['application/json']?.schema ?? {});
  expect([list([]), list([{ id: 'shed', data: {} }]), list({})]).toEqual([true, false, false]);
});

test('the published contract is the one that is held to', () => {
  expect(published()).toEqual(contract);
});
