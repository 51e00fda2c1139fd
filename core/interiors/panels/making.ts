import { ZERO, type Length } from '../../length/index.js';
import type { EndAllowance } from '../../joints/index.js';
import { dividingMembersOf, type DividingMember, type Piece, type PlacedSpace, type Space } from '../../piece/index.js';
import type { Wood, Workshop } from '../../project/index.js';
import type { PlacedLine } from '../../run/index.js';
import { dividingMemberId } from '../ids.js';

/** What a shelf, divider or partition is made from. */
export interface PanelMaking {
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
  if (up)
    return { fix: member.fix ?? piece.panels.shelves.fix, housing: piece.panels.shelves.housing, looseEnd: piece.panels.shelves.looseEnd };
  const fix = member.fix ?? piece.panels.dividers.fix;
  return { fix: fix === 'loose' ? 'butted' : fix, housing: piece.panels.dividers.housing, looseEnd: ZERO };
}

/** What it is called, by the space it divides. */
export function labelOf(space: PlacedSpace, line: PlacedLine): string {
  return space.label === 'inside' ? line.line.label : `${space.label}, ${line.line.label}`;
}

/** What is cut for something that stands in a space: what is below it, or the upper layer of that where it is doubled. */
export function floorOf(piece: Piece, { neighbours: { below } }: PlacedSpace): string {
  for (const { member } of dividingMembersOf(piece.interior)) {
    if (member.doubled !== undefined && dividingMemberId(member.id, 'shelf') === below) return layerId(member.id);
  }
  return below;
}

/** Interiors never change, so that the shelves of each are gone through once. */
const shelves = new WeakMap<Space, ReadonlySet<string>>();

/** Whether what is beside a space is a shelf. */
export function isShelf({ interior }: Piece, memberId: string): boolean {
  let known = shelves.get(interior);
  if (!known) {
    known = new Set([...dividingMembersOf(interior)].map(({ member }) => dividingMemberId(member.id, 'shelf')));
    shelves.set(interior, known);
  }
  return known.has(memberId);
}

/** The second layer of a doubled shelf. @example layerId('a') // 'a/shelf-layer/1' */
export function layerId(node: string): string {
  return `${node}/shelf-layer/1`;
}

/** How its ends are carried. */
export const HOW = { housed: 'housed', loose: 'pins', butted: 'screws' } as const;
