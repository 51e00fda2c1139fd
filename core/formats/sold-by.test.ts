import { inch, mm } from '../length/index.js';
import { boughtText } from './bought-text.js';
import { hardwareCsv, readHardware } from './hardware-csv.js';
import { countedBy, soldBy } from './sold-by.js';

test('an inch shop counts edging by the foot and oil by the quart', () => {
  const precision = { unit: 'in', step: inch(1 / 32) } as const;
  // 6.1 m are 20.01 ft; half a litre is 0.53 qt.
  expect(boughtText({ what: 'edging', each: 'run', length: mm(6100), count: 1 }, precision)[0]).toBe('20.01 ft');
  expect(boughtText({ what: 'oil', each: 'litre', count: 0.5 }, precision)).toEqual(['0.53 qt', 'oil']);
  expect(soldBy('pair', 'in')).toEqual(soldBy('pair', 'mm'));
});

test('a list of an inch shop and one of a metric shop say the same amounts', () => {
  const inShop = 'what,counted by,in one pack,on hand\nedging,foot,25,10\noil,quart,1,0';
  const { hardware, faults } = readHardware(inShop, 'in', []);
  expect(faults).toEqual([]);
  expect(hardware.map((h) => [h.each, h.pack, h.onHand])).toEqual([
    ['run', expect.closeTo(7.62, 9), expect.closeTo(3.048, 9)],
    ['litre', expect.closeTo(0.946353, 6), 0],
  ]);
  expect(
    hardwareCsv(hardware, 'in')
      .split('\n')
      .slice(1, 3)
      .map((l) => l.trim()),
  ).toEqual(['edging,foot,,,25,,10', 'oil,quart,,,1,,0']);
  // Read into a metric project, the amounts stay what they are.
  expect(readHardware(hardwareCsv(hardware, 'in'), 'mm', []).hardware).toEqual(hardware);
  expect(countedBy('bucket')).toBeUndefined();
});
