import fc from 'fast-check';
import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, stock, thing, workshop } from '../testing/samples.js';
import { bestCase, getAwayWith, ifOff, wouldBe, type BendingAnswer } from './index.js';
import { asKg } from '../measures/index.js';
import { runs } from '../testing/runs.js';

/** A loose shelf of 960 x 300 x 20, E 9.5, under so many kg; all of it from what stands on it, since the board weighs next to nothing. */
function shelf(kg: number, over = 384): { answer: BendingAnswer; settings: ReturnType<typeof workshop>['settings'] } {
  const inside = divided('in', 'up', 2);
  const [, above] = (inside.split as NonNullable<Space['split']>).spaces;
  if (above) above.things = [{ thing: 'slab', count: 1 }];
  const shop = workshop({
    stock: { ply: stock({ density: 50 }) },
    things: { slab: thing({ name: 'slab', mass: asKg(kg), shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } }) },
    settings: { limit: { kind: 'span', over } },
  });
  const answer = solve(piece(inside), shop, {}).carried.members.get('in-m1/shelf/1')?.bending;
  if (!answer) throw new Error('the shelf does not bend');
  return { answer, settings: shop.settings };
}

describe('what could be got away with', () => {
  const { answer, settings } = shelf(20);
  const now = wouldBe(answer, settings, {});

  test('as it is, it is as the verdict has it', () => {
    expect(now.mm).toBeCloseTo(answer.verdict.later?.mm as number, 12);
    expect(now.allowed).toBeCloseTo(960 / 384, 12);
  });

  test('the longest span: sag by its fourth power against a limit that grows with it, a third power in all', () => {
    // mm · k⁴ = allowed · k, so k = (allowed / mm)^(1/3); the plain reading of E decides all along.
    const k = Math.cbrt(now.allowed / now.mm);
    expect(getAwayWith(answer, settings).span).toBeCloseTo(960 * k, 3);
  });

  test('the least thickness: by the third power, the board itself thinner too', () => {
    const t = getAwayWith(answer, settings).thickness as number;
    const at = wouldBe(answer, settings, { thickness: t / 20 });
    expect(at.mm).toBeCloseTo(at.allowed, 6);
    expect(t / 20).toBeCloseTo(Math.cbrt(now.mm / now.allowed), 2);
  });

  test('the most load: in proportion, less what the board weighs', () => {
    const k = getAwayWith(answer, settings).load as number;
    const own = 0.96 * 0.3 * 0.02 * 50;
    expect(20 * k + own).toBeCloseTo(((20 + own) * now.allowed) / now.mm, 4);
  });
});

describe('off by a fifth', () => {
  const { answer, settings } = shelf(20);
  const { each, all } = ifOff(answer, settings);
  const ratio = (what: string) => (each.find((e) => e.what === what)?.against.mm as number) / wouldBe(answer, settings, {}).mm;

  test.each([
    ['elastic', 1 / 0.8],
    ['creep', 1.2],
    // Its own weight grows shorter with it: 1.2⁴ on the same load per length.
    ['span', 1.2 ** 4],
  ])('%s against the builder', (what, times) => {
    expect(ratio(what)).toBeCloseTo(times, 9);
  });

  test('thickness against: 1 / 0.8³, less a little for the lighter board', () => {
    expect(ratio('thickness')).toBeGreaterThan(1.9);
    expect(ratio('thickness')).toBeLessThan(1 / 0.8 ** 3);
  });

  test('all against is worse than any one', () => {
    each.forEach((e) => expect(all.mm).toBeGreaterThan(e.against.mm));
    each.forEach((e) => expect(e.better.mm).toBeLessThan(e.against.mm));
  });
});

describe('what makes it harder never turns a fail into a pass', () => {
  test.each(['load', 'span', 'elastic', 'thickness', 'creep'] as const)('%s', (what) => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 90, noNaN: true }), fc.double({ min: 1, max: 3, noNaN: true }), (kg, factor) => {
        const { answer, settings } = shelf(kg);
        const harder = what === 'elastic' || what === 'thickness' ? 1 / factor : factor;
        const [before, after] = [wouldBe(answer, settings, {}), wouldBe(answer, settings, { [what]: harder })];
        expect(after.mm / after.allowed).toBeGreaterThanOrEqual((before.mm / before.allowed) * (1 - 1e-12));
        if (before.state === 'fails') expect(after.state).toBe('fails');
      }),
      { numRuns: runs(12) },
    );
  });
});

test('with ends that cannot turn a shelf sags a fifth: w L⁴ / 384 E I against five times that', () => {
  const { answer } = shelf(20);
  expect((bestCase(answer) as number) / answer.sag.bending.greatest.mm).toBeCloseTo(1 / 5, 2);
});
