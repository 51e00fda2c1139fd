import { writeExactly } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';
import { drawPiece, extentOf, type PlainShape } from '../drawing/index.js';
import { type Piece, type PieceEdit, type Space } from '../piece/index.js';
import { applyEdit } from '../kinds/index.js';
import { divided, piece, space, stock, thing, workshop } from '../testing/samples.js';
import { freshIds, takenIds } from '../remedies/index.js';
import { compare, remediesFor, solve, stockChoices, tapeThrough } from './index.js';
import { asKg } from '../measures/index.js';

function loaded(tins: number, width = 1000): Piece {
  const inside = divided('in', 'up', 3);
  inside.split?.spaces.forEach((s) => (s.things = [{ thing: 'weight', count: tins, at: 'spread' }]));
  return piece(inside, { width: { from: 'given', size: mm(width), of: 'overall' } });
}

const shop = workshop({
  things: { weight: thing({ name: 'weight', mass: asKg(10), stack: 4 }) },
  stock: { ply: stock(), thick: stock({ name: 'ply 30', thickness: mm(30) }), thin: stock({ name: 'ply 6', thickness: mm(6) }) },
});

describe('remedies', () => {
  const failing = solve(loaded(5), shop, {});
  const id = 'in-m1/shelf/1';

  test('each remedy that is offered makes the member pass when it is used', () => {
    expect(failing.carried.members.get(id)?.state).toBe('fails');
    const remedies = remediesFor(failing, shop, failing.letters, id);
    expect(remedies.map((r) => writeExactly(r.label))).toContain('Use ply 30');
    for (const remedy of remedies) {
      const after = solve(applyEdit(failing.piece, remedy.edit), shop, failing.letters);
      const then = after.carried.members.get(id);
      // With what stood on it moved elsewhere there is nothing to judge.
      expect(then?.state).toMatch(remedy.edit.kind === 'move' ? /not checked|fine|close/ : /fine|close/);
      expect(then?.empty && remedy.edit.kind !== 'move').toBe(false);
      expect(then?.bending?.verdict.today.mm ?? null).toBe(remedy.today);
    }
  });

  test('the top of a case can be asked in every stock too, with the whole case made of it', () => {
    const choices = stockChoices(failing, shop, failing.letters, 'case/top/1');
    expect(choices.map((c) => [c.stockId, c.current])).toEqual([
      ['ply', true],
      ['thin', false],
      ['thick', false],
    ]);
    const after = solve(applyEdit(failing.piece, choices[2]?.edit as PieceEdit), shop, failing.letters);
    expect(after.carried.members.get('case/top/1')?.member.stockId).toBe('thick');
    expect(after.carried.members.get('case/side/left')?.member.stockId).toBe('thick');
  });

  test('each tells what it costs: mass, money, height, and what is seen of it', () => {
    const priced = workshop({
      things: { weight: thing({ name: 'weight', mass: asKg(10), stack: 4 }) },
      stock: {
        ply: stock({ price: 100 }),
        thick: stock({ name: 'ply 30', thickness: mm(30), price: 150 }),
        lath: stock({ name: 'lath', form: 'board', material: 'white-ash', thickness: mm(20), length: mm(2000), width: mm(100), price: 10 }),
      },
    });
    const remedies = remediesFor(solve(loaded(5), priced, {}), priced, {}, id);
    const of = (start: string) => remedies.find((r) => writeExactly(r.label).startsWith(start));
    // 960 x 300 of a sheet of 2500 x 1250 is 0.09216 of it: 50 more, and 10 mm more of 680 kg/m³.
    expect(of('Use ply 30')?.addedCost).toBeCloseTo(0.09216 * 50, 9);
    expect(of('Use ply 30')?.addedKg).toBeCloseTo(0.96 * 0.3 * 0.01 * 680, 9);
    // The three spaces share the ten that the shelf gets thicker.
    expect(toMm(of('Use ply 30')?.lostHeight ?? mm(0))).toBeCloseTo(10 / 3, 0);
    const strip = of('Glue a strip of lath, 30 mm high, under both edges');
    // Two of 960 x 30 from a lath of 2000 x 100 at 10.
    expect(strip?.addedCost).toBeCloseTo(2 * 10 * (960 / 2000) * (30 / 100), 9);
    expect(toMm(strip?.lostHeight ?? mm(0))).toBe(30);
    expect(writeExactly(strip?.looks ?? [])).toContain('the front looks 30 mm deeper');
    expect(of('Double it')?.later).toBeLessThan(of('Use ply 30')?.later as number);
  });

  test('thinner stock is never offered as a remedy', () => {
    expect(remediesFor(failing, shop, failing.letters, id).map((r) => writeExactly(r.label))).not.toContain('Use ply 6');
  });

  test('the same shelf in every stock, the one in use marked, sag by the third power of thickness', () => {
    const choices = stockChoices(failing, shop, failing.letters, id);
    const of = (stockId: string) => choices.find((c) => c.stockId === stockId);
    expect(of('ply')?.current).toBe(true);
    // Its own weight grows too: (50 kg + self) per I.
    const self = (t: number) => 0.96 * 0.3 * t * 1e-3 * 680;
    const ratio = ((50 + self(30)) / (50 + self(20))) * (20 / 30) ** 3;
    expect((of('thick')?.today ?? 0) / (of('ply')?.today ?? 1)).toBeCloseTo(ratio, 9);
  });
});

