import { VERSION } from '../core/formats/index.js';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
beforeAll(async () => {
  running = await startApp();
}, 60_000);
afterAll(() => running.close());

const shed = '/api/projects/print-shed';
const http = () => running.http;
const get = async (path: string) => (await http().get(`${shed}/${path}`)).body;
const read = (id: string, data: object) => http().post(`${shed}/readings`).send({ id, data });
const width = (value: number | null, piece = 'composing-table') => ({ piece, space: 'front-end', reach: 'width', value });

/** How long the bottom of its first drawer is, mm. */
async function boxWide(): Promise<number | undefined> {
  const { parts } = await get('pieces/composing-table/solution');
  return (parts as { ids: string[]; width: { mm: number }; length: { mm: number } }[]).find((p) =>
    p.ids.includes('front-1/drawer-bottom/1'),
  )?.length.mm;
}

test('a reading is added, the last one counts, and what lies in that space follows', async () => {
  const before = await boxWide();
  const added = await read('again', width(560.5 * 80_000));
  expect([added.status, added.body.data.value]).toEqual([201, 44_840_000]);
  // 561.5 was read before: one less.
  expect(await boxWide()).toBeCloseTo((before as number) - 1, 6);
  expect((await get('readings')).map((r: { id: string }) => r.id)).toEqual(['runners-rear', 'runners-front', 'again']);
});

test('it is never changed nor taken away, and a second one of its id is refused', async () => {
  const refused = await read('again', width(8_000_000));
  expect([refused.status, JSON.parse(refused.text).detail]).toEqual([409, 'There is a reading again already.']);
  for (const answer of [await http().put(`${shed}/readings/again`).send({}), await http().delete(`${shed}/readings/again?version=1`)])
    expect(answer.status).toBe(404);
  expect((await get('readings')).find((r: { id: string }) => r.id === 'again').data.value).toBe(44_840_000);
});

test('undo of the piece leaves it, and knows nothing of readings', async () => {
  const { version, data } = await get('pieces/composing-table');
  await http()
    .put(`${shed}/pieces/composing-table`)
    .send({ version, data: { ...data.piece, name: 'Other' }, label: 'Named it' });
  await read('later', width(560 * 80_000));
  await http()
    .post(`${shed}/undo`)
    .send({ scope: ['pieces/composing-table'] });
  expect((await get('pieces/composing-table')).data.piece.name).toBe('Composing table');
  expect((await get('readings')).map((r: { id: string }) => r.id)).toContain('later');
  expect(
    (
      await http()
        .post(`${shed}/undo`)
        .send({ scope: ['readings'] })
    ).status,
  ).toBe(400);
});

test('of a piece that is not there, or of no size, it is refused with what is accepted', async () => {
  const nowhere = await read('nowhere', width(100, 'no-such-piece'));
  expect([nowhere.status, JSON.parse(nowhere.text).detail]).toEqual([404, expect.stringContaining('no-such-piece')]);
  const none = await read('none', width(0));
  expect([none.status, JSON.parse(none.text).errors[0].path]).toEqual([400, expect.stringContaining('value')]);
});

test('they are in the file and come in with it; of a piece that was taken out they wait until it is back', async () => {
  const file = JSON.parse((await http().get(`${shed}/file`)).text);
  expect(file.version).toBe(VERSION);
  expect(Object.keys(file.readings)).toEqual(['runners-rear', 'runners-front', 'again', 'later']);
  await http().post('/api/projects/files?id=other').send(file);
  const { readings } = (await http().get('/api/projects/other')).body;
  expect(readings.map((r: { id: string }) => r.id)).toEqual(Object.keys(file.readings));
  const { version } = await get('pieces/composing-table');
  await http().delete(`${shed}/pieces/composing-table?version=${version}`);
  expect(JSON.parse((await http().get(`${shed}/file`)).text).readings).toBeUndefined();
  await http()
    .post(`${shed}/undo`)
    .send({ scope: ['pieces'] });
  expect(Object.keys(JSON.parse((await http().get(`${shed}/file`)).text).readings)).toHaveLength(4);
}, 60_000);
