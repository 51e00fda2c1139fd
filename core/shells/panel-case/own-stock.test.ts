import { mm, toMm } from '../../length/index.js';
import { shellOf, type PanelCase } from '../index.js';
import { solve } from '../../solution/index.js';
import { divided, piece, stock, workshop } from '../../testing/samples.js';

const shop = workshop({
  stock: { thick: stock({ name: 'ply 25', thickness: mm(25) }), slim: stock({ name: 'ply 15', thickness: mm(15) }) },
});
const { stock: woods } = piece(divided('in', 'up', 2));
const at = (id: string, extra = {}) => {
  const s = solve(piece(divided('in', 'up', 2), { stock: { ...woods, top: 'thick', bottom: 'slim' }, ...extra }), shop, {});
  const member = s.shape.members.find((m) => m.id === id);
  return { s, member };
};

test('a top of 25 and a bottom of 15 leave 1960 clear of 2000, one sum for each', () => {
  const { s, member } = at('case/top/1');
  const inside = [...s.shape.runs.values()][0];
  expect([toMm(inside?.run.total.value ?? mm(1)), toMm(inside?.datum.value ?? mm(1))]).toEqual([1960, 15]);
  expect([toMm(member?.thickness.value ?? mm(1)), toMm(member?.frame.origin.y ?? mm(1))]).toEqual([25, 1975]);
  expect(s.checks.filter((c) => c.id.startsWith('overlap'))).toEqual([]);
});

test('over and under the sides they leave them 1960, standing on the bottom of 15', () => {
  const { member, s } = at('case/side/left', { top: 'over', bottom: 'over' });
  expect([toMm(member?.length.value ?? mm(1)), toMm(member?.frame.origin.y ?? mm(1))]).toEqual([1960, 15]);
  expect(s.parts.find((p) => p.id === 'case/bottom/1')?.member.stock.name).toBe('ply 15');
});

test('left out, they are of the stock of the sides', () => {
  const s = solve(piece(divided('in', 'up', 2)), shop, {});
  expect(['case/top/1', 'case/bottom/1'].map((id) => s.parts.find((p) => p.id === id)?.member.stock.name)).toEqual(['ply 20', 'ply 20']);
});

test('one that is of its own stock is made of another alone, the others of the case all together', () => {
  const edit = (id: string, extra = {}) => {
    const { s, member } = at(id, extra);
    if (!member) throw new Error(`there is no ${id}`);
    return shellOf(s.piece).withStock(s.piece, member, 'other');
  };
  const patch = (change: Partial<PanelCase['stock']>, now = { ...woods, top: 'thick', bottom: 'slim' }) => ({
    kind: 'piece',
    patch: { stock: { ...now, ...change } },
  });
  expect(edit('case/bottom/1')).toEqual(patch({ bottom: 'other' }));
  expect(edit('case/top/1')).toEqual(patch({ top: 'other' }));
  expect(edit('case/side/left')).toEqual(patch({ sides: 'other' }));
  const plain = solve(piece(divided('in', 'up', 2)), shop, {});
  const bottom = plain.shape.members.find((m) => m.id === 'case/bottom/1');
  expect(bottom && shellOf(plain.piece).withStock(plain.piece, bottom, 'other')).toEqual({
    kind: 'piece',
    patch: { stock: { ...woods, sides: 'other' } },
  });
});
