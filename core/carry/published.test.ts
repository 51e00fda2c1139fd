import { materialOf, type Material } from '../stock/index.js';
import { cleatFaces, cleatForces, shareOfStud, studsCrossed } from './cleat.js';
import { movementOf } from './movement.js';
import { stiffnessFromTest } from './own-test.js';
import { bearingStrength, bendingStrength, judgeStress } from './strength.js';
import { tippingOf } from './tipping.js';
import { asMPa, asKg } from '../measures/index.js';

const material = (id: string) => materialOf(id) as Material;

describe('a bevelled cleat', () => {
  test('38 kg, 120 out, 520 down: shear 372.8 N, moment pull 86.0, wedge pull 372.8 without friction', () => {
    const f = cleatForces({ kg: asKg(38), out: 120, drop: 520 });
    expect([f.shear, f.moment, f.wedge, f.pull].map((n) => Number(n.toFixed(1)))).toEqual([372.8, 86, 372.8, 372.8]);
  });
  test('with 15° of friction the wedge pulls tan 30° of it', () => {
    expect(cleatForces({ kg: asKg(38), out: 120, drop: 520, friction: 15 }).wedge).toBeCloseTo(372.78 * 0.57735, 2);
  });
  test('from 120 x 18, a kerf of 3: wide faces 66.88, narrow 48.88', () => {
    const f = cleatFaces(120, 18, 3);
    expect([f.wide, f.narrow].map((n) => Number(n.toFixed(2)))).toEqual([66.88, 48.88]);
  });
  test('1000 long over studs at 450 is sure to cross 2, which do not share evenly', () => {
    expect(studsCrossed(1000, 450)).toEqual({ sure: 2, most: 3 });
    expect([1, 2, 3].map(shareOfStud)).toEqual([1, 0.75, 0.5]);
  });
});

describe('movement of solid wood', () => {
  test.each([
    ['red oak, heated room', 'red-oak', 300, 1, 4.428, 1.896],
    ['white pine, unheated building', 'white-pine', 200, 2, 3.392, 1.136],
    ['beech, heated room', 'beech', 400, 1, 6.896, 3.04],
  ] as const)('%s', (_, id, width, serviceClass, flat, quarter) => {
    const m = movementOf(id, width, serviceClass);
    expect([m?.flat, m?.quarter].map((v) => Number(v?.toFixed(3)))).toEqual([flat, quarter]);
  });
  test('past 14 % it is told to be stretched; sheets do not move so', () => {
    expect([movementOf('red-oak', 100, 1)?.stretched, movementOf('red-oak', 100, 2)?.stretched]).toEqual([false, true]);
    expect(movementOf('mdf', 300, 1)).toBeNull();
  });
});

describe('a board that was tested', () => {
  test('20 kg in the middle of 800 on 200 x 18, 3 mm read to 0.5', () => {
    // I = 200 · 5832 / 12 = 97,200; 196.2 · 5.12e8 / (48 · 97200 · 3) = 7177 MPa.
    const t = stiffnessFromTest({ span: 800, width: 200, thickness: 18, kg: asKg(20), sag: 3, readTo: 0.5, load: 'middle' });
    expect(t.elastic).toBeCloseTo(7.177, 3);
    expect([t.least, t.greatest, t.spread].map((v) => Number(v.toFixed(3)))).toEqual([6.152, 8.612, 0.167]);
  });
  test('spread evenly it is five eighths of that', () => {
    const test = { span: 800, width: 200, thickness: 18, kg: asKg(20), sag: 3, readTo: 0.5 };
    const at = (load: 'middle' | 'even') => stiffnessFromTest({ ...test, load }).elastic;
    expect(at('even') / at('middle')).toBeCloseTo(0.625, 9);
  });
  test('a sag that cannot be read is refused', () => {
    const test = { span: 800, width: 200, thickness: 18, kg: asKg(1), sag: 0.4, readTo: 0.5, load: 'middle' } as const;
    expect(() => stiffnessFromTest(test)).toThrow('load it more');
  });
});

