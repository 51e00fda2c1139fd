import { mm, toMm, type Length } from '../length/index.js';
import { solve } from '../solution/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { divided, piece, space, workshop } from '../testing/samples.js';
import { findMember, findSpace, type Piece, type PieceEdit, type Space } from '../piece/index.js';
import { EditError, applyEdit, idsWithin } from './index.js';

const shelves = piece(divided('s', 'up', 3));

const apply = (start: Piece, ...edits: PieceEdit[]) => edits.reduce(applyEdit, start);
const spaces = (p: Piece, id = 's') => findSpace(p.interior, id)?.space.split?.spaces.map((s) => s.id);
const members = (p: Piece, id = 's') => findSpace(p.interior, id)?.space.split?.members.map((m) => m.id);

test('an edit leaves the piece it was made on as it was', () => {
  const before = structuredClone(shelves);
  apply(shelves, { kind: 'rule', space: 's-1', rule: { kind: 'fixed', size: mm(300) } });
  expect(shelves).toEqual(before);
});

test('a member is added after a space, with a new space beyond it', () => {
  const p = apply(shelves, { kind: 'add', space: 's-2', member: 'new', beyond: 'far' });
  expect(spaces(p)).toEqual(['s-1', 's-2', 'far', 's-3']);
  expect(members(p)).toEqual(['s-m1', 'new', 's-m2']);
});

test('a dropped member joins its spaces and their things', () => {
  const p = apply(
    shelves,
    { kind: 'things', space: 's-1', things: [{ thing: 'tin', count: 2 }] },
    { kind: 'things', space: 's-2', things: [{ thing: 'tin', count: 3 }] },
    { kind: 'drop', member: 's-m1' },
  );
  expect(spaces(p)).toEqual(['s-1', 's-3']);
  expect(findSpace(p.interior, 's-1')?.space.things).toEqual([{ thing: 'tin', count: 5 }]);
});

test('dropping the last member leaves one open space with everything in it', () => {
  const p = apply(
    piece(divided('s', 'up', 2)),
    { kind: 'things', space: 's-2', things: [{ thing: 'tin', count: 1 }] },
    { kind: 'drop', member: 's-m1' },
  );
  expect(p.interior.split).toBeUndefined();
  expect(p.interior.things).toEqual([{ thing: 'tin', count: 1 }]);
});

test('dropping a member keeps a divided neighbour divided', () => {
  const p = apply(
    shelves,
    { kind: 'split', space: 's-2', axis: 'across', members: ['post'], spaces: ['l', 'r'] },
    { kind: 'things', space: 's-1', things: [{ thing: 'tin', count: 1 }] },
    { kind: 'drop', member: 's-m1' },
  );
  expect(spaces(p)).toEqual(['s-2', 's-3']);
  expect(findSpace(p.interior, 'l')?.space.things).toEqual([{ thing: 'tin', count: 1 }]);
});

test('splitting keeps the things in the first part', () => {
  const p = apply(piece(space('s', { things: [{ thing: 'tin', count: 4 }] })), {
    kind: 'split',
    space: 's',
    axis: 'up',
    members: ['m'],
    spaces: ['a', 'b'],
  });
  expect(findSpace(p.interior, 'a')?.space.things).toEqual([{ thing: 'tin', count: 4 }]);
  expect(p.interior.things).toEqual([]);
});

test('even makes all spaces share, with more members or fewer', () => {
  const odd = apply(
    shelves,
    { kind: 'rule', space: 's-1', rule: { kind: 'fixed', size: mm(300) } },
    { kind: 'pin', member: 's-m2', at: mm(900) },
  );
  const more = apply(odd, { kind: 'even', space: 's', members: 4, newMembers: ['n1', 'n2'], newSpaces: ['x', 'y'] });
  expect(members(more)).toEqual(['s-m1', 's-m2', 'n1', 'n2']);
  expect(findSpace(more.interior, 's')?.space.split?.spaces.every((s) => s.rule.kind === 'share')).toBe(true);
  expect(findMember(more.interior, 's-m2')?.member.at).toBeUndefined();
  expect(members(apply(more, { kind: 'even', space: 's', members: 1, newMembers: [], newSpaces: [] }))).toEqual(['s-m1']);
});

