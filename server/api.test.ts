import pino from 'pino';
import request from 'supertest';
import { PRINT_SHED } from '../demo/print-shed.js';
import { mm } from '../core/length/index.js';
import { buildApp } from './app.js';
import { openDatabase } from './data/database.js';
import { saysDatabaseAway, saysDiskFull } from './problems/problem.filter.js';
import { ProjectsService } from './projects/projects.service.js';
import { configForTests, startApp, type TestApp } from './test/app.js';

let running: TestApp;
beforeAll(async () => {
  running = await startApp();
}, 60_000);
afterAll(() => running.close());

const shed = '/api/projects/print-shed';
const http = () => running.http;
const bottle = () => structuredClone(PRINT_SHED.things['bottle']);

async function versionOf(path: string): Promise<number> {
  return ((await http().get(path)).body as { version: number }).version;
}

/** Changes the count of bottles, on the version there is. */
async function setBottles(count: number) {
  const version = await versionOf(`${shed}/things/bottle`);
  return http()
    .put(`${shed}/things/bottle`)
    .send({ version, data: { ...bottle(), count }, label: `${count} bottles` });
}

describe('reading', () => {
  test('health answers', async () => {
    expect((await http().get('/api/health')).body).toEqual({ status: 'ok' });
  });

  test('a project comes with everything in it', async () => {
    const { body } = await http().get(shed);
    expect(body.project.name).toBe('Print shed');
    expect(body.records.pieces.map((p: { id: string }) => p.id)).toEqual(Object.keys(PRINT_SHED.pieces));
    expect(body.records.stock.map((s: { id: string }) => s.id)).toEqual(Object.keys(PRINT_SHED.stock));
    expect(body.records.slides.map((s: { id: string }) => s.id)).toEqual(Object.keys(PRINT_SHED.slides ?? {}));
  });

  test('both forms of the ink case give their figures through the API', async () => {
    const ink = (await http().get(`${shed}/pieces/ink-case/solution`)).body;
    expect([ink.overall.width.mm, ink.overall.height.mm, ink.overall.depth.mm]).toEqual([1203, 2091, 326]);
    const space = (id: string) => ink.spaces.find((s: { id: string }) => s.id === id);
    expect([space('left-bay').width.mm, space('tubs').height.mm, space('bottles').exact.mm]).toEqual([575.1, 380, 381.35]);
    const shelf = ink.loads.find((l: { id: string }) => l.id === 'right-2/shelf/1');
    expect(shelf.today).toBeCloseTo(1.335, 3);
    expect(shelf.later).toBeCloseTo(2.67, 3);
    const part = (id: string) => ink.parts.find((p: { ids: string[] }) => p.ids.includes(id)).length.mm;
    expect([part('left-1/shelf/1'), part('right-2/shelf/1'), part('post/divider/1')]).toEqual([587.1, 573.1, 1975.8]);
    const roller = (await http().get(`${shed}/pieces/roller-case/solution`)).body;
    expect(roller.spaces.find((s: { id: string }) => s.id === 'third').height.mm).toBe(12.375 * 25.4);
    const rack = (await http().get(`${shed}/pieces/brayer-rack/solution`)).body;
    expect(rack.spaces.find((s: { id: string }) => s.id === 'gap-2').height.mm).toBe(12.65625 * 25.4);
  });

  test('the OpenAPI page and its document are there', async () => {
    expect((await http().get('/api/docs')).status).toBe(200);
    const paths = Object.keys((await http().get('/api/docs-json')).body.paths);
    expect(paths).toContain('/api/projects/{project}/pieces/{id}/solution');
    expect(paths.length).toBeGreaterThan(15);
  });

  test('a strict content policy and no sniffing', async () => {
    const { headers } = await http().get('/api/health');
    expect(headers['content-security-policy']).toContain("default-src 'none'");
    expect(headers['content-security-policy']).not.toContain('unsafe-inline');
    expect(headers['x-content-type-options']).toBe('nosniff');
  });

  test.each([`${shed}/things/none`, '/api/projects/none', `${shed}/pieces/none/solution`])(
    '%s is not there, by problem details',
    async (path) => {
      const answer = await http().get(path);
      expect(answer.status).toBe(404);
      expect(answer.headers['content-type']).toContain('application/problem+json');
      expect(JSON.parse(answer.text)).toMatchObject({ status: 404, instance: path });
    },
  );
});

