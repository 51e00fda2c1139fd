import { clashesOf, PlacedRow, rowBetween, setApart, type Clash } from '../carry/index.js';
import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import {
  facingFrame,
  flatFrame,
  rectangle,
  uprightFrame,
  SQUARE_EDGES,
  type Feature,
  type Frame,
  type Member,
  type Space,
} from '../piece/index.js';
import { applyEdit } from '../kinds/index.js';
import { size } from '../figure/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, stock, thing, workshop, panels } from '../testing/samples.js';
import { clashSentence, heldIn } from './index.js';
import { asKg } from '../measures/index.js';

/** A board of ash, 20 thick, in its place. */
function board(id: string, frame: Frame, long: number, wide: number, features: readonly Feature[] = [], thick = 20): Member {
  return {
    id,
    node: id,
    role: 'shelf',
    label: id,
    stockId: 'ash',
    stock: stock({ material: 'white-ash', form: 'board', thickness: mm(thick) }),
    outline: rectangle(mm(long), mm(wide)),
    frame,
    length: size('long', mm(long)),
    width: size('wide', mm(wide)),
    thickness: size('thick', mm(thick)),
    purpose: { length: 'between', width: 'between' },
    features,
    edges: SQUARE_EDGES,
  };
}
const at = (x: number, y: number, z: number) => ({ x: mm(x), y: mm(y), z: mm(z) });

/** The row of two screws that holds a board to what carries it. */
function rowOf(carrier: Member, carried: Member, count = 2): PlacedRow {
  const row = rowBetween(carrier, carried, 'mm');
  if ('why' in row) throw new Error(`no screws: ${row.why}`);
  return new PlacedRow(carried.id, row, count);
}
const name = (id: string) => `the ${id}`;
const said = (clash: Clash | undefined) => (clash ? writeExactly(clashSentence(clash, name)) : null);

// An upright of 20 at the left, 300 deep; boards 300 deep go to the right of it.
const side = (features: readonly Feature[] = []) => board('side', uprightFrame(at(0, 0, 0)), 2000, 300, features);
const shelf = (id: string, y: number) => board(id, flatFrame(at(20, y, 300)), 800, 300);

/** A cut 5 deep in the inner face of the side, up it and from its rear, mm. */
function cut(kind: 'groove' | 'housing', mate: string, [u0, u1]: [number, number], [v0, v1]: [number, number]): Feature {
  return { kind, face: 'up', mate, depth: mm(5), region: { u0: mm(u0), u1: mm(u1), v0: mm(v0), v1: mm(v1) } };
}

test('a rail on edge under a shelf is clear of it: its screws lie 30 under those of the shelf', () => {
  const rail = board('rail', facingFrame(at(20, 360, 253)), 800, 40);
  expect(clashesOf([rowOf(side(), shelf('shelf', 400)), rowOf(side(), rail)])).toEqual([]);
});

test('rows that meet in a post at one height are set apart by as little as it takes', () => {
  const post = board('post', uprightFrame(at(0, 0, 0)), 700, 45, [], 45);
  const across = board('across', facingFrame(at(45, 500, 12)), 800, 95);
  const back: Frame = { origin: at(32, 500, 45), u: [0, 0, 1], v: [0, 1, 0], n: [-1, 0, 0] };
  const rows = [rowOf(post, across), rowOf(post, board('back', back, 400, 95))];
  expect(clashesOf(rows).map((c) => c.kind)).toEqual(['meets']);
  const apart = setApart(rows);
  expect(clashesOf(apart)).toEqual([]);
  // Shanks of 4.17 with 1.5 of wood between them: 5.67, by whole millimetres 6.
  expect(apart.map((r) => Math.abs(r.moved))).toEqual([0, 6]);
});

test('rows at one place meet, and both members are named', () => {
  const same = clashesOf([rowOf(side(), shelf('one', 400)), rowOf(side(), shelf('two', 401))]);
  expect(same.map((c) => c.kind)).toEqual(['meets']);
  expect(heldIn(same[0] as Clash)).toEqual(['one', 'two']);
  expect(said(same[0])).toBe('Screws of the one and of the two meet in the side: set one row out anew, or glue one of the two.');
});

