import fc from 'fast-check';
import { assumedOn } from '../../carry/index.js';
import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { type Space, type Split } from '../../piece/index.js';
import type { Frame, PanelCase } from '../../shells/index.js';
import type { Workshop } from '../../project/index.js';
import { chest, drawers } from '../../testing/chest.js';
import { NO_OVER, all, framePiece, given, shop as frameShop } from '../../testing/frame-samples.js';
import { divided, opening, piece, space, stock, thing, workshop, panels } from '../../testing/samples.js';
import { faultsIn } from '../../formats/index.js';
import { applyEdit, pieceSchema } from '../../kinds/index.js';
import { remediesFor, solve, type Remedy, type Solution } from '../index.js';
import { candidatesFor } from './candidates.js';
import { leavesUnchecked } from './failing.js';
import { asKg } from '../../measures/index.js';
import { runs } from '../../testing/runs.js';

const ID = 'in-m1/shelf/1';
const SAT = { person: 'one', how: 'sits on' } as const;
const slab = thing({ name: 'slab', shape: { kind: 'box', width: mm(800), height: mm(100), depth: mm(200) } });

/** A case of 1000 x 2000 x 300 with one loose shelf in it, so many kg on that. */
function shelved(kg: number, extra: Partial<PanelCase> = {}, shop: Partial<Parameters<typeof workshop>[0]> = {}) {
  const inside = divided('in', 'up', 2);
  (inside.split?.spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
  const all = workshop({ ...shop, things: { slab: { ...slab, mass: asKg(kg) } } });
  return { s: solve(piece(inside, extra), all, {}), shop: all };
}

const remedies = ({ s, shop }: { s: Solution; shop: Workshop }, id = ID) => remediesFor(s, shop, s.letters, id);
const labels = (list: readonly Remedy[]) => list.map((r) => writeExactly(r.label));
const of = (list: readonly Remedy[], start: string) => list.find((r) => writeExactly(r.label).startsWith(start));

describe('for a shelf that sags too far', () => {
  const failing = shelved(60);
  const list = remedies(failing);

  test('it does sag too far', () => expect(failing.s.carried.members.get(ID)?.state).toBe('fails'));

  test('an upright in the middle of the space under it halves its span: two spans of 470', () => {
    const upright = of(list, 'Put an upright in the middle');
    expect(upright?.state).toBe('fine');
    const after = solve(applyEdit(failing.s.piece, upright?.edit as Remedy['edit']), failing.shop, {});
    expect(after.carried.members.get(ID)?.supports).toHaveLength(3);
    // What it takes goes down to the bottom, which carries more than before and is told.
    expect(upright?.below.map((b) => b.id)).toContain('case/bottom/1');
    expect(writeExactly(upright?.looks ?? [])).toContain('an upright stands in the space under it');
  });

  test('a case without a back or with a thin one is not glued to it; one of 12 is offered, and holds the rear edge', () => {
    expect(of(list, 'Glue it to the back')).toBeUndefined();
    const thick = shelved(24, { back: { kind: 'applied' }, fixedToWall: false }, { stock: { thin: stock({ thickness: mm(12) }) } });
    const held = of(remedies(thick), 'Glue it to the back');
    const after = held && solve(applyEdit(thick.s.piece, held.edit), thick.shop, {});
    expect(after?.carried.members.get(ID)?.bending?.panel?.back).toBeCloseTo(0, 9);
    expect(held?.lostHeight).toBe(0);
  });

  test('where the case is fixed to the wall it may be screwed through a thin back into studs', () => {
    const studs = { opening: opening({ studs: [mm(300), mm(700)] }) };
    const walled = shelved(24, { opening: 'gap', back: { kind: 'applied' }, fixedToWall: true }, studs);
    expect(labels(remedies(walled)).filter((l) => l.includes('back along') || l.includes('into the studs'))).toEqual([
      'Screw it through the back into the studs',
    ]);
  });

  test('those with the least wood come first', () => {
    const grams = list.map((r) => Math.round(r.addedKg * 1000));
    expect(grams).toEqual([...grams].sort((a, b) => a - b));
    expect(new Set(grams).size).toBeGreaterThan(3);
  });

  test('nothing is offered for what is not there', () => expect(remedies(failing, 'nowhere')).toEqual([]));
});

describe('bays', () => {
  /** Two bays with one shelf each, a heavy slab on the left one. */
  function bays(kg: number, base: Partial<PanelCase> = {}) {
    const bay = (id: string): Space => space(id, { split: divided(id, 'up', 2).split as Split });
    const [left, right] = [bay('l'), bay('r')];
    (left.split?.spaces[1] as Space).things = [{ thing: 'slab', count: 1, at: 'spread' }];
    const inside = space('in', { split: { axis: 'across', members: [{ id: 'mid' }], spaces: [left, right] } });
    const shop = workshop({ things: { slab: { ...slab, shape: { ...slab.shape, width: mm(300) } as typeof slab.shape, mass: asKg(kg) } } });
    return { s: solve(piece(inside, base), shop, {}), shop };
  }

  test('one more divider makes every bay narrower: 470 becomes 306.67', () => {
    const wide = bays(200);
    expect(wide.s.carried.members.get('l-m1/shelf/1')?.state).toBe('fails');
    const more = of(remedies(wide, 'l-m1/shelf/1'), 'One more divider');
    const after = more && solve(applyEdit(wide.s.piece, more.edit), wide.shop, {});
    expect(after?.carried.members.get('l-m1/shelf/1')?.bending?.span).toBeCloseTo((960 - 40) / 3, 0);
    expect(writeExactly(more?.looks ?? [])).toBe('one bay more, each narrower');
  });

  test('a bottom over a toe that a divider bears down on is mended by a bearer to the floor, or by a plinth', () => {
    const toe = bays(120, { base: { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } });
    expect(toe.s.carried.members.get('case/bottom/1')?.state).toBe('fails');
    const list = remedies(toe, 'case/bottom/1');
    for (const label of ['Put a bearer under each divider', 'Put a bearer along the rear under it', 'Stand the case on a loose plinth']) {
      expect(of(list, label)?.today).toBeGreaterThan(0);
    }
    expect(writeExactly(list[0]?.label ?? [])).not.toContain('plinth');
  });
});

test('every remedy of every failing shelf makes it pass, without a stop that was not there, and all of its load reaches the floor', () => {
  let offered = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 250 }),
      fc.integer({ min: 600, max: 1600 }),
      fc.constantFrom('loose' as const, 'housed' as const, 'butted' as const),
      fc.boolean(),
      (kg, wide, fix, back) => {
        const made = shelved(kg, {
          width: { from: 'given', size: mm(wide), of: 'overall' },
          panels: panels({ fix }),
          back: back ? { kind: 'applied' } : { kind: 'none' },
        });
        if (made.s.carried.members.get(ID)?.state !== 'fails') return;
        const stops = new Set(made.s.checks.filter((c) => c.severity === 'stop').map((c) => c.id));
        for (const remedy of remedies(made)) {
          offered += 1;
          const after = solve(applyEdit(made.s.piece, remedy.edit), made.shop, made.s.letters);
          expect(after.carried.members.get(ID)?.state).toMatch(/fine|close/);
          const fresh = after.checks.filter((c) => c.severity === 'stop' && c.state === 'fails' && !stops.has(c.id));
          expect(fresh.filter((c) => !c.id.startsWith('sag-'))).toEqual([]);
          expect(after.carried.floor / 9.81).toBeCloseTo(after.carried.massKg + kg + assumedOn([...after.carried.members.values()]), 4);
          expect(after.carried.massKg - made.s.carried.massKg).toBeCloseTo(remedy.addedKg, 9);
          expect(toMm(remedy.lostHeight)).toBeGreaterThanOrEqual(0);
        }
      },
    ),
    { numRuns: runs(5), seed: 11 },
  );
  expect(offered).toBeGreaterThan(runs(3));
});