test('a member is held at a place or lined up with another, not both', () => {
  const p = apply(shelves, { kind: 'pin', member: 's-m1', at: mm(700) }, { kind: 'align', member: 's-m1', sameAs: 's-m2' });
  expect(findMember(p.interior, 's-m1')?.member).toEqual({ id: 's-m1', sameAs: 's-m2' });
  expect(findMember(apply(p, { kind: 'pin', member: 's-m1', at: null }).interior, 's-m1')?.member).toEqual({ id: 's-m1' });
});

test('what was lined up with a dropped member is let go', () => {
  const p = apply(shelves, { kind: 'align', member: 's-m1', sameAs: 's-m2' }, { kind: 'drop', member: 's-m2' });
  expect(findMember(p.interior, 's-m1')?.member).toEqual({ id: 's-m1' });
});

test('names, bounds and members are set and taken away', () => {
  const p = apply(
    shelves,
    { kind: 'name', space: 's-1', name: 'tubs' },
    { kind: 'bounds', space: 's-1', least: mm(200) },
    { kind: 'member', member: 's-m1', patch: { fix: 'housed' } },
    { kind: 'piece', patch: { fixedToWall: false } },
  );
  expect(findSpace(p.interior, 's-1')?.space).toMatchObject({ name: 'tubs', least: mm(200) });
  expect(findMember(p.interior, 's-m1')?.member.fix).toBe('housed');
  expect(p.fixedToWall).toBe(false);
  const bare = apply(p, { kind: 'name', space: 's-1', name: ' ' }, { kind: 'bounds', space: 's-1' });
  expect(findSpace(bare.interior, 's-1')?.space).toEqual(space('s-1'));
});

test.each<[string, PieceEdit]>([
  ['a space that is not there', { kind: 'name', space: 'no', name: 'x' }],
  ['a member that is not there', { kind: 'pin', member: 'no', at: mm(1) }],
  ['adding beside the whole inside', { kind: 'add', space: 's', member: 'm', beyond: 'b' }],
  ['splitting what is divided', { kind: 'split', space: 's', axis: 'up', members: ['m'], spaces: ['a', 'b'] }],
  ['splitting into the wrong number', { kind: 'split', space: 's-1', axis: 'up', members: ['m'], spaces: ['a'] }],
  ['dropping what is not there', { kind: 'drop', member: 'no' }],
  ['lining up with what is not there', { kind: 'align', member: 's-m1', sameAs: 'no' }],
  ['evening with ids missing', { kind: 'even', space: 's', members: 9, newMembers: [], newSpaces: [] }],
])('%s is an error', (_, edit) => {
  expect(() => applyEdit(shelves, edit)).toThrow(EditError);
});

describe('taking out a drawer', () => {
  const bank = chest(drawers()).piece;
  const things = (p: Piece, id: string) => findSpace(p.interior, id)?.space.things.map((t) => [t.thing, t.count]);

  test('takes one reveal with it, and its things go to its neighbour', () => {
    const first = apply(bank, { kind: 'drop-part', space: 'd1' });
    expect([spaces(first, 'in'), members(first, 'in'), things(first, 'd2')]).toEqual([['d2', 'd3'], ['r2'], [['tin', 2]]]);
    const last = apply(bank, { kind: 'drop-part', space: 'd3' });
    expect([spaces(last, 'in'), members(last, 'in')]).toEqual([['d1', 'd2'], ['r1']]);
  });

  test('the last one leaves the space open, with its things', () => {
    const empty = apply(bank, ...['d2', 'd3', 'd1'].map((space): PieceEdit => ({ kind: 'drop-part', space })));
    expect([findSpace(empty.interior, 'in')?.space.split, things(empty, 'in')]).toEqual([undefined, [['tin', 2]]]);
  });

  test('what is left shares what its reveal and the drawer took: 1960 − 3 × 4 − 300 = 1648', () => {
    const two = apply(bank, { kind: 'rule', space: 'd2', rule: { kind: 'fixed', size: mm(300) } }, { kind: 'drop-part', space: 'd3' });
    expect([...solve(two, chestShop, {}).shape.runs.values()][0]?.run.lines.map((l) => toMm(l.size.value))).toEqual([4, 1648, 4, 300, 4]);
  });
});

