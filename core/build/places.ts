import { toMm, mm, formatLength, formatSold, type Precision } from '../length/index.js';
import { edgeName, faceName, type Part } from '../parts/index.js';
import type { Edges, Face } from '../piece/index.js';
import type { Hole, Surface } from './holes.js';

/** What a surface of a part is called. @example surfaceName(PART, 'up') // 'upper face' */
export function surfaceName(part: Part, surface: Surface): string {
  return surface === 'up' || surface === 'down' ? faceName(part.member, surface) : edgeName(part.member, surface);
}

/** One hole as it is set out: from both ends, and from the nearer edge. All mm. */
export interface PlacedHole {
  readonly hole: Hole;
  readonly surface: string;
  /** From each end of what it runs along, by their names. */
  readonly ends: readonly (readonly [from: string, mm: number])[];
  /** From the nearer edge, or for holes in an edge from the nearer face. */
  readonly aside: readonly [from: string, mm: number];
}

type Pair = readonly [start: keyof Edges | Face, end: keyof Edges | Face];

/** What a hole in a surface is measured between, along it and across it. */
function between(on: Surface): readonly [along: Pair, across: Pair] {
  if (on === 'up' || on === 'down')
    return [
      ['u0', 'u1'],
      ['v0', 'v1'],
    ];
  const along: Pair = on === 'u0' || on === 'u1' ? ['v0', 'v1'] : ['u0', 'u1'];
  return [along, ['down', 'up']];
}

function sizeAlong([start]: Pair, part: Part): number {
  if (start === 'u0') return toMm(part.length.value);
  return toMm(start === 'v0' ? part.width.value : part.thickness.value);
}

/** Where a hole is set out. @example placedHole({ on: 'up', along: 100, across: 250 }, PART).aside[1] // 50 */
export function placedHole(hole: Hole, part: Part): PlacedHole {
  const [along, across] = between(hole.on);
  const [long, wide] = [sizeAlong(along, part), sizeAlong(across, part)];
  const far = hole.across * 2 > wide;
  return {
    hole,
    surface: surfaceName(part, hole.on),
    ends: [
      [surfaceName(part, along[0]), hole.along],
      [surfaceName(part, along[1]), long - hole.along],
    ],
    aside: [surfaceName(part, across[far ? 1 : 0]), far ? wide - hole.across : hole.across],
  };
}

const USE: Readonly<Record<Hole['use'], string>> = {
  pin: 'pin hole',
  pocket: 'pocket hole',
  plugged: 'hole for head and plug',
  through: 'hole',
  screw: 'screw hole',
  pilot: 'pilot',
  bolt: 'bolt hole',
  nut: 'hole for a barrel nut',
};

/** What a hole is, in a few words. @example "pilot Ø3, 44 deep" */
export function holeText({ use, diameter, depth, through, countersunk }: Hole, precision: Precision): string {
  // A pin is what it is called; how deep others go is a length like any.
  const deep = (use === 'pin' ? formatSold : formatLength)(mm(depth), precision);
  return `${USE[use]} Ø${formatSold(mm(diameter), precision)}, ${through ? 'right through' : `${deep} deep`}${countersunk ? ', countersunk' : ''}`;
}

/** Holes of a part that differ in nothing but their place along it, as one row each: where they are from both ends. */
export interface HoleRow {
  readonly text: string;
  readonly surface: string;
  readonly aside: readonly [from: string, mm: number];
  readonly from: readonly [start: string, end: string];
  /** From the start and from the end, mm, in the order of the first. */
  readonly places: readonly (readonly [number, number])[];
}

/** The holes of a part in rows, as they are set out. @example holeRows([], PART, { unit: 'mm', step: mm(0.5) }) // [] */
export function holeRows(holes: readonly Hole[], part: Part, precision: Precision): readonly HoleRow[] {
  const rows = new Map<string, HoleRow & { places: (readonly [number, number])[] }>();
  for (const hole of holes) {
    const { surface, ends, aside } = placedHole(hole, part);
    const [start, end] = ends as [PlacedHole['ends'][number], PlacedHole['ends'][number]];
    const text = holeText(hole, precision);
    const key = [text, surface, aside[0], aside[1].toFixed(2)].join('|');
    const row = rows.get(key) ?? { text, surface, aside, from: [start[0], end[0]], places: [] };
    row.places.push([start[1], end[1]]);
    rows.set(key, row);
  }
  for (const row of rows.values()) row.places.sort((a, b) => a[0] - b[0]);
  return [...rows.values()];
}
