import { gluedStiffness, sagOf, solveBeam } from '../core/carry/index.js';
import { writeExactly } from '../core/figure/index.js';
import { readProject, workshopOf } from '../core/formats/index.js';
import { inch, toInches, toMm, type Length } from '../core/length/index.js';
import { propertiesOf, type Stock } from '../core/stock/index.js';
import type { PieceEdit } from '../core/piece/index.js';
import { remediesFor, stockChoices, tapeThrough, type Solution } from '../core/solution/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';
import { asNewtons } from '../core/measures/index.js';

const workshop = workshopOf(PRINT_SHED);

const clear = (s: Solution, space: string, what: 'width' | 'height' | 'depth') =>
  toMm(s.shape.spaces.get(space)?.clear[what].value as Length);
const part = (s: Solution, id: string) => s.parts.find((p) => p.id === id);
const check = (s: Solution, id: string) => s.checks.find((c) => c.id === id);

test('the demo is a project file that its own reader takes', () => {
  expect(readProject(PRINT_SHED)).toEqual({ ok: true, file: PRINT_SHED });
});

describe('the ink case in millimetres', () => {
  const ink = solved('ink-case');

  test('outside from the opening: 1203 x 2091 x 326', () => {
    const { width, height, depth } = ink.shape.overall;
    expect([width, height, depth].map((f) => toMm(f.value))).toEqual([1203, 2091, 326]);
  });

  test('two bays of 575.1 between sides 1167.8 apart, and a divider of 1975.8', () => {
    expect(clear(ink, 'case', 'width')).toBe(1167.8);
    expect([clear(ink, 'left-bay', 'width'), clear(ink, 'right-bay', 'width')]).toEqual([575.1, 575.1]);
    expect(toMm(part(ink, 'post/divider/1')?.length.value as Length)).toBe(1975.8);
  });

  test('left bay: tubs ask for 380, the other four share 381.35: 381, 381, 381.5, 381.5 and 0.4', () => {
    expect(clear(ink, 'tubs', 'height')).toBe(380);
    const run = ink.shape.runs.get('left-bay')?.run;
    const shared = run?.lines.filter((l) => l.line.kind === 'gap').slice(1) ?? [];
    expect(shared.map((l) => toMm(l.exact.value))).toEqual([381.35, 381.35, 381.35, 381.35]);
    expect(run?.residues.map((r) => [r.gap, toMm(r.amount)])).toEqual([['rollers', 0.4]]);
    expect(shared.map((l) => toMm(l.size.value))).toEqual([381, 381.4, 381.5, 381.5]);
  });

  test('a shelf housed 6 deep is 587.1 long, and loose with 1 at each end 573.1', () => {
    expect(toMm(part(ink, 'left-2/shelf/1')?.length.value as Length)).toBe(587.1);
    expect(toMm(part(ink, 'right-2/shelf/1')?.length.value as Length)).toBe(573.1);
  });

  test('housings from both sides of the divider leave 5.6', () => {
    const warning = check(ink, 'machining-post/divider/1');
    expect(warning?.severity).toBe('look');
    expect(writeExactly(warning?.sentence ?? [])).toContain('keeps 5.6 mm of its 17.6 mm');
  });

  test('built flat it cannot be stood up (2116 > 2101) unless the base is loose (2037)', () => {
    expect(toMm(ink.shape.diagonal.value)).toBeCloseTo(Math.hypot(2091, 326), 4);
    const warning = check(ink, 'stands-up');
    expect(writeExactly(warning?.sentence ?? [])).toContain('2116.26015 mm across its corners');
    expect(warning?.severity).toBe('stop');
    const fix = warning?.fixes[0];
    expect(writeExactly(fix?.label ?? [])).toContain('2037.2');
    if (fix?.change.target !== 'piece') throw new Error('the fix is for the piece');
    expect(check(solved('ink-case', fix.change.edit), 'stands-up')?.state).toBe('fine');
  });

  test('the paper shelf passes today and bows past the limit later', () => {
    const bending = ink.carried.members.get('right-2/shelf/1')?.bending;
    expect(bending?.span).toBeCloseTo(575.1, 9);
    expect(bending?.verdict.today.mm).toBeCloseTo(1.335, 3);
    expect(bending?.verdict.today.state).toBe('close');
    expect(bending?.verdict.later?.mm).toBeCloseTo(2.67, 3);
    expect(bending?.verdict.later?.state).toBe('fails');
    expect(bending?.verdict.allowed).toBeCloseTo(1.498, 3);
  });

  test('the same shelf in MDF and in red oak', () => {
    const choices = stockChoices(ink, workshop, {}, 'right-2/shelf/1');
    const today = (id: string) => choices.find((c) => c.stockId === id)?.today;
    expect(today('mdf-18')).toBeCloseTo(4.24, 3);
    expect(today('red-oak-18')).toBeCloseTo(1.016, 3);
  });

  test('the divider loads the bottom over the toe, and a bearer mends it', () => {
    const bottom = ink.carried.members.get('case/bottom/1');
    const post = ink.carried.members.get('post/divider/1');
    expect(bottom?.state).toBe('fails');
    expect(bottom?.handed.find((h) => h.from === 'post/divider/1')?.newtons).toBeCloseTo(post?.total as number, 6);
    // The toe board holds its front: at the rear it sags 15.4, and does not break.
    expect(bottom?.bending?.verdict.today.mm).toBeCloseTo(15.4, 1);
    expect(check(ink, 'strength-case/bottom/1')).toBeUndefined();
    expect(check(ink, 'sag-case/bottom/1')?.severity).toBe('look');
    const remedies = remediesFor(ink, workshop, ink.letters, 'case/bottom/1');
    expect(remedies.map((r) => writeExactly(r.label))).toEqual([
      'Screw the back to its rear edge',
      'Put a bearer under each divider, down to the floor',
      'Stand the case on a loose plinth',
      'Put a bearer along the rear under it, down to the floor',
    ]);
    const [, first] = remedies;
    const mended = solved('ink-case', first?.edit as PieceEdit);
    expect(mended.carried.members.get('case/bottom/1')?.state).toBe('fine');
    expect(part(mended, 'base/bearer/post')?.member.role).toBe('bearer');
  });

  test('every load reaches the floor: the mass of the case and of what stands in it', () => {
    const things = Object.entries(PRINT_SHED.things);
    const standing = [...ink.shape.spaces.values()]
      .flatMap((s) => s.space.things)
      .reduce((kg, t) => kg + t.count * (things.find(([id]) => id === t.thing)?.[1].mass ?? 0), 0);
    // One shelf is empty: 0.65 kN on a square metre of it.
    const empty = ink.shape.spaces.get('left-4th')?.clear;
    const assumed = empty ? 0.65 * 1000 * (toMm(empty.width.value) / 1000) * (toMm(empty.depth.value) / 1000) : 0;
    expect(ink.carried.floor).toBeCloseTo((ink.carried.massKg + standing) * 9.81 + assumed, 6);
  });
});