test('whatever is tried leaves a piece that may be kept: a toe with a bearer along its rear becomes a plinth without one', () => {
  const base = { kind: 'toe', height: mm(80), setback: mm(50), bearers: false, rear: true } as const;
  const { s, shop } = shelved(60, { base });
  const tried = s.shape.members.flatMap((member) => candidatesFor({ ...s, workshop: shop, member }).map((c) => c.edit));
  expect(tried).toContainEqual({
    kind: 'piece',
    patch: { base: { kind: 'plinth', height: mm(80), setback: mm(50), bearers: false } },
  });
  expect(tried.flatMap((edit) => faultsIn(pieceSchema(), applyEdit(s.piece, edit)))).toEqual([]);
});

describe('where no change alone is enough', () => {
  test('two together are: a strip, and ends that hold', () => {
    const wide = shelved(60, { width: { from: 'given', size: mm(1800), of: 'overall' } });
    const list = remedies(wide);
    const [first] = list;
    expect(first?.edit.kind).toBe('several');
    expect(first?.endsFail).toBe(false);
    // The strip alone leaves ends that do not hold, and is told after those that do.
    expect(list.map((r) => r.endsFail)).toEqual([...list.map((r) => r.endsFail)].sort((a, b) => Number(a) - Number(b)));
    const after = solve(applyEdit(wide.s.piece, first?.edit as Remedy['edit']), wide.shop, wide.s.letters);
    expect(after.carried.members.get(ID)?.state).toMatch(/fine|close/);
    expect(after.checks.some((c) => c.id === `ends-${ID}` && c.state === 'fails')).toBe(false);
  });

  test('what a person breaks through is mended too', () => {
    const top: Frame['top'] = {
      level: { rails: { stock: 'deal21', wide: mm(65), ...all }, deck: { stock: 'ash18', goes: 'over', gap: ZERO } },
      over: NO_OVER,
    };
    const made = framePiece(space('in'), { width: given(900), height: given(450), depth: given(300), top, usedBy: SAT });
    const s = solve(made, frameShop, {});
    const broken = s.checks.find((c) => c.id === 'people-path');
    expect(broken?.state).toBe('fails');
    const [first] = remediesFor(s, frameShop, s.letters, broken?.remedyFor ?? '');
    const after = solve(applyEdit(s.piece, first?.edit as Remedy['edit']), frameShop, s.letters);
    expect(after.checks.some((c) => c.id === 'people-path')).toBe(false);
  });
});

