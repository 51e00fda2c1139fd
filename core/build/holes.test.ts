import { mm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { boltedBench } from '../testing/samples.js';
import { holesByPart } from './holes.js';
import { holeRows } from './places.js';

const { bench, shop } = boltedBench();
const solution = solve(bench, shop, {});
const holes = holesByPart(solution);
const rowsOf = (id: string) => {
  const part = solution.parts.find((p) => p.id === id);
  if (!part) throw new Error(`no part ${id}`);
  return holeRows(holes.get(id) ?? [], part, { unit: 'mm', step: mm(0.5) });
};

test('bolts of a rail of 27 x 95 in a post of 450: 4 diameters under its upper edge, in the middle of its end', () => {
  // M8: 4 x 8 = 32 from the upper edge, so 450 - 32 = 418 up the post; the rail is flush with its face: 27 / 2 = 13.5.
  expect(rowsOf('frame/post/front-1')).toEqual([
    {
      text: 'bolt hole Ø9, right through',
      surface: 'left edge',
      aside: ['front face', 13.5],
      from: ['lower end', 'upper end'],
      places: [[418, 32]],
    },
  ]);
  // Of the 1110 between the posts, the nuts sit 60 from either end; the hole goes a diameter past them: 60 + 8.
  // Screws of what is under its deck go through it besides.
  const [left, nuts, right] = rowsOf('frame-top/rail/1').filter((row) => !row.text.startsWith('screw'));
  expect([left?.text, left?.surface, left?.places]).toEqual(['bolt hole Ø9, 68 deep', 'left end', [[63, 32]]]);
  expect([right?.text, right?.surface, right?.places]).toEqual(['bolt hole Ø9, 68 deep', 'right end', [[63, 32]]]);
  expect([nuts?.text, nuts?.aside, nuts?.places]).toEqual([
    'hole for a barrel nut Ø12, 23.5 deep',
    ['upper edge', 32],
    [
      [60, 1050],
      [1050, 60],
    ],
  ]);
});

test('nuts are let in from inside, where they are not seen, unless something covers that face', () => {
  // A bar of steel lies on the inside of both rails and over the nuts.
  expect(rowsOf('frame-top/rail/1')[1]?.surface).toBe('front face');
  expect(rowsOf('frame-top/rail/2')[1]?.surface).toBe('rear face');
  const { bar: _bar, ...rails } = bench.top.level.rails;
  void _bar;
  const bare = solve({ ...bench, top: { ...bench.top, level: { ...bench.top.level, rails } } }, shop, {});
  const nuts = [...holesByPart(bare)].flatMap(([part, all]) => all.filter((h) => h.use === 'nut').map((h) => `${part} ${h.on}`));
  expect([...new Set(nuts)]).toEqual(['frame-top/rail/1 down', 'frame-top/rail/2 up']);
});