describe('sag of the loose shelf by itself: 304 deep, span 575.1, 70 kg', () => {
  const stock = PRINT_SHED.stock['birch-18'] as Stock;
  const self = (kgPerM3: number) => kgPerM3 * 1e-9 * 304 * 17.6 * 9.81;
  const loads = (kgPerM3: number) => ({
    length: 575.1,
    supports: [{ x: 0 }, { x: 575.1 }],
    lines: [{ from: 0, to: 575.1, perMm: (70 * 9.81) / 575.1 + self(kgPerM3) }],
    points: [],
  });

  test.each([
    ['birch-plywood', 680, 1.335],
    ['mdf', 750, 4.24],
    ['red-oak', 705.6, 1.016],
  ])('%s', (material, density, today) => {
    const properties = propertiesOf({ ...stock, material });
    expect(properties.density).toBeCloseTo(density, 9);
    expect(sagOf(loads(density), { width: 304, thickness: 17.6, properties }).mm).toBeCloseTo(today, 3);
  });

  test('the divider that stands on an unsupported bottom: 1150 N on 1168 is some 28 mm', () => {
    const EI = gluedStiffness([{ E: 9000, width: 320, height: 17.6, top: 0 }]);
    const result = solveBeam({
      length: 1168,
      stretches: [{ to: 1168, EI }],
      supports: [{ x: 0 }, { x: 1168 }],
      lines: [],
      points: [{ x: 584, newtons: asNewtons(1150) }],
    });
    expect(result.greatest.mm).toBeCloseTo((1150 * 1168 ** 3) / (48 * EI), 6);
    expect(Math.round(result.greatest.mm)).toBeGreaterThanOrEqual(27);
    expect(Math.round(result.greatest.mm)).toBeLessThanOrEqual(30);
  });
});

describe('the ink case in inches', () => {
  test('72 high, toe 3, stock 3/4, four shelves, bottom 15: the other four are 12 3/8 exactly', () => {
    const roller = solved('roller-case');
    const heights = ['second', 'third', 'fourth', 'fifth'].map((id) => toInches(roller.shape.spaces.get(id)?.clear.height.value as Length));
    expect(heights).toEqual([12.375, 12.375, 12.375, 12.375]);
    expect(roller.shape.runs.get('left-bay')?.run.residues).toEqual([]);
  });

  test('inside 66 1/4, five equal gaps of 12.65: one of 12 5/8 and four of 12 21/32, which closes', () => {
    const rack = solved('brayer-rack');
    const run = rack.shape.runs.get('rack')?.run;
    const gaps = run?.lines.filter((l) => l.line.kind === 'gap') ?? [];
    expect(gaps.map((l) => toInches(l.exact.value))).toEqual(Array(5).fill(12.65));
    expect(gaps.map((l) => l.size.value)).toEqual([inch(12.625), ...Array(4).fill(inch(12 + 21 / 32))]);
    expect(run?.residues).toEqual([]);
    expect(run?.total.value).toBe(inch(66.25));
  });
});

test('the cupboard is as wide as its cans and tins, and its back goes 6 into each groove less 1', () => {
  const cupboard = solved('solvent-cupboard');
  // Two rows of cans 110 deep in 268: four columns of 165. Tins three high in two rows: four columns of 100.
  expect(clear(cupboard, 'cupboard', 'width')).toBe(660);
  expect(cupboard.checks.filter((c) => c.severity === 'stop')).toEqual([]);
  expect(toMm(part(cupboard, 'case/back/1')?.width.value as Length)).toBeCloseTo(clear(cupboard, 'cupboard', 'width') + 12 - 1, 9);
  // Its bottom goes from the front rail of the plinth to the rear one.
  expect(cupboard.carried.members.get('case/bottom/1')?.bending?.across).toBeGreaterThan(100);
});

test('no two lines of a tape have one name, so that a page draws each of them once', () => {
  for (const id of Object.keys(PRINT_SHED.pieces)) {
    const s = solved(id);
    for (const axis of ['across', 'up', 'deep'] as const) {
      const ids = tapeThrough(s, s.piece.interior.id, axis).lines.map((l) => l.id);
      expect([id, axis, ids.filter((one, i) => ids.indexOf(one) !== i)]).toEqual([id, axis, []]);
    }
  }
});
