import fc from 'fast-check';
import { size } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import { rectangular, uprightFrame, type Feature, type Member } from '../piece/index.js';
import { woodOf } from '../project/index.js';
import { shop } from '../testing/frame-samples.js';
import { columnOf, enColumn, ndsColumn } from './column.js';
import { propertiesOf } from '../stock/index.js';
import { asNewtons } from '../measures/index.js';

// A post of 45 x 95, 605 long, twice that counted, about its weak axis.
const POST = { effective: 1210, thick: 45 };

test('the stability factor of NDS for a post of 605', () => {
  const { slender, part } = ndsColumn({ ...POST, Emin: 510_000, Fc: 1190.25 });
  expect(slender).toBeCloseTo(26.889, 3);
  expect(part).toBeCloseTo(0.42451, 5);
});

test('the factor of EN 1995-1-1 for the same post of C16', () => {
  const { slender, part } = enColumn({ ...POST, fc: 17, E05: 5400 });
  expect(slender).toBeCloseTo(93.146, 3);
  expect(part).toBeCloseTo(0.31585, 5);
});

test('both go over to the load of Euler where a post is slender, and to all it bears where it is short', () => {
  const long = { effective: 12_000, thick: 45 };
  const euler = (Math.PI ** 2 * 5400) / (enColumn({ ...long, fc: 17, E05: 5400 }).slender ** 2 * 17);
  expect(enColumn({ ...long, fc: 17, E05: 5400 }).part / euler).toBeCloseTo(1, 1);
  expect(enColumn({ effective: 100, thick: 95, fc: 17, E05: 5400 }).part).toBe(1);
  expect(ndsColumn({ effective: 100, thick: 95, Emin: 510_000, Fc: 1190 }).part).toBeCloseTo(1, 2);
});

test('a longer or thinner post never holds more', () => {
  const sizes = fc.record({
    effective: fc.double({ min: 50, max: 6000, noNaN: true }),
    thick: fc.double({ min: 15, max: 150, noNaN: true }),
  });
  fc.assert(
    fc.property(sizes, fc.double({ min: 1, max: 3, noNaN: true }), ({ effective, thick }, more) => {
      for (const of of [
        (e: number, t: number) => enColumn({ effective: e, thick: t, fc: 17, E05: 5400 }).part,
        (e: number, t: number) => ndsColumn({ effective: e, thick: t, Emin: 510_000, Fc: 1190 }).part,
      ]) {
        expect(of(effective * more, thick)).toBeLessThanOrEqual(of(effective, thick) + 1e-12);
        expect(of(effective, thick / more)).toBeLessThanOrEqual(of(effective, thick) + 1e-12);
      }
    }),
  );
});

describe('a post that something is let into', () => {
  // Spruce of 45 x 95 upright, 150 long between what meets it, so short that it does not bow.
  const wood = woodOf(shop, 'deal45');
  const post = (features: readonly Feature[]): Member =>
    rectangular({
      id: 'post',
      node: 'post',
      role: 'post',
      label: 'post',
      wood,
      length: size('long', mm(150)),
      width: size('wide', mm(95)),
      frame: uprightFrame({ x: ZERO, y: ZERO, z: ZERO }),
      features,
    });
  const holds = (features: readonly Feature[]) =>
    columnOf({ member: post(features), total: asNewtons(0) }, [], new Map(), shop.settings, 1)?.holds as number;
  const cut = (u0: number, u1: number, deep: number): Feature => ({
    kind: 'notch',
    face: 'up',
    region: { u0: mm(u0), u1: mm(u1), v0: ZERO, v1: mm(95) },
    depth: mm(deep),
    mate: 'rail',
  });

  test('is crushed where most is cut out of it: by what is left there', () => {
    // 15 of 45 deep over all of its width leaves two thirds.
    expect(holds([cut(50, 90, 15)]) / holds([])).toBeCloseTo(2 / 3, 9);
    // Two beside each other along it do not add up; two at one height do.
    expect(holds([cut(20, 50, 15), cut(90, 120, 15)]) / holds([])).toBeCloseTo(2 / 3, 9);
    expect(holds([cut(20, 60, 15), cut(50, 90, 15)]) / holds([])).toBeCloseTo(1 / 3, 9);
    expect(holds([cut(20, 60, 45)])).toBe(0);
  });

  test('and by a bolt hole less than by its own width', () => {
    const hole: Feature = { kind: 'hole', face: 'up', at: { u: mm(75), v: mm(47.5) }, diameter: mm(9.5), depth: mm(45), mate: 'rail' };
    // 9.5 of 95.
    expect(holds([hole]) / holds([])).toBeCloseTo(0.9, 9);
  });
});

describe('a side of a sheet', () => {
  const sheet = (id: string, thickness: number, long: number, wide: number, origin: Member['frame']['origin']) =>
    rectangular({
      id,
      node: id,
      role: 'side',
      label: id,
      wood: { ...woodOf(shop, 'ply12'), thickness: size('thick', mm(thickness)) },
      length: size('long', mm(long)),
      width: size('deep', mm(wide)),
      frame: uprightFrame(origin),
    });
  const side = (thickness: number) => sheet('side', thickness, 700, 300, { x: ZERO, y: ZERO, z: ZERO });
  /** Something so wide in the middle of its depth, so high on it. */
  const under = (thickness: number, wide: number, newtons: number, high = 700) => {
    const over = sheet('over', 20, 20, wide, { x: ZERO, y: mm(high), z: mm((300 - wide) / 2) });
    const joint = { carrier: 'side', carried: 'over', how: 'screws' } as const;
    const handed = [{ from: 'over', newtons: asNewtons(newtons), dead: asNewtons(0) }];
    return columnOf({ member: side(thickness), total: asNewtons(newtons), handed }, [joint], new Map([['over', over]]), shop.settings, 1);
  };

  test('of 6 under 1.5 kN bows out: by the load of Euler with 0.8 of its stiffness', () => {
    const answer = under(6, 300, 1500);
    const E = propertiesOf(side(6).stock).elastic;
    // π² E I / L², with what is safe for years of it: kmod 0.7 / 1.2 / 1.5.
    const euler = ((Math.PI ** 2 * 0.8 * E * 1000 * ((300 * 6 ** 3) / 12)) / 700 ** 2) * (0.7 / 1.2 / 1.5);
    expect(answer?.free).toBe(700);
    expect(answer?.holds).toBeLessThan(euler);
    expect(answer?.holds).toBeGreaterThan(0.9 * euler);
    expect(answer?.state).toBe('fails');
    expect(under(18, 300, 1500)?.state).toBe('fine');
  });

  test('counts as broad as a load at one place reaches at 45°', () => {
    // 30 broad, 100 up: 50 of spread to the middle at both sides.
    const [narrow, whole] = [under(12, 30, 100, 100), under(12, 300, 100, 100)];
    expect((narrow?.holds ?? 0) / (whole?.holds ?? 1)).toBeCloseTo(130 / 300, 9);
  });
});
