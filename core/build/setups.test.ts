import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { divided, panels, piece, workshop } from '../testing/samples.js';
import { buildingOf, stepsOf, type Building, type Step } from './index.js';

// 1000 x 2000 x 300 of 20, two shelves housed 5 deep between sides: 640, 640, 640 between.
const housed = (settings: object = {}) =>
  solve(piece(divided('in', 'up', 3), { panels: panels({ fix: 'housed' }) }), workshop({ settings }), {});
const steps = (building: Partial<Building> = {}, settings: object = {}) =>
  stepsOf(housed(settings), { ...buildingOf('sample'), ...building });
const texts = (all: readonly Step[], phase: Step['phase']) =>
  all.filter((s) => s.phase === phase).flatMap((s) => s.setups.map((x) => writeExactly(x.says)));
const says = (all: readonly Step[], phase: Step['phase']) =>
  all
    .filter((s) => s.phase === phase)
    .flatMap((s) => s.says.map(writeExactly))
    .join('\n');

test('the saw is set once for each width and each length', () => {
  // Sides 2000 x 300, top and bottom 960 x 300, shelves 970 x 300.
  expect(texts(steps(), 'saw')).toEqual(['Rip to 300 mm', 'Crosscut to 2000 mm', 'Crosscut to 970 mm', 'Crosscut to 960 mm']);
});

test('housings by router: the widest bit that goes in, from one end, both sides with one setting', () => {
  // 20 above the floor, the bottom 20 thick, 640 clear: 660 and 1320 from the lower end.
  expect(texts(steps(), 'recess')).toEqual([
    '2 housings 20 mm wide, on the inside, 660 mm from the lower end: router, bit of 20 mm, 5 mm deep',
    '2 housings 20 mm wide, on the inside, 1320 mm from the lower end: router, bit of 20 mm, 5 mm deep',
  ]);
});

test('with a table saw that reaches: passes of the blade; with neither saw nor router: a chisel', () => {
  const fence = { kerf: mm(3.2), tools: { fence: mm(1400) } };
  // (20 − 3.2) / 6 = 2.8 between seven passes; the last at 660 + 16.8.
  expect(texts(steps({}, fence), 'recess')[0]).toBe(
    '2 housings 20 mm wide, on the inside, 660 mm from the lower end: the blade 5 mm high, 7 passes, the fence from 660 mm on by 2.8 mm to 676.8 mm',
  );
  expect(texts(steps({}, { tools: { router: false } }), 'recess')[0]).toContain('saw both sides 5 mm deep and clear it with a chisel');
});

test('clamps are told against those there are, glue by its time in the cold, and the square by its diagonals', () => {
  const owned = (count: number, reach: number) => says(steps({}, { tools: { clamps: { count, reach: mm(reach) } } }), 'together');
  // Shelves housed 300 deep at both ends: two clamps each; one presses both ends.
  expect(owned(10, 1200)).toContain('4 clamps that open to 1000 mm or more, one about every 250 mm along a joint; you have 10.');
  expect(owned(10, 800)).toContain('yours open to 800 mm. Use screws, a strap all round');
  expect(owned(3, 1200)).toContain('you have 3. Glue it in two goes');
  // 8 minutes at 20 °C, 16 at 10.
  expect(says(steps({ celsius: 10 }), 'together')).toContain('closed within 16 min at 10 °C');
  expect(says(steps({ celsius: 5 }), 'together')).toContain('At 5 °C it does not set: 10 °C is the least.');
  // The square root of 2000² + 1000².
  expect(says(steps(), 'together')).toContain('both diagonals of its outside 2236.1 mm');
  expect(says(steps({ glue: 'none' }), 'together')).not.toContain('clamps');
});

test('schools: upside down, as it goes, in coats', () => {
  expect(says(steps({ stands: 'upside down' }), 'together')).toContain('put together upside down');
  expect(steps({ finish: 'none' }).filter((s) => s.phase === 'coats')).toEqual([]);
  const coats = steps({ finish: 'paint', coats: 2, celsius: 20 }).filter((s) => s.phase === 'coats');
  expect(coats.map((s) => s.wait?.minutes)).toEqual([360, 2880]);
  // Two sides 2000 x 300 x 20: 1.292 m² each; top and bottom 960: 0.6264; shelves 970: 0.6328. In all 5.1024 m².
  expect(coats[0]?.says.map(writeExactly)[0]).toContain(
    '5.1 m² with all faces and edges, 2 coats: about 1.02 l of primer and paint; 1 l covers 10 m².',
  );
});