test('what leaves a joint unchecked is no way to mend it', () => {
  // No values are published for bolts in the edge of sheets.
  const top: Frame['top'] = {
    level: { rails: { stock: 'deal21', wide: mm(65), ...all }, deck: { stock: 'ash18', goes: 'over', gap: ZERO } },
    over: NO_OVER,
  };
  const posts: Frame['posts'] = { stock: 'ply12', wide: mm(45), turned: 'across' };
  const made = framePiece(space('in'), { width: given(900), height: given(450), depth: given(300), top, posts, usedBy: SAT });
  const s = solve(made, frameShop, {});
  const bolted = solve(applyEdit(made, { kind: 'piece', patch: { held: 'bolts' } }), frameShop, {});
  expect(bolted.checks.some((c) => c.id === 'not-checked')).toBe(true);
  expect([leavesUnchecked(s, bolted), leavesUnchecked(bolted, bolted), leavesUnchecked(bolted, s)]).toEqual([true, false, false]);
});

test('a drawer too heavy for its slides is offered those on hand that are rated for it, in the length it has', () => {
  const run = (rating: number, lengths: number[]) => ({
    name: `run ${rating}`,
    lengths: lengths.map((l) => mm(l)),
    side: mm(12),
    height: mm(45),
    setback: ZERO,
    rating: asKg(rating),
    extension: 1,
  });
  const slides = { light: run(3, [250]), strong: run(60, [250, 300]), long: run(80, [300]) };
  const shop = { ...chest(drawers()).workshop, slides: new Map(Object.entries(slides)) };
  const s = chest(drawers({ runner: { kind: 'slide', slide: 'light', length: mm(250) } }), 2, {}, shop);
  const told = s.checks.filter((c) => c.id.startsWith('rating-'));
  expect(told.map((c) => c.state)).toContain('fails');
  const labels = told.flatMap((c) => c.fixes.map((f) => writeExactly(f.label)));
  expect(new Set(labels)).toEqual(new Set(['Run the drawers on run 60, rated for 60 kg']));
  const change = told[0]?.fixes[0]?.change;
  if (change?.target !== 'piece') throw new Error('it changes the piece');
  const after = solve(applyEdit(s.piece, change.edit), shop, {});
  expect(after.checks.some((c) => c.id.startsWith('rating-'))).toBe(false);
});