describe('strength', () => {
  test.each([
    ['red-oak', 1, 99 / 4],
    ['white-pine', 1, (16 * 0.7) / 1.3 / 1.5],
    ['osb3', 2, (14.8 * 0.4) / 1.2 / 1.5],
    ['birch-plywood', 2, (40 * 0.7) / 1.2 / 1.5],
    ['particleboard-moisture', 1, (13.3 * 0.45) / 1.3 / 1.5],
  ] as const)('%s in class %i', (id, serviceClass, allowed) => {
    const s = bendingStrength(material(id), serviceClass);
    expect(s.judged && s.allowed).toBeCloseTo(allowed, 9);
  });
  test('a shelf of 300 x 18, 900 long under 0.5 N/mm: 50,625 N mm over 16,200 mm³ is 3.125 MPa', () => {
    const stress = (0.5 * 900 ** 2) / 8 / ((300 * 18 ** 2) / 6);
    const v = judgeStress(asMPa(stress), bendingStrength(material('mdf'), 1));
    expect(stress).toBeCloseTo(3.125, 9);
    // 21 · 0.4 / 1.3 / 1.5 = 4.308: 0.725 of it.
    expect([v.used?.toFixed(3), v.state]).toEqual(['0.725', 'fine']);
  });
  test('MDF may not carry for years where it is unheated', () => {
    expect(judgeStress(asMPa(1), bendingStrength(material('mdf'), 2)).state).toBe('not checked');
  });
  test('bearing: red oak 705.6 kg/m³ across its grain, class 1: 0.010 · 588 · 0.7 / 1.3 / 1.5; along it 18', () => {
    const allowed = (...args: Parameters<typeof bearingStrength>) => {
      const s = bearingStrength(...args);
      return s.judged ? s.allowed : null;
    };
    expect(allowed(material('red-oak'), 705.6, 1, 'face')).toBeCloseTo((0.01 * 588 * 0.7) / 1.95, 9);
    expect(allowed(material('white-pine'), 392, 1, 'edge')).toBeCloseTo((Number(((0.007 * 392) / 1.2).toFixed(2)) * 0.7) / 1.95, 9);
    expect(allowed(material('red-oak'), 705.6, 1, 'end')).toBeCloseTo((18 * 0.7) / 1.95, 9);
    // Plywood on edge bears along its plies, many times what its face does; boards of chips on edge too.
    expect(allowed(material('birch-plywood'), 680, 1, 'end')).toBeCloseTo((20 * 0.7) / 1.8, 9);
    expect(allowed(material('particleboard'), 680, 1, 'end')).toBeCloseTo((11.1 * 0.45) / 1.95, 9);
    expect(bearingStrength(material('mdf'), 750, 1, 'face').judged).toBe(false);
  });

  test('a board bent across its grain splits: a quarter of 2.1 and 5.5 MPa; 0.6 · 0.7 / 1.3 / 1.5 where that is not published', () => {
    const allowed = (id: string) => {
      const s = bendingStrength(material(id), 1, true);
      return s.judged ? s.allowed : null;
    };
    expect(allowed('white-pine')).toBeCloseTo(2.1 / 4, 12);
    expect(allowed('red-oak')).toBeCloseTo(5.5 / 4, 12);
    expect(allowed('sugar-maple')).toBeCloseTo((0.6 * 0.7) / 1.3 / 1.5, 12);
  });

  test('wet hardwood carries 0.55 / 0.7 of a quarter of its 99 MPa; for a short while dry oak 0.9 / 0.7 of it', () => {
    const allowed = (...args: Parameters<typeof bendingStrength>) => {
      const s = bendingStrength(...args);
      return s.judged ? s.allowed : null;
    };
    expect(allowed(material('red-oak'), 2)).toBeCloseTo(24.75, 9);
    expect(allowed(material('red-oak'), 3)).toBeCloseTo((24.75 * 0.55) / 0.7, 9);
    expect(allowed(material('red-oak'), 1, false, 'short')).toBeCloseTo((24.75 * 0.9) / 0.7, 9);
  });
});

describe('tipping', () => {
  // 40 kg with its middle at 1000 up and 150 out, feet at 300, 2000 tall; level: 40 · 150 = 6000 kg mm.
  const heaps = [{ kg: asKg(40), y: 1000, z: 150 }];
  test('level: 6000 · 9.81 / 1422 = 41.4 N at the height of a pull lifts its back', () => {
    const t = tippingOf({ heaps, foot: 300, pullAt: 2000, lean: null, keeps: true }, 0);
    expect([t.pull, t.margin]).toEqual([expect.closeTo(41.392, 3), 150]);
    expect(t.state).toBe('fails');
  });
  test('on carpet 40 (150 cos 1° − 1000 sin 1°) = 5301', () => {
    expect(tippingOf({ heaps, foot: 300, pullAt: 1422, lean: null, keeps: true }).pull).toBeCloseTo((5301 * 9.81) / 1422, 1);
  });
  test('a drawer 400 in front of the feet: 15 kg on it lifts the back', () => {
    const t = tippingOf({ heaps, foot: 300, pullAt: 1422, lean: 700, keeps: true }, 0);
    expect(t.onDrawer).toBeCloseTo(15, 9);
  });
  test('heavy and deep it stands', () => {
    expect(tippingOf({ heaps: [{ kg: asKg(120), y: 400, z: 250 }], foot: 550, pullAt: 800, lean: 900, keeps: true }, 1).state).toBe('fine');
  });
});
