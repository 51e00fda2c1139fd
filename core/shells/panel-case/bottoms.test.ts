import { panelSpecOf, sagOfPanel, type BendingAnswer } from '../../carry/index.js';
import { writeExactly } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import { boxOf } from '../../piece/index.js';
import { applyEdit } from '../../kinds/index.js';
import { type PanelCase } from './spec.js';
import { remediesFor, solve, type Solution } from '../../solution/index.js';
import { piece, space, stock, thing, workshop, panels } from '../../testing/samples.js';
import { asKg } from '../../measures/index.js';

const BOTTOM = 'case/bottom/1';
const heavy = (kg: number) =>
  thing({ name: 'slab', mass: asKg(kg), shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } });
const shop = (kg: number) => workshop({ things: { slab: heavy(kg) } });

/** A case of 1000 x 2000 x 400 in 20 with so many kg on its bottom. */
function standing(kg: number, extra: Partial<PanelCase>): Solution {
  const depth = { from: 'given', size: mm(400), of: 'overall' } as const;
  return solve(piece(space('in', { things: [{ thing: 'slab', count: 1 }] }), { depth, ...extra }), shop(kg), {});
}
const bottomOf = (s: Solution) => s.carried.members.get(BOTTOM);
const bent = (s: Solution) => bottomOf(s)?.bending as BendingAnswer;
const text = (s: Solution, id: string) => writeExactly(s.checks.find((c) => c.id === id)?.sentence ?? []);

describe('on a plinth the bottom spans between its rails', () => {
  const plinth = { kind: 'plinth', height: mm(80), setback: mm(50), bearers: false } as const;

  test('it is not carried along its whole length', () => {
    const s = standing(100, { base: plinth });
    expect(bottomOf(s)?.throughout).toBe(false);
    // The rails are 20 thick, their middles 60 from the front and 10 from the rear of 400.
    expect(bent(s).lines.map((l) => l.y)).toEqual([60, 390]);
    expect(bent(s).across).toBe(330);
    expect(bent(s).verdict.allowed).toBeCloseTo(330 / 384, 6);
  });

  test('400 kg on a bottom of 9 that is wide: as the strip between the rails, and by elements', () => {
    const thin = workshop({
      stock: { ply: stock({ thickness: mm(9), length: mm(4000) }) },
      things: { slab: { ...heavy(400), shape: { kind: 'box', width: mm(2600), height: mm(100), depth: mm(200) } } },
    });
    const wide = piece(space('in', { things: [{ thing: 'slab', count: 1 }] }), {
      depth: { from: 'given', size: mm(400), of: 'overall' },
      width: { from: 'given', size: mm(3000), of: 'overall' },
      base: plinth,
    });
    const s = solve(wide, thin, {});
    const { verdict, across, panel } = bent(s);
    const D = (7000 * 9 ** 3) / 12 / (1 - (0.3 * 0.3 * 7000) / 9500);
    const q = ((400 + (bottomOf(s)?.selfKg ?? 0)) * 9.81) / (2982 * 400);
    // A strip over 344.5 with 45.5 … of overhang behind which lifts it a little: less than simply held by itself.
    const simple = (5 * q * across ** 4) / (384 * D);
    expect(verdict.today.mm).toBeLessThan(simple);
    expect(verdict.today.mm).toBeGreaterThan(0.8 * simple);
    expect(sagOfPanel(panelSpecOf(bent(s))).mm / (panel?.mm as number)).toBeCloseTo(1, 1);
  });
});

describe('over a toe the toe board holds the front of the bottom', () => {
  const toe = { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } as const;
  const s = standing(150, { base: toe });

  test('it sags at the rear alone, as elements say too, and less than a beam between the sides', () => {
    const { panel, sag, lines } = bent(s);
    expect(lines).toEqual([{ y: 60, oneWay: true }]);
    expect(panel?.front).toBeLessThan(0.02 * (panel?.back as number));
    expect(panel?.back).toBeLessThan(sag.mm);
    expect((sagOfPanel(panelSpecOf(bent(s))).mm / (panel?.mm as number)).toFixed(2)).toBe('1.00');
  });

  test('what it leans on is counted: the toe board, and the two sides', () => {
    const supports = bottomOf(s)?.supports ?? [];
    expect(supports.map((x) => x.carrier)).toEqual(['case/side/left', 'case/side/right', 'base/toe-board/1']);
    expect(supports.reduce((sum, x) => sum + x.newtons, 0)).toBeCloseTo(bottomOf(s)?.total as number, 3);
  });

  test('a bearer along the rear, or a back screwed to it, is offered and mends it', () => {
    const failing = standing(150, { base: toe, back: { kind: 'applied' } });
    expect(bottomOf(failing)?.state).toBe('fails');
    const remedies = remediesFor(failing, failing.workshop, failing.letters, BOTTOM);
    const labels = remedies.map((r) => writeExactly(r.label));
    for (const label of ['Put a bearer along the rear under it, down to the floor', 'Screw the back to its rear edge']) {
      const remedy = remedies[labels.indexOf(label)];
      expect(remedy?.state).toBe('fine');
      const after = solve(applyEdit(failing.piece, remedy?.edit as never), failing.workshop, {});
      expect(bent(after).panel?.back).toBeLessThan(0.3);
      expect(after.checks.some((c) => c.id.startsWith('screws-'))).toBe(false);
    }
  });

  test('the rear bearer is as long as the inside, on the floor behind, and bearers under dividers end at it', () => {
    const rear = standing(10, { base: { ...toe, rear: true } });
    const bearer = rear.shape.members.find((m) => m.id === 'base/rear-bearer/1');
    const box = bearer && boxOf(bearer);
    expect(box && [box.x0, box.x1, box.y0, box.y1, box.z0, box.z1].map(toMm)).toEqual([20, 980, 0, 80, 0, 20]);
  });

  test('what shows is for a look: a bottom that sags past the limit does not stop the build', () => {
    expect(s.checks.find((c) => c.id === `sag-${BOTTOM}`)).toMatchObject({ severity: 'look', state: 'fails' });
    const breaks = standing(1200, { base: toe });
    expect(breaks.checks.find((c) => c.id === `strength-${BOTTOM}`)?.severity).toBe('stop');
  });
});

