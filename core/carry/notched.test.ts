import { mm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { propertiesOf } from '../stock/index.js';
import { piece, space, stock, thing, workshop } from '../testing/samples.js';
import { sagOf, stiffnessOf } from './index.js';
import { asKg, asNewtons } from '../measures/index.js';

const section = { width: 300, thickness: 18, properties: propertiesOf(stock()) };
const beam = { length: 900, supports: [{ x: 0 }, { x: 900 }], lines: [], points: [{ x: 450, newtons: asNewtons(200) }] };

test('half of its width gone in the middle third: 23 P L³ / 648 E I, by integration of M²/EI', () => {
  const notched = sagOf(beam, { ...section, narrow: [{ from: 300, to: 600, share: 0.5 }] });
  expect(notched.bending.greatest.mm).toBeCloseTo((23 * 200 * 900 ** 3) / (648 * stiffnessOf(section)), 6);
});

test('a notch at its end, where nothing bends, changes next to nothing', () => {
  const whole = sagOf(beam, section).mm;
  const notched = sagOf(beam, { ...section, narrow: [{ from: 0, to: 20, share: 0.5 }] }).mm;
  expect(notched).toBeGreaterThan(whole);
  expect(notched / whole).toBeLessThan(1.0001);
});

test('a level board of pigeon-holes is half as wide where upright ones cross it, and twice as much bent there', () => {
  // Three columns of 300 and two boards of 20 take 940 of the 960 there are.
  const tin = thing({ shape: { kind: 'box', width: mm(300), height: mm(300), depth: mm(300) }, mass: asKg(20) });
  const shop = workshop({ things: { tin } });
  const inside = space('in', {
    filling: { kind: 'cells', thing: 'tin', free: mm(0), make: { kind: 'half-lapped', stock: 'ply' }, blocked: [], features: [] },
  });
  const s = solve(piece(inside), shop, {});
  const board = s.carried.members.get('in/shelf/1');
  const bending = board?.bending;
  expect(bending?.section.narrow?.map((n) => n.share)).toEqual([0.5, 0.5]);
  expect(bending?.strength.stress).toBeCloseTo((6 * (bending?.moment as number)) / (150 * 20 ** 2), 9);
});
