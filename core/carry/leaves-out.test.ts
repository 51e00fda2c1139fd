import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import type { Placement } from '../things/index.js';
import type { Space } from '../piece/index.js';
import type { PanelCase } from '../shells/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, workshop, panels } from '../testing/samples.js';
import { leavesOut, stopsBuild, type CarriedMember } from './index.js';
import { asKg } from '../measures/index.js';

function leftOut(id: string, things: Placement[], extra: Partial<PanelCase> = {}, columns = 1): readonly string[] {
  const inside = divided('in', 'up', 2);
  (inside.split as NonNullable<Space['split']>).spaces[1] = { ...(inside.split?.spaces[1] as Space), things };
  if (columns > 1) (inside.split?.spaces[0] as Space).split = divided('low', 'across', columns).split as NonNullable<Space['split']>;
  const s = solve(piece(inside, extra), workshop(), {});
  const members = new Map(s.shape.members.map((m) => [m.id, m]));
  return leavesOut(s.carried.members.get(id) as CarriedMember, members, s.workshop.settings).map(writeExactly);
}
const SHELF = 'in-m1/shelf/1';
const tins = (at?: Placement['at']): Placement[] => [{ thing: 'tin', count: 3, ...(at === undefined ? {} : { at }) }];

test('how its load was put on it is said', () => {
  expect(leftOut(SHELF, tins())[0]).toContain('may stand anywhere on it: the worst place counts');
  expect(leftOut(SHELF, tins('spread'))[0]).toContain('spread evenly, or stands where it is said to');
  expect(leftOut(SHELF, tins(mm(100)))[0]).toContain('stands where it is said to');
});

test('supports are taken as stiff, and shear is not checked, whatever it is', () => {
  const said = leftOut(SHELF, tins());
  expect(said.some((s) => s.startsWith('What carries it is taken as stiff'))).toBe(true);
  expect(said.at(-1)).toBe('Shear in the wood, and across the plies of a sheet, is not checked.');
});

test('a back that is there and does not hold it is said not to count; none is not spoken of', () => {
  expect(leftOut(SHELF, tins(), { back: { kind: 'applied' } }).join()).toContain('The back is not counted as a support');
  expect(leftOut(SHELF, tins()).join()).not.toContain('back');
  const held = leftOut('case/top/1', [], { back: { kind: 'applied', allRound: true } }).join();
  expect(held).not.toContain('The back is not counted');
  expect(held).toContain('taken as a thin plate');
});

test('joints that are not checked are counted', () => {
  const mdf = { panels: panels({ fix: 'butted' }) };
  expect(leftOut(SHELF, tins(), mdf).join()).not.toContain('not checked.,');
  const inside = divided('in', 'up', 2);
  (inside.split?.spaces[1] as Space).things = tins();
  const shop = workshop({
    stock: {
      ply: {
        ...(workshop().stock.get('ply') as NonNullable<
          ReturnType<typeof workshop>['stock'] extends ReadonlyMap<string, infer S> ? S : never
        >),
        material: 'mdf',
      },
    },
  });
  const s = solve(piece(inside, mdf), shop, {});
  const members = new Map(s.shape.members.map((m) => [m.id, m]));
  const said = leavesOut(s.carried.members.get(SHELF) as CarriedMember, members, shop.settings).map(writeExactly);
  expect(said.some((t) => t === '2 of its joints are not checked.')).toBe(true);
});

test('over eight uprights that it can lift off, not every way of loading it was tried', () => {
  expect(leftOut(SHELF, tins('spread'), {}, 9).join()).toContain('not every way of loading it was tried');
  expect(leftOut(SHELF, tins('spread'), {}, 3).join()).not.toContain('not every way');
});

test('what falls or may break stops the build; what sags does not', () => {
  const at = (kg: number) => {
    const inside = divided('in', 'up', 2);
    (inside.split?.spaces[1] as Space).things = [{ thing: 'tin', count: 1, at: 'spread' }];
    const heavy = workshop();
    const things = new Map(heavy.things).set('tin', {
      ...(heavy.things.get('tin') as NonNullable<ReturnType<typeof heavy.things.get>>),
      mass: asKg(kg),
    });
    return solve(piece(inside), { ...heavy, things }, {}).carried.members.get(SHELF) as CarriedMember;
  };
  expect([at(60), at(600)].map((c) => [c.state, stopsBuild(c)])).toEqual([
    ['fails', false],
    ['fails', true],
  ]);
});
