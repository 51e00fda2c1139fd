import request from 'supertest';
import { endpoints, faultOfAnswer, sentBy, type Answered } from '../hard/requests.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { strangeIn } from './problems/same-place.js';
import { runs } from '../core/testing/runs.js';
import { startApp, type TestApp } from './test/app.js';

let shed: TestApp;
beforeAll(async () => {
  shed = await startApp();
}, 60_000);
afterAll(() => shed.close());

const thing = { name: 'Tin', kind: 'block', count: 1 };

test(`${runs(100)} requests that nearly fit are all answered, none as a fault of ours, each refusal with what was wrong`, async () => {
  const known = endpoints('docs/api.json');
  const faults: string[] = [];
  for (let seed = 1; seed <= runs(100); seed += 1) {
    const { method, path, body, type } = sentBy(seed, known, PRINT_SHED);
    if (method === 'DELETE' && /projects\/print-shed(\?|$)/.test(path)) continue;
    const agent = shed.http[method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'](path);
    const asked = body === null ? agent : agent.set('content-type', type || 'application/octet-stream').send(body);
    const answer = await asked.then(
      ({ status, text, headers }): Answered => ({ status, text: text ?? '', type: headers['content-type'] ?? '' }),
      () => null,
    );
    // A picture or a print is no text.
    const why = answer && answer.status < 400 && answer.text === '' ? null : faultOfAnswer(answer);
    if (why !== null) faults.push(`${seed} ${method} ${path}: ${why}`);
  }
  expect(faults).toEqual([]);
}, 600_000);

test.each([
  ['a sign of number nothing in a label', { id: 'tin', data: thing, label: 'a\u0000b' }, '/label'],
  ['half a sign in a name', { id: 'tin', data: { ...thing, name: 'a\ud800' }, label: 'Tin' }, '/data/name'],
  ['half a sign in the name of a field', { id: 'tin', data: { ...thing, '\udc00': 1 }, label: 'Tin' }, '/data'],
])('%s is told with its path', async (_, body, path) => {
  const { status, body: problem } = await shed.http.post('/api/projects/print-shed/things').send(body);
  expect([status, (problem as { errors: { path: string }[] }).errors.map((e) => e.path)]).toEqual([400, [path]]);
});

test.each([
  ['PUT', '/api/projects/print-shed/things/ink-tub', { version: 2 ** 31, data: thing, label: 'x' }],
  ['DELETE', '/api/projects/print-shed/things/ink-tub?version=99999999999', undefined],
  ['DELETE', '/api/projects/print-shed/things/ink-tub', undefined],
])('%s %s with a version past what is kept is refused', async (method, path, body) => {
  const { status } = await (method === 'PUT' ? shed.http.put(path).send(body) : shed.http.delete(path));
  expect(status).toBe(400);
});

test.each([
  '/api/projects/nowhere',
  '/api/projects/nowhere/things',
  '/api/projects/nowhere/history',
  '/api/projects/__proto__/things',
  '/api/projects/%00',
])('%s is not there', async (path) => {
  const { status, body } = await shed.http.get(path);
  expect([status, (body as { detail: string }).detail]).toEqual([404, expect.stringContaining('There is no project')]);
});

test('a file with a thousand things that are wrong is refused at once, with the first fifty', async () => {
  const things = Object.fromEntries(Array.from({ length: 1000 }, (_, i) => [`thing-${i}`, { ...thing, kind: 'nothing', count: -1 }]));
  const { status, body } = await shed.http.post('/api/projects/files?id=wrong').send({ ...PRINT_SHED, things });
  const { errors } = body as { errors: { path: string; message: string }[] };
  expect([status, errors.length, errors.at(-1)?.message]).toEqual([400, 51, expect.stringMatching(/^and \d+ more like these$/)]);
  const named = await shed.http.post('/api/projects/files?id=wrong').send({ ...PRINT_SHED, things: { 'Bad Thing': 42 } });
  expect((named.body as { errors: { path: string; message: string }[] }).errors[0]).toMatchObject({
    path: '/things/Bad Thing',
    message: 'this is no id',
  });
});

describe('pages of other places', () => {
  const here = '127.0.0.1:4170';

  test.each([
    [{ host: here }, false],
    [{ host: here, origin: `http://${here}` }, false],
    [{ host: 'localhost:4170', origin: 'http://localhost:4170' }, false],
    [{ host: '[::1]:4170' }, false],
    [{ host: '192.168.1.20:4170', origin: 'http://192.168.1.20:4170' }, false],
    [{ host: 'shed.example', origin: 'http://shed.example' }, false],
    [{ host: 'rebound.example:4170' }, true],
    [{ host: '' }, true],
    [{ host: here, origin: 'http://elsewhere.example' }, true],
    [{ host: here, origin: 'http://127.0.0.1:9999' }, true],
    [{ host: here, origin: 'null' }, true],
    [{ host: here, 'sec-fetch-site': 'cross-site' }, true],
  ])('%j: strange %s', (headers, strange) => {
    expect(strangeIn(headers, new Set(['shed.example'])) !== null).toBe(strange);
  });

  test('a post of another page is refused though it has no body, and nothing was done', async () => {
    const before = await shed.http.get('/api/projects');
    const { status, type } = await shed.http.post('/api/projects/demo').set('Origin', 'http://elsewhere.example');
    expect([status, type]).toEqual([403, 'application/problem+json']);
    const rebound = await request(shed.app.getHttpServer()).get('/api/projects').set('Host', 'rebound.example');
    expect(rebound.status).toBe(403);
    expect((await shed.http.get('/api/projects')).body).toEqual(before.body);
  });
});
