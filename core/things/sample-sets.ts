import { mm } from '../length/index.js';
import type { Thing } from './thing.js';
import { asKg } from '../measures/index.js';

/** Sets of everyday things to start a list from; sizes as such things usually have, to be measured. */
export const SAMPLE_SETS: readonly { readonly id: string; readonly name: string; readonly things: readonly Thing[] }[] = [
  {
    id: 'paper',
    name: 'Paper and binders',
    things: [
      box('Box of A4 paper', 220, 260, 310, 4, 12.5, 0, 2),
      box('Ring binder', 80, 320, 290, 12, 2.5, 20, 1),
      box('Magazine file', 95, 310, 250, 6, 3, 20, 1),
    ],
  },
  {
    id: 'jars',
    name: 'Jars and bottles',
    things: [
      round('Jar, one litre', 110, 170, 12, 1.5, 30, 2),
      round('Jar, half a litre', 85, 125, 18, 0.8, 30, 2),
      round('Bottle', 80, 310, 10, 1.3, 20, 1),
    ],
  },
  {
    id: 'boxes',
    name: 'Boxes for small parts',
    things: [
      box('Small-parts box', 160, 80, 240, 16, 1.2, 10, 3),
      box('Crate', 400, 230, 300, 4, 9, 30, 2),
      box('Tool case', 390, 130, 310, 3, 5, 20, 2),
    ],
  },
];

function box(
  name: string,
  width: number,
  height: number,
  depth: number,
  count: number,
  mass: number,
  clearance: number,
  stack: number,
): Thing {
  return {
    name,
    shape: { kind: 'box', width: mm(width), height: mm(height), depth: mm(depth) },
    mass: asKg(mass),
    count,
    clearance: mm(clearance),
    wayUp: 'upright',
    stack,
  };
}

function round(name: string, diameter: number, height: number, count: number, mass: number, clearance: number, stack: number): Thing {
  return {
    name,
    shape: { kind: 'cylinder', diameter: mm(diameter), height: mm(height) },
    mass: asKg(mass),
    count,
    clearance: mm(clearance),
    wayUp: 'upright',
    stack,
  };
}
