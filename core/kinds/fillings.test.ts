import { ZERO, mm } from '../length/index.js';
import { divided, piece, space } from '../testing/samples.js';
import type { Boards, Cells, Drawers, Slats } from '../interiors/index.js';
import { findSpace, spacesOf, type Split } from '../piece/index.js';
import type { InPlace } from '../shells/index.js';
import { EditError, applyEdit, namedIn } from './index.js';

const drawers: Drawers = {
  kind: 'drawers',
  face: 'front',
  front: { kind: 'none', between: mm(3), below: mm(3), above: mm(3) },
  oversize: ZERO,
  runner: { kind: 'slide', slide: 'ball', length: mm(400) },
  less: mm(20),
  rise: mm(8),
  behind: ZERO,
  box: { order: 'ends-between', join: 'nailed', bottom: { kind: 'applied' } },
  stock: { box: 'wall', bottom: 'thin', front: 'ply' },
  linesFrom: 'bottom',
};
const slats: Slats = {
  kind: 'slats',
  stock: 'ply',
  wide: mm(30),
  ends: 'flush',
  supports: { stock: 'rail', count: 2, wide: mm(40), inset: mm(20), trim: ZERO },
};
const boards: Boards = { kind: 'boards', stock: 'wall', high: mm(60), ends: false, fit: ZERO, channel: ZERO, glued: true };
const cells: Cells = { kind: 'cells', thing: 'tin', free: mm(5), make: { kind: 'half-lapped', stock: 'thin' }, blocked: [], features: [] };

const parts = (count: number): Pick<Split, 'members' | 'spaces'> => ({
  members: Array.from({ length: count - 1 }, (_, i) => ({ id: `m${i + 1}` })),
  spaces: Array.from({ length: count }, (_, i) => space(`d${i + 1}`)),
});
const bank = (making: NonNullable<Split['making']>, count = 3): Split => ({ axis: 'up', making, ...parts(count) });
const base = piece(divided('in', 'across', 2));
const filled = applyEdit(base, { kind: 'fill', space: 'in-1', split: bank(drawers) });
const things = [{ thing: 'tin', count: 4 }];

describe('a space is filled', () => {
  test('with drawers: what stood in it lies in the first', () => {
    const full = applyEdit(base, { kind: 'things', space: 'in-1', things });
    const after = applyEdit(full, { kind: 'fill', space: 'in-1', split: bank(drawers) });
    expect(findSpace(after.interior, 'in-1')?.space.things).toEqual([]);
    expect(findSpace(after.interior, 'd1')?.space.things).toEqual(things);
  });

  test('with slats: what stood in it stays on the deck', () => {
    const full = applyEdit(base, { kind: 'things', space: 'in-1', things });
    const after = applyEdit(full, { kind: 'fill', space: 'in-1', split: bank(slats) });
    expect(findSpace(after.interior, 'in-1')?.space.things).toEqual(things);
  });

  test('with cells, once the things are out', () => {
    const full = applyEdit(base, { kind: 'things', space: 'in-1', things });
    expect(() => applyEdit(full, { kind: 'fill', space: 'in-1', filling: cells })).toThrow(EditError);
    expect(findSpace(applyEdit(base, { kind: 'fill', space: 'in-1', filling: cells }).interior, 'in-1')?.space.filling).toEqual(cells);
  });

  test('only while it is open; cleared it is open again, with all its things', () => {
    expect(() => applyEdit(filled, { kind: 'fill', space: 'in-1', split: bank(slats) })).toThrow(/already divided/);
    const held = applyEdit(filled, { kind: 'things', space: 'd2', things });
    const cleared = applyEdit(held, { kind: 'clear', space: 'in-1' });
    expect(findSpace(cleared.interior, 'in-1')?.space).toMatchObject({ things });
    expect(findSpace(cleared.interior, 'in-1')?.space.split).toBeUndefined();
  });
});

describe('a bank of drawers is changed like any run', () => {
  const count = (p: typeof base) => findSpace(p.interior, 'in-1')?.space.split?.spaces.length;

  test('one is added, taken out, and evened; the last one stays a bank', () => {
    const four = applyEdit(filled, { kind: 'add', space: 'd2', member: 'm9', beyond: 'd9' });
    expect(count(four as typeof base)).toBe(4);
    const three = applyEdit(four, { kind: 'drop', member: 'm9' });
    expect(count(three as typeof base)).toBe(3);
    const one = applyEdit(three, { kind: 'even', space: 'in-1', members: 0, newMembers: [], newSpaces: [] });
    expect(count(one as typeof base)).toBe(1);
    const makingOf = (p: typeof one) => findSpace(p.interior, 'in-1')?.space.split?.making;
    expect(makingOf(one)).toBeDefined();
    expect(makingOf(one)).toEqual(makingOf(filled));
  });

  test('its making is changed for all of them, but not into another kind', () => {
    const deeper = applyEdit(filled, { kind: 'making', space: 'in-1', making: { ...drawers, less: mm(30) } });
    expect(findSpace(deeper.interior, 'in-1')?.space.split?.making).toMatchObject({ less: mm(30) });
    expect(() => applyEdit(filled, { kind: 'making', space: 'in-1', making: boards })).toThrow(/not made of boards/);
    expect(() => applyEdit(filled, { kind: 'filling', space: 'in-1', filling: cells })).toThrow(/not filled with cells/);
  });
});

describe('fields of a shell that it does not have', () => {
  const { name, width, height, depth, panels, edges, interior } = base;
  const inPlace: InPlace = {
    name,
    width,
    height,
    depth,
    panels,
    edges,
    interior,
    shell: 'in-place',
    place: 'an old cabinet',
    fixedToWall: true,
  };

  test('are refused by name', () => {
    expect(() => applyEdit(inPlace, { kind: 'piece', patch: { base: { kind: 'none' } } })).toThrow(/has no base/);
    expect(() => applyEdit(base, { kind: 'piece', patch: { cover: mm(10) } })).toThrow(/has no cover/);
    expect(() => applyEdit(base, { kind: 'piece', patch: {}, without: ['packing'] })).toThrow(/has no packing/);
    expect(() => applyEdit(inPlace, { kind: 'piece', patch: {}, without: ['place'] })).toThrow(/cannot be without its place/);
  });

  test('packing is put in and taken out', () => {
    const packing = { out: mm(24), stock: 'ply', wide: mm(60) };
    const packed = applyEdit(inPlace, { kind: 'piece', patch: { packing } });
    expect(packed).toMatchObject({ packing });
    expect(applyEdit(packed, { kind: 'piece', patch: {}, without: ['packing'] })).not.toHaveProperty('packing');
  });
});

test('everything that the inside of a piece names is found, with where', () => {
  const deck = applyEdit(filled, {
    kind: 'fill',
    space: 'in-2',
    split: { axis: 'deep', making: slats, members: [{ id: 's1' }], spaces: [space('g1'), space('g2')] },
  });
  const inDrawer = applyEdit(deck, { kind: 'fill', space: 'd1', filling: cells });
  const named = namedIn(inDrawer.interior).map((n) => `${n.kind} ${n.id} in ${n.where}`);
  expect(named.sort()).toEqual(
    [
      'slide ball in space in-1',
      'stock ply in space in-1',
      'stock ply in space in-2',
      'stock rail in space in-2',
      'stock thin in space d1',
      'stock thin in space in-1',
      'stock wall in space in-1',
      'thing tin in space d1',
    ].sort(),
  );
  expect([...spacesOf(inDrawer.interior)]).toHaveLength(1 + 2 + 3 + 2);
});
