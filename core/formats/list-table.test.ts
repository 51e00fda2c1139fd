import { toMm } from '../length/index.js';
import { readCutList } from './cut-list-in.js';
import { readHardware, readStock, readThings } from './index.js';
import { stock } from '../testing/samples.js';

const sizesOf = (text: string, unit: 'mm' | 'in' = 'mm') =>
  readThings(text, unit).things.map(({ shape, count }) => [
    ...(shape.kind === 'box' ? [shape.width, shape.height, shape.depth] : [shape.diameter, shape.height]).map(toMm),
    count,
  ]);
const partsOf = (text: string, unit: 'mm' | 'in' = 'mm') =>
  readCutList(text, unit).rows.map((r) => [r.name, r.count, toMm(r.length), toMm(r.width), toMm(r.thickness)]);

describe('a unit is taken from the cell, else from the head of its column, else from the project', () => {
  // 4 in are 101.6 mm, 10 cm are 100.
  test.each([
    ['the project', 'name,width,height,depth\nTin,100,88,60', [100, 88, 60, 1]],
    ['the head', 'name,width (in),height [cm],depth_mm\nTin,4,10,60', [101.6, 100, 60, 1]],
    ['the head, after a comma in quotes', 'name,"width, in","height, cm","depth, mm"\nTin,4,10,60', [101.6, 100, 60, 1]],
    ['the cell', 'name,width (in),height,depth\nTin,100 mm,10 cm,2 ft', [100, 100, 609.6, 1]],
  ])('%s', (_, text, sizes) => expect(sizesOf(text)).toEqual([sizes]));
});

test.each(['count', 'Qty', 'Quantity', 'QTY.', 'No.', 'how many', 'Pcs'])('%s heads how many there are', (head) => {
  expect(sizesOf(`Item,W,H,D,${head}\nTin,1,2,3,7`)).toEqual([[1, 2, 3, 7]]);
  expect(partsOf(`Item\tL\tW\tTh\t${head}\nSide\t900\t300\t18\t4`)).toEqual([['Side', 4, 900, 300, 18]]);
});

test('a head is known by how it begins', () => {
  const text = 'Part no. 7,Quantity needed,Length in mm,Width finished,Thickness of stock\nSide,4,900,300,18';
  expect(partsOf(text, 'mm')).toEqual([['Side', 4, 900, 300, 18]]);
});

test.each(['4', 'x4', '4x', '4 pcs', '4 off', '4 pieces', 'x 4'])('“%s” is four', (four) => {
  expect(sizesOf(`name,w,h,d,qty\nTin,1,2,3,${four}`)).toEqual([[1, 2, 3, 4]]);
});

describe('decimals are by the list', () => {
  test.each([
    ['a comma in one with semicolons', 'name;w;h;d;kg\nTin;92,5;1.234,5;7;1,3', [92.5, 1234.5, 7, 1], 1.3],
    ['a comma in one pasted', 'name\tw\th\td\tkg\nTin\t92,5\t88\t7\t1,3', [92.5, 88, 7, 1], 1.3],
    ['a point', 'name\tw\th\td\tkg\nTin\t92.5\t1,234.5\t7\t1.3', [92.5, 1234.5, 7, 1], 1.3],
  ] as const)('%s', (_, text, sizes, kg) => {
    expect(sizesOf(text)).toEqual([sizes]);
    expect(readThings(text, 'mm').things[0]?.mass).toBe(kg);
  });

  test('1,200 alone may be two things, and is asked about', () => {
    const { things, faults } = readThings('name;w;h;d\nTin;1,200;88;7', 'mm');
    expect(things).toEqual([]);
    expect(faults).toMatchObject([{ line: 2, column: 'width', given: '1,200' }]);
  });
});

