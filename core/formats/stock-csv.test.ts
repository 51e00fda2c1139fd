import { mm } from '../length/index.js';
import { stock } from '../testing/samples.js';
import { readStock, stockCsv } from './stock-csv.js';

const birch = stock({
  name: 'Birch ply 18',
  thickness: mm(17.6),
  nominal: mm(18),
  length: mm(2500),
  width: mm(1250),
  price: 84,
  onHand: 3,
  offcuts: [{ name: 'Behind the press', length: mm(1240), width: mm(620), count: 2 }],
});

test.each(['mm', 'in'] as const)('written in %s and read again nothing has changed', (unit) => {
  expect(readStock(stockCsv([birch], unit), unit, [birch])).toMatchObject({ stocks: [birch], faults: [] });
});

test('a stock that is there is changed in what a line says, another is added, an offcut goes to its stock', () => {
  const { stocks, faults } = readStock(
    [
      'Stock;Offcut;Form;Material;Thickness;Length;Width;Price;On hand',
      'Birch ply 18;;;;;;;91,5;2',
      'Oak 20;;board;White oak;20;2400;190;;6',
      'Oak 20;Short one;;;;650;190;;',
    ].join('\n'),
    'mm',
    [birch],
  );
  expect(faults).toEqual([]);
  expect(stocks[0]).toEqual({ ...birch, price: 91.5, onHand: 2 });
  expect(stocks[1]).toEqual({
    name: 'Oak 20',
    form: 'board',
    material: 'white-oak',
    thickness: mm(20),
    nominal: mm(20),
    length: mm(2400),
    width: mm(190),
    onHand: 6,
    offcuts: [{ name: 'Short one', length: mm(650), width: mm(190), count: 1 }],
  });
});

test.each([
  ['a,b\nx,y', 1, 'stock, length, width'],
  ['stock,length,width\n,100,100', 2, 'stock'],
  ['stock,length,width\nOak,100,100', 2, 'form'],
  ['stock,length,width,form\nBirch ply 18,100,100,plank', 2, 'form'],
  ['stock,length,width\nBirch ply 18,long,100', 2, 'length'],
  ['stock,length,width,price\nBirch ply 18,100,100,-3', 2, 'price'],
  ['stock,length,width,on hand\nBirch ply 18,100,100,1.5', 2, 'on hand'],
  ['stock,offcut,length,width\nOak,Short,100,100', 2, 'stock'],
  ['stock,offcut,length,width\nBirch ply 18,Short,0,100', 2, 'length'],
])('%j: line %d, %s', (text, line, column) => {
  const { stocks, faults } = readStock(text, 'mm', [birch]);
  expect(stocks).toEqual([]);
  expect(faults).toMatchObject([{ line, column }]);
  expect(faults[0]?.accepted).not.toBe('');
});

test('what is wrong in one line leaves the others', () => {
  const { stocks, faults } = readStock('stock,length,width\nBirch ply 18,no,100\nBirch ply 18,2440,1220', 'mm', [birch]);
  expect(faults).toHaveLength(1);
  expect(stocks).toMatchObject([{ length: mm(2440), width: mm(1220), price: 84 }]);
});
