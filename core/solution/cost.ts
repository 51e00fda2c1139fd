import type { Part } from '../parts/index.js';
import type { Workshop } from '../project/index.js';
import type { Solution } from './solve.js';

/**
 * What the wood of a part costs by the part of its sheet or board that it takes, in the project's money; null where that has no price.
 * @example costOfPart(PART, SHOP) // null
 */
export function costOfPart(part: Part, workshop: Workshop): number | null {
  const stock = workshop.stock.get(part.member.stockId);
  if (stock?.price === undefined) return null;
  return (stock.price * (part.length.value / stock.length) * part.width.value) / stock.width;
}

/**
 * By how much the wood of a piece gets dearer, by the parts that differ; null where one of
 * those has no price. What is cut off and left over is not counted.
 * @example addedCost(SOLVED, SOLVED, SHOP) // 0
 */
export function addedCost(before: Solution, after: Solution, workshop: Workshop): number | null {
  const like = (p: Part) => `${p.member.stockId} ${p.length.value} ${p.width.value}`;
  const known = new Map(before.parts.map((p) => [p.id, p]));
  const now = new Map(after.parts.map((p) => [p.id, p]));
  let sum = 0;
  const count = (parts: Iterable<Part>, others: ReadonlyMap<string, Part>, sign: 1 | -1): boolean => {
    for (const part of parts) {
      const other = others.get(part.id);
      if (other && like(other) === like(part)) continue;
      const cost = costOfPart(part, workshop);
      if (cost === null) return false;
      sum += sign * cost;
    }
    return true;
  };
  return count(after.parts, known, 1) && count(before.parts, now, -1) ? sum : null;
}
