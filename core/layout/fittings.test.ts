import { mm } from '../length/index.js';
import type { Bought } from '../piece/index.js';
import type { Hardware } from '../stock/index.js';
import { fittingLines, fittingsMoney, slidesSold, soldAs } from './index.js';

const screws: Bought = { what: 'wood screws No. 8', length: mm(60), count: 230, each: 'piece' };
const edging: Bought = { what: 'edging', thick: mm(1), length: mm(12_400), count: 1, each: 'run' };
const box: Hardware = { what: 'wood screws No. 8', each: 'piece', length: mm(60), pack: 100, price: 6.5, onHand: 40 };
const roll: Hardware = { what: 'edging', each: 'run', thick: mm(1), pack: 5, price: 8 };

test('whole boxes and rolls, less what is there', () => {
  const lines = fittingLines([screws, edging], [box, roll]);
  // 230 − 40 = 190: two boxes of 100. 12.4 m: three rolls of 5 m.
  expect(lines.map((l) => [l.need, l.packs, l.money])).toEqual([
    [230, 2, 13],
    [12.4, 3, 24],
  ]);
  expect(fittingsMoney(lines)).toEqual({ money: 37, atLeast: false });
});

test('exactly a box is one box, enough on hand is none, and what is sold otherwise does not do', () => {
  expect(fittingLines([{ ...screws, count: 140 }], [box])[0]?.packs).toBe(1);
  expect(fittingLines([{ ...screws, count: 40 }], [box])[0]).toMatchObject({ packs: 0, money: 0 });
  expect(fittingLines([{ ...screws, length: mm(40) }], [box])[0]).toMatchObject({ hardware: null, packs: null, money: null });
  const noPrice: Hardware = { what: box.what, each: box.each, length: mm(60), pack: box.pack };
  expect(fittingsMoney(fittingLines([screws], [noPrice]))).toEqual({ money: 0, atLeast: true });
});

test('a start for what nobody said how it is sold', () => {
  expect(soldAs(screws, 'mm')).toEqual({ what: 'wood screws No. 8', each: 'piece', length: mm(60), pack: 100 });
  expect(soldAs(edging, 'mm')).toEqual({ what: 'edging', each: 'run', thick: mm(1), pack: 10 });
  expect(soldAs({ what: 'slides', length: mm(500), count: 7, each: 'pair' }, 'mm')).toMatchObject({ pack: 1, each: 'pair' });
  // A roll of 25 ft is 7.62 m, and a quart 0.946 l.
  expect(soldAs(edging, 'in').pack).toBeCloseTo(7.62, 9);
  expect(soldAs({ what: 'oil', count: 2, each: 'litre' }, 'in').pack).toBeCloseTo(0.946353, 6);
});

test('slides are priced by their own record, a pair at a time', () => {
  const slide = {
    name: 'Ball slide',
    lengths: [mm(450), mm(500)],
    side: mm(12.7),
    height: mm(45),
    setback: mm(0),
    extension: 1,
    price: 19,
  };
  const asked: Bought = { what: 'Ball slide', length: mm(500), count: 7, each: 'pair' };
  expect(fittingLines([asked], slidesSold([slide]))[0]).toMatchObject({ packs: 7, money: 133 });
  expect(slidesSold([{ ...slide, lengths: [] }])).toEqual([]);
});
