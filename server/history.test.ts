import { PRINT_SHED } from '../demo/print-shed.js';
import { readProject } from '../core/formats/index.js';
import type { DividingMember, Space, Split } from '../core/piece/index.js';
import type { PanelCase } from '../core/shells/index.js';
import { desc, eq } from 'drizzle-orm';
import { changes } from './data/schema.js';
import { forgetBefore } from './history/forget.js';
import { ProjectsService } from './projects/projects.service.js';
import { RecordsService } from './records/records.service.js';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
beforeAll(async () => {
  running = await startApp();
}, 60_000);
afterAll(() => running.close());

const shed = '/api/projects/print-shed';
const http = () => running.http;
const get = async (path: string) => (await http().get(`${shed}/${path}`)).body;
/** Changes a record on the version there is. */
const put = async <T = PanelCase>(path: string, change: (data: T) => void, label = 'Changed') => {
  const { version, data } = await get(path);
  const next = structuredClone(data.piece ?? data);
  change(next);
  return http().put(`${shed}/${path}`).send({ version, data: next, label });
};
const remove = async (path: string) => http().delete(`${shed}/${path}?version=${(await get(path)).version}`);
const walk = async (way: 'undo' | 'redo', ...scope: string[]) => http().post(`${shed}/${way}`).send({ scope });
const detail = (answer: { text: string }) => (JSON.parse(answer.text) as { detail: string }).detail;

describe('what was taken out', () => {
  test('comes back by the list it stood in, though the list no longer names it', async () => {
    const before = await get('things/ink-tub');
    const spare = { ...before.data, name: 'Spare tub' };
    await http().post(`${shed}/things`).send({ id: 'spare', data: spare, label: 'Added Spare tub' });
    expect((await remove('things/spare')).status).toBe(204);
    expect(await get('history?scope=things')).toMatchObject({ undo: 'Took out Spare tub' });
    expect((await walk('undo', 'things')).body.step).toMatchObject({ label: 'Took out Spare tub', kind: 'things' });
    expect((await get('things/spare')).data).toEqual(spare);
    expect((await walk('redo', 'things')).body.step.record).toBeNull();
    expect((await http().get(`${shed}/things/spare`)).status).toBe(404);
  });

  test('does not take an edit that was made on what it was before', async () => {
    await http()
      .post(`${shed}/people`)
      .send({ id: 'ida', data: { name: 'Ida', height: 130_000_000 }, label: 'Added Ida' });
    await put<{ height: number }>('people/ida', (p) => (p.height = 131_000_000));
    await remove('people/ida');
    await walk('undo', 'people');
    const late = await http()
      .put(`${shed}/people/ida`)
      .send({ version: 1, data: { name: 'Ida', height: 132_000_000 }, label: 'Late' });
    expect([late.status, (await get('people/ida')).data.height]).toEqual([409, 131_000_000]);
  });

  test('a piece comes back with the letters of its parts', async () => {
    const before = await get('pieces/solvent-cupboard');
    await remove('pieces/solvent-cupboard');
    await walk('undo', 'pieces');
    expect((await get('pieces/solvent-cupboard')).data).toEqual(before.data);
  });
});

describe('undo on a piece', () => {
  test('ends at the piece as it was begun; only the list of pieces takes that back', async () => {
    const { data } = await get('pieces/brayer-rack');
    await http().post(`${shed}/pieces`).send({ id: 'second', data: data.piece, label: 'Started a second rack' });
    await put('pieces/second', (p) => (p.name = 'Second rack'), 'Named it');
    expect((await walk('undo', 'pieces/second')).body).toMatchObject({ step: { label: 'Named it' }, undo: null, redo: 'Named it' });
    expect((await walk('undo', 'pieces/second')).body.step).toBeNull();
    expect((await get('pieces/second')).data.piece.name).toBe(data.piece.name);
    expect((await walk('undo', 'pieces')).body.step).toMatchObject({ label: 'Started a second rack', record: null });
    expect((await http().get(`${shed}/pieces/second`)).status).toBe(404);
  });

  test('works with a thousand things in the project', async () => {
    const tin = PRINT_SHED.things['ink-tub'] as (typeof PRINT_SHED.things)[string];
    const things = Object.fromEntries(Array.from({ length: 1000 }, (_, i) => [`tin-${i}`, { ...tin, name: `Tin ${i}` }]));
    await running.app.get(ProjectsService).store('many', { ...PRINT_SHED, things: { ...PRINT_SHED.things, ...things } });
    const many = '/api/projects/many';
    await http()
      .put(`${many}/things/tin-999`)
      .send({ version: 1, data: { ...tin, name: 'The last' }, label: 'Named the last' });
    expect((await http().get(`${many}/history?scope=things`)).body.undo).toBe('Named the last');
    expect(
      (
        await http()
          .post(`${many}/undo`)
          .send({ scope: ['things'] })
      ).status,
    ).toBe(200);
    expect((await http().get(`${many}/things/tin-999`)).body.data.name).toBe('Tin 999');
  }, 60_000);
});

