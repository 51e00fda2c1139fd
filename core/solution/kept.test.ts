import fc from 'fast-check';
import { carry, fixingsOf, type Carried } from '../carry/index.js';
import { checksOf } from '../checks/index.js';
import type { Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { anyPiece, isWhole, random } from '../testing/every-kind.js';
import { runs } from '../testing/runs.js';
import { solve } from './index.js';

/** Each is solved four times over. */
const PIECES = 12;

/** What is known of no member: each is a copy that nothing was ever found out about. */
const forgotten = (shape: Shape): Shape => ({ ...shape, members: shape.members.map((m) => ({ ...m })) });

/** The same piece with nothing in it, so that its members are as they were and carry less. */
const empty = (piece: Piece) => JSON.parse(JSON.stringify(piece, (key, value: unknown) => (key === 'things' ? [] : value))) as Piece;

/** The same shop where it is wet, so that wood creeps more. */
const wet = (shop: Workshop): Workshop => ({ ...shop, settings: { ...shop.settings, serviceClass: 3 } });

/** All that is said of what members carry, in plain values. */
function saidOf({ members, floor, massKg }: Carried, { settings }: Workshop) {
  const byId = new Map([...members].map(([id, c]) => [id, c.member]));
  const each = [...members].map(([id, c]) => [
    id,
    c.supports,
    c.total,
    c.state,
    c.missing,
    c.handed,
    c.bending?.verdict.today.mm,
    c.bending?.strength.used,
    c.bending?.room,
    fixingsOf(c, byId, settings).map((f) => [f.state, f.sentence()]),
  ]);
  return [['floor', floor], ['mass', massKg], ...each];
}

/** The first of them that differs is told alone: a difference between whole pieces would take minutes to lay out. */
function expectSame(ones: readonly unknown[], others: readonly unknown[]): void {
  expect(ones).toHaveLength(others.length);
  ones.forEach((one, i) => {
    if (JSON.stringify(one) !== JSON.stringify(others[i])) expect(one).toEqual(others[i]);
  });
}

test('what is kept from other solves is what comes of it where nothing was kept', () => {
  let whole = 0;
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      for (const [one, at] of [
        [piece, wet(shop)],
        [empty(piece), shop],
      ] as const)
        expect(solve(one, at, {}).checks).toBeDefined();
      const again = solve(piece, shop, {});
      if (!isWhole(again)) return;
      whole += 1;
      const fresh = forgotten(again.shape);
      const carried = carry(fresh, shop);
      expectSame(saidOf(again.carried, shop), saidOf(carried, shop));
      const checks = checksOf(piece, fresh, carried, again.letters, shop, [], again.parts);
      const told = (all: typeof checks) => all.filter((c) => !c.id.startsWith('uncuttable')).map((c) => [c.id, c.state, c.sentence]);
      expectSame(told(again.checks), told(checks));
    }),
    random(PIECES),
  );
  expect(whole).toBeGreaterThan(runs(1));
}, 120_000);