describe('what an edit moved', () => {
  const before = solve(loaded(1), shop, {});
  const after = (edit: PieceEdit) => compare(before, solve(applyEdit(before.piece, edit), shop, before.letters));

  test('nothing, when nothing did', () => {
    expect(compare(before, before)).toEqual([]);
  });

  test('a space made 400 takes from the other two', () => {
    const moved = after({ kind: 'rule', space: 'in-1', rule: { kind: 'fixed', size: mm(400) } });
    expect(moved.map((m) => [m.id, toMm(m.before ?? mm(0)), toMm(m.after ?? mm(0))])).toEqual([
      ['in-1', 640, 400],
      ['in-2', 640, 760],
      ['in-3', 640, 760],
    ]);
  });

  test('what is new and what is gone', () => {
    const added = after({ kind: 'add', space: 'in-1', member: 'new', beyond: 'far' });
    expect(added.filter((m) => m.before === null).map((m) => m.id)).toContain('new/shelf/1');
    const dropped = after({ kind: 'drop', member: 'in-m2' });
    expect(dropped.filter((m) => m.after === null).map((m) => m.id)).toContain('in-m2/shelf/1');
  });
});

describe('tapes', () => {
  const bays = divided('in', 'across', 2);
  (bays.split as NonNullable<Space['split']>).spaces = [divided('l', 'up', 3), space('r')];
  const solution = solve(
    piece(bays, { base: { kind: 'toe', height: mm(80), setback: mm(50), bearers: false }, back: { kind: 'applied' } }),
    workshop(),
    {},
  );
  const lines = (id: string, axis: 'up' | 'across' | 'deep') =>
    tapeThrough(solution, id, axis).lines.map((l) => [l.kind, l.id, toMm(l.size.value)]);

  test('upright through a divided bay: from the floor over everything to the top', () => {
    expect(lines('l-2', 'up')).toEqual([
      ['wood', 'base', 80],
      ['wood', 'case/bottom/1', 20],
      ['gap', 'l-1', 613],
      ['wood', 'l-m1', 20],
      ['gap', 'l-2', 613.5],
      ['wood', 'l-m2', 20],
      ['gap', 'l-3', 613.5],
      ['wood', 'case/top/1', 20],
    ]);
  });

  test('along the bottom, and from the rear to the front', () => {
    expect(lines('l-2', 'across')).toEqual([
      ['wood', 'case/side/left', 20],
      ['gap', 'l', 470],
      ['wood', 'in-m1', 20],
      ['gap', 'r', 470],
      ['wood', 'case/side/right', 20],
    ]);
    expect(lines('r', 'deep')).toEqual([
      ['wood', 'case/back/1', 6],
      ['gap', 'r', 294],
    ]);
  });

  test('every tape adds up to the overall size', () => {
    for (const axis of ['up', 'across', 'deep'] as const) {
      for (const id of ['l-1', 'l-3', 'r', 'in']) {
        const tape = tapeThrough(solution, id, axis);
        expect(tape.lines.at(-1)?.far.value).toBe(tape.overall.value);
      }
    }
  });

  test('an open space can be divided from the tape, a divided one cannot', () => {
    expect(tapeThrough(solution, 'r', 'up').lines.find((l) => l.kind === 'gap')?.splits).toBe('r');
    expect(tapeThrough(solution, 'l-1', 'up').lines.find((l) => l.kind === 'gap')?.splits).toBeUndefined();
  });
});