test('changed settings are taken back like all else', async () => {
  const { version, project } = (await http().get(shed)).body;
  const changed = { ...project, name: 'Another shed' };
  expect((await http().put(shed).send({ version, data: changed })).status).toBe(200);
  expect((await walk('undo', 'project')).body.step).toMatchObject({ label: 'Changed the settings', record: { data: project } });
  expect((await http().get(shed)).body.project).toEqual(project);
});

describe('nothing refers to what is not there', () => {
  const stands = async () => expect(readProject((await http().get(`${shed}/file`)).body)).toMatchObject({ ok: true });

  test.each([
    ['a stock', (p: PanelCase) => (p.stock.sides = 'ebony'), '/data/stock/sides', 'there is no stock ebony'],
    ['an opening', (p: PanelCase) => (p.opening = 'nook'), '/data/opening', 'there is no opening nook'],
    [
      'a thing',
      (p: PanelCase) => (((p.interior.split as Split).spaces[0] as Space).things = [{ thing: 'jar', count: 1 }]),
      '/data/interior (space gap-1)',
      'there is no thing jar',
    ],
    [
      'another member',
      (p: PanelCase) => (((p.interior.split as Split).members[0] as DividingMember).sameAs = 'none'),
      `/data/interior (member shelf-1)`,
      'there is no member none to be in line with',
    ],
  ])('%s: refused when saved and when made', async (_, spoil, path, message) => {
    const answer = await put('pieces/brayer-rack', spoil);
    expect([answer.status, JSON.parse(answer.text).errors]).toEqual([400, [expect.objectContaining({ message, path })]]);
    const { data } = await get('pieces/brayer-rack');
    const piece = structuredClone(data.piece);
    spoil(piece);
    const made = await http().post(`${shed}/pieces`).send({ id: 'bad', data: piece, label: 'Bad' });
    expect([made.status, JSON.parse(made.text).errors[0].message]).toEqual([400, message]);
    await stands();
  });

  test('the making of stock that a piece uses is not taken back', async () => {
    const { data } = await get('stock/birch-18');
    await http()
      .post(`${shed}/stock`)
      .send({ id: 'elm', data: { ...data, name: 'Elm' }, label: 'Added Elm' });
    await put('pieces/brayer-rack', (p) => (p.panels.stock.shelves = 'elm'));
    const back = await walk('undo', 'stock');
    expect([back.status, detail(back)]).toEqual([409, expect.stringContaining('Brayer rack')]);
    expect((await get('stock/elm')).data.name).toBe('Elm');
    await stands();
  });

  test('an edit whose stock was taken out since is not taken back, and says what it needs', async () => {
    await put('pieces/brayer-rack', (p) => (p.panels.stock.shelves = 'birch-18'), 'Back to birch');
    await remove('stock/elm');
    const back = await walk('undo', 'pieces/brayer-rack');
    expect([back.status, detail(back)]).toEqual([409, expect.stringContaining('stock elm')]);
    await stands();
    await walk('undo', 'stock');
    expect((await walk('undo', 'pieces/brayer-rack')).body.step.label).toBe('Back to birch');
    await stands();
  });
});

test('versions are compared where they are written, not where they were read', async () => {
  const records = running.app.get(RecordsService);
  const now = await get('people/wren');
  const stale = jest.spyOn(records, 'one').mockResolvedValueOnce({ id: 'wren', version: now.version + 5, data: now.data });
  const late = await http()
    .put(`${shed}/people/wren`)
    .send({ version: now.version + 5, data: { ...now.data, name: 'Too late' }, label: 'Late' });
  stale.mockRestore();
  expect(late.status).toBe(409);
  expect((await get('people/wren')).data.name).toBe(now.data.name);
});

test('history further back than is wanted is forgotten; what it made stays, and later changes are still taken back', async () => {
  const own = await startApp();
  const { db } = own.database;
  const save = async (version: number, name: string) => {
    const data = { ...((await own.http.get('/api/projects/print-shed/people/wren')).body as { data: object }).data, name };
    await own.http.put('/api/projects/print-shed/people/wren').send({ version, data, label: name }).expect(200);
  };
  await save(1, 'Old');
  await db.update(changes).set({ at: new Date(Date.now() - 40 * 86_400_000) });
  await save(2, 'New');
  expect(await forgetBefore(db, 60)).toBe(0);
  expect(await forgetBefore(db, 30)).toBe(1);
  const undo = () => own.http.post('/api/projects/print-shed/undo').send({ scope: ['people/wren'] });
  expect((await undo()).body).toMatchObject({ step: { label: 'New', record: { data: { name: 'Old' } } }, undo: null });
  expect((await undo()).body).toMatchObject({ step: null });
  await own.close();
}, 60_000);