describe('writing', () => {
  test('an edit is kept and raises the version', async () => {
    const before = await versionOf(`${shed}/things/bottle`);
    const answer = await setBottles(31);
    expect(answer.status).toBe(200);
    expect(answer.body).toMatchObject({ version: before + 1, data: { count: 31 } });
    expect((await http().get(`${shed}/things/bottle`)).body.data.count).toBe(31);
  });

  test('a slide is kept, measured anew, and not taken away while drawers run on it', async () => {
    const path = `${shed}/slides/slide-45`;
    const chest = async () => (await http().get(`${shed}/pieces/paper-chest/solution`)).body;
    const width = (body: { facts: { space: string; facts: { name: string; mm?: number }[] }[] }) =>
      body.facts.find((f) => f.space === 'drawer-top')?.facts.find((f) => f.name === 'box, wide')?.mm;
    expect(width(await chest())).toBe(854.6);
    const { version, data } = (await http().get(path)).body;
    const wider = { ...data, side: 13.2 * 80_000 };
    expect((await http().put(path).send({ version, data: wider, label: 'Measured' })).status).toBe(200);
    expect(width(await chest())).toBe(853.6);
    const gone = await http().delete(`${path}?version=${version + 1}`);
    expect(gone.status).toBe(409);
    expect(JSON.parse(gone.text).detail).toContain('Paper chest');
    const bad = await http()
      .put(path)
      .send({ version: version + 1, data: { ...data, lengths: [] }, label: 'None' });
    expect(bad.status).toBe(400);
    expect(
      (
        await http()
          .put(path)
          .send({ version: version + 1, data, label: 'Back' })
      ).status,
    ).toBe(200);
  });

  test('an edit on an old version is refused with both, and changes nothing', async () => {
    const version = await versionOf(`${shed}/things/bottle`);
    await setBottles(32);
    const lost = await http()
      .put(`${shed}/things/bottle`)
      .send({ version, data: { ...bottle(), count: 99 }, label: 'late' });
    expect(lost.status).toBe(409);
    expect(JSON.parse(lost.text)).toMatchObject({ current: { version: version + 1, data: { count: 32 } }, yours: { count: 99 } });
    expect((await http().get(`${shed}/things/bottle`)).body.data.count).toBe(32);
  });

  test('of two edits at the same moment on one version exactly one is kept', async () => {
    const version = await versionOf(`${shed}/things/bottle`);
    const send = (count: number) =>
      http()
        .put(`${shed}/things/bottle`)
        .send({ version, data: { ...bottle(), count }, label: 'race' });
    const answers = await Promise.all([send(41), send(42), send(43)]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409]);
  });

  test('a piece gets letters for its parts, and keeps them', async () => {
    const { body } = await http().get(`${shed}/pieces/ink-case`);
    const { piece, letters } = body.data;
    expect(Object.keys(letters)).toHaveLength(14);
    const next = structuredClone(piece);
    next.interior.split.spaces[1].split.members.pop();
    next.interior.split.spaces[1].split.spaces.pop();
    const saved = (await http().put(`${shed}/pieces/ink-case`).send({ version: body.version, data: next, label: 'Took out a shelf' })).body;
    expect(saved.data.letters).toEqual(letters);
  });

  test.each<[string, object, string, string]>([
    ['an extra field of the request', { version: 1, data: {}, label: 'x', colour: 'red' }, '/colour', 'not known'],
    ['an extra field of the record', { version: 1, data: { ...bottle(), colour: 'red' }, label: 'x' }, '/data/colour', 'not known'],
    ['a negative length', { version: 1, data: { ...bottle(), clearance: -1 }, label: 'x' }, '/data/clearance', 'too small'],
    ['an absurd count', { version: 1, data: { ...bottle(), count: 1e9 }, label: 'x' }, '/data/count', 'too large'],
    ['a version that is none', { version: 'one', data: bottle(), label: 'x' }, '/version', 'version'],
    ['no label', { version: 1, data: bottle() }, '/label', 'label'],
  ])('%s is refused with its field', async (_, body, path, message) => {
    const answer = await http().put(`${shed}/things/bottle`).send(body);
    expect(answer.status).toBe(400);
    const { errors } = JSON.parse(answer.text) as { errors: { path: string; message: string; accepted: string }[] };
    const fault = errors.find((e) => e.path === path);
    expect(fault?.message).toContain(message);
    expect(fault?.accepted).toBeTruthy();
  });

  test('a piece whose ids stand twice is refused', async () => {
    const { body } = await http().get(`${shed}/pieces/brayer-rack`);
    const piece = structuredClone(body.data.piece);
    piece.interior.split.spaces[0].id = 'gap-2';
    const answer = await http().put(`${shed}/pieces/brayer-rack`).send({ version: body.version, data: piece, label: 'x' });
    expect(answer.status).toBe(400);
    expect(JSON.parse(answer.text).errors[0].message).toContain('stands twice');
  });

  test('a body that breaks off, and one that is too large', async () => {
    const cut = await http().post('/api/projects').set('content-type', 'application/json').send('{"id": "a');
    expect([cut.status, cut.headers['content-type']]).toEqual([400, expect.stringContaining('problem+json')]);
    const large = await http()
      .put(`${shed}/things/bottle`)
      .send({ version: 1, data: 'x'.repeat(3_000_000), label: 'x' });
    expect(large.status).toBe(413);
    const file = await http()
      .post('/api/projects/files?id=large')
      .set('content-type', 'application/json')
      .send(`{"x":"${'x'.repeat(50_000_000)}"}`);
    expect(file.status).toBe(413);
  });

  test('what a piece uses cannot be taken away', async () => {
    const version = await versionOf(`${shed}/stock/birch-18`);
    const answer = await http().delete(`${shed}/stock/birch-18?version=${version}`);
    expect([answer.status, JSON.parse(answer.text).detail]).toEqual([409, expect.stringContaining('Ink case')]);
  });

  test('records are made once under an id, and taken away', async () => {
    const make = () =>
      http()
        .post(`${shed}/people`)
        .send({ id: 'ada', data: { name: 'Ada', height: mm(1710) }, label: 'Added Ada' });
    expect([(await make()).status, (await make()).status]).toEqual([201, 409]);
    expect((await http().delete(`${shed}/people/ada?version=1`)).status).toBe(204);
    expect((await http().get(`${shed}/people/ada`)).status).toBe(404);
  });
});