describe('drawings', () => {
  const inside = divided('in', 'up', 2);
  (inside.split?.spaces[0] as Space).things = [{ thing: 'pot', count: 3 }];
  const pots = workshop({ things: { pot: thing({ name: 'pot', shape: { kind: 'cylinder', diameter: mm(100), height: mm(150) } }) } });
  const solution = solve(piece(inside, { back: { kind: 'applied' } }), pots, {});

  test.each(['front', 'side', 'top'] as const)('the %s is as large as the piece, and nothing lies outside it', (view) => {
    const drawing = drawPiece(solution, view, 'in-1');
    expect([drawing.width, drawing.height]).toEqual(view === 'front' ? [1000, 2000] : view === 'side' ? [300, 2000] : [1000, 300]);
    for (const s of drawing.shapes) {
      const { x0, y0, x1, y1 } = extentOf(s);
      expect(Math.min(x0, y0)).toBeGreaterThanOrEqual(0);
      expect(x1).toBeLessThanOrEqual(drawing.width);
      expect(y1).toBeLessThanOrEqual(drawing.height);
    }
  });

  test('round things are circles from above and as many as there are', () => {
    expect(drawPiece(solution, 'top', 'in-1').shapes.filter((s) => s.kind === 'circle')).toHaveLength(3);
    expect(drawPiece(solution, 'front', 'in-1').shapes.filter((s) => s.of.kind === 'thing')).toHaveLength(2);
  });

  test('from above the back lies at the head of the page, and its left is on the left', () => {
    const drawing = drawPiece(solution, 'top', 'in-1');
    const at = (id: string) => drawing.shapes.find((shape) => shape.of.id === id);
    // The back is 6 thick and lies behind sides that are 294 deep.
    expect(extentOf(at('case/back/1') as PlainShape)).toMatchObject({ y0: 294, y1: 300 });
    expect(extentOf(at('case/side/left') as PlainShape)).toMatchObject({ x0: 0, x1: 20, y0: 0, y1: 294 });
    expect(drawing.datum).toBe(300);
  });

  test('seen from the front the back is painted first', () => {
    expect(drawPiece(solution, 'front', 'in-1').shapes[0]?.of.id).toBe('case/back/1');
  });
});

test('fresh ids are never in use', () => {
  const taken = takenIds(loaded(1));
  expect(taken).toEqual(new Set(['in', 'in-1', 'in-2', 'in-3', 'in-m1', 'in-m2']));
  expect(freshIds(new Set(['s-a', 's-c']), 's', 2)).toEqual(['s-b', 's-d']);
});

test('solving twice gives the same, and letters stay with their parts', () => {
  const first = solve(loaded(2), shop, {});
  const more = solve(applyEdit(loaded(2), { kind: 'add', space: 'in-1', member: 'new', beyond: 'far' }), shop, first.letters);
  for (const part of first.parts) expect(more.letters[part.id]).toBe(part.letter);
  expect(solve(loaded(2), shop, {}).parts.map((p) => [p.letter, p.length.amount])).toEqual(
    first.parts.map((p) => [p.letter, p.length.amount]),
  );
});

test('another stock is offered only where the member can be cut from it', () => {
  const stud = stock({ name: 'stud', form: 'board', material: 'sitka-spruce', thickness: mm(38), width: mm(89), length: mm(2400) });
  const shop = workshop({ stock: { ply: stock(), thick: stock({ name: 'ply 25', thickness: mm(25) }), stud } });
  const s = solve(piece(divided('in', 'up', 2)), shop, {});
  // A shelf of 300 is not cut from 89.
  expect(stockChoices(s, shop, s.letters, 'in-m1/shelf/1').map((c) => c.stockId)).toEqual(['ply', 'thin', 'thick']);
});
