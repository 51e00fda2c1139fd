import { applyEdit } from '../kinds/index.js';
import { drawPiece } from '../drawing/index.js';
import { ZERO, mm, toMm } from '../length/index.js';
import { boxOf, posesOf, type Member, type Space, type Split } from '../piece/index.js';
import { chest, chestShop as shop, drawers } from '../testing/chest.js';
import { piece, space, stock, workshop } from '../testing/samples.js';
import { solve, tapeThrough, type Solution } from './index.js';
import { asKg } from '../measures/index.js';

const tape = (s: Solution, at: string, axis: 'up' | 'across' | 'deep') =>
  tapeThrough(s, at, axis).lines.map((l) => [l.kind, l.label, toMm(l.size.value)]);

describe('the tapes through a bank of drawers', () => {
  const s = chest(drawers());

  test('up: fronts and reveals add up to the height', () => {
    // 1960 − 2 × 4 − 2 × 4 = 1944, a third 648.
    expect(tape(s, 'd1', 'up')).toEqual([
      ['wood', 'bottom', 20],
      ['wood', 'reveal below', 4],
      ['gap', 'drawer 1', 648],
      ['gap', 'reveal', 4],
      ['gap', 'drawer 2', 648],
      ['gap', 'reveal', 4],
      ['gap', 'drawer 3', 648],
      ['wood', 'reveal above', 4],
      ['wood', 'top', 20],
    ]);
    const lines = tapeThrough(s, 'd1', 'up').lines;
    expect(toMm(lines.at(-1)?.far.value ?? ZERO)).toBe(2000);
  });

  test('across: side, clearance, wall, inside, and back again', () => {
    expect(tape(s, 'd1', 'across')).toEqual([
      ['wood', 'left side', 20],
      ['gap', 'free at the side', 5],
      ['wood', 'side of the box', 10],
      ['gap', 'drawer 1', 930],
      ['wood', 'side of the box', 10],
      ['gap', 'free at the side', 5],
      ['wood', 'right side', 20],
    ]);
  });

  test('deep, from the rear: behind it, back, inside, inner front, front', () => {
    // 300 − 20 front − 10 behind = 270 box, 250 inside.
    expect(tape(s, 'd1', 'deep')).toEqual([
      ['gap', 'left behind', 10],
      ['wood', 'back of the box', 10],
      ['gap', 'drawer 1', 250],
      ['wood', 'front of the box', 10],
      ['wood', 'front', 20],
    ]);
  });

  test.each(['inset', 'overlay'] as const)('what drawers of a given height leave over (%s) lies over them, as it is drawn', (kind) => {
    const over = { left: mm(8), right: mm(8), below: mm(8), above: mm(8) };
    const front = kind === 'inset' ? drawers().front : ({ kind, between: mm(4), over } as const);
    let low = chest(drawers({ front, less: mm(40), rise: mm(12) })).piece;
    for (const id of ['d1', 'd2', 'd3']) low = applyEdit(low, { kind: 'rule', space: id, rule: { kind: 'fixed', size: mm(120) } });
    const s = solve(low, shop, {});
    const lines = tapeThrough(s, 'd1', 'up').lines;
    const at = (label: string) => lines.find((l) => l.label === label);
    expect(toMm(lines.at(-1)?.far.value ?? ZERO)).toBe(2000);
    // Each front is on the tape where it is drawn.
    for (const n of [1, 2, 3]) {
      const drawn = boxOf(s.shape.members.find((m) => m.id === `d${n}/drawer-front/1`) as Member);
      expect([at(`drawer ${n}`)?.near.value, at(`drawer ${n}`)?.far.value]).toEqual([drawn.y0, drawn.y1]);
    }
    // 1960 less four reveals of 4 and 360; 1976 less two of 4 and 360.
    expect(toMm(at('left over')?.size.value ?? ZERO)).toBe(kind === 'inset' ? 1584 : 1608);
  });

  test('an overlay reaches over the wood above and below it', () => {
    const over = { left: mm(8), right: mm(8), below: mm(8), above: mm(8) };
    const o = chest(drawers({ front: { kind: 'overlay', between: mm(4), over }, less: mm(40), rise: mm(12) }));
    const lines = tapeThrough(o, 'd1', 'up').lines;
    const at = (label: string) => lines.find((l) => l.label === label);
    // 1960 + 16 − 8 = 1968, a third 656, from 8 below the inside.
    expect(toMm(at('drawer 1')?.size.value ?? ZERO)).toBe(656);
    expect(toMm(at('drawer 1')?.near.value ?? ZERO)).toBe(12);
    expect(toMm(lines.at(-1)?.far.value ?? ZERO)).toBe(2000);
  });
});

test.each([
  [26, true],
  [24, false],
])('a front of %d, its box 20 lower, over a bottom of 5: built %s', (height, built) => {
  const low = chest(drawers({ box: { order: 'ends-between', join: 'nailed', bottom: { kind: 'applied' } } }), 2);
  const s = solve(applyEdit(low.piece, { kind: 'rule', space: 'd1', rule: { kind: 'fixed', size: mm(height) } }), shop, {});
  expect(s.shape.members.some((m) => m.id === 'd1/drawer-bottom/1')).toBe(built);
  expect(s.checks.some((c) => c.id === 'drawer-small-d1' && c.severity === 'stop')).toBe(!built);
});