describe('undo and redo', () => {
  const scope = { scope: ['things/solvent-can'] };
  const count = async () => (await http().get(`${shed}/things/solvent-can`)).body.data.count as number;
  const set = async (n: number) => {
    const { body } = await http().get(`${shed}/things/solvent-can`);
    await http()
      .put(`${shed}/things/solvent-can`)
      .send({ version: body.version, data: { ...body.data, count: n }, label: `${n} cans` });
  };
  const walk = async (way: 'undo' | 'redo') => (await http().post(`${shed}/${way}`).send(scope)).body;

  test('walk back and forth along the edits, and a new edit closes what could be done again', async () => {
    const first = await count();
    await set(20);
    await set(30);
    expect(await walk('undo')).toMatchObject({ step: { label: '30 cans' }, undo: '20 cans', redo: '30 cans' });
    expect(await count()).toBe(20);
    expect(await walk('undo')).toMatchObject({ undo: null, redo: '20 cans' });
    expect(await count()).toBe(first);
    expect((await walk('undo')).step).toBeNull();
    await walk('redo');
    expect(await count()).toBe(20);
    await set(25);
    expect((await walk('redo')).step).toBeNull();
    expect(await count()).toBe(25);
  });

  test('only what is in the scope is walked', async () => {
    await setBottles(7);
    await walk('undo');
    expect((await http().get(`${shed}/things/bottle`)).body.data.count).toBe(7);
  });

  test('a record that was taken away comes back, and letters that were given stay given', async () => {
    const { body } = await http().get(`${shed}/pieces/solvent-cupboard`);
    await http().delete(`${shed}/pieces/solvent-cupboard?version=${body.version}`);
    await http()
      .post(`${shed}/undo`)
      .send({ scope: ['pieces/solvent-cupboard'] });
    expect((await http().get(`${shed}/pieces/solvent-cupboard`)).body.data).toEqual(body.data);
  });

  test('a scope that is none is refused', async () => {
    expect(
      (
        await http()
          .post(`${shed}/undo`)
          .send({ scope: ['boats/1'] })
      ).status,
    ).toBe(400);
  });
});

