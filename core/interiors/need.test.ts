import { mm, toMm, type Length } from '../length/index.js';
import type { Axis } from '../piece/index.js';
import { panels, space, thing, workshop } from '../testing/samples.js';
import { spaceNeed } from './need.js';

const shop = workshop({ things: { tin: thing({ stack: 2 }) } });
/** One space throughout: what was asked of it before must not be told for what is asked now. */
const four = space('s', { things: [{ thing: 'tin', count: 4 }] });

function asked(axis: Axis, known: { readonly width?: Length; readonly depth?: Length } = {}, where = shop): number | null {
  const need = spaceNeed(four, axis, { workshop: where, panels: panels(), rounding: where.settings.rounding, ...known });
  return need && toMm(need.value);
}

test('four tins of 100, two high: by what is asked, in the room that is known', () => {
  // Three behind each other in 300, and with no width known as high as they may: one column, two layers.
  expect(asked('up', { depth: mm(300) })).toBe(200);
  // Three columns of three in 300 x 300: one layer.
  expect(asked('up', { depth: mm(300), width: mm(300) })).toBe(100);
  expect(asked('up', { depth: mm(300) })).toBe(200);
  // One behind the other: two columns of two layers across, and each 100 deep.
  expect(asked('across', { depth: mm(100) })).toBe(200);
  expect(asked('across', { depth: mm(300) })).toBe(100);
  expect(asked('deep', { depth: mm(300) })).toBe(100);
});

test('another workshop with other tins is another question', () => {
  expect(asked('up', { depth: mm(300) })).toBe(200);
  const flat = workshop({ things: { tin: thing({ stack: 2, shape: { kind: 'box', width: mm(100), height: mm(30), depth: mm(100) } }) } });
  expect(asked('up', { depth: mm(300) }, flat)).toBe(60);
  expect(asked('up', { depth: mm(300) }, workshop({ things: {} }))).toBe(100);
});
