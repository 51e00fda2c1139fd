import type { Bought } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { finishOf } from './products.js';
import { areaOf } from './last-steps.js';
import type { Building } from './spec.js';

/**
 * The finish that a piece takes, by its area and coats, to the tenth of a litre.
 * @example finishFor(SOLVED, { finish: 'oil', coats: 3 }).length // 1
 */
export function finishFor({ parts, piece }: Solution, { finish, coats }: Pick<Building, 'finish' | 'coats'>): readonly Bought[] {
  const { id, name, spread } = finishOf(finish);
  if (id === 'none' || parts.length === 0) return [];
  const litres = (parts.reduce((sum, p) => sum + areaOf(p), 0) * coats * (piece.times ?? 1)) / spread;
  return [{ what: name, count: Math.max(0.1, Math.ceil(litres * 10) / 10), each: 'litre' }];
}