describe('sizes in one cell', () => {
  // 11 1/4 in are 285.75 mm, 3/4 are 19.05, 36 are 914.4.
  const side = ['Side', 2, 914.4, 285.75, 19.05];
  test.each([
    ['thickness first', 'Part,Qty,Size\nSide,2,3/4 x 11-1/4 x 36'],
    ['length first', 'Part,Qty,Size\nSide,2,36 x 11-1/4 x 3/4'],
    ['as the head says', 'Part,Qty,L x W x T\nSide,2,36 × 11 1/4 × 3/4'],
    ['with the unit behind', 'Part,Qty,Dimensions\nSide,2,3/4 by 11-1/4 by 36 in'],
    ['each by itself', 'Part,Qty,T,W,L\nSide,2,3/4,11-1/4,36'],
  ])('%s', (_, text) => expect(partsOf(text, 'in')).toEqual([side]));

  // 18 mm, 0.3 m and 90 cm say for themselves which is least, though 18 is not the least number.
  test.each(['900mm x 300mm x 18mm', '18 mm x 0.3 m x 90 cm', '90cm x 30cm x 1.8cm', '900 × 300,0 × 18,0 mm'])('%s', (size) => {
    expect(partsOf(`Part;Size\nSide;${size}`, 'in')).toEqual([['Side', 1, 900, 300, 18]]);
  });

  test.each(['Part,L x W,Thk,Qty\nSide,900 x 300,18,2', 'Part,Thk,Qty,L x W\nSide,18,2,900 x 300'])(
    'two sizes by the letters of their head, beside a thickness of its own: %s',
    (text) => expect(partsOf(text)).toEqual([['Side', 2, 900, 300, 18]]),
  );

  test('the unit of the head, and of the last, goes for all three', () => {
    expect(partsOf('Part,Size (mm)\nSide,18 x 300 x 900', 'in')).toEqual([['Side', 1, 900, 300, 18]]);
    expect(partsOf('Part,Size\nSide,18 x 300 x 900 mm', 'in')).toEqual([['Side', 1, 900, 300, 18]]);
  });

  test('of a thing: wide, high and deep, or as the head says', () => {
    expect(sizesOf('Item,Size\nTin,100 x 88 x 60')).toEqual([[100, 88, 60, 1]]);
    expect(sizesOf('Item,D x W x H\nTin,60 x 100 x 88')).toEqual([[100, 88, 60, 1]]);
  });

  test('where it is not plain which is which, it is asked', () => {
    const { rows, faults } = readCutList('Part,Size\nSide,300 x 18 x 900\nTop,300 x 900', 'mm');
    expect(rows).toEqual([]);
    expect(faults.map((f) => [f.line, f.given])).toEqual([
      ...[2, 2, 2].map((line) => [line, '300 x 18 x 900']),
      ...[3, 3, 3].map((line) => [line, '300 x 900']),
    ]);
  });
});

test('a title, what is over the heading and columns that nothing is known of are left out, and told', () => {
  const text = 'Rack for the print shed\n\nRevision 3, of May\nPart,Colour,Qty,L (mm),W,Thk\nSide,grey,2,900,300,18';
  const { rows, understood } = readCutList(text, 'mm');
  // Lines are counted as they stand, the empty one too.
  expect(rows).toMatchObject([{ line: 5, name: 'Side', count: 2 }]);
  expect(understood.leftOut).toEqual([
    { line: 1, text: 'Rack for the print shed' },
    { line: 3, text: 'Revision 3, of May' },
  ]);
  expect(understood.taken).toEqual([
    { head: 'Part', as: ['name'], unit: null },
    { head: 'Colour', as: null, unit: null },
    { head: 'Qty', as: ['count'], unit: null },
    { head: 'L (mm)', as: ['length'], unit: 'mm' },
    { head: 'W', as: ['width'], unit: null },
    { head: 'Thk', as: ['thickness'], unit: null },
  ]);
});

test('a title over a list without a heading is left out too', () => {
  const { rows, understood } = readCutList('Rack\nSide, 2, 900, 300, 18', 'mm');
  expect(rows).toMatchObject([{ line: 2, name: 'Side', count: 2 }]);
  expect(understood.leftOut).toEqual([{ line: 1, text: 'Rack' }]);
});

test.each(['84.50', '$84.50', '84.50 €', 'USD 84.50', '£84.50'])('%s is a price of 84.50', (price) => {
  const ply = stock({ name: 'Ply' });
  expect(readStock(`stock,length,width,price\nPly,2440,1220,${price}`, 'mm', [ply]).stocks[0]?.price).toBe(84.5);
  expect(readHardware(`item,cost ($),qty\nScrews,${price},3`, 'mm', []).hardware[0]).toMatchObject({ price: 84.5, onHand: 3 });
});

test('a stock by its sizes in one cell, in inches in a project in mm', () => {
  const { stocks } = readStock('Name,Kind,Wood,Size (in),Qty,Price\nOak 4/4,board,White oak,3/4 x 7-1/4 x 96,6 pcs,$31', 'mm', []);
  expect(stocks.map((s) => [s.thickness, s.width, s.length].map(toMm))).toEqual([[19.05, 184.15, 2438.4]]);
  expect(stocks[0]).toMatchObject({ onHand: 6, price: 31 });
});
