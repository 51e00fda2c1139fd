import { cutsOf } from '../cutting/cuts.js';
import type { LaidSheet, Sawn } from '../cutting/laid.js';
import { ZERO, fromUnits, mm, type Length } from '../length/index.js';
import { solve } from '../solution/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { piece, stock, workshop, divided } from '../testing/samples.js';
import { blanksOf, runFirst, runFirstText, type Blank } from './index.js';

const KERF = mm(3);
const precision = { unit: 'mm', step: mm(0.1) } as const;

/** Parts crosscut one after the other from a strip as wide as they are. */
function strip(blanks: readonly Blank[], turned = false): LaidSheet {
  const width = turned ? (blanks[0]?.length ?? ZERO) : (blanks[0]?.width ?? ZERO);
  const long = (b: Blank): Length => (turned ? b.width : b.length);
  const whole = blanks.reduce((sum, b) => sum + long(b) + KERF, 0);
  const from = (nth: number, x: number): Sawn => {
    const b = blanks[nth] as Blank;
    const near: Sawn = { kind: 'part', x: fromUnits(x), y: ZERO, length: long(b), width, id: b.key, turned };
    if (nth + 1 === blanks.length) return near;
    const rest = { x: fromUnits(x), y: ZERO, length: fromUnits(whole - KERF - x), width };
    return { kind: 'cut', ...rest, way: 'crosscut', at: long(b), near, far: from(nth + 1, x + long(b) + KERF) };
  };
  return { sheet: 'buy 0', copy: 0, length: fromUnits(whole), width, trim: { ends: ZERO, edges: ZERO }, sawn: from(0, 0) };
}

const solution = solve(chest(drawers(), 2).piece, chestShop, {});
const blanks = [...blanksOf([{ id: 'chest', solution }]).values()].flat();
const byKey = new Map(blanks.map((b) => [b.key, b]));
const grooved = blanks.filter((b) => b.part.features.some((f) => f.kind === 'groove'));

test('the groove for a bottom is run through the strip that the sides of boxes are crosscut from, before its first cut', () => {
  const sides = grooved.filter((b) => b.width === grooved[0]?.width && b.length === grooved[0].length).slice(0, 3);
  expect(sides.length).toBeGreaterThan(1);
  const sheet = strip(sides);
  const [found, ...more] = runFirst([sheet], byKey);
  expect(more).toEqual([]);
  expect(found).toMatchObject({ before: cutsOf([sheet])[0]?.key, way: 'along', parts: sides.map((b) => b.key) });
  const [feature] = sides[0]?.part.features.filter((f) => f.kind === 'groove') ?? [];
  if (feature?.kind !== 'groove') throw new Error('no groove');
  const { v0, v1 } = feature.region;
  const at = Math.min(v0, (sides[0]?.width ?? 0) - v1);
  expect(found?.runs).toEqual([{ kind: 'groove', at, wide: v1 - v0, deep: feature.depth }]);
  const text = runFirstText(found as NonNullable<typeof found>, new Map(sides.map((b, i) => [b.key, `S${i}`])), precision);
  expect(text).toContain('groove');
  expect(text).toContain('along all of it (S0, S1');
});

test('not where a part among them has none, or lies across', () => {
  const [one, two] = grooved as [Blank, Blank];
  const plain = { ...two, key: 'plain', part: { ...two.part, features: [] } };
  expect(runFirst([strip([one, plain])], new Map([...byKey, ['plain', plain]]))).toEqual([]);
  expect(runFirst([strip([one, { ...one, key: 'x' }], true)], new Map([...byKey, ['x', one]]))).toEqual([]);
  expect(runFirst([strip([one])], byKey)).toEqual([]);
});

test('housings at the same places are run across a panel that two sides are ripped from; a side the other way round is turned', () => {
  const shelved = piece(divided('in', 'up', 3));
  const housed = { ...shelved, panels: { ...shelved.panels, shelves: { ...shelved.panels.shelves, fix: 'housed' as const } } };
  const shop = workshop({ stock: { ply: stock({}) } });
  const of = [...blanksOf([{ id: 'case', solution: solve(housed, shop, {}) }]).values()].flat();
  const [left, right] = of.filter((b) => b.part.member.role === 'side') as [Blank, Blank];
  const { length, width } = left;
  const at = { x: ZERO, length };
  const sheet: LaidSheet = {
    sheet: 'buy 0',
    copy: 0,
    length,
    width: fromUnits(2 * width + KERF),
    trim: { ends: ZERO, edges: ZERO },
    sawn: {
      kind: 'cut',
      ...at,
      y: ZERO,
      width: fromUnits(2 * width + KERF),
      way: 'rip',
      at: width,
      near: { kind: 'part', ...at, y: ZERO, width, id: left.key, turned: false },
      far: { kind: 'part', ...at, y: fromUnits(width + KERF), width, id: right.key, turned: false },
    },
  };
  const keys = new Map(of.map((b) => [b.key, b]));
  const [found] = runFirst([sheet], keys);
  expect(found).toMatchObject({ way: 'across', parts: [left.key, right.key] });
  const housings = left.part.features.filter((f) => f.kind === 'housing');
  expect(housings.length).toBe(2);
  expect(found?.runs.filter((r) => r.kind === 'housing')).toHaveLength(2);
  // A part whose housings are 1 mm off is not like the other.
  const off = right.part.features.map((f) =>
    f.kind === 'hole' ? f : { ...f, region: { ...f.region, u0: fromUnits(f.region.u0 + mm(1)), u1: fromUnits(f.region.u1 + mm(1)) } },
  );
  const moved = { ...right, part: { ...right.part, features: off } };
  expect(runFirst([sheet], new Map([...keys, [right.key, moved]]))).toEqual([]);
});
