import { radians, asDegrees, type Degrees } from '../../measures/index.js';
import { Figure, size } from '../../figure/index.js';
import { fromUnits, type Length } from '../../length/index.js';
import type { Tilted } from './spec.js';

/** A row or a column of tilted cells: how high each must be, and how many rows it takes. */
export interface TiltedCells {
  readonly spec: Tilted;
  readonly label: string;
  readonly high: Figure;
  readonly takes: number;
}

/**
 * The height that a thing tilted from level needs: its length up the slope and its clear
 * height across it.
 * @param long its length; `thick` its height with what stays free
 * @example 420 long and 83 thick at 12°: 420 sin 12° + 83 cos 12° = 168.5
 */
export function tiltedHeight(long: Length, thick: Length, degrees: Degrees): Length {
  const angle = radians(degrees);
  return fromUnits(long * Math.sin(angle) + thick * Math.cos(angle));
}

/**
 * The tilted rows and columns with the room that each of their cells needs.
 * @param up the clear height of a level cell; `under` how thick the wood under it is
 */
export function tiltedCells(features: readonly Tilted[], up: Figure, pitch: Figure, under: Length): readonly TiltedCells[] {
  return features.map((spec) => {
    const high = Figure.formula(
      'length',
      `long × sin ${spec.tilt}° + high × cos ${spec.tilt}°`,
      [size('long', spec.long), up.named('high')],
      tiltedHeight(spec.long, up.value, asDegrees(spec.tilt)),
    );
    const takes = Math.max(1, Math.ceil((high.value + under) / pitch.value));
    return { spec, label: 'row' in spec ? `row ${spec.row}` : `column ${spec.column}`, high, takes };
  });
}

/** The grid that tilted cells are placed in. */
export interface TiltedIn {
  readonly columns: number;
  readonly rows: number;
  readonly isBlocked: (column: number, row: number) => boolean;
}

/** What a cell is where something tilted lies in it or reaches through it. */
export type PlacedTilted = { readonly state: 'tilted'; readonly tilted: TiltedCells } | { readonly state: 'under-tilted' };

/**
 * Where tilted things lie, rows before columns: each where the rows it takes are there, not
 * blocked, and not taken by another. Along a column they lie one above the other from below.
 * @returns by column + row × columns
 */
export function placeTilted(all: readonly TiltedCells[], grid: TiltedIn): ReadonlyMap<number, PlacedTilted> {
  const placed = new Map<number, PlacedTilted>();
  const put = (tilted: TiltedCells, column: number, row: number): boolean => {
    const cells = Array.from({ length: tilted.takes }, (_, k) => row + k);
    const goes = cells.every((r) => r < grid.rows && !grid.isBlocked(column, r) && !placed.has(column + r * grid.columns));
    if (goes)
      cells.forEach((r, k) => placed.set(column + r * grid.columns, k === 0 ? { state: 'tilted', tilted } : { state: 'under-tilted' }));
    return goes;
  };
  for (const tilted of all) {
    if (!('row' in tilted.spec) || tilted.spec.row > grid.rows) continue;
    for (let column = 0; column < grid.columns; column++) put(tilted, column, tilted.spec.row - 1);
  }
  for (const tilted of all) {
    if (!('column' in tilted.spec) || tilted.spec.column > grid.columns) continue;
    for (let row = 0; row < grid.rows;) row += put(tilted, tilted.spec.column - 1, row) ? tilted.takes : 1;
  }
  return placed;
}
