import { ZERO, mm } from '../length/index.js';
import { stock } from '../testing/samples.js';
import { cuttingOf, kerfOf, reservedOf, sourcesOf, type Begun, type Cutting } from './index.js';

const plain = cuttingOf({ id: 'case', name: 'Case' });
const ply = stock({
  length: mm(2500),
  width: mm(1250),
  onHand: 3,
  offcuts: [{ name: 'Rest', length: mm(900), width: mm(600), count: 2 }],
});
const begun = (sheet: string, copy: number, booked = false): Begun => ({
  stock: 'ply',
  sheet,
  copy,
  length: mm(2500),
  width: mm(1250),
  trim: { ends: ZERO, edges: ZERO },
  sawn: { kind: 'left', x: ZERO, y: ZERO, length: mm(2500), width: mm(1250) },
  done: ['x'],
  ...(booked ? { booked } : {}),
});

describe('what is reserved', () => {
  const other = (extra: Partial<Cutting>): Cutting => ({ ...plain, name: 'Other', ...extra });

  test('by other cuttings is not there, but for what is bought', () => {
    const kept = reservedOf('ply', [
      other({
        reserved: [
          { stock: 'ply', sheet: 'have 0', count: 2 },
          { stock: 'ply', sheet: 'offcut Rest', count: 1 },
          { stock: 'oak', sheet: 'have 0', count: 9 },
        ],
      }),
    ]);
    const count = (from: string) => sourcesOf(ply, undefined, [], kept).find((s) => s.from === from)?.sheet.count;
    expect([count('on hand'), count('offcut'), count('to buy')]).toEqual([1, 1, Infinity]);
    expect(sourcesOf(ply, undefined, [], [{ sheet: 'buy 0', count: 5 }]).find((s) => s.from === 'to buy')?.sheet.count).toBe(Infinity);
  });

  test('what was begun of it is not counted twice, and what is taken off already not at all', () => {
    const reserved = [{ stock: 'ply', sheet: 'have 0', count: 2 }];
    const kept = (b: readonly Begun[]) => reservedOf('ply', [other({ reserved, begun: [...b] })]);
    expect(kept([begun('have 0', 0)])).toEqual([{ sheet: 'have 0', count: 2 }]);
    expect(kept([0, 1, 2].map((n) => begun('have 0', n)))).toEqual([{ sheet: 'have 0', count: 3 }]);
    expect(reservedOf('ply', [other({ begun: [begun('have 0', 0, true)] })])).toEqual([]);
    expect(reservedOf('ply', [other({ begun: [begun('have 0', 0)] })])).toEqual([{ sheet: 'have 0', count: 1 }]);
  });

  test('no knots at all are no reason to take several for one', () => {
    const offcuts = [{ name: 'Rest', length: mm(900), width: mm(600), count: 2, flaws: [] }];
    expect(sourcesOf({ ...ply, offcuts }, undefined, []).find((s) => s.from === 'offcut')).toMatchObject({ sheet: { count: 2 } });
  });

  test('never less than none', () => {
    const kept = [{ sheet: 'have 0', count: 7 }];
    expect(sourcesOf(ply, undefined, [], kept).find((s) => s.from === 'on hand')?.sheet.count).toBe(0);
  });
});

describe('what the blade takes', () => {
  const board = stock({ form: 'board', length: mm(2400), width: mm(150) });
  const tools = { fence: mm(600), mitre: mm(300), kerfs: { fence: mm(3.2), mitre: mm(2.2) } };
  const by = { kerf: mm(2.8), tools };

  test.each([
    ['boards that are only crosscut: the mitre saw', board, false, 2.2],
    ['boards that are ripped as well: the wider of the two', board, true, 3.2],
    ['boards too wide for the mitre saw', { ...board, width: mm(320) }, false, 3.2],
    ['sheets: no mitre saw comes to them', ply, true, 3.2],
  ])('%s', (_, of, isRipped, expected) => expect(kerfOf(of, isRipped, by)).toBe(mm(expected)));

  test('a saw without a kerf of its own takes the usual one; so does whatever there is where none is named', () => {
    expect(kerfOf(ply, true, { kerf: mm(2.8), tools: { guide: mm(2500), fence: mm(600), kerfs: { fence: mm(2) } } })).toBe(mm(2.8));
    expect(kerfOf(ply, true, { kerf: mm(2.8), tools: { kerfs: { guide: mm(5) } } })).toBe(mm(2.8));
    expect(kerfOf(ply, true, {})).toBe(mm(3));
    // The shop cuts sheets, and no boards.
    const shop = {
      kerf: mm(3),
      tools: { shop: { free: 3, each: 1, least: mm(200) }, guide: mm(2500), kerfs: { shop: mm(4), guide: mm(2) } },
    };
    expect([kerfOf(ply, true, shop), kerfOf(board, true, shop)]).toEqual([mm(4), mm(2)]);
  });
});