describe('a bay divided like its neighbour', () => {
  const inside = divided('in', 'across', 2);
  const [left] = inside.split?.spaces ?? [];
  Object.assign(left ?? {}, { split: divided('in-1', 'up', 3).split });
  const bays = piece(inside);
  const ids = Object.fromEntries(idsWithin(left as Space).map((id) => [id, `${id}-copy`]));

  test('has the same shelves and rules under new ids, and keeps what stood in it', () => {
    const p = apply(
      bays,
      { kind: 'rule', space: 'in-1-2', rule: { kind: 'fixed', size: mm(300) } },
      { kind: 'things', space: 'in-1-1', things: [{ thing: 'tin', count: 3 }] },
      { kind: 'things', space: 'in-2', things: [{ thing: 'tin', count: 2 }] },
      { kind: 'copy-layout', from: 'in-1', to: 'in-2', ids },
    );
    expect([spaces(p, 'in-2'), members(p, 'in-2')]).toEqual([
      ['in-1-1-copy', 'in-1-2-copy', 'in-1-3-copy'],
      ['in-1-m1-copy', 'in-1-m2-copy'],
    ]);
    expect(findSpace(p.interior, 'in-1-2-copy')?.space.rule).toEqual({ kind: 'fixed', size: mm(300) });
    // Things are where they are: three on the left, two on the right, none of them twice.
    expect([findSpace(p.interior, 'in-1-1')?.space.things, findSpace(p.interior, 'in-1-1-copy')?.space.things]).toEqual([
      [{ thing: 'tin', count: 3 }],
      [{ thing: 'tin', count: 2 }],
    ]);
    const bays2 = [...solve(p, workshop(), {}).shape.runs.values()].filter((r) => r.axis === 'up');
    expect(bays2.map((r) => r.run.lines.map((l) => toMm(l.size.value)))).toEqual([
      [810, 20, 300, 20, 810],
      [810, 20, 300, 20, 810],
    ]);
  });

  test('ids that are missing, or nothing to copy, are an error', () => {
    expect(() => applyEdit(bays, { kind: 'copy-layout', from: 'in-1', to: 'in-2', ids: {} })).toThrow(EditError);
    expect(() => applyEdit(bays, { kind: 'copy-layout', from: 'in-2', to: 'in-1', ids: {} })).toThrow('is not divided');
  });
});

test('a shelf becomes a rail and loses what only panels have, or room; never both', () => {
  const stiff = apply(shelves, { kind: 'stiffen', member: 's-m1', strip: null, doubled: 'glued' });
  const is = (from: Piece, rail: Length | null, room: Length | null) =>
    findMember(apply(from, { kind: 'is', member: 's-m1', rail, room }).interior, 's-m1')?.member;
  expect(is(stiff, mm(42), null)).toEqual({ id: 's-m1', rail: mm(42) });
  expect(is(stiff, null, mm(5))).toEqual({ id: 's-m1', room: mm(5) });
  expect(is(apply(shelves, { kind: 'is', member: 's-m1', rail: mm(42), room: null }), null, null)).toEqual({ id: 's-m1' });
  expect(() => is(shelves, mm(1), mm(1))).toThrow(EditError);
});
