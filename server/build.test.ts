import { buildingOf, type Building } from '../core/build/index.js';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
beforeAll(async () => {
  running = await startApp();
}, 60_000);
afterAll(() => running.close());

const shed = '/api/projects/print-shed';
const tick = (step: string, done = true, piece = 'mat-drawer', at = '2026-05-04T18:00:00Z') =>
  running.http.post(`${shed}/pieces/${piece}/steps`).send({ step, at, done });
const doneOf = async (piece: string) => {
  const { body } = await running.http.get(`${shed}/buildings`);
  return (body as { data: Building }[]).find((b) => b.data.piece === piece)?.data.done.map((d) => d.step);
};
const made = (id: string, data: object) => running.http.post(`${shed}/made`).send({ id, data });
const size = 80_000 * 400;
const fact = {
  piece: 'mat-drawer',
  part: 'a-part',
  is: 'cut',
  length: size,
  width: size,
  thickness: 80_000 * 15,
  planned: { length: size, width: size, thickness: 80_000 * 15 },
  at: '2026-05-04T18:00:00Z',
};

test('a tick that comes twice is one tick; what is taken back is not done', async () => {
  expect((await tick('buy')).status).toBe(201);
  expect((await tick('buy')).status).toBe(201);
  expect((await tick('saw')).status).toBe(201);
  expect(await doneOf('mat-drawer')).toEqual(['buy', 'saw']);
  await tick('buy', false);
  expect(await doneOf('mat-drawer')).toEqual(['saw']);
  expect((await running.http.get(`${shed}/buildings`)).body.filter((b: { data: Building }) => b.data.piece === 'mat-drawer')).toHaveLength(
    1,
  );
});

test('ticks from two phones at once are both kept', async () => {
  const answers = await Promise.all(['a', 'b', 'c', 'd'].map((s) => tick(s, true, 'type-tray')));
  expect(answers.map((a) => a.status)).toEqual([201, 201, 201, 201]);
  expect([...((await doneOf('type-tray')) ?? [])].sort()).toEqual(['a', 'b', 'c', 'd']);
});

test('a tick for no piece, of no step, or at no time is refused', async () => {
  expect((await tick('buy', true, 'nowhere')).status).toBe(404);
  expect((await tick('')).status).toBe(400);
  expect((await tick('buy', true, 'mat-drawer', 'yesterday')).status).toBe(400);
});

test('what became of a part is added and never changed; undo leaves it', async () => {
  expect((await made('first', fact)).status).toBe(201);
  const refused = await made('first', { ...fact, length: size + 80_000 });
  expect([refused.status, JSON.parse(refused.text).detail]).toEqual([409, 'There is a note of a part first already.']);
  expect((await running.http.put(`${shed}/made/first`).send({})).status).toBe(404);
  expect((await running.http.delete(`${shed}/made/first?version=1`)).status).toBe(404);
  expect((await made('wrong', { ...fact, is: 'lost' })).status).toBe(400);
  // As long as nobody cuts.
  expect((await made('wrong', { ...fact, length: 1 })).status).toBe(400);
  expect((await made('nowhere', { ...fact, piece: 'nowhere' })).status).toBe(404);
  await running.http.post(`${shed}/undo`).send({ scope: ['pieces/mat-drawer'] });
  const { body } = await running.http.get(`${shed}/made`);
  expect((body as { id: string; data: { length: number } }[]).find((m) => m.id === 'first')?.data.length).toBe(size);
});

test('facts, the building and the log go through a file and back', async () => {
  const entry = { piece: 'mat-drawer', day: '2026-05-04', is: 'note', text: 'The bottom was tight.' };
  expect((await running.http.post(`${shed}/log`).send({ id: 'tight', data: entry, label: 'Note' })).status).toBe(201);
  const { text } = await running.http.get(`${shed}/file`);
  const read = await running.http.post('/api/projects/files?id=again').send(JSON.parse(text) as object);
  expect(read.status).toBe(201);
  const { body } = await running.http.get('/api/projects/again');
  expect(body.made.find((m: { id: string }) => m.id === 'first').data).toEqual(fact);
  expect(body.records.log.find((l: { id: string }) => l.id === 'tight').data).toEqual(entry);
  expect(body.records.buildings.find((b: { data: Building }) => b.data.piece === 'mat-drawer').data).toMatchObject({
    ...buildingOf('mat-drawer'),
    done: [{ step: 'saw', at: '2026-05-04T18:00:00.000Z' }],
  });
}, 60_000);

test('the sheets and the full-size prints are PDF; of no piece there are none', async () => {
  for (const path of ['sheets.pdf', 'full-size.pdf', 'full-size.pdf?jig=0']) {
    const answer = await running.http.get(`${shed}/pieces/ink-case/${path}`).buffer(true);
    expect([answer.status, answer.headers['content-type']]).toEqual([200, 'application/pdf']);
  }
  expect((await running.http.get(`${shed}/pieces/nowhere/sheets.pdf`)).status).toBe(404);
  expect((await running.http.get(`${shed}/pieces/ink-case/full-size.pdf?jig=first`)).status).toBe(400);
}, 30_000);
