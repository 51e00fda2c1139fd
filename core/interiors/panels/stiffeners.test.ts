import { panelSpecOf, sagOfPanel, type BendingAnswer } from '../../carry/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf, type DividingMember, type Piece, type Strip } from '../../piece/index.js';
import { applyEdit } from '../../kinds/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { divided, opening, piece, stock, workshop } from '../../testing/samples.js';

const shop = workshop({
  opening: opening({ studs: [mm(300), mm(700)] }),
  stock: {
    ply: stock(),
    board: stock({ name: 'MDF', material: 'mdf-moisture', thickness: mm(18), elastic: 3.5 }),
    thick: stock({ name: 'MDF 36', material: 'mdf-moisture', thickness: mm(36), elastic: 3.5 }),
    strip: stock({ name: 'strip', form: 'board', material: 'white-ash', thickness: mm(18), elastic: 9 }),
  },
});
const strip = { stock: 'strip', high: mm(45), at: 'front', top: 'flush', held: 'glued' } as const;

/** A case of 960 x 1960 x 318 inside with one loose shelf, and 20 kg of tins on it. */
function shelved(extra: Partial<DividingMember> = {}): Solution {
  const interior = divided('in', 'up', 2);
  const [member] = interior.split?.members ?? [];
  Object.assign(member ?? {}, { stock: 'board', fix: 'loose', ...extra });
  const above = interior.split?.spaces[1];
  if (above) above.things = [{ thing: 'tin', count: 10, at: 'spread' }];
  return solve(piece(interior, { depth: { from: 'given', size: mm(318), of: 'overall' } }), shop, {});
}
const shelf = (s: Solution) => s.carried.members.get('in-m1/shelf/1');
const sag = (extra: Partial<DividingMember>) => shelf(shelved(extra))?.bending?.verdict.today.mm ?? NaN;
const box = (s: Solution, id: string) => {
  const member = s.shape.members.find((m) => m.id === id);
  if (!member) throw new Error(`there is no ${id}`);
  const b = boxOf(member);
  return [b.y0, b.y1, b.z0, b.z1].map(toMm);
};

