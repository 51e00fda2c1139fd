import { holeText, holesOf } from '../core/build/index.js';
import { inch, toInches, type Length } from '../core/length/index.js';
import { boughtText } from '../core/formats/bought-text.js';
import { readProject, workshopOf } from '../core/formats/index.js';
import { boughtFor, solve } from '../core/solution/index.js';
import { BINDERY } from './bindery.js';

const workshop = workshopOf(BINDERY);
const solved = (id: string) => solve(BINDERY.pieces[id]?.piece as never, workshop, {});
const inches = (length: Length | undefined) => length && toInches(length);

test('the bindery is a project file that its own reader takes', () => {
  expect(readProject(BINDERY)).toEqual({ ok: true, file: BINDERY });
});

test.each(Object.keys(BINDERY.pieces))('nothing stops the build of %s', (id) => {
  expect(solved(id).checks.filter((c) => c.severity === 'stop')).toEqual([]);
});

test('the paper case by hand: 47 1/2 less 1/8 at each side; three uprights of 23/32; shelves 1/32 short at each end', () => {
  const { shape, parts } = solved('paper-case');
  expect(inches(shape.overall.width.value)).toBe(47.25);
  // The divider stands in housings 1/4 deep above and below; bays are (47 1/4 - 3 x 23/32) / 2.
  expect(inches(shape.spaces.get('left')?.clear.width.value)).toBe((47.25 - 3 * (23 / 32)) / 2);
  expect(inches(parts.find((p) => p.id === 'left-shelf-1/shelf/1')?.length.value)).toBe((47.25 - 3 * (23 / 32)) / 2 - 1 / 16);
});

test('the cutter stand by hand: rails between posts of 3 1/2 are 36 - 2 x 1/2 - 2 x 3 1/2 long', () => {
  const rail = solved('cutter-stand').shape.members.find((m) => m.label.includes('rail'));
  expect(inches(rail?.length.value)).toBe(28);
});

describe('what is sold is named as it is sold', () => {
  const precision = { unit: 'in', step: inch(1 / 32) } as const;
  const bought = (id: string) => boughtFor(solved(id)).map((b) => boughtText(b, precision).join(' '));

  test('screws by the inch, pocket screws in 3/4 stock 1 1/4 long, a pin of 5 mm stays one', () => {
    expect(bought('paper-case')).toContain('24 shelf pins Ø5');
    expect(bought('tool-chest')).toContain('32 pocket screws, 1 1/4 in');
    const screws = bought('paper-case').filter((line) => line.includes('wood screws'));
    expect(screws.length).toBeGreaterThan(0);
    for (const line of screws) expect(line).toMatch(/, (\d( \d\/\d)?|5\/8) in$/);
  });

  test('bits by 1/64: the shank of a No. 8, 0.164, goes through 11/64, and its root of 0.131 bites in 1/8', () => {
    const holes = holesOf(solved('paper-case'));
    const sizes = (use: string) => [...new Set(holes.filter((h) => h.use === use).map((h) => holeText(h, precision).split(',')[0]))];
    expect(sizes('screw')).toEqual(['screw hole Ø11/64']);
    expect(sizes('pilot')).toEqual(['pilot Ø1/8']);
    expect(sizes('pin')).toEqual(['pin hole Ø5 mm']);
  });
});
