import { faultsIn } from '../../core/formats/validate.js';
import { pieceSchema } from '../../core/kinds/index.js';
import { SettingsSchema } from '../../core/project/index.js';
import { solve } from '../../core/solution/index.js';
import { OpeningSchema } from '../../core/survey/index.js';
import { StockSchema } from '../../core/stock/index.js';
import { ThingSchema } from '../../core/things/index.js';
import { newId, newOpening, newSettings, newStock, newThing } from './defaults.js';
import { newCase } from '../kinds/panel-case/begin.js';

test.each([
  ['Ink tub', [], 'ink-tub'],
  ['Ink tub', ['ink-tub'], 'ink-tub-2'],
  ['Ink tub', ['ink-tub', 'ink-tub-2'], 'ink-tub-3'],
  ['  ¡Ölkanne! ', [], 'lkanne'],
  ['***', [], 'new'],
  // Every object has that already.
  ['Constructor', [], 'constructor-2'],
])('a new id for %s beside %o is %s', (word, taken, expected) => {
  expect(newId(word, taken)).toBe(expected);
});

describe.each(['mm', 'in'] as const)('what one begins with, in %s', (unit) => {
  test('is right by the schemas', () => {
    expect(faultsIn(SettingsSchema, newSettings(unit))).toEqual([]);
    expect(faultsIn(OpeningSchema, newOpening(unit))).toEqual([]);
    expect(faultsIn(StockSchema, newStock(unit))).toEqual([]);
    expect(faultsIn(ThingSchema, newThing(unit))).toEqual([]);
  });

  test.each([{ opening: 'gap', from: 'opening' }, { from: 'contents' }, { from: 'given' }] as const)(
    'a case from %o can be worked out',
    ({ from, ...place }) => {
      const begun = newCase({ unit, stock: [{ id: 'sheet', data: newStock(unit) }] });
      const piece = from === 'given' ? begun : { ...begun, ...place, width: { from }, height: { from }, depth: { from } };
      expect(faultsIn(pieceSchema(), piece)).toEqual([]);
      const workshop = {
        settings: newSettings(unit),
        openings: new Map([['gap', newOpening(unit)]]),
        things: new Map(),
        slides: new Map(),
        people: new Map(),
        stock: new Map([['sheet', newStock(unit)]]),
      };
      const solution = solve(piece, workshop, {});
      expect(solution.parts.length).toBeGreaterThanOrEqual(5);
      const stops = solution.checks.filter((c) => c.severity === 'stop').map((c) => c.id);
      expect(stops).toEqual([]);
      // Nothing is judged by sizes that only stand in; what to do first is said.
      const assumed = from === 'given' ? [] : ['width', 'height', 'depth'];
      expect(solution.shape.assumed).toEqual(assumed);
      expect(solution.checks.map((c) => c.id).includes('undecided')).toBe(assumed.length > 0);
    },
  );
});
