import { partsOn, type LaidSheet } from '../cutting/laid.js';
import { fromUnits, type Length } from '../length/index.js';

/** Where a part that is let go comes to lie: so far from the two edges that are measured from. */
export interface Spot {
  readonly x: Length;
  readonly y: Length;
}

/** The nearest of some places, where one is near enough; else the place itself. */
function nearest(at: number, places: readonly number[], reach: number): number {
  const best = places.reduce((a, b) => (Math.abs(b - at) < Math.abs(a - at) ? b : a), Infinity);
  return Math.abs(best - at) <= reach ? best : at;
}

/**
 * Where a part lies that is let go near something: against an edge of the sheet, a kerf away from another part, or in line with
 * it. Never off the sheet where it goes on it.
 * @param part how long and how wide it is as it lies, and its key
 * @param reach how near is near
 * @example Object.values(snapped({ trim: { ends: mm(0), edges: mm(0) }, length: mm(2500), width: mm(1250), sawn: { kind: 'left' } }, { key: 'a', length: mm(100), width: mm(100) }, { x: mm(3), y: mm(1148) }, mm(3), mm(10))).map(toMm) // [0, 1150]
 */
export function snapped(
  { trim, length, width, sawn, ...sheet }: LaidSheet,
  part: { readonly key: string; readonly length: Length; readonly width: Length },
  { x, y }: Spot,
  kerf: Length,
  reach: Length,
): Spot {
  const others = partsOn({ trim, length, width, sawn, ...sheet }).filter((p) => p.id !== part.key);
  const [lastX, lastY] = [length - trim.ends - part.length, width - trim.edges - part.width];
  const atX = nearest(x, [trim.ends, lastX, ...others.flatMap((o) => [o.x, o.x + o.length + kerf, o.x - kerf - part.length])], reach);
  const atY = nearest(y, [trim.edges, lastY, ...others.flatMap((o) => [o.y, o.y + o.width + kerf, o.y - kerf - part.width])], reach);
  return {
    x: fromUnits(Math.max(trim.ends, Math.min(atX, Math.max(trim.ends, lastX)))),
    y: fromUnits(Math.max(trim.edges, Math.min(atY, Math.max(trim.edges, lastY)))),
  };
}
