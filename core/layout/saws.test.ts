import { mm } from '../length/index.js';
import { goesInCar, shopCuts, shopMoney, toolFor } from './index.js';

describe('saws', () => {
  const cut = (way: 'rip' | 'crosscut', at: number, length: number, width: number) => {
    const of = {
      kind: 'cut' as const,
      way,
      at: mm(at),
      x: mm(0),
      y: mm(0),
      length: mm(length),
      width: mm(width),
      near: null as never,
      far: null,
    };
    return { key: 'k', sheet: null as never, way, at: mm(at), of, level: 0, after: null };
  };
  const tools = { fence: mm(600), mitre: mm(300), guide: mm(1400), shop: { free: 2, each: 1.5, least: mm(200) } };

  test.each([
    [cut('rip', 400, 2500, 1250), 'table saw'],
    [cut('rip', 700, 2500, 1600), 'shop'],
    [cut('rip', 700, 1300, 1250), 'guide'],
    [cut('crosscut', 500, 2000, 250), 'mitre saw'],
    [cut('crosscut', 500, 2500, 1250), 'guide'],
    [cut('crosscut', 100, 2500, 1500), 'none'],
  ])('%#: %s', (one, by) => {
    expect(toolFor(one, tools, 'sheet').by).toBe(by);
  });

  test('where no saw is named nothing is said of it, but what is short or narrow still is', () => {
    expect(toolFor(cut('rip', 400, 2500, 1250), undefined, 'sheet')).toEqual({ by: 'unknown', caution: null });
    expect(toolFor(cut('rip', 30, 2500, 1250), undefined, 'sheet').caution).toMatch(/Narrow/);
    expect(toolFor(cut('rip', 100, 250, 200), undefined, 'sheet').caution).toMatch(/Too short/);
    expect(toolFor(cut('crosscut', 80, 2000, 100), undefined, 'board').caution).toMatch(/Short/);
  });

  test('the shop: so many cuts in the price, so much for each more; the car one way or the other', () => {
    const three = Array.from({ length: 3 }, () => cut('rip', 700, 2500, 1600));
    expect(shopCuts(three, tools, 'sheet')).toBe(3);
    expect(shopMoney(3, tools)).toBe(1.5);
    expect(goesInCar(mm(2500), mm(1250), { car: { length: mm(1300), width: mm(2600) } })).toBe(true);
    expect(goesInCar(mm(2500), mm(1250), { car: { length: mm(2400), width: mm(1300) } })).toBe(false);
  });
});
