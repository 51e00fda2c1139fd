import { mm } from '../length/index.js';
import { MATERIALS, materialOf, propertiesOf, type Stock } from './index.js';

const sheet: Stock = {
  name: 'ply',
  form: 'sheet',
  material: 'birch-plywood',
  nominal: mm(18),
  thickness: mm(17.6),
  length: mm(2500),
  width: mm(1250),
};

// E in GPa, MOR in MPa, specific gravity; Wood Handbook table 5-3a. Density at 12 % is 1120 G.
test.each([
  ['red-oak', 12.5, 99, 0.63],
  ['white-oak', 12.3, 105, 0.68],
  ['sugar-maple', 12.6, 109, 0.63],
  ['yellow-birch', 13.9, 114, 0.62],
  ['beech', 11.9, 103, 0.64],
  ['white-ash', 12.0, 103, 0.6],
  ['black-walnut', 11.6, 101, 0.55],
  ['black-cherry', 10.3, 85, 0.5],
  ['yellow-poplar', 10.9, 70, 0.42],
  ['red-alder', 9.5, 68, 0.41],
  ['douglas-fir', 13.4, 85, 0.48],
  ['sitka-spruce', 10.8, 70, 0.4],
  ['loblolly-pine', 12.3, 88, 0.51],
  ['ponderosa-pine', 8.9, 65, 0.4],
  ['white-pine', 8.5, 59, 0.35],
  ['redcedar', 7.7, 52, 0.32],
])('%s: E %d, MOR %d, G %d', (id, elastic, rupture, gravity) => {
  expect(materialOf(id)).toMatchObject({ elastic, rupture, density: 1120 * gravity, form: 'solid', creep: 'solid' });
});

test.each([
  ['birch-plywood', 9.5, 7.0, 680],
  ['softwood-plywood', 8.0, 3.0, 550],
  ['poplar-plywood', 6.0, 4.5, 480],
  ['mdf', 3.0, 3.0, 750],
  ['particleboard', 2.0, 2.0, 680],
  ['osb3', 4.9, 1.9, 620],
  ['hardboard', 4.5, 4.5, 950],
  ['mdf-faced-plywood', 5.0, 4.5, 620],
])('%s: E %d along, %d across, %d kg/m³, typical', (id, elastic, elasticAcross, density) => {
  expect(materialOf(id)).toMatchObject({ elastic, elasticAcross, density, source: expect.stringContaining('typical') as string });
});

test('no material stands twice, and one that is not known is none', () => {
  expect(new Set(MATERIALS.map((m) => m.id)).size).toBe(MATERIALS.length);
  expect(materialOf('cardboard')).toBeUndefined();
  expect(() => propertiesOf({ ...sheet, material: 'cardboard' })).toThrow(RangeError);
});

test('the maker’s figure or one’s own test takes the place of the typical one', () => {
  expect(propertiesOf(sheet)).toMatchObject({ elastic: 9.5, density: 680, ownElastic: false });
  expect(propertiesOf({ ...sheet, elastic: 8.2, density: 700 })).toMatchObject({ elastic: 8.2, density: 700, ownElastic: true });
});
