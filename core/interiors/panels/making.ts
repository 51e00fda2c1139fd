import { ZERO, type Length } from '../../length/index.js';
import type { EndAllowance } from '../../joints/index.js';
import type { DividingMember, Piece, PlacedSpace } from '../../piece/index.js';
import type { Wood, Workshop } from '../../project/index.js';
import type { PlacedLine } from '../../run/index.js';

/** What a shelf, divider or partition is made from. */
export interface Making {
  readonly piece: Piece;
  readonly space: PlacedSpace;
  readonly line: PlacedLine;
  readonly spec: DividingMember;
  readonly datum: Length;
  readonly wood: Wood;
  readonly workshop: Workshop;
}

/** What its ends do to its length. */
export function allowanceOf(piece: Piece, member: DividingMember, up: boolean): EndAllowance {
  if (up) return { fix: member.fix ?? piece.shelves.fix, housing: piece.shelves.housing, looseEnd: piece.shelves.looseEnd };
  const fix = member.fix ?? piece.dividers.fix;
  return { fix: fix === 'loose' ? 'butted' : fix, housing: piece.dividers.housing, looseEnd: ZERO };
}

/** What it is called, by the space it divides. */
export function labelOf(space: PlacedSpace, line: PlacedLine): string {
  return space.label === 'inside' ? line.line.label : `${space.label}, ${line.line.label}`;
}

/** How its ends are carried. */
export const HOW = { housed: 'housed', loose: 'pins', butted: 'screws' } as const;
