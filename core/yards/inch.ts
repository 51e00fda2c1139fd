import type { Slide, Stock } from '../stock/index.js';
import { board, sheet, slide, type Sold } from './sticks.js';

const FEET = (...feet: readonly number[]) => feet.map((f) => f * 12);

/** Softwood lumber by its name and what it measures dry (PS 20-20, table 3): 2 x 4 is 1 1/2 by 3 1/2. */
const NOMINAL = { 1: 3 / 4, 2: 1.5, 3: 2.5, 4: 3.5, 6: 5.5, 8: 7.25, 10: 9.25, 12: 11.25 } as const;
type Nominal = keyof typeof NOMINAL;

function lumber(thick: Nominal, wide: Nominal, wood: readonly [name: string, material: string], ...feet: readonly number[]): Stock {
  const [name, material] = wood;
  return board('in', {
    name: `${name} ${thick} x ${wide}`,
    material,
    nominal: thick,
    thickness: NOMINAL[thick],
    width: NOMINAL[wide],
    lengths: FEET(...feet),
  });
}

const FIR = ['Fir', 'douglas-fir'] as const;
const PINE = ['Pine', 'white-pine'] as const;
const CEDAR = ['Cedar', 'redcedar'] as const;

/** Rough hardwood by quarters, planed on two sides: what it is sold as, and what is left. */
const hardwood = (name: string, material: string, quarters: number, nominal: number, thickness: number): Stock =>
  board('in', { name: `${name} ${quarters}/4`, material, nominal, thickness, width: 6, lengths: FEET(8, 6, 10) });

const panel = (sold: Omit<Sold, 'width' | 'lengths'>): Stock => sheet('in', { ...sold, width: 48, lengths: [96] });

/** What a yard that sells by the inch has, with what it measures. */
export const INCH_STOCK: Readonly<Record<string, Stock>> = {
  'ply-3-4': panel({ name: 'Birch ply 3/4', material: 'birch-plywood', nominal: 3 / 4, thickness: 23 / 32 }),
  'ply-1-2': panel({ name: 'Birch ply 1/2', material: 'birch-plywood', nominal: 1 / 2, thickness: 15 / 32 }),
  'ply-1-4': panel({ name: 'Birch ply 1/4', material: 'birch-plywood-thin', nominal: 1 / 4, thickness: 7 / 32 }),
  'fir-ply-3-4': panel({ name: 'Fir ply 3/4', material: 'softwood-plywood', nominal: 3 / 4, thickness: 23 / 32 }),
  'fir-ply-1-2': panel({ name: 'Fir ply 1/2', material: 'softwood-plywood', nominal: 1 / 2, thickness: 15 / 32 }),
  'mdf-3-4': panel({ name: 'MDF 3/4', material: 'mdf', nominal: 3 / 4, thickness: 3 / 4 }),
  'hardboard-1-4': panel({ name: 'Hardboard 1/4', material: 'hardboard', nominal: 1 / 4, thickness: 1 / 4 }),
  'pine-1x2': lumber(1, 2, PINE, 8, 6),
  'pine-1x3': lumber(1, 3, PINE, 8, 6),
  'pine-1x4': lumber(1, 4, PINE, 8, 6, 10),
  'pine-1x6': lumber(1, 6, PINE, 8, 6, 10),
  'pine-1x8': lumber(1, 8, PINE, 8, 6, 10),
  'pine-1x12': lumber(1, 12, PINE, 8, 6, 10),
  'cedar-1x2': lumber(1, 2, CEDAR, 8),
  'cedar-1x4': lumber(1, 4, CEDAR, 8, 10),
  'fir-2x2': lumber(2, 2, FIR, 8),
  'fir-2x3': lumber(2, 3, FIR, 8),
  'fir-2x4': lumber(2, 4, FIR, 8, 10, 12),
  'fir-2x6': lumber(2, 6, FIR, 8, 10, 12),
  'fir-4x4': lumber(4, 4, FIR, 8, 10),
  'oak-4-4': hardwood('Red oak', 'red-oak', 4, 1, 13 / 16),
  'maple-4-4': hardwood('Maple', 'sugar-maple', 4, 1, 13 / 16),
  'maple-8-4': hardwood('Maple', 'sugar-maple', 8, 2, 1.75),
  'steel-flat': board('in', {
    name: 'Steel flat 1/8 x 1',
    material: 'steel',
    nominal: 1 / 8,
    thickness: 1 / 8,
    width: 1,
    lengths: [48, 72],
  }),
};

export const INCH_SLIDES: Readonly<Record<string, Slide>> = {
  'slide-1-2': slide('in', { name: 'Side slide 1/2, full', lengths: [10, 12, 14, 16, 18, 20, 22, 24], side: 1 / 2, height: 1.75 }),
};
