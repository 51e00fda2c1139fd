import type { AddressInfo } from 'node:net';
import { contractOf } from './app.js';
import { Pairing } from './shop/pairing.js';
import { ShopService } from './shop/shop.service.js';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
let port: number;
beforeAll(async () => {
  running = await startApp({ shop: true });
  await running.app.listen(0, '0.0.0.0');
  port = (running.app.getHttpServer().address() as AddressInfo).port;
}, 60_000);
afterAll(() => running.close());

/** From this machine to its own address; and as a phone sees it, by another one. */
const desk = (path: string, init?: RequestInit) => fetch(`http://127.0.0.1:${port}${path}`, init);
const phone = (path: string, init?: RequestInit) => fetch(`http://127.0.0.2:${port}${path}`, { redirect: 'manual', ...init });
const post = (body: object, headers: object = {}) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json', ...headers },
  body: JSON.stringify(body),
});
const pair = (code: string) => phone('/api/shop/pair', post({ code, name: 'Phone' }));
const codeNow = () => running.app.get(ShopService).code;

test('a phone that is not paired is refused everything but the door', async () => {
  for (const path of ['/api/projects', '/api/projects/print-shed', '/api/shop', '/api/health'])
    expect((await phone(path)).status).toBe(401);
  for (const path of ['/', '/p/print-shed']) {
    const answer = await phone(path);
    expect([answer.status, answer.headers.get('location')]).toEqual([302, '/pair']);
  }
  expect((await phone('/api/projects', post({ id: 'x', data: {} }))).status).toBe(401);
  expect((await phone('/api/projects', { headers: { cookie: 'ruvok_phone=made-up' } })).status).toBe(401);
  // What is asked for beside it is no way round.
  for (const path of ['/pair/../api/projects', '/assets/../api/projects', '/assets/%2e%2e/api/projects', '//api/projects', '/API/projects'])
    expect((await phone(path)).status).not.toBe(200);
  expect((await desk('/api/projects')).status).toBe(200);
});

test('with the code it is let in, until it is let go; which phones there are is the desk’s to say', async () => {
  const paired = await pair(codeNow());
  expect(paired.status).toBe(201);
  const cookie = (paired.headers.get('set-cookie') ?? '').split(';')[0] as string;
  expect(paired.headers.get('set-cookie')).toMatch(/HttpOnly/i);
  expect(paired.headers.get('set-cookie')).toMatch(/SameSite=Strict/i);
  const headers = { cookie };
  expect((await phone('/api/projects', { headers })).status).toBe(200);
  expect((await phone('/api/shop', { headers })).status).toBe(403);
  const wren = (await (await phone('/api/projects/print-shed/people/wren', { headers })).json()) as { version: number; data: object };
  const body = JSON.stringify({ version: wren.version, data: wren.data, label: 'Edited at the bench' });
  const edit = { method: 'PUT', headers: { ...headers, 'content-type': 'application/json' }, body };
  expect((await phone('/api/projects/print-shed/people/wren', edit)).status).toBe(200);
  const [told] = (await (await desk('/api/projects/print-shed/changes')).json()) as { label: string; device: string }[];
  expect(told).toMatchObject({ label: 'Edited at the bench', device: 'Phone' });
  const { phones } = (await (await desk('/api/shop')).json()) as { phones: { id: string; name: string }[] };
  expect(phones.map((p) => p.name)).toEqual(['Phone']);
  expect((await phone(`/api/shop/phones/${phones[0]?.id}`, { method: 'DELETE', headers })).status).toBe(403);
  expect((await desk(`/api/shop/phones/${phones[0]?.id}`, { method: 'DELETE' })).status).toBe(204);
  expect((await phone('/api/projects', { headers })).status).toBe(401);
  expect((await desk('/api/shop/phones/none', { method: 'DELETE' })).status).toBe(404);
});