test('what an edit changed is told with the device that it came from', async () => {
  await put<{ height: number }>('people/wren', (p) => (p.height = 140_000_000), 'Grew');
  const [latest] = (await http().get(`${shed}/changes`)).body as { change: number; label: string; device: string; undone: boolean }[];
  expect(latest).toMatchObject({ label: 'Grew', kind: 'people', recordId: 'wren', device: 'Desk in the shed', undone: false });
  const before = (await http().get(`${shed}/changes?before=${latest?.change}`)).body as { change: number }[];
  expect(before.every((c) => c.change < (latest?.change ?? 0))).toBe(true);
  await walk('undo', 'people/wren');
  expect((await http().get(`${shed}/changes`)).body[0]).toMatchObject({ label: 'Grew', undone: true });
});

test('what was found in what is built is told with its device as well, under its piece; undo leaves it', async () => {
  const piece = 'composing-table';
  const reading = { piece, space: 'front-bay', reach: 'width', value: 45_000_000 };
  const sent = await http().post(`${shed}/readings`).send({ id: 'told-1', data: reading });
  expect([sent.status, sent.body.errors]).toEqual([201, undefined]);
  const again = await http()
    .post(`${shed}/readings`)
    .send({ id: 'told-2', data: { ...reading, value: null } });
  expect(again.status).toBe(201);
  const told = (await http().get(`${shed}/changes`)).body.slice(0, 2) as object[];
  expect(told).toEqual([
    expect.objectContaining({ kind: 'readings', recordId: piece, label: 'The planned width counts again', device: 'Desk in the shed' }),
    expect.objectContaining({ kind: 'readings', recordId: piece, label: 'Read the width of a space as it is built' }),
  ]);
  const before = await http().get(`${shed}/history?scope=pieces/${piece}&scope=pieces`);
  expect(before.body.undo).not.toBe('Read the width of a space as it is built');
  await walk('undo', `pieces/${piece}`);
  expect((await http().get(`${shed}`)).body.readings.map((r: { id: string }) => r.id)).toEqual(
    expect.arrayContaining(['told-1', 'told-2']),
  );
});

test('an edit of a large piece adds what it changed to the history, and not the piece', async () => {
  const { data } = await get('pieces/tube-rack');
  await put('pieces/tube-rack', (p) => (p.name = 'Rack'), 'Renamed it');
  const [row] = await running.database.db.select().from(changes).orderBy(desc(changes.seq)).limit(1);
  expect([row?.before, row?.after, row?.delta]).toEqual([null, null, { piece: { name: [data.piece.name, 'Rack'] } }]);
  await walk('undo', 'pieces/tube-rack');
  expect((await get('pieces/tube-rack')).data).toEqual(data);
  await walk('redo', 'pieces/tube-rack');
  expect((await get('pieces/tube-rack')).data.piece.name).toBe('Rack');
  await walk('undo', 'pieces/tube-rack');
  // Edited anew, what was taken back cannot be done again, so nothing is kept of it.
  await put('pieces/tube-rack', (p) => (p.name = 'Rack by the door'), 'Renamed it again');
  const [closed] = await running.database.db.select().from(changes).where(eq(changes.closed, true)).orderBy(desc(changes.seq)).limit(1);
  expect(closed).toMatchObject({ label: 'Renamed it', before: null, after: null, delta: null });
});

test('a change that is named is taken back only while it is the latest, and once', async () => {
  const own = await startApp();
  const path = '/api/projects/print-shed/people/wren';
  const save = async (version: number, name: string) => {
    const { data } = (await own.http.get(path)).body as { data: object };
    const { body } = await own.http.put(path).send({ version, data: { ...data, name }, label: name });
    return (body as { change: number }).change;
  };
  const undo = (change: number) => own.http.post('/api/projects/print-shed/undo').send({ scope: ['people/wren'], change });
  const [first, second] = [await save(1, 'First'), await save(2, 'Second')];
  const prospects = await own.http.get('/api/projects/print-shed/history?scope=people/wren');
  expect(prospects.body).toMatchObject({ undo: 'Second', undoChange: second, redoChange: null });
  const early = await undo(first);
  expect([early.status, (early.body as { detail: string }).detail]).toEqual([409, expect.stringContaining('“Second” was done elsewhere')]);
  expect((await undo(second)).body).toMatchObject({ step: { label: 'Second' }, undoChange: first, redoChange: second });
  // Asked again, since the answer was lost: nothing more is taken back.
  expect((await undo(second)).body).toMatchObject({ step: null, undo: 'First' });
  expect(((await own.http.get(path)).body as { data: { name: string } }).data.name).toBe('First');
  await own.close();
}, 60_000);
