import { toMm, type Length } from '../length/index.js';
import type { Item, Room } from './items.js';
import { groupAt, heightsOf, type ShelfGroup } from './shelve.js';

/** The largest list that is handed to the solver: items times shelves. */
export const LARGEST_PROGRAM = 400;

/**
 * The choice of shelves as a mixed-integer program, in the LP format of CPLEX: item i goes
 * on shelf k at height h (one of the heights that could be), widths and masses within
 * bounds, and the sum of heights and wood is least. Shelves are taken highest first, which
 * leaves out answers that only differ in their order.
 * @param most how many shelves there may be: as many as the first answer has
 * @example programOf(TINS, 1, BAY).split('\n')[0] // 'Minimize'
 */
export function programOf(items: readonly Item[], most: number, room: Room): string {
  const heights = heightsOf(items);
  const K = Array.from({ length: most }, (_, k) => k);
  const x = (i: number, k: number, h: number) => `x_${i}_${k}_${h}`;
  const y = (k: number, h: number) => `y_${k}_${h}`;
  const H = heights.map((_, h) => h);
  const width = (i: number, h: number) => items[i]?.ways.findLast((w) => w.height <= (heights[h] as Length))?.width;
  const mm = (l: Length) => toMm(l).toFixed(4);
  const lines: string[] = [
    'Minimize',
    ` obj: ${K.flatMap((k) => H.map((h) => `${(toMm(heights[h] as Length) + toMm(room.shelf)).toFixed(4)} ${y(k, h)}`)).join(' + ')}`,
    'Subject To',
  ];
  const can = (i: number, h: number) => width(i, h) !== undefined;
  items.forEach((_, i) => {
    lines.push(` one_${i}: ${K.flatMap((k) => H.filter((h) => can(i, h)).map((h) => x(i, k, h))).join(' + ')} = 1`);
  });
  for (const k of K) {
    lines.push(` high_${k}: ${H.map((h) => y(k, h)).join(' + ')} <= 1`);
    for (const h of H) {
      const on = items.flatMap((_, i) => (can(i, h) ? [i] : []));
      if (on.length === 0) continue;
      lines.push(
        ` wide_${k}_${h}: ${on.map((i) => `${mm(width(i, h) as Length)} ${x(i, k, h)}`).join(' + ')} - ${mm(room.width)} ${y(k, h)} <= 0`,
      );
      if (room.mostKg !== undefined) {
        lines.push(
          ` mass_${k}_${h}: ${on.map((i) => `${items[i]?.kg.toFixed(4)} ${x(i, k, h)}`).join(' + ')} - ${Math.max(room.mostKg, ...on.map((i) => items[i]?.kg ?? 0)).toFixed(4)} ${y(k, h)} <= 0`,
        );
      }
    }
    if (k > 0) {
      const sum = (s: number, sign: string) => H.map((h) => `${sign} ${toMm(heights[h] as Length).toFixed(4)} ${y(s, h)}`).join(' ');
      lines.push(` order_${k}: ${sum(k - 1, '+')} ${sum(k, '-')} >= 0`);
    }
  }
  const binaries = [
    ...items.flatMap((_, i) => K.flatMap((k) => H.filter((h) => can(i, h)).map((h) => x(i, k, h)))),
    ...K.flatMap((k) => H.map((h) => y(k, h))),
  ];
  return [...lines, 'Binaries', ` ${binaries.join(' ')}`, 'End', ''].join('\n');
}

/** The shelves that a solution of the program stands for. @example groupsOf(TINS, { x_0_0_0: 1 }, BAY).length // 1 */
export function groupsOf(items: readonly Item[], values: Readonly<Record<string, number>>, room: Room): readonly ShelfGroup[] {
  const heights = heightsOf(items);
  const shelves = new Map<number, { items: Item[]; height: number }>();
  items.forEach((item, i) => {
    const key = Object.keys(values).find((name) => name.startsWith(`x_${i}_`) && (values[name] ?? 0) > 0.5);
    const [, , k, h] = (key ?? '').split('_').map(Number);
    if (k === undefined || h === undefined) return;
    const shelf = shelves.get(k) ?? { items: [], height: h };
    shelf.items.push(item);
    shelves.set(k, shelf);
  });
  return [...shelves.values()].flatMap(({ items: on, height }) => groupAt(on, heights[height] as Length, room) ?? []);
}
