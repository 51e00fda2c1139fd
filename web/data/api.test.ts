import { mm } from '../../core/length/index.js';
import { readFileSync } from 'node:fs';
import { api } from './api.js';

const { paths } = JSON.parse(readFileSync('docs/api.json', 'utf8')) as {
  paths: Readonly<
    Record<
      string,
      Readonly<Record<string, { parameters?: readonly { in: string; name: string; required?: boolean }[]; requestBody?: object }>>
    >
  >;
};

/** What was asked of the server: how, where, and with what. */
const asked: { method: string; path: string; query: readonly string[]; body: boolean }[] = [];

beforeEach(() => {
  asked.length = 0;
  globalThis.fetch = ((url: string, { method, body }: { method: string; body?: string }) => {
    const { pathname, searchParams } = new URL(url, 'http://here');
    asked.push({ method: method.toLowerCase(), path: pathname, query: [...searchParams.keys()], body: body !== undefined });
    return Promise.resolve({ ok: true, text: () => Promise.resolve('{}'), blob: () => Promise.resolve(new Blob()) });
  }) as unknown as typeof fetch;
});

const project = { name: 'Shed', settings: {} } as never;

/** Every call of the page, each with something to send. */
const CALLS: Readonly<Record<keyof typeof api, () => Promise<unknown>>> = {
  projects: () => api.projects(),
  createProject: () => api.createProject('shed', project),
  saveProject: () => api.saveProject('shed', 1, project),
  removeProject: () => api.removeProject('shed', 1),
  loadDemo: () => api.loadDemo('print-shed'),
  archive: () => api.archive('shed', 'job-1', new AbortController().signal),
  file: () => api.file('shed'),
  workbench: () => api.workbench('shed'),
  create: () => api.create('shed', 'things', 'tin', {}, 'Added a tin'),
  one: () => api.one('shed', 'things', 'tin'),
  save: () => api.save('shed', 'things', 'tin', 1, {}, 'Changed a tin'),
  read: () => api.read('shed', 'reading', { piece: 'case', space: 'in', reach: 'width', value: null }),
  make: () =>
    api.make('shed', 'made', {
      piece: 'case',
      part: 'top',
      is: 'cut',
      length: mm(500),
      width: mm(300),
      thickness: mm(18),
      planned: { length: mm(500), width: mm(300), thickness: mm(18) },
      at: '2026-05-04T18:00:00Z',
    }),
  keepPhoto: () => api.keepPhoto('shed', 'photo-1', new Blob(['x'], { type: 'image/png' })),
  printLayouts: () => api.printLayouts('shed', { title: 'Case', stocks: [] }),
  tick: () => api.tick('shed', 'case', { step: 'saw', at: '2026-05-04T18:00:00Z', done: true }),
  shop: () => api.shop(),
  makeCode: () => api.makeCode(),
  pair: () => api.pair('123456', 'Phone'),
  letGo: () => api.letGo('abc'),
  remove: () => api.remove('shed', 'things', 'tin', 1),
  readFile: () => api.readFile('shed', {}, 'job-1', new AbortController().signal),
  progress: () => api.progress('job-1'),
  shopSheets: () => api.shopSheets('shed', 'case', 'job-1', new AbortController().signal),
  changes: () => api.changes('shed', 7),
  history: () => api.history('shed', ['things']),
  undo: () => api.undo('shed', ['things'], 7),
  redo: () => api.redo('shed', ['things'], null),
};

/** The published path of a request: as many fixed parts as there are. */
function published(path: string): string | undefined {
  const parts = path.split('/');
  const fixed = (known: string) => known.split('/').filter((p) => !p.startsWith('{')).length;
  return Object.keys(paths)
    .filter((known) => known.split('/').length === parts.length && known.split('/').every((p, i) => p.startsWith('{') || p === parts[i]))
    .sort((a, b) => fixed(b) - fixed(a))[0];
}

test.each(Object.keys(api) as (keyof typeof api)[])('what the page asks by %s is in the published contract', async (name) => {
  await CALLS[name]();
  const [call] = asked;
  if (!call) throw new Error('nothing was asked');
  const operation = paths[published(call.path) ?? '']?.[call.method];
  expect([call.method, call.path, operation !== undefined]).toEqual([call.method, call.path, true]);
  expect([call.path, call.body]).toEqual([call.path, operation?.requestBody !== undefined]);
  const known = (operation?.parameters ?? []).filter((p) => p.in === 'query');
  const names = known.map((p) => p.name);
  expect(call.query.filter((q) => !names.includes(q))).toEqual([]);
  expect(known.filter((p) => p.required && !call.query.includes(p.name)).map((p) => p.name)).toEqual([]);
});