describe('files', () => {
  test('a project is written out and read in again the same', async () => {
    const file = (await http().get(`${shed}/file`)).body;
    const read = await http().post('/api/projects/files?id=copy').send(file);
    expect(read.status).toBe(201);
    expect((await http().get('/api/projects/copy/file')).body).toEqual(file);
  });

  test('a bad file changes nothing and names every fault', async () => {
    const answer = await http()
      .post('/api/projects/files?id=bad')
      .send({ ...PRINT_SHED, version: 7 });
    expect([answer.status, JSON.parse(answer.text).errors[0].path]).toEqual([400, '/version']);
    expect((await http().get('/api/projects/bad')).status).toBe(404);
  });
});

describe('a full disk', () => {
  test('is seen before a write, and what was saved stays readable', async () => {
    const full = await startApp({ leastFree: Number.MAX_SAFE_INTEGER });
    const answer = await full.http.post(`${shed}/people`).send({ id: 'ada', data: { name: 'Ada', height: mm(1710) }, label: 'Added Ada' });
    expect([answer.status, JSON.parse(answer.text).title]).toEqual([507, 'Disk full']);
    expect((await full.http.get(shed)).status).toBe(200);
    await full.close();
  }, 60_000);

  test.each([
    [{ message: 'could not extend file: No space left on device' }, true],
    [{ message: 'write failed', code: 'ENOSPC' }, true],
    [{ message: 'query failed', cause: { message: 'x', code: '53100' } }, true],
    [{ message: 'unique key' }, false],
  ])('is recognised in %o', (error, expected) => {
    expect(saysDiskFull(error)).toBe(expected);
  });
});

describe('a database that is gone', () => {
  test.each([
    [{ message: 'Client has encountered a connection error and is not queryable' }, true],
    [{ message: 'Failed query: select 1', cause: { message: 'Connection terminated unexpectedly' } }, true],
    [{ message: 'Failed query: x', cause: { message: 'terminating connection', code: '57P01' } }, true],
    [{ message: 'Failed query: x', cause: { message: 'the database system is starting up', code: '57P03' } }, true],
    [{ message: 'connect', code: 'EHOSTUNREACH' }, true],
    [{ message: 'x', code: '08P01' }, true],
    [{ message: 'PGlite is closed' }, true],
    [{ message: 'Failed query: insert\nparams: connection terminated, 57P01', cause: { message: 'duplicate key', code: '23505' } }, false],
    [{ message: 'x', code: '22003' }, false],
  ])('is recognised in %o: %s', (error, expected) => {
    expect(saysDatabaseAway(error)).toBe(expected);
  });

  test('is answered so that what was asked waits: 503, whichever question it was', async () => {
    const database = await openDatabase(null);
    const app = await buildApp(configForTests(), database.db, pino({ level: 'silent' }));
    await app.init();
    await app.get(ProjectsService).store('print-shed', { ...PRINT_SHED, pieces: {}, cuttings: {}, buildings: {} });
    await database.close();
    const http = request(app.getHttpServer());
    const person = { id: 'ada', data: { name: 'Ada', height: mm(1710) }, label: 'Added Ada' };
    const answers = await Promise.all([
      http.get(shed),
      http.post(`${shed}/people`).send(person),
      http.delete(`${shed}/people/wren?version=1`),
      http.post(`${shed}/undo`).send({ scope: ['people'] }),
    ]);
    expect(answers.map((a) => [a.status, (JSON.parse(a.text) as { title: string }).title])).toEqual(
      answers.map(() => [503, 'Database away']),
    );
    await app.close();
  }, 60_000);
});