test('near, but not touching: the wood between them is told', () => {
  // 5 apart in height, less the 4.17 of a No. 8: 0.8 of wood.
  const [clash] = clashesOf([rowOf(side(), shelf('one', 400)), rowOf(side(), shelf('two', 405))]);
  expect(said(clash)).toMatch(/^Screws of the one and of the two come within 0\.8 mm of each other in the side/);
  expect(clashesOf([rowOf(side(), shelf('one', 400)), rowOf(side(), shelf('two', 406))])).toEqual([]);
});

test('screws are set clear of the groove for a back where there is room, and it is told where there is none', () => {
  const usual = rowOf(side(), shelf('shelf', 400)).places;
  const moved = rowOf(side([cut('groove', 'back', [0, 2000], [33, 39])]), shelf('shelf', 400));
  expect(clashesOf([moved])).toEqual([]);
  // 37 from the rear, a shank of 4.17: clear of the groove from 39 + 2.08 on, by whole millimetres 5 further in.
  expect(moved.places.map((at, i) => Math.abs(at - (usual[i] as number)))).toEqual(usual.map(() => 5));
  const row = rowOf(side([cut('groove', 'back', [0, 2000], [10, 290])]), shelf('shelf', 400));
  const [clash] = clashesOf([row]);
  expect(clash?.kind).toBe('lands');
  expect(heldIn(clash as Clash)).toEqual(['shelf']);
  expect(said(clash)).toBe('A screw of the shelf lands in the groove that the side has for the back: shift it clear of that.');
  // 37 from the rear edge is where the usual screw goes; with the groove at 10 to 16 it is clear.
  const clear = cut('groove', 'back', [0, 2000], [10, 16]);
  expect(clashesOf([rowOf(side([clear]), shelf('shelf', 400))])).toEqual([]);
});

test('what is cut for the shelf itself is not in its way', () => {
  const own = cut('housing', 'shelf', [395, 425], [0, 300]);
  expect(clashesOf([rowOf(side([own]), shelf('shelf', 400))])).toEqual([]);
});

test('boards that meet along an edge alone have no place for screws', () => {
  const tilted: Frame = {
    origin: at(20, 400, 300),
    u: [Math.cos(0.2), Math.sin(0.2), 0],
    v: [0, 0, -1],
    n: [-Math.sin(0.2), Math.cos(0.2), 0],
  };
  expect(rowBetween(side(), board('leaning', tilted, 800, 300), 'mm')).toEqual({ why: 'apart' });
});

test('a butted shelf whose screws do not hold it is offered what would hold it, and that mends it', () => {
  const inside = divided('in', 'up', 2);
  (inside.split?.spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
  const slab = thing({ mass: asKg(400), shape: { kind: 'box', width: mm(800), height: mm(100), depth: mm(200) } });
  const shop = workshop({ things: { slab } });
  const made = piece(inside);
  const s = solve({ ...made, panels: panels({ fix: 'butted' }) }, shop, {});
  const check = s.checks.find((c) => c.id === 'ends-in-m1/shelf/1');
  expect(check && writeExactly(check.sentence)).toMatch(/gives 1980 N on at one end, more than that holds. It would take 11 screws/);
  // Pins would not hold it: they are not offered.
  expect(check?.severity).toBe('stop');
  expect(check?.fixes.map((f) => writeExactly(f.label))).toEqual([expect.stringMatching(/^House shelf/)]);
  const [house] = check?.fixes ?? [];
  if (house?.change.target !== 'piece') throw new Error('it is no change of the piece');
  const after = solve(applyEdit(s.piece, house.change.edit), shop, {});
  expect(after.shape.joints.filter((j) => j.carried === 'in-m1/shelf/1').map((j) => j.how)).toEqual(['housed', 'housed']);
  expect(after.checks.some((c) => c.id === 'ends-in-m1/shelf/1')).toBe(false);
});
