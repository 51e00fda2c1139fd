import { mm, toMm } from '../length/index.js';
import { blockIn, blocksIn, howMany, isTurned, needOfThings, stancesOf, type Thing } from './index.js';

const clear = (width: number, height: number, depth: number) => ({ width: mm(width), height: mm(height), depth: mm(depth) });
const thing = (extra: Partial<Thing>): Thing => ({
  name: 'box',
  shape: { kind: 'box', width: mm(100), height: mm(200), depth: mm(50) },
  count: 1,
  clearance: mm(0),
  wayUp: 'upright',
  stack: 1,
  ...extra,
});
const tub = thing({ name: 'tub', shape: { kind: 'cylinder', diameter: mm(140), height: mm(340) }, clearance: mm(40) });

test.each<[Thing['wayUp'], number]>([
  ['upright', 2],
  ['lying', 4],
  ['any', 6],
])('a box stands %s in %d ways', (wayUp, ways) => {
  expect(stancesOf(thing({ wayUp }))).toHaveLength(ways);
});

test('a cylinder stands in one way and lies in two', () => {
  expect(stancesOf(tub)).toHaveLength(1);
  expect(stancesOf({ ...tub, wayUp: 'any' })).toHaveLength(3);
});

test.each<[string, Thing, [number, number, number], number]>([
  ['four columns of tubs in two rows', tub, [575.1, 380, 304], 8],
  ['no tub where its clearance is not there', tub, [575.1, 379, 304], 0],
  ['boxes turned to fit more: 5 x 3 beats 2 x 6', thing({}), [250, 220, 300], 15],
  ['two layers where they stack', thing({ stack: 2 }), [250, 420, 300], 30],
  ['no more layers than may stand on each other', thing({ stack: 2 }), [250, 900, 300], 30],
  ['its front out: two columns of six rows, never turned', thing({ facesOut: true }), [250, 220, 300], 12],
  ['one row only: five turned ones beside each other', thing({ oneRow: true }), [250, 220, 300], 5],
  ['its front out and one row', thing({ facesOut: true, oneRow: true }), [250, 220, 300], 2],
  ['nothing in a space that is too shallow', thing({}), [250, 220, 40], 0],
])('%s', (_, what, room, count) => {
  expect(howMany(what, clear(...room)).count).toBe(count);
});

test('a block takes the least width: eight tubs in two rows are four wide', () => {
  const block = blockIn('tub', tub, 8, clear(575.1, 380, 304));
  expect([block.columns, block.rows, toMm(block.width), toMm(block.depth)]).toEqual([4, 2, 560, 280]);
});

test('a block that does not fit still has a size, so that it can be shown standing out', () => {
  const block = blockIn('tub', tub, 2, clear(575, 300, 100));
  expect([toMm(block.height), toMm(block.depth)]).toEqual([340, 140]);
});

test('what a set needs side by side: widths add up, the tallest with its clearance decides the height', () => {
  const need = needOfThings(
    [
      { id: 'tub', thing: tub, count: 3 },
      { id: 'box', thing: thing({}), count: 2 },
    ],
    mm(140),
  );
  // Three tubs in a row of 140 are 420; two boxes behind each other, turned, are 50 wide and 100 deep... or 100 wide and 50 deep twice: 50.
  expect([toMm(need.width), toMm(need.height), toMm(need.depth)]).toEqual([520, 380, 140]);
  expect(need.tallest?.thing.name).toBe('tub');
});

test('stacking in the height there is', () => {
  const need = needOfThings([{ id: 'box', thing: thing({ stack: 3 }), count: 3 }], mm(60), mm(650));
  expect([toMm(need.width), toMm(need.height)]).toEqual([100, 600]);
});

describe('which way things stand', () => {
  const box = thing({ shape: { kind: 'box', width: mm(300), height: mm(100), depth: mm(200) } });
  const room = (width: number, depth: number) => clear(width, 400, depth);

  test('as they were entered where they go in so, however much less wide they were turned', () => {
    const block = blockIn('box', box, 2, room(900, 320));
    expect([toMm(block.width), isTurned(block)]).toEqual([600, false]);
  });

  test('turned where they go in only so: too deep a front, or too little width beside others', () => {
    // 200 wide and 300 deep goes into 250 only with its side in front.
    expect(
      isTurned(blockIn('box', { ...box, shape: { kind: 'box', width: mm(200), height: mm(100), depth: mm(300) } }, 1, room(900, 250))),
    ).toBe(true);
    const two = [
      { id: 'a', thing: box, count: 1 },
      { id: 'b', thing: box, count: 1 },
    ];
    // Two of 300 in 600 stand as entered; in 450 they stand turned, 200 each.
    expect(blocksIn(two, room(600, 320)).map(isTurned)).toEqual([false, false]);
    expect(blocksIn(two, room(450, 320)).map((b) => toMm(b.width))).toEqual([200, 200]);
    // What goes in neither way is shown as it was entered.
    expect(blocksIn(two, room(350, 320)).map(isTurned)).toEqual([false, false]);
  });
});
