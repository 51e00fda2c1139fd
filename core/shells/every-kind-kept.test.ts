import fc from 'fast-check';
import { mm } from '../length/index.js';
import { solve, type Solution } from '../solution/index.js';
import { anyPiece, random } from '../testing/every-kind.js';
import { stock } from '../testing/samples.js';

test('solving twice gives the same, and a thickness changed and changed back restores every figure', () => {
  const figures = (s: Solution) => s.shape.members.map((m) => [m.id, m.length.amount, m.width.amount, m.frame.origin, m.features]);
  fc.assert(
    fc.property(anyPiece, fc.integer({ min: 120, max: 220 }), ({ piece, shop }, tenths) => {
      const before = figures(solve(piece, shop, {}));
      const other = { ...shop, stock: new Map(shop.stock).set('ply', stock({ thickness: mm(tenths / 10) })) };
      solve(piece, other, {});
      expect(figures(solve(piece, shop, {}))).toEqual(before);
    }),
    random(50),
  );
});

test('letters never move to another part', () => {
  fc.assert(
    fc.property(anyPiece, anyPiece, ({ piece, shop }, { piece: next }) => {
      const first = solve(piece, shop, {}).letters;
      const then = solve(next, shop, first).letters;
      for (const [id, letter] of Object.entries(first)) expect(then[id]).toBe(letter);
      expect(new Set(Object.values(then)).size).toBe(Object.keys(then).length);
    }),
    random(25),
  );
});