test('a deck that ends in half gaps goes on at the same gap where another is set against it', () => {
  const making = {
    kind: 'slats',
    stock: 'wall',
    wide: mm(40),
    ends: 'half-gap',
    supports: { stock: 'wall', count: 0, wide: mm(40), inset: ZERO, trim: ZERO },
  } as const;
  const split: Split = {
    axis: 'across',
    making,
    members: Array.from({ length: 12 }, (_, i) => ({ id: `s${i + 1}` })),
    spaces: Array.from({ length: 13 }, (_, i) => space(`g${i + 1}`)),
  };
  const gaps = tape(solve(piece(space('in', { split })), shop, {}), 'in', 'across').filter(([kind]) => kind === 'gap');
  // 960 − 12 × 40 = 480 over twelve gaps.
  expect(gaps.map(([, , size]) => size)).toEqual([20, ...Array.from({ length: 11 }, () => 40), 20]);
});

describe('drawn', () => {
  const s = chest(drawers());
  const open = posesOf(s.shape.bodies).find((p) => p.id === 'open-d1');
  const front = (of: Solution, chosen: string) => drawPiece(of, 'front', chosen).shapes.find((x) => x.of.id === 'd1/drawer-front/1');

  test('a chosen drawer is looked into, the others are covered by their fronts', () => {
    expect(front(s, 'd1')?.hidden).toBe(true);
    expect(front(s, 'd2')?.hidden).toBe(false);
  });

  test('open, the side view is as much wider as the drawer comes out, and its things go along', () => {
    const shut = drawPiece(s, 'side', 'd1');
    const out = drawPiece(s, 'side', 'd1', open?.pose);
    // Three quarters of a box of 270.
    expect(out.width - shut.width).toBeCloseTo(202.5, 6);
    const x = (d: typeof shut) => d.shapes.find((shape) => shape.of.kind === 'thing' && shape.kind === 'rect');
    const [a, b] = [x(shut), x(out)];
    expect(a?.kind === 'rect' && b?.kind === 'rect' && b.x - a.x).toBeCloseTo(202.5, 6);
  });

  test('out of the rear, the drawing begins left of the piece', () => {
    const rear = chest(drawers({ face: 'rear' }), 1);
    const all = posesOf(rear.shape.bodies).find((p) => p.id === 'open');
    expect(drawPiece(rear, 'side', 'd1').left).toBe(0);
    expect(drawPiece(rear, 'side', 'd1', all?.pose).left).toBeCloseTo(-202.5, 6);
  });
});

describe('carried', () => {
  test('a bottom wider than deep leans most on the ends, those on the sides, those on what they run on', () => {
    const s = chest(drawers());
    const to = (id: string) => s.carried.members.get(id)?.supports.map((x) => x.carrier);
    expect(to('d1/drawer-bottom/1')).toEqual(['d1/drawer-end/back', 'd1/drawer-end/front', 'd1/drawer-side/left', 'd1/drawer-side/right']);
    expect(to('d1/drawer-end/back')).toEqual(['d1/drawer-side/left', 'd1/drawer-side/right']);
    expect(to('d1/drawer-side/left')).toEqual(['d1/runner/left']);
    // Two tins of 2 kg and the bottom itself, most of it on the two that are nearer to each other, alike on both.
    const bottom = s.carried.members.get('d1/drawer-bottom/1');
    const [back = 0, front = 0, left = 0, right = 0] = bottom?.supports.map((x) => x.newtons) ?? [];
    expect(back + front + left + right).toBeCloseTo((4 + (bottom?.selfKg ?? 0)) * 9.81, 6);
    expect(back).toBeCloseTo(front, 6);
    expect(left).toBeCloseTo(right, 6);
    expect(back).toBeGreaterThan(4 * left);
    // As a plate it sags less than as a beam of its span, since it also bends the other way.
    expect(bottom?.bending?.verdict.today.mm).toBeLessThan(bottom?.bending?.sag.mm as number);
  });

  test('free-standing with heavy drawers open it tips; fixed to the wall it does not', () => {
    const heavy = workshop({
      stock: { wall: stock({ name: 'wall', thickness: mm(10) }), bottom: stock({ name: 'bottom', thickness: mm(5) }) },
      things: { tin: { ...(shop.things.get('tin') as NonNullable<ReturnType<typeof shop.things.get>>), mass: asKg(60) } },
    });
    const split: Split = { axis: 'up', making: drawers(), members: [], spaces: [space('d1', { things: [{ thing: 'tin', count: 4 }] })] };
    const interior: Space = space('in', { split });
    const tips = (fixedToWall: boolean) => solve(piece(interior, { fixedToWall }), heavy, {}).checks.some((c) => c.id === 'tips-open');
    expect([tips(false), tips(true)]).toEqual([true, false]);
  });

  test('a drawer behind a rail runs into it', () => {
    const split: Split = { axis: 'up', making: drawers(), members: [], spaces: [space('d1')] };
    const behind = space('in', {
      split: {
        axis: 'deep',
        members: [{ id: 'wall' }],
        spaces: [space('rear', { split }), space('front', { rule: { kind: 'fixed', size: mm(30) } })],
      },
    });
    expect(solve(piece(behind), shop, {}).checks.find((c) => c.id === 'hits-d1')?.severity).toBe('stop');
    expect(chest(drawers()).checks.some((c) => c.id.startsWith('hits'))).toBe(false);
  });
});
