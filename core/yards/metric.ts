import type { Slide, Stock } from '../stock/index.js';
import { board, sheet, slide } from './sticks.js';

/** Planed spruce or pine as it measures, thick by wide. */
const planed = (thick: number, wide: number): Stock =>
  board('mm', {
    name: `Spruce ${thick} x ${wide}`,
    material: 'spruce',
    nominal: thick,
    thickness: thick,
    width: wide,
    lengths: [2400, 3000, 3600],
  });

const panel = (name: string, material: string, thick: number): Stock =>
  sheet('mm', { name: `${name} ${thick}`, material, nominal: thick, thickness: thick, width: 1250, lengths: [2500] });

/** Boards that were glued up from strips. */
const glued = (name: string, material: string, thick: number, wide: number): Stock =>
  board('mm', { name: `${name} ${thick} x ${wide}, glued`, material, nominal: thick, thickness: thick, width: wide, lengths: [2000] });

const plank = (name: string, material: string, nominal: number, thick: number): Stock =>
  board('mm', { name: `${name} ${thick}`, material, nominal, thickness: thick, width: 150, lengths: [2400] });

/** What a yard that sells by the millimetre has; sheets are begun as they are sold, until the calliper says more. */
export const METRIC_STOCK: Readonly<Record<string, Stock>> = {
  'ply-18': panel('Birch ply', 'birch-plywood', 18),
  'ply-15': panel('Birch ply', 'birch-plywood', 15),
  'ply-12': panel('Birch ply', 'birch-plywood', 12),
  'ply-6': panel('Birch ply', 'birch-plywood-thin', 6),
  'poplar-18': panel('Poplar ply', 'poplar-plywood', 18),
  'mdf-19': panel('MDF', 'mdf', 19),
  'mdf-12': panel('MDF', 'mdf', 12),
  'particleboard-19': panel('Particleboard', 'particleboard', 19),
  'hardboard-3': panel('Hardboard', 'hardboard', 3),
  'spruce-21x45': planed(21, 45),
  'spruce-21x70': planed(21, 70),
  'spruce-21x95': planed(21, 95),
  'spruce-21x120': planed(21, 120),
  'spruce-28x70': planed(28, 70),
  'spruce-45x45': planed(45, 45),
  'spruce-45x70': planed(45, 70),
  'spruce-45x95': planed(45, 95),
  'spruce-70x70': planed(70, 70),
  'spruce-18x300': glued('Spruce', 'spruce', 18, 300),
  'spruce-18x400': glued('Spruce', 'spruce', 18, 400),
  'beech-27x600': glued('Beech', 'beech', 27, 600),
  'oak-22': plank('Oak', 'white-oak', 27, 22),
  'ash-44': plank('Ash', 'white-ash', 52, 44),
  'steel-flat': board('mm', { name: 'Steel flat 3 x 25', material: 'steel', nominal: 3, thickness: 3, width: 25, lengths: [1000, 2000] }),
};

export const METRIC_SLIDES: Readonly<Record<string, Slide>> = {
  'slide-13': slide('mm', { name: 'Side slide 12.7, full', lengths: [250, 300, 350, 400, 450, 500, 550, 600], side: 12.7, height: 45 }),
};
