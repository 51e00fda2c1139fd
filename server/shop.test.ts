import type { AddressInfo } from 'node:net';
import { contractOf } from './app.js';
import { Pairing, ownerOf } from './shop/pairing.js';
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

/** As a phone asks, and as the desk does, from the same machine: it is told by its token. */
const phone = (path: string, init?: RequestInit) => fetch(`http://127.0.0.1:${port}${path}`, { redirect: 'manual', ...init });
const desk = (path: string, init: RequestInit = {}) =>
  phone(path, { ...init, headers: { ...init.headers, cookie: `ruvok_desk=${running.app.get(ShopService).deskToken}` } });
const post = (body: object, headers: object = {}) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json', ...headers },
  body: JSON.stringify(body),
});
const pair = (code: string) => phone('/api/shop/pair', post({ code, name: 'Phone' }));
const newCode = () => running.app.get(ShopService).makeCode().code;
const tokenOf = (answer: Response) => (answer.headers.get('set-cookie') ?? '').split(';')[0] as string;

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
  const paired = await pair(newCode());
  expect(paired.status).toBe(201);
  const cookie = tokenOf(paired);
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
  const paired = await pair(newCode());
  const cookie = tokenOf(paired);
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
  const code = newCode();
  expect((await pair(code)).status).toBe(201);
  const again = await pair(code);
  expect([again.status, ((await again.json()) as { title: string }).title]).toEqual([403, 'No code']);
});

test('the desk is who has its token, from wherever it asks; without it this machine is a stranger like any other', async () => {
  for (const path of ['/api/projects', '/api/shop']) expect((await phone(path)).status).toBe(401);
  const { deskToken } = running.app.get(ShopService);
  expect((await phone('/desk/made-up-and-long-enough-to-be-one')).headers.get('location')).toBe('/pair');
  const made = await phone(`/desk/${deskToken}`);
  expect([made.status, made.headers.get('location')]).toEqual([302, '/']);
  expect(made.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Strict/i);
  expect((await phone('/api/shop', { headers: { cookie: tokenOf(made) } })).status).toBe(200);
  // What it says of itself through a proxy counts for nothing while no proxy is trusted.
  expect((await phone('/api/shop', { headers: { 'x-forwarded-for': '127.0.0.1' } })).status).toBe(401);
});

test('by a name that a proxy gives it, it lets nobody in as the desk without the token either', async () => {
  const named = await startApp({ hosts: new Set(['shed.example']) });
  const ask = (cookie: string) => named.http.get('/api/projects').set('Host', 'shed.example').set('Cookie', cookie);
  expect((await ask('')).status).toBe(401);
  expect((await ask(`ruvok_desk=${named.app.get(ShopService).deskToken}`)).status).toBe(200);
  await named.close();
}, 60_000);

test('wrong codes close the door for who gave them, behind a proxy too; the next one is let in, and the desk is told', async () => {
  const behind = await startApp({ shop: true, trusted: ['127.0.0.1', '::1', '::ffff:127.0.0.1'] });
  const shop = behind.app.get(ShopService);
  const { code } = shop.makeCode();
  const wrong = code === '111111' ? '222222' : '111111';
  const from = (address: string, given: string) =>
    behind.http.post('/api/shop/pair').set('X-Forwarded-For', address).send({ code: given, name: 'Phone' });
  const statuses: number[] = [];
  for (let i = 0; i < 40; i += 1) statuses.push((await from('192.0.2.7', wrong)).status);
  expect(statuses).toEqual([403, 403, 403, 403, ...Array.from({ length: 36 }, () => 429)]);
  expect((await from('192.0.2.7', code)).status).toBe(429);
  const told = await behind.http.get('/api/shop').set('Cookie', `ruvok_desk=${shop.deskToken}`);
  expect((told.body as { wrong: object[] }).wrong).toEqual([{ address: '192.0.2.7', count: 5, at: expect.any(Number) as number }]);
  expect((await from('192.0.2.8', code)).status).toBe(201);
  expect((await from('192.0.2.8', 'abc')).status).toBe(400);
  await behind.close();
}, 60_000);

test('a phone that did not come for thirty days has to be paired anew; one that comes stays', async () => {
  const [stays, gone] = [tokenOf(await pair(newCode())), tokenOf(await pair(newCode()))];
  const DAY = 24 * 3600 * 1000;
  const began = Date.now();
  const clock = jest.spyOn(Date, 'now');
  const at = async (day: number, cookie: string) => {
    clock.mockReturnValue(began + day * DAY);
    return (await phone('/api/projects', { headers: { cookie } })).status;
  };
  expect([await at(29, stays), await at(58, stays), await at(31, gone), await at(32, gone)]).toEqual([200, 200, 401, 401]);
  clock.mockRestore();
});

describe('a code', () => {
  const wrongFor = (code: string) => (code === '000000' ? '000001' : '000000');

  test('is there when it is asked for, and for ten minutes', () => {
    let now = 0;
    const pairing = new Pairing(() => now);
    expect([pairing.live, pairing.try('000000', '192.0.2.1')]).toMatchObject([null, { why: 'no code' }]);
    const { code } = pairing.make();
    now = 10 * 60_000 - 1;
    expect(pairing.live?.code).toBe(code);
    now += 1;
    expect([pairing.live, pairing.try(code, '192.0.2.1')]).toMatchObject([null, { why: 'no code' }]);
    expect(pairing.try(pairing.make().code, '192.0.2.1')).toHaveProperty('token');
  });

  test('is not taken from where five were wrong, longer each time; after an hour of quiet that is forgotten', () => {
    let now = 0;
    const pairing = new Pairing(() => now);
    const round = () => {
      const { code } = pairing.make();
      const tried = Array.from({ length: 5 }, () => pairing.try(wrongFor(code), '192.0.2.1'));
      expect(pairing.try(code, '192.0.2.1')).toMatchObject({ why: 'too often' });
      return ('wait' in tried[4]! ? tried[4].wait : 0) / 1000;
    };
    const waits = Array.from({ length: 8 }, () => {
      const wait = round();
      now += 16 * 60_000;
      return wait;
    });
    expect(waits).toEqual([30, 60, 120, 240, 480, 900, 900, 900]);
    now += 60 * 60_000;
    expect([round(), pairing.wrong.length]).toEqual([30, 1]);
  });

  test('is good no more once a hundred were wrong from everywhere together', () => {
    const pairing = new Pairing(() => 0);
    const { code } = pairing.make();
    for (let i = 0; i < 99; i += 1) pairing.try(wrongFor(code), `192.0.2.${i}`);
    expect(pairing.live).not.toBeNull();
    pairing.try(wrongFor(code), '198.51.100.1');
    expect([pairing.live, pairing.try(code, '198.51.100.2')]).toMatchObject([null, { why: 'no code' }]);
  });

  test.each([
    ['::ffff:192.0.2.7', '192.0.2.7'],
    ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2::/64'],
    ['2001:db8::6', '2001:db8:0:0::/64'],
    ['::1', '0:0:0:0::/64'],
  ])('%s counts as %s', (address, owner) => expect(ownerOf(address)).toBe(owner));
});