describe('racking is asked for every piece', () => {
  const free = { fixedToWall: false, depth: { from: 'given', size: mm(600), of: 'overall' } } as const;
  const racking = (s: Solution) => s.checks.find((c) => c.id === 'racking');

  test('no back and loose shelves: nothing holds it, which stops the build; with housed ones it is for a look', () => {
    expect(racking(standing(10, free))).toMatchObject({ severity: 'stop', state: 'fails' });
    const inside = space('in', { split: { axis: 'up', members: [{ id: 'm' }], spaces: [space('a'), space('b')] } });
    expect(racking(solve(piece(inside, { ...free, panels: panels({ fix: 'housed' }) }), workshop(), {}))).toMatchObject({
      severity: 'look',
      state: 'fails',
    });
  });

  test('the push is 100 N at least and 5 % of all that it carries and weighs', () => {
    const light = standing(1, { ...free, back: { kind: 'applied' } });
    expect(text(light, 'racking')).toContain('A push of 100 N at its top');
    const s = standing(500, { ...free, back: { kind: 'applied' } });
    expect(s.carried.floor * 0.05).toBeGreaterThan(100);
    expect(text(s, 'racking')).toContain(`A push of ${Math.round(s.carried.floor * 0.05)} N`);
  });

  test('a screwed back takes F / s times its width', () => {
    const s = standing(10, { ...free, back: { kind: 'applied' } });
    // Ply of 6 under a No. 8 in the edge of ply, G 0.42: Fe 16600 · 0.42^1.84 = 3364 psi, root 0.131, 0.236 in, Rd 2.2.
    // Is = 0.131 · 0.236 · 3364 / 2.2 = 47.3 lb is the least (IIIs 55.6, IV 78.4); · 0.67 in an edge · 0.9 = 28.5 lb = 127 N; / 200 · 1000.
    expect(Number(/takes (\d+) N/.exec(text(s, 'racking'))?.[1])).toBeCloseTo(634, -1);
    expect(racking(s)?.severity).toBe('good');
  });

  test('a back that is loose in its grooves is not checked, and gluing it is offered and mends it', () => {
    const s = standing(10, { ...free, back: { kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(1) } });
    expect(racking(s)).toMatchObject({ severity: 'look', state: 'not checked' });
    const fix = racking(s)?.fixes[0]?.change;
    if (fix?.target !== 'piece') throw new Error('there is no fix');
    expect(racking(solve(applyEdit(s.piece, fix.edit), s.workshop, {}))).toMatchObject({ severity: 'good', state: 'fine' });
  });

  test('fixed to the wall the wall takes it', () => expect(racking(standing(10, {}))).toMatchObject({ severity: 'good', state: 'fine' }));
});

test.each([
  ['upright where its sheet is long enough', 2500, 1250, [2000, 1000]],
  ['across where it is only so', 1250, 2500, [1000, 2000]],
])('a back lies %s', (_, length, width, sizes) => {
  const sheets = workshop({
    stock: { thin: stock({ thickness: mm(6), length: mm(length), width: mm(width) }), ply: stock({ length: mm(2500), width: mm(2500) }) },
  });
  const s = solve(piece(space('in'), { back: { kind: 'applied' } }), sheets, {});
  const back = s.shape.members.find((m) => m.id === 'case/back/1');
  expect([back?.length.value, back?.width.value].map((l) => toMm(l as never))).toEqual(sizes);
  expect(s.checks.some((c) => c.id.startsWith('stock-case/back'))).toBe(false);
  const box = back && boxOf(back);
  expect(box && [box.x0, box.x1, box.y0, box.y1, box.z0, box.z1].map(toMm)).toEqual([0, 1000, 0, 2000, 0, 6]);
});

test('on every base, with a divider and things that may stand anywhere, all of the load reaches the floor and nothing falls', () => {
  const sizes = { height: mm(80), setback: mm(50) };
  const bases = [
    { kind: 'none' },
    { kind: 'toe', ...sizes, bearers: false },
    { kind: 'toe', ...sizes, bearers: true, rear: true },
    { kind: 'plinth', ...sizes, bearers: false },
    { kind: 'plinth', ...sizes, bearers: true },
  ] as const;
  const backs = [
    { kind: 'none' },
    { kind: 'applied', allRound: true },
    { kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(2) },
  ] as const;
  const bays = space('in', {
    split: {
      axis: 'across',
      members: [{ id: 'mid' }],
      spaces: ['l', 'r'].map((id) => space(id, { things: [{ thing: 'tin', count: 3 }] })),
    },
  });
  for (const base of bases) {
    for (const back of backs) {
      for (const bottom of base.kind === 'toe' ? (['between'] as const) : (['between', 'over'] as const)) {
        const s = solve(piece(bays, { base, back, bottom }), workshop(), {});
        expect([base.kind, back.kind, bottom, s.carried.floor / 9.81]).toEqual([
          base.kind,
          back.kind,
          bottom,
          expect.closeTo(s.carried.massKg + 12, 4),
        ]);
        expect(s.checks.filter((c) => /^(falls|overlap)-/.test(c.id))).toEqual([]);
      }
    }
  }
});