test('a phone may ask what is for phones, and nothing else, however it writes it', async () => {
  const paired = await pair(codeNow());
  const cookie = (paired.headers.get('set-cookie') ?? '').split(';')[0] as string;
  const headers = { cookie, 'content-type': 'application/json' };
  const { paths } = contractOf(running.app);
  const asked = Object.entries(paths).flatMap(([path, of]) =>
    Object.entries(of as Record<string, { readonly 'x-for-phones'?: boolean }>).map(([method, operation]) => ({
      path: path.replaceAll(/\{project\}/g, 'print-shed').replaceAll(/\{\w+\}/g, 'none'),
      method: method.toUpperCase(),
      isForPhones: operation['x-for-phones'] === true,
    })),
  );
  const desks = asked.filter((a) => !a.isForPhones && a.path !== '/api/shop/pair');
  // Each kind of record, a project, and a phone are taken away at the desk alone, and so are settings, new projects and the code.
  expect(desks.filter((a) => a.method === 'DELETE').length).toBeGreaterThan(8);
  expect(asked.filter((a) => a.isForPhones).every((a) => a.method !== 'DELETE')).toBe(true);
  expect(desks.map((a) => `${a.method} ${a.path}`)).toEqual(
    expect.arrayContaining(['GET /api/shop', 'POST /api/projects', 'PUT /api/projects/print-shed', 'POST /api/projects/files']),
  );
  const written = (path: string) => [path, path.toUpperCase(), `${path}/`, path.replace('/api/', '/API/'), path.replace('/api', '/%61pi')];
  for (const { path, method } of desks)
    for (const way of written(path)) {
      const { status } = await phone(way, { method, headers, ...(method === 'GET' || method === 'DELETE' ? {} : { body: '{}' }) });
      expect([way, method, [400, 403, 404, 413].includes(status)]).toEqual([way, method, true]);
      if (way === path || way === path.toUpperCase()) expect([way, method, status]).toEqual([way, method, 403]);
    }
  expect((await phone('/API/Shop', { headers })).status).toBe(403);
  for (const path of ['/api/projects', '/api/projects/print-shed', '/api/projects/print-shed/changes', '/api/health'])
    expect((await phone(path, { headers })).status).toBe(200);
}, 60_000);

test('a code is good for one phone', async () => {
  const code = codeNow();
  expect((await pair(code)).status).toBe(201);
  expect((await pair(code)).status).not.toBe(201);
});

test('a thousand wrong codes are refused, and the right one of before with them', async () => {
  const before = codeNow();
  const wrong = before === '111111' ? '222222' : '111111';
  const answers = new Map<number, number>();
  for (let i = 0; i < 1000; i += 1) {
    const { status } = await pair(wrong);
    answers.set(status, (answers.get(status) ?? 0) + 1);
  }
  expect(answers.get(201) ?? 0).toBe(0);
  expect(answers.get(403)).toBeLessThanOrEqual(4);
  expect((answers.get(403) ?? 0) + (answers.get(429) ?? 0)).toBe(1000);
  expect((await pair(before)).status).toBe(429);
  expect(JSON.parse(await (await pair(codeNow())).text())).toMatchObject({ status: 429 });
  expect((await phone('/api/shop/pair', post({ code: 'abc', name: 'x' }))).status).toBe(400);
}, 60_000);

test('each round of wrong codes is followed by a longer pause, and by another code', () => {
  let now = 0;
  const pairing = new Pairing(() => now);
  const waits: number[] = [];
  for (let round = 0; round < 8; round += 1) {
    const { code } = pairing;
    for (let i = 0; i < 5; i += 1) {
      const tried = pairing.try(pairing.code === '000000' ? '000001' : '000000');
      if ('wait' in tried && tried.wait > 0) waits.push(tried.wait / 1000);
    }
    expect(pairing.code).not.toBe(code);
    expect(pairing.try(pairing.code)).toMatchObject({ why: 'too often' });
    now += 16 * 60_000;
  }
  expect(waits).toEqual([30, 60, 120, 240, 480, 900, 900, 900]);
  expect(pairing.try(pairing.code)).toHaveProperty('token');
});
