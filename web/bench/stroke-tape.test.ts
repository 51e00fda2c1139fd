import { PRINT_SHED } from '../../demo/print-shed.js';
import { workshopOf } from '../../core/formats/index.js';
import { solve } from '../../core/solution/index.js';
import { strokeOf } from './stroke-tape.js';

const shapeOf = (id: string) => {
  const kept = PRINT_SHED.pieces[id];
  if (!kept) throw new Error(`there is no ${id}`);
  return solve(kept.piece, workshopOf(PRINT_SHED), kept.letters).shape;
};

test('of drawers the one that is open, else the one that is selected, by itself, a part of it or its space; else none', () => {
  const chest = shapeOf('paper-chest');
  const [first, second] = chest.bodies;
  if (!first || !second) throw new Error('no drawers');
  expect(strokeOf(chest, null, 'nothing')).toBeNull();
  expect(strokeOf(chest, null, second.members[0] ?? '')?.id).toBe(second.id);
  expect(strokeOf(chest, null, second.id)?.id).toBe(second.id);
  expect(strokeOf(chest, first.id, second.id)?.id).toBe(first.id);
});

test('a pull-out is told without being asked; what turns has no stroke', () => {
  expect(strokeOf(shapeOf('guest-bed'), null, 'nothing')?.heldOut).toBeDefined();
  const table = shapeOf('inking-table');
  for (const { id } of table.bodies) expect(strokeOf(table, id, id)).toBeNull();
});
