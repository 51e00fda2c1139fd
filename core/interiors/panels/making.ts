import { asBefore } from '../../figure/index.js';
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

/** What is known of the dividing members of an interior: its shelves, and by the shelf under them the layers that lie on it. */
interface Shelves {
  readonly shelves: ReadonlySet<string>;
  readonly layers: ReadonlyMap<string, string>;
}

/** Interiors never change, so that the members of each are gone through once. */
const shelvesAsBefore = asBefore<Space, Shelves>(1);

const shelvesOf = ({ interior }: Piece): Shelves =>
  shelvesAsBefore(interior, { same: [], alike: null }, () => {
    const members = [...dividingMembersOf(interior)].map(({ member }) => member);
    return {
      shelves: new Set(members.map(({ id }) => dividingMemberId(id, 'shelf'))),
      layers: new Map(members.flatMap(({ id, doubled }) => (doubled === undefined ? [] : [[dividingMemberId(id, 'shelf'), layerId(id)]]))),
    };
  });

/** What is cut for something that stands in a space: what is below it, or the upper layer of that where it is doubled. */
export function floorOf(piece: Piece, { neighbours: { below } }: PlacedSpace): string {
  return shelvesOf(piece).layers.get(below) ?? below;
}

/** Whether what is beside a space is a shelf. */
export const isShelf = (piece: Piece, memberId: string): boolean => shelvesOf(piece).shelves.has(memberId);

/** The second layer of a doubled shelf. @example layerId('a') // 'a/shelf-layer/1' */
export function layerId(node: string): string {
  return `${node}/shelf-layer/1`;
}

/** How its ends are carried. */
export const HOW = { housed: 'housed', loose: 'pins', butted: 'screws' } as const;
