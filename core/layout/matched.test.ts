import { partsOn } from '../cutting/laid.js';
import { cutsOf } from '../cutting/cuts.js';
import { mm, toMm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { askedOf, blanksOf, cuttingOf, laidOut, type Cutting } from './index.js';

const solution = solve(chest(drawers(), 6).piece, chestShop, {});
const pieces = [{ id: 'chest', solution }];
const fronts = solution.parts.filter((p) => p.member.role === 'drawer front');
const stockId = fronts[0]?.member.stockId ?? '';
const blanks = blanksOf(pieces).get(stockId) ?? [];
const settings = { ...solution.workshop.settings, kerf: mm(3) };
const none = () => {
  throw new Error('sheets are laid out without programs');
};
const asked = (extra: Partial<Cutting>) =>
  askedOf(stockId, fronts[0]?.member.stock as never, blanks, { ...cuttingOf({ id: 'chest', name: 'Chest' }), ...extra }, settings);

// 1960 less seven reveals of 4 is 1932: six fronts of 322, 956 wide; three of them and two saw cuts of 3 are 972, four would be 1297 of 1250.
test('fronts under each other are strips of as many as come out of a sheet: as long as they are, as wide as all with a saw cut between', () => {
  const { strips } = asked({ matched: true });
  expect(strips.map((s) => [s.stacked, s.parts.length, toMm(s.length), toMm(s.width)])).toEqual([
    [true, 3, 956, 972],
    [true, 3, 956, 972],
  ]);
  // From the top down.
  const height = (key: string) => fronts.find((f) => key.startsWith(`chest ${f.id} `))?.member.frame.origin.y ?? 0;
  const heights = strips.flatMap((s) => s.parts.map((p) => height(p.key)));
  expect([...heights].sort((a, b) => b - a)).toEqual(heights);
  expect(asked({}).strips).toEqual([]);
});

test('laid out they lie one after the other with a saw cut between, and the cuts give each of them', () => {
  const to = asked({ matched: true });
  const { laid, missing } = laidOut(to, none);
  expect(missing).toEqual([]);
  const parts = laid.flatMap((sheet) => partsOn(sheet).map((p) => ({ ...p, sheet })));
  expect(parts.map((p) => p.id).sort()).toEqual(blanks.map((b) => b.key).sort());
  for (const p of parts) {
    const blank = blanks.find((b) => b.key === p.id);
    expect([p.turned ? p.width : p.length, p.turned ? p.length : p.width]).toEqual([blank?.length, blank?.width]);
  }
  const order = to.strips[0]?.parts.map((s) => parts.find((p) => p.id === s.key)) ?? [];
  expect(order).toHaveLength(3);
  for (let i = 1; i < order.length; i += 1) {
    const [a, b] = [order[i - 1], order[i]];
    expect(b?.sheet).toBe(a?.sheet);
    expect([b?.x, toMm(b?.y ?? mm(0)) - toMm(a?.y ?? mm(0)) - toMm(a?.width ?? mm(0))]).toEqual([a?.x, 3]);
  }
  // Every part but the last of each strip falls off by a cut at its own width.
  const ats = cutsOf(laid).map((c) => c.at);
  for (const front of order.slice(0, -1)) expect(ats).toContain(front?.width);
});

test('a front that is held somewhere is in no strip, and a strip that comes out of nothing there is is none', () => {
  const [first] = asked({ matched: true }).strips[0]?.parts ?? [];
  const pin = { part: first?.key ?? '', stock: stockId, sheet: 'buy 0', copy: 0, x: mm(0), y: mm(0), turned: false };
  const without = asked({ matched: true, pins: [pin] }).strips.flatMap((s) => s.parts.map((p) => p.key));
  expect(without).not.toContain(first?.key);
  expect(without).toHaveLength(5);
  const narrow = { ...(fronts[0]?.member.stock as object), width: mm(300) } as never;
  const cutting = { ...cuttingOf({ id: 'chest', name: 'Chest' }), matched: true };
  expect(askedOf(stockId, narrow, blanks, cutting, settings).strips).toEqual([]);
});
