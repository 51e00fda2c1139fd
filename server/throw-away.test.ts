import { addThrowAway, throwAway } from '../core/testing/throw-away.js';
import { startApp, type TestApp } from './test/app.js';

let running: TestApp;
let takeOut: () => void;
beforeAll(async () => {
  takeOut = addThrowAway();
  running = await startApp();
}, 60_000);
afterAll(async () => {
  await running.close();
  takeOut();
});

const shed = '/api/projects/print-shed';
const stock = { ends: 'birch-18' };
const panels = { ...throwAway.panels, stock: { shelves: 'birch-18', dividers: 'birch-18' } };
const rods = { kind: 'rods', stock: 'birch-18', thick: 40 * 80_000 };
const piece = { ...throwAway, stock, panels, interior: { ...throwAway.interior, split: { ...throwAway.interior.split, making: rods } } };
const space = (things: unknown) => ({
  ...piece,
  interior: { ...piece.interior, split: { ...piece.interior.split, spaces: piece.interior.split.spaces?.map((s) => ({ ...s, things })) } },
});

test('a piece of kinds that no program has is kept, solved, changed, taken back and refused where it is wrong', async () => {
  const { http } = running;
  const empty = space([]);
  const made = await http.post(`${shed}/pieces`).send({ id: 'it', data: empty, label: 'Made it' });
  expect([made.status, made.body.data?.piece]).toEqual([201, empty]);
  expect((await http.get(`${shed}/pieces/it/solution`)).body.parts).toHaveLength(3);

  const higher = { ...empty, lift: 150 * 80_000 };
  const saved = await http.put(`${shed}/pieces/it`).send({ version: 1, data: higher, label: 'Lifted it' });
  expect([saved.status, saved.body.data?.piece.lift]).toEqual([200, 12_000_000]);
  const undone = await http.post(`${shed}/undo`).send({ scope: ['pieces/it'] });
  expect([undone.body.step.label, undone.body.step.record.data.piece.lift]).toEqual(['Lifted it', 8_000_000]);

  const wrong = await http.put(`${shed}/pieces/it`).send({ version: 3, data: { ...empty, lift: 'high' }, label: 'Broke it' });
  expect([wrong.status, wrong.text]).toEqual([400, expect.stringContaining('/data/lift')]);
  const used = await http.delete(`${shed}/stock/birch-18?version=1`);
  expect([used.status, used.text]).toEqual([409, expect.stringContaining('Throw-away')]);
});
