import { mm } from '../length/index.js';
import type { Hardware } from '../stock/index.js';
import { hardwareCsv, readHardware } from './hardware-csv.js';

const screws: Hardware = { what: 'countersunk screws', each: 'piece', length: mm(40), thick: mm(4), pack: 100, price: 6.5, onHand: 230 };
const edging: Hardware = { what: 'birch edging', each: 'run', pack: 10 };

test.each(['mm', 'in'] as const)('written in %s and read again nothing has changed', (unit) => {
  expect(readHardware(hardwareCsv([screws, edging], unit), unit, [])).toMatchObject({ hardware: [screws, edging], faults: [] });
});

test('a line changes what is there by name and size, and leaves what it does not say; another length is another thing', () => {
  const text = [
    'What;Counted by;Length;Thick;Price',
    'countersunk screws;piece;40;4;7,2',
    'countersunk screws;;50;4;8',
    'birch edging;metre;;;',
  ].join('\n');
  const { hardware, faults } = readHardware(text, 'mm', [screws, edging]);
  expect(faults).toEqual([]);
  expect(hardware).toEqual([
    { ...screws, price: 7.2 },
    { what: 'countersunk screws', each: 'piece', length: mm(50), thick: mm(4), pack: 1, price: 8 },
    edging,
  ]);
});

test('of two lines for one thing the later counts', () => {
  const { hardware } = readHardware('what,price\nwax,3\nwax,4', 'mm', []);
  expect(hardware).toEqual([{ what: 'wax', each: 'piece', pack: 1, price: 4 }]);
});

test.each([
  ['no heading of ours', 'a,b\nc,d', 1, 'what'],
  ['no name', 'what,price\n,3', 2, 'what'],
  ['a unit that is none', 'what,counted by\nwax,barrel', 2, 'counted by'],
  ['an empty packet', 'what,in one pack\nwax,0', 2, 'in one pack'],
  ['a price under nothing', 'what,price\nwax,-1', 2, 'price'],
  ['a length that is none', 'what,length\nwax,long', 2, 'length'],
])('%s is told with its line', (_, text, line, column) => {
  const { hardware, faults } = readHardware(text, 'mm', []);
  expect(hardware).toEqual([]);
  expect(faults.map((f) => [f.line, f.column])).toEqual([[line, column]]);
});