describe('a strip along the edge of a shelf', () => {
  test('flush: it stands before the shelf, which is so much less deep', () => {
    const s = shelved({ strip });
    const [y0, y1, z0, z1] = box(s, 'in-m1/shelf/1');
    expect([z0, z1]).toEqual([0, 300]);
    expect(box(s, 'in-m1/shelf-strip/front')).toEqual([(y1 as number) - 45, y1, 300, 318]);
    expect((y1 as number) - (y0 as number)).toBe(18);
  });

  test('under it: it hangs below, and the shelf stays as deep', () => {
    const s = shelved({ strip: { ...strip, top: 'under', at: 'both' } });
    const [y0] = box(s, 'in-m1/shelf/1');
    expect(box(s, 'in-m1/shelf-strip/front')).toEqual([(y0 as number) - 45, y0, 300, 318]);
    expect(box(s, 'in-m1/shelf-strip/back')).toEqual([(y0 as number) - 45, y0, 0, 18]);
  });

  test('the section: MDF of 3500 MPa, 300 x 18, with a strip of 9000 MPa, 18 x 45, tops flush', () => {
    expect(shelf(shelved({ strip }))?.bending?.builtUp?.EI).toBeCloseTo(2_699_272_809.28, 0);
  });

  test('on one edge the other edge sags: more than the section says, less than bare', () => {
    const bending = shelf(shelved({ strip }))?.bending;
    const panel = bending?.panel;
    expect(panel?.back).toBeGreaterThan((panel?.front as number) * 1.8);
    expect(bending?.verdict.today.mm).toBeCloseTo(panel?.mm as number, 12);
    expect(panel?.mm).toBeGreaterThan((bending?.sag.mm as number) * 2);
    expect(sag({ strip })).toBeLessThan(sag({}));
  });

  test('its strength is judged by all of the moment, on the strip, which is bent most', () => {
    const s = shelved({ strip });
    const bending = shelf(s)?.bending;
    const { total = 0 } = shelf(s) ?? {};
    // M = W L / 8; the foot of the strip lies 45 − 13.94 = 31.06 from the neutral axis of the section.
    const [base, own] = [3500 * 300 * 18, 9000 * 18 * 45];
    const neutral = (base * 9 + own * 22.5) / (base + own);
    const plain = (((total * 960) / 8) * 9000 * (45 - neutral)) / 2_699_272_809.28;
    const more = Math.max(1, (bending?.panel?.front as number) / (bending?.sag.mm as number));
    expect(bending?.strength.stress).toBeCloseTo(plain * more, 6);
    expect(bending?.strength.strength).toMatchObject({ judged: true, allowed: 103 / 4 });
  });

  test('under two glued layers it does what it does under one board as thick as both', () => {
    const under = { ...strip, top: 'under' } as const;
    const two = shelf(shelved({ strip: under, doubled: 'glued' }))?.bending?.panel;
    const one = shelf(shelved({ strip: under, stock: 'thick' }))?.bending?.panel;
    expect((two?.front as number) / (one?.front as number)).toBeCloseTo(1, 6);
    expect((two?.back as number) / (one?.back as number)).toBeCloseTo(1, 6);
    // Screwed, the second layer is not counted on.
    const loose = shelf(shelved({ strip: under, doubled: 'screwed' }))?.bending?.panel;
    expect(loose?.back).toBeGreaterThan(4 * (two?.back as number));
  });

  test('asked for as a plate it is the panel that was judged, its second layer too', () => {
    const bending = shelf(shelved({ strip: { ...strip, top: 'under' }, doubled: 'glued' }))?.bending as BendingAnswer;
    // A finer mesh than the one that judges with every change.
    expect(sagOfPanel(panelSpecOf(bending)).mm / bending.verdict.today.mm).toBeCloseTo(1, 3);
    // Two layers alone are as a plate within what its width adds to a beam of the same section.
    const layers = shelf(shelved({ doubled: 'glued' }))?.bending as BendingAnswer;
    expect(sagOfPanel(panelSpecOf(layers)).mm / layers.sag.bending.greatest.mm).toBeCloseTo(1, 1);
  });

  test('on both edges it is a beam of that section, and stiffer than with one', () => {
    const both = shelf(shelved({ strip: { ...strip, at: 'both' } }))?.bending;
    expect(both?.panel).toBeNull();
    expect(both?.verdict.today.mm).toBeLessThan(sag({ strip }) / 2);
  });

  test('screwed it does less than glued, and more than nothing', () => {
    const both = { ...strip, at: 'both' } as const;
    expect(sag({ strip: { ...both, held: 'screwed' } })).toBeGreaterThan(sag({ strip: both }));
    expect(sag({ strip: { ...both, held: 'screwed' } })).toBeLessThan(sag({}));
  });

  test('its weight goes with the shelf down to the floor', () => {
    const s = shelved({ strip });
    const weight = [...s.carried.members.values()].reduce((sum, c) => sum + c.selfKg, 0);
    expect(s.carried.floor).toBeCloseTo((weight + 20) * 9.81, 6);
    expect(shelf(s)?.handed.map((h) => h.from)).toEqual(['in-m1/shelf-strip/front']);
  });
});

describe('a doubled shelf', () => {
  test('is two layers thick in its run, and each layer a part', () => {
    const s = shelved({ doubled: 'glued' });
    const line = s.shape.runs.get('in')?.run.lines.find((l) => l.line.id === 'in-m1');
    expect(toMm(line?.size.value ?? ZERO)).toBe(36);
    expect(s.parts.filter((p) => p.member.node === 'in-m1').map((p) => [p.member.role, toMm(p.thickness.value)])).toEqual([
      ['shelf', 18],
      ['shelf layer', 18],
    ]);
  });

  test('glued it sags an eighth of the plain one, by its stiffness', () => {
    const EI = shelf(shelved({ doubled: 'glued' }))?.bending?.builtUp?.EI as number;
    expect(EI / (3500 * ((318 * 18 ** 3) / 12))).toBeCloseTo(8, 9);
  });
});

