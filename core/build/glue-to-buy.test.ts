import { solve } from '../solution/index.js';
import { divided, panels, piece, stock, workshop } from '../testing/samples.js';
import { gluedArea, glueFor } from './glue-to-buy.js';

const ash = workshop({ stock: { ply: stock({ material: 'white-ash' }) } });
const shelves = (fix: 'butted' | 'loose', times = 1) => {
  const made = piece(divided('in', 'up', 5));
  return solve({ ...made, times, panels: panels({ fix }) }, ash, {});
};

test('four shelves and a top of 20, screwed between two sides 300 deep: ten ends of 0.006 m², and the glue of them by 4 m² a litre, rounded up', () => {
  expect(gluedArea(shelves('butted'))).toBeCloseTo(0.06, 9);
  // 0.015 litre: two hundredths.
  expect(glueFor(shelves('butted'), { glue: 'pva' })).toEqual([{ what: 'white wood glue (PVA D3)', count: 0.02, each: 'litre' }]);
  // Ten of them: 0.6 m², 0.15 litre.
  expect(glueFor(shelves('butted', 10), { glue: 'pva' })[0]?.count).toBe(0.15);
});

test('what stands on pins takes none, which leaves the two ends of the top; who glues nothing buys none', () => {
  expect(gluedArea(shelves('loose'))).toBeCloseTo(0.012, 9);
  expect(glueFor(shelves('butted'), { glue: 'none' })).toEqual([]);
});
