import { toMm } from '../length/index.js';
import type { Thing } from './thing.js';

/** What things are full of, with its density from least to most, kg/m³; typical. */
export const FILLS = [
  { id: 'paper', label: 'Paper, packed', least: 750, most: 850 },
  { id: 'books', label: 'Books', least: 500, most: 650 },
  { id: 'water', label: 'Water, thin liquids', least: 1000, most: 1000 },
  { id: 'ink', label: 'Ink in tins', least: 1100, most: 1300 },
  { id: 'glass', label: 'Glass plates', least: 2500, most: 2500 },
  { id: 'steel', label: 'Steel plates', least: 7850, most: 7850 },
] as const;

export type Fill = (typeof FILLS)[number];

/** The volume of a thing by its outside, m³. @example volumeOf(TIN.shape) // 0.001 */
export function volumeOf(shape: Thing['shape']): number {
  const cubicMm =
    shape.kind === 'box'
      ? toMm(shape.width) * toMm(shape.height) * toMm(shape.depth)
      : (Math.PI / 4) * toMm(shape.diameter) ** 2 * toMm(shape.height);
  return cubicMm * 1e-9;
}

/**
 * The mass of a thing that is full of something, kg, by the upper density, so that nothing is checked too light.
 * @example paper of 297 x 420 x 50: 850 · 0.006237 = 5.30
 */
export function massOfFill(shape: Thing['shape'], fill: Fill): number {
  return volumeOf(shape) * fill.most;
}