test('what the API answers is kept by nobody on the way, and the number of a change past what is kept is refused', async () => {
  expect((await running.http.get(shed)).headers['cache-control']).toBe('no-store');
  const { status, body } = await running.http.post(`${shed}/undo`).send({ scope: ['people'], change: 2 ** 31 });
  expect([status, (body as { errors: { path: string }[] }).errors[0]?.path]).toEqual([400, '/change']);
});

test('a blade that nobody means is brought in by no edit; one that a file has opens, is told, and can be mended', async () => {
  const { version, project } = (await running.http.get(shed)).body as { version: number; project: { settings: object } };
  const withKerf = (kerf: number) => ({ ...project, settings: { ...project.settings, kerf } });
  const refused = await running.http.put(shed).send({ version, data: withKerf(1) });
  expect([refused.status, (JSON.parse(refused.text) as { errors: object[] }).errors]).toEqual([
    400,
    [{ path: '/data/settings/kerf', message: 'this is less than makes sense', given: '0.0000125 mm', accepted: '0.5 mm to 10 mm' }],
  ]);
  const { pieces } = PRINT_SHED;
  const thin = {
    ...PRINT_SHED,
    project: withKerf(1),
    pieces: { 'ink-case': pieces['ink-case'] },
    cuttings: {},
    buildings: {},
    log: {},
    readings: {},
    made: {},
  };
  await running.http.post('/api/projects/files?id=thin').send(thin).expect(201);
  const { checks } = (await running.http.get('/api/projects/thin/pieces/ink-case/solution').expect(200)).body as {
    checks: { id: string; severity: string }[];
  };
  expect(checks.filter((c) => c.id === 'meant Settings kerf').map((c) => c.severity)).toEqual(['stop']);
  // Something else is changed in it, and then the blade.
  await running.http
    .put('/api/projects/thin')
    .send({ version: 1, data: { ...withKerf(1), name: 'Thin' } })
    .expect(200);
  await running.http
    .put('/api/projects/thin')
    .send({ version: 2, data: withKerf(2) })
    .expect(400);
  await running.http
    .put('/api/projects/thin')
    .send({ version: 2, data: withKerf(mm(3)) })
    .expect(200);
});

test('the bindery is loaded by its name, in inches; a demo that is not there is refused with those that are', async () => {
  await running.http.post('/api/projects/demo?of=bindery').expect(201, { id: 'bindery' });
  const { body } = await running.http.get('/api/projects/bindery').expect(200);
  expect((body as { project: { settings: { unit: string } } }).project.settings.unit).toBe('in');
  const refused = await running.http.post('/api/projects/demo?of=attic').expect(400);
  expect(JSON.stringify(refused.body)).toContain('print-shed, bindery');
});

test('the demo is not worked out where its place is taken', async () => {
  const { status, body } = await running.http.post('/api/projects/demo');
  expect([status, (body as { detail: string }).detail]).toEqual([409, 'There is a project print-shed already.']);
});

test('far more requests than a person makes are turned away', async () => {
  const busy = await startApp({ perMinute: 20 });
  const statuses: number[] = [];
  for (let i = 0; i < 25; i += 1) statuses.push((await busy.http.get('/api/health')).status);
  expect(statuses).toEqual([...Array.from({ length: 20 }, () => 200), ...Array.from({ length: 5 }, () => 429)]);
  await busy.close();
}, 90_000);