test('edits give and take away strips and layers', () => {
  const { piece: before } = shelved();
  const stiff = applyEdit(before, { kind: 'stiffen', member: 'in-m1', strip, doubled: 'glued' });
  const memberOf = (p: Piece) => p.interior.split?.members[0];
  expect(memberOf(stiff)).toMatchObject({ strip, doubled: 'glued' });
  const plain = applyEdit(stiff, { kind: 'stiffen', member: 'in-m1', strip: null, doubled: null });
  expect(plain).toEqual(before);
});

test.each<[string, Strip, boolean]>([
  ['under it', { ...strip, top: 'under' }, true],
  ['flush, higher than the shelf', strip, true],
  ['flush, no higher than the shelf', { ...strip, high: mm(15) }, false],
])('over a divided space, a strip %s', (_, wanted, stops) => {
  const interior = divided('in', 'up', 2);
  Object.assign(interior.split?.members[0] ?? {}, { strip: wanted });
  const below = interior.split?.spaces[0];
  if (below) below.split = divided('in-1', 'across', 2).split as NonNullable<typeof below.split>;
  const s = solve(piece(interior), shop, {});
  const check = s.checks.find((c) => c.id === 'strip-in-m1');
  expect(check?.severity === 'stop').toBe(stops);
  const fix = check?.fixes[0]?.change;
  if (stops) expect(fix?.target === 'piece' && fix.edit).toMatchObject({ kind: 'stiffen', strip: null });
});

describe('a shelf held to the back', () => {
  const backed = (toBack: 'glued' | 'screwed', back: string, fixedToWall: boolean) => {
    const interior = divided('in', 'up', 2);
    Object.assign(interior.split?.members[0] ?? {}, { toBack });
    const above = interior.split?.spaces[1];
    if (above) above.things = [{ thing: 'tin', count: 10, at: 'spread' }];
    const base = piece(interior);
    return solve({ ...base, opening: 'gap', back: { kind: 'applied' }, stock: { ...base.stock, back }, fixedToWall }, shop, {});
  };

  test('glued to a back of 18 it does not sag at the back, by a fifth or so less at the front, and the back takes part of the load', () => {
    const s = backed('glued', 'board', false);
    const held = shelf(s);
    const free = shelf(backed('glued', 'thin', false));
    expect(held?.bending?.panel?.back).toBeCloseTo(0, 9);
    const less = (held?.bending?.verdict.today.mm as number) / (free?.bending?.verdict.today.mm as number);
    expect(less).toBeGreaterThan(0.75);
    expect(less).toBeLessThan(0.85);
    // By elements it is the same.
    expect(sagOfPanel(panelSpecOf(held?.bending as BendingAnswer)).mm / (held?.bending?.verdict.today.mm as number)).toBeCloseTo(1, 3);
    const back = held?.supports.find((x) => x.how === 'held along')?.newtons as number;
    expect(back).toBeGreaterThan((held?.total as number) * 0.3);
    expect(held?.supports.reduce((sum, x) => sum + x.newtons, 0)).toBeCloseTo(held?.total as number, 6);
    const all = [...s.carried.members.values()].reduce((sum, c) => sum + c.selfKg, 20);
    expect(s.carried.floor).toBeCloseTo(all * 9.81, 6);
  });

  test.each<[string, 'glued' | 'screwed', string, boolean, boolean]>([
    ['glued to a thin back', 'glued', 'thin', false, false],
    ['screwed, not fixed to the wall', 'screwed', 'thin', false, false],
    ['screwed into studs', 'screwed', 'thin', true, true],
  ])('%s', (_, how, back, wall, counts) => {
    const s = backed(how, back, wall);
    expect(s.checks.some((c) => c.id === 'to-back-in-m1')).toBe(!counts);
    expect(shelf(s)?.supports.some((x) => x.how === 'held along')).toBe(counts);
  });
});
