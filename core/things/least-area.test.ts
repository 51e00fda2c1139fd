import fc from 'fast-check';
import { leastArea, type LaidOut } from './least-area.js';

const item = (id: string, wide: number, deep: number): LaidOut => ({ id, wide, deep });
const TEA = [item('tray', 430, 310), item('jar', 95, 95), item('book', 240, 165)];

test('a tray, a jar and a book, 15 between and 20 round them: 530 x 470', () => {
  const layout = leastArea(TEA, { between: 15, margin: 20 });
  expect([layout?.wide, layout?.deep, layout?.proven]).toEqual([530, 470, true]);
});

test('on a top that is given they lie where there is room, or do not', () => {
  expect(leastArea(TEA, { between: 15, margin: 20, most: { wide: 470, deep: 530 } })).toMatchObject({ wide: 470, deep: 530 });
  expect(leastArea(TEA, { between: 15, margin: 20, most: { wide: 520, deep: 460 } })).toBeNull();
  expect(leastArea([], { between: 0, margin: 0 })).toBeNull();
});

test('one thing alone takes itself and the margin', () => {
  expect(leastArea([item('a', 100, 50)], { between: 15, margin: 20 })).toMatchObject({ wide: 140, deep: 90, places: [{ x: 20, z: 20 }] });
});

test('squares that fill a larger one find it: four of 50 and one of 100 on 100 x 200', () => {
  const four = [1, 2, 3, 4].map((n) => item(`s${n}`, 50, 50));
  expect(leastArea([item('big', 100, 100), ...four], { between: 0, margin: 0 })?.wide).toBe(200);
});

test('none over another, all within the margin, as far apart as is asked, never less than they take', () => {
  const sides = fc.integer({ min: 20, max: 400 });
  fc.assert(
    fc.property(fc.array(fc.tuple(sides, sides), { minLength: 1, maxLength: 4 }), fc.nat(30), fc.nat(30), (list, between, margin) => {
      const items = list.map(([w, d], i) => item(`${i}`, w, d));
      const layout = leastArea(items, { between, margin });
      if (!layout) throw new Error('there is always a layout');
      const { places, wide, deep } = layout;
      expect(places.map((p) => p.id).sort()).toEqual(items.map((i) => i.id));
      for (const [i, p] of places.entries()) {
        expect(Math.min(p.x, p.z)).toBeGreaterThanOrEqual(margin - 1e-6);
        expect([p.x + p.wide <= wide - margin + 1e-6, p.z + p.deep <= deep - margin + 1e-6]).toEqual([true, true]);
        for (const q of places.slice(i + 1)) {
          const gap = Math.max(p.x - (q.x + q.wide), q.x - (p.x + p.wide), p.z - (q.z + q.deep), q.z - (p.z + p.deep));
          expect(gap).toBeGreaterThanOrEqual(between - 1e-6);
        }
      }
      // Beside each other in one row is a layout too.
      const row = items.reduce((sum, t) => sum + t.wide, 0) + (items.length - 1) * between + 2 * margin;
      expect(wide * deep).toBeLessThanOrEqual(row * (Math.max(...items.map((t) => t.deep)) + 2 * margin) + 1e-6);
    }),
    { numRuns: 60 },
  );
});
