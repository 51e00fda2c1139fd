import { size, writeExactly } from '../figure/index.js';
import type { Equipment } from '../interiors/index.js';
import { ZERO, mm } from '../length/index.js';
import { facingFrame, rectangular } from '../piece/index.js';
import { woodOf } from '../project/index.js';
import type { Frame, PanelCase } from '../shells/index.js';
import { solve } from '../solution/index.js';
import { framePiece, level, shop as timber } from '../testing/frame-samples.js';
import { piece, space, stock, thing, workshop } from '../testing/samples.js';
import { getsOutChecks } from './gets-out.js';
import { asKg } from '../measures/index.js';

const none = { size: ZERO, why: 'fit' } as const;
const lamp: Equipment = {
  kind: 'equipment',
  thing: 'lamp',
  count: 1,
  free: { left: none, right: none, front: none, rear: { size: mm(50), why: 'cables' }, above: none, below: none },
  between: ZERO,
};
const shop = workshop({
  stock: { ...Object.fromEntries(timber.stock), ply: stock({ thickness: mm(18) }) },
  things: { lamp: thing({ name: 'lamp box', shape: { kind: 'box', width: mm(600), height: mm(200), depth: mm(240) }, mass: asKg(14) }) },
});

const told = (p: Frame | PanelCase) =>
  solve(p, shop, {})
    .checks.filter((c) => c.id.startsWith('gets-out-'))
    .map((c) => [c.severity, writeExactly(c.sentence)]);

/** A lamp box on the lower level of a frame 1000 wide. */
const frame = (extra: Partial<Frame> = {}) =>
  framePiece(
    space('in', {
      split: {
        axis: 'up',
        making: { kind: 'levels', level: level('deal21', 70, { stock: 'ply12', goes: 'over', gap: ZERO }) },
        members: [{ id: 'low' }],
        spaces: [space('under', { rule: { kind: 'fixed', size: mm(80) } }), space('lamps', { filling: lamp })],
      },
    }),
    {
      top: {
        level: level('deal45', 95, { stock: 'ply12', goes: 'over', gap: ZERO }),
        over: { front: ZERO, rear: ZERO, left: ZERO, right: ZERO },
      },
      ...extra,
    },
  );

const posts = { stock: 'deal45', wide: mm(45), turned: 'across' } as const;

test('a device goes out to the front of a case, and between the posts of a frame', () => {
  expect(told(piece(space('in', { filling: lamp })))).toEqual([]);
  expect(told(frame())).toEqual([]);
});

test('a post in the middle of the front and a wall behind hold it in; with no wall and no post behind it goes out there', () => {
  const middle = { ...posts, middles: [mm(480)] };
  const [one] = told(frame({ posts: middle, fixedToWall: true }));
  expect(one?.[0]).toBe('stop');
  expect(one?.[1]).toMatch(/^Lamp box cannot be brought into space 2, or out of it again: in the way to the front post .*; upward /);
  // Between posts that stand 480 from the left, 600 do not go, and pairs of posts stand behind too.
  expect(told(frame({ posts: middle }))).toHaveLength(1);
  expect(told(frame({ posts: { ...posts, middles: [mm(700)] }, fixedToWall: true }))).toHaveLength(1);
});

/** The checks of a case 300 high and 264 clear with a board so high across its front that nobody asked for. */
function behindBoard(high: number, extra: Partial<PanelCase> = {}) {
  const p = piece(space('in', { filling: lamp }), { height: { from: 'given', size: mm(300), of: 'overall' }, ...extra });
  const { shape, letters } = solve(p, shop, {});
  const board = rectangular({
    id: 'board',
    node: 'case',
    role: 'board',
    label: 'front board',
    wood: woodOf(shop, 'ply'),
    length: size('long', mm(1000)),
    width: size('high', mm(high)),
    frame: facingFrame({ x: ZERO, y: ZERO, z: mm(300) }),
  });
  return getsOutChecks(p, { ...shape, members: [...shape.members, board] }, letters).map((c) => writeExactly(c.sentence));
}

test('it is lifted over what is low in front of it, as far as there is room over it', () => {
  // 200 high on a bottom of 18 under 264 clear: it rises by 64, to 82 over the floor.
  expect(behindBoard(82)).toEqual([]);
  expect(behindBoard(83)).toEqual([
    'Lamp box cannot be brought into inside, or out of it again: in the way to the front front board; upward top C.',
  ]);
  // With no wall behind it goes out there, where there is no back.
  expect(behindBoard(300, { fixedToWall: false })).toEqual([]);
  expect(behindBoard(300, { fixedToWall: false, back: { kind: 'applied' } })).toHaveLength(1);
});

test('a lid opens over it, hinged or lifted off, and a bar across the front is lifted out', () => {
  const lid = { how: 'hinged', slack: mm(2), ledge: { stock: 'ply', wide: mm(20) } } as const;
  expect(behindBoard(300, { lid })).toEqual([]);
  expect(behindBoard(300, { lid: { ...lid, how: 'lift-off' } })).toEqual([]);
  const bar: PanelCase['bar'] = { space: 'in', stock: 'ply', wide: mm(100), slack: mm(2) };
  expect(told(piece(space('in', { filling: lamp }), { bar }))).toEqual([]);
});
