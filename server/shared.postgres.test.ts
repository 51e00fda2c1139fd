import type { AddressInfo } from 'node:net';
import pino from 'pino';
import request from 'supertest';
import { VERSION } from '../core/formats/index.js';
import { buildApp, loadDemo } from './app.js';
import { openDatabaseOn, ServerUnfit } from './data/database-server.js';
import { folder } from './data/schema.js';
import { ShopService } from './shop/shop.service.js';
import { startFault } from './start-fault.js';
import { configForTests } from './test/app.js';
import { TEST_SERVER, makeDatabaseOn } from './test/database.js';

const SERVER = TEST_SERVER ?? '';

describe('two processes on one database', () => {
  let shared: Awaited<ReturnType<typeof makeDatabaseOn>>;
  let bench: Awaited<ReturnType<typeof openOne>>;
  let office: Awaited<ReturnType<typeof openOne>>;

  async function openOne(device: string) {
    const database = await openDatabaseOn(shared.url);
    const app = await buildApp(
      { ...configForTests(), databaseUrl: shared.url, device, shop: true },
      database.db,
      pino({ level: 'silent' }),
    );
    await app.init();
    await database.alone(() => loadDemo(app));
    const close = async () => {
      await app.close();
      await database.close();
    };
    // As the desk of each.
    const http = request.agent(app.getHttpServer()).set('Cookie', `ruvok_desk=${app.get(ShopService).deskToken}`);
    return { app, database, http, close };
  }

  beforeAll(async () => {
    shared = await makeDatabaseOn(SERVER);
    // Both at once, on a database without a table.
    [bench, office] = await Promise.all([openOne('bench'), openOne('office')]);
  }, 60_000);
  afterAll(async () => {
    await Promise.all([bench.close(), office.close()]);
    await shared.drop();
  });

  const wren = '/api/projects/print-shed/people/wren';
  const now = async () => (await office.http.get(wren)).body as { version: number; data: { name: string } };
  const save = (at: typeof bench, version: number, name: string) =>
    at.http.put(wren).send({ version, data: { name, height: 134_400_000 }, label: name });

  test('the demo is there once', async () => {
    for (const { http } of [bench, office]) expect((await http.get('/api/projects')).body).toHaveLength(1);
  });

  test('of two edits on one version one is taken, and the other is told what is there', async () => {
    const { version } = await now();
    for (let round = 0; round < 10; round += 1) {
      const at = version + round;
      const answers = await Promise.all([save(bench, at, `Bench ${round}`), save(office, at, `Office ${round}`)]);
      expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    }
    expect((await now()).version).toBe(version + 10);
  });

  test('what a piece uses is not taken out while another process puts it to use', async () => {
    const path = '/api/projects/print-shed';
    const data = ((await bench.http.get(`${path}/pieces/brayer-rack`)).body as { data: { piece: { panels: { stock: object } } } }).data
      .piece;
    for (let round = 0; round < 6; round += 1) {
      const id = `elm-${round}`;
      const elm = ((await bench.http.get(`${path}/stock/birch-18`)).body as { data: object }).data;
      await bench.http
        .post(`${path}/stock`)
        .send({ id, data: { ...elm, name: `Elm ${round}` }, label: 'Elm' })
        .expect(201);
      const { version } = (await bench.http.get(`${path}/pieces/brayer-rack`)).body as { version: number };
      const used = { ...data, panels: { ...data.panels, stock: { ...data.panels.stock, shelves: id } } };
      const [put, gone] = await Promise.all([
        bench.http.put(`${path}/pieces/brayer-rack`).send({ version, data: used, label: 'Of elm' }),
        office.http.delete(`${path}/stock/${id}?version=1`),
      ]);
      // Whichever came first, the piece never names what is not there.
      expect([
        [200, 409],
        [400, 204],
      ]).toContainEqual([put.status, gone.status]);
    }
  });

  test('what one changed the other tells with its device, and takes back', async () => {
    await save(bench, (await now()).version, 'Changed at the bench').expect(200);
    const [latest] = (await office.http.get('/api/projects/print-shed/changes')).body as {
      label: string;
      device: string;
      change: number;
    }[];
    expect(latest).toMatchObject({ label: 'Changed at the bench', device: 'bench' });
    const stale = await bench.http
      .post('/api/projects/print-shed/undo')
      .send({ scope: ['people/wren'], change: (latest?.change ?? 0) - 1 });
    expect((stale.body as { detail: string }).detail).toMatch(/“Changed at the bench” was done elsewhere \(bench\)|has taken its place/);
    const step = await office.http.post('/api/projects/print-shed/undo').send({ scope: ['people/wren'], change: latest?.change });
    expect(step.body).toMatchObject({ step: { label: 'Changed at the bench' } });
  });

  test('a phone that was paired with one is known to the other, and refused by both once it is let go', async () => {
    await office.app.listen(0, '0.0.0.0');
    const { port } = office.app.getHttpServer().address() as AddressInfo;
    const { token, phone } = await bench.app.get(ShopService).pair(bench.app.get(ShopService).makeCode().code, 'Phone', '192.0.2.1');
    const asked = () => fetch(`http://127.0.0.2:${port}/api/projects`, { headers: { cookie: `ruvok_phone=${token}` } });
    // What is known of phones is looked up again after two seconds.
    const until = async (status: number) => {
      for (let tries = 0; tries < 40; tries += 1) {
        if ((await asked()).status === status) return true;
        await new Promise((resolve) => setTimeout(resolve, 200));
      }
      return false;
    };
    expect(await until(200)).toBe(true);
    await bench.app.get(ShopService).letGo(phone.id);
    expect(await until(401)).toBe(true);
  }, 30_000);

  test('a program that is older than the documents by now writes nothing, and says so', async () => {
    const { version } = await now();
    await bench.database.db.update(folder).set({ documents: VERSION + 1 });
    const late = await save(office, version, 'Old words');
    expect([late.status, (late.body as { detail: string }).detail]).toEqual([503, expect.stringContaining('A newer Ruvok')]);
    await bench.database.db.update(folder).set({ documents: VERSION });
    await save(office, version, 'Of today').expect(200);
  });
});

describe('a server that cannot be used is told in words', () => {
  const tried = (url: string) =>
    openDatabaseOn(url).then(
      async (open) => open.close().then(() => null),
      (error: unknown) => startFault(error, { dataFolder: '/here', databaseUrl: url, port: 1 }),
    );
  const at = (change: (url: URL) => void) => {
    const url = new URL(SERVER);
    change(url);
    return url.href;
  };

  test.each([
    ['where nothing listens', () => at((u) => (u.port = '1')), 'Nothing answers there.'],
    ['without such a database', () => at((u) => (u.pathname = '/nothing-there')), 'It has no database of that name.'],
    ['without such a user', () => at((u) => (u.username = 'nobody-here')), 'does not let this user in'],
  ])('%s', async (_, url, words) => {
    expect(await tried(url())).toMatch(
      new RegExp(`The database [\\w-]+ on 127.0.0.1:\\d+ cannot be used. .*${words}.* Nothing was changed.`),
    );
  });

  test('with text in another encoding', async () => {
    const own = await makeDatabaseOn(SERVER, 'SQL_ASCII');
    await expect(openDatabaseOn(own.url)).rejects.toThrow(ServerUnfit);
    expect(await tried(own.url)).toContain('keeps text as SQL_ASCII');
    await own.drop();
  });
});
