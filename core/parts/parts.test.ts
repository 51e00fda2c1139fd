import { ZERO, mm, toMm } from '../length/index.js';
import { flatFrame, rectangle, SQUARE_EDGES, type Feature, type Member } from '../piece/index.js';
import { size } from '../figure/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, stock, workshop, panels } from '../testing/samples.js';
import { doneText, letter, letterAt, likenessOf, partsOf, rowsOf } from './index.js';

function board(id: string, extra: Partial<Member> = {}): Member {
  const [length, width] = [mm(600), mm(300)];
  return {
    id,
    node: id,
    role: 'shelf',
    label: id,
    stockId: 'ply',
    stock: stock(),
    outline: rectangle(length, width),
    frame: flatFrame({ x: ZERO, y: ZERO, z: ZERO }),
    length: size('length', length),
    width: size('width', width),
    thickness: size('ply', mm(20)),
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: SQUARE_EDGES,
    ...extra,
  };
}

const groove = (v0: number, v1: number, face: 'up' | 'down' = 'up'): Feature => ({
  kind: 'groove',
  face,
  region: { u0: mm(0), u1: mm(600), v0: mm(v0), v1: mm(v1) },
  depth: mm(5),
  mate: 'back',
});

describe('letters', () => {
  test.each([
    [0, 'A'],
    [25, 'Z'],
    [26, 'AA'],
    [27, 'AB'],
    [701, 'ZZ'],
    [702, 'AAA'],
  ])('part %d is %s', (index, expected) => {
    expect(letterAt(index)).toBe(expected);
  });

  test('a letter is never given to another part, even when its part is gone, and comes back with it', () => {
    const first = letter(['a', 'b', 'c'], {});
    const without = letter(['a', 'c', 'd'], first);
    expect(without).toEqual({ a: 'A', b: 'B', c: 'C', d: 'D' });
    expect(letter(['a', 'b', 'e'], without)).toMatchObject({ b: 'B', e: 'E' });
  });

  test('the ledger is left as it is where nothing is new', () => {
    const ledger = letter(['a'], {});
    expect(letter(['a'], ledger)).toBe(ledger);
  });
});

describe('hand, from geometry alone', () => {
  const near = (id: string, features: Feature[], edges = SQUARE_EDGES) => board(id, { features, edges });

  test('a part turned end for end is the same part', () => {
    const a = likenessOf(near('a', [groove(10, 16)]));
    const b = likenessOf(near('b', [groove(284, 290)]));
    expect(a.same).toBe(b.same);
  });

  test('two that match only by reflection are left and right', () => {
    const front = { ...SQUARE_EDGES, v0: 'banded' as const };
    const housing: Feature = { ...groove(0, 280), kind: 'housing', region: { u0: mm(100), u1: mm(120), v0: mm(0), v1: mm(280) } };
    const other: Feature = { ...housing, face: 'down' };
    const [a, b] = [near('a', [housing], front), near('b', [other], front)];
    expect(likenessOf(a).same).not.toBe(likenessOf(b).same);
    expect(likenessOf(a).either).toBe(likenessOf(b).either);
    const right = { ...b, frame: flatFrame({ x: mm(900), y: ZERO, z: ZERO }) };
    const rows = rowsOf(partsOf([right, a], {}, ZERO, mm(0.5)).parts);
    expect(rows.map((r) => [r.first.id, r.hand])).toEqual([
      ['b', 'right'],
      ['a', 'left'],
    ]);
  });

  test('the sides of a case are a pair, unless its shelves lie the same from both ends', () => {
    const hands = (first: number | null) => {
      const inside = divided('in', 'up', 3);
      if (first !== null && inside.split?.spaces[0]) inside.split.spaces[0].rule = { kind: 'fixed', size: mm(first) };
      const p = piece(inside, {
        back: { kind: 'groove', depth: mm(5), inset: mm(10), slack: mm(1) },
        panels: panels({ fix: 'housed', setback: mm(16) }),
      });
      return rowsOf(solve(p, workshop(), {}).parts)
        .filter((r) => r.first.member.role === 'side')
        .map((r) => r.hand);
    };
    expect(hands(400)).toEqual(['left', 'right']);
    // Shelves at thirds: the left side stood on its head is the right one.
    expect(hands(null)).toEqual([null]);
  });

  test('plain sides are simply two of one part', () => {
    const sides = rowsOf(solve(piece(divided('in', 'up', 3), { panels: panels({ fix: 'butted' }) }), workshop(), {}).parts).filter(
      (r) => r.first.member.role === 'side',
    );
    expect(sides.map((r) => [r.count, r.hand])).toEqual([[2, null]]);
  });
});

test('what is done to a part is told in a line, what is alike once', () => {
  const region = (u0: number, u1: number, v0: number, v1: number) => ({ u0: mm(u0), u1: mm(u1), v0: mm(v0), v1: mm(v1) });
  const groove = (at: number) =>
    ({ kind: 'groove', face: 'up', region: region(at, at + 5, 0, 300), depth: mm(5), mate: `g${at}` }) as const;
  const notch = { kind: 'notch', face: 'up', region: region(105, 195, 0, 25), depth: mm(20), mate: 'fingers' } as const;
  const plain = board('a', { edges: { ...SQUARE_EDGES, v0: 'eased' }, features: [groove(48), groove(80), notch] });
  const [part] = partsOf([plain], {}, ZERO, mm(0.5)).parts;
  const text = part && doneText(part, { unit: 'mm', step: mm(0.1) });
  expect(text).toMatch(/eased; groove 5 deep; notch 90 × 25$/);
  expect(text?.match(/groove/g)).toHaveLength(1);
});

describe('cutting sizes', () => {
  const cut = (member: Member, banding = ZERO) => partsOf([member], {}, banding, mm(0.5)).parts[0]?.cut;

  test('what goes between is rounded down, what covers is rounded up, and the difference is kept', () => {
    const odd = board('a', {
      length: size('length', mm(587.3)),
      width: size('width', mm(304.2)),
      purpose: { length: 'between', width: 'covers' },
    });
    expect([cut(odd)?.length.set, cut(odd)?.width.set].map((l) => toMm(l ?? ZERO))).toEqual([587, 304.5]);
    expect([cut(odd)?.length.off, cut(odd)?.width.off].map((l) => toMm(l ?? ZERO))).toEqual([-0.3, 0.3]);
  });

  test('edging comes off the board: 300 less 1 on the front, less 2 on both', () => {
    expect(toMm(cut(board('a', { edges: { ...SQUARE_EDGES, v0: 'banded' } }), mm(1))?.width.set ?? ZERO)).toBe(299);
    expect(toMm(cut(board('a', { edges: { ...SQUARE_EDGES, v0: 'banded', v1: 'banded' } }), mm(1))?.width.set ?? ZERO)).toBe(298);
    expect(toMm(cut(board('a', { edges: { ...SQUARE_EDGES, v0: 'eased' } }), mm(1))?.width.set ?? ZERO)).toBe(300);
  });
});
