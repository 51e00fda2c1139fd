import type { Length } from '../length/index.js';
import type { GapRule } from '../run/index.js';
import type { Placement } from '../things/index.js';
import type { Axis, DividingMember, Filling, Held, Making, Split, Strip } from './space.js';
import type { PiecePatch } from './spec.js';

/** One change to a piece. Ids of new nodes come with the edit, so that an edit gives the same piece wherever it is applied. */
export type PieceEdit =
  | { readonly kind: 'rule'; readonly space: string; readonly rule: GapRule }
  | { readonly kind: 'bounds'; readonly space: string; readonly least?: Length; readonly greatest?: Length }
  | { readonly kind: 'name'; readonly space: string; readonly name: string }
  /** What stands on the floor of a space, kg on a metre; null for what is entered for all of the piece, or assumed. */
  | { readonly kind: 'load'; readonly space: string; readonly load: number | null }
  /** Divides an open space into one more than the count of new members; its things stay in the first part. */
  | {
      readonly kind: 'split';
      readonly space: string;
      readonly axis: Axis;
      readonly members: readonly string[];
      readonly spaces: readonly string[];
    }
  /** Puts a new member after a space in its run, with a new shared space beyond it. */
  | { readonly kind: 'add'; readonly space: string; readonly member: string; readonly beyond: string }
  /** Makes all spaces of a divided space share equally, with so many members; further ones get the new ids, those too many go from the far end. */
  | {
      readonly kind: 'even';
      readonly space: string;
      readonly members: number;
      readonly newMembers: readonly string[];
      readonly newSpaces: readonly string[];
    }
  /** Takes a member out; the spaces beside it become one, with the things of both. */
  | { readonly kind: 'drop'; readonly member: string }
  /** Takes a part out of a space that is divided by nothing but room, such as a drawer, with the room beside it; its things go to its neighbour. */
  | { readonly kind: 'drop-part'; readonly space: string }
  | { readonly kind: 'pin'; readonly member: string; readonly at: Length | null }
  | { readonly kind: 'align'; readonly member: string; readonly sameAs: string | null }
  | {
      readonly kind: 'member';
      readonly member: string;
      readonly patch: { readonly fix?: DividingMember['fix']; readonly stock?: string; readonly room?: Length };
    }
  /** Makes what lies between two spaces a panel, a rail along the front so high, or nothing but room. */
  | { readonly kind: 'is'; readonly member: string; readonly rail: Length | null; readonly room: Length | null }
  /** Makes a shelf so deep, or as deep as the others. */
  | { readonly kind: 'own-depth'; readonly member: string; readonly deep: Length | null }
  /** Holds a shelf to the back of its case, or lets it go. */
  | { readonly kind: 'to-back'; readonly member: string; readonly held: Held | null }
  /** Gives a shelf strips and a second layer, or takes them away. */
  | { readonly kind: 'stiffen'; readonly member: string; readonly strip: Strip | null; readonly doubled: Held | null }
  /** Fills an open space with parts of a making, or with cells; its things stay where there is one part to hold them. */
  | { readonly kind: 'fill'; readonly space: string; readonly split?: Split; readonly filling?: Filling }
  /** Makes the parts of a divided space, or its cells, another way. */
  | { readonly kind: 'making'; readonly space: string; readonly making: Making }
  | { readonly kind: 'filling'; readonly space: string; readonly filling: Filling }
  /** Divides a space as another one is, with new ids for all that is copied; what stood in it goes into its first part. */
  | { readonly kind: 'copy-layout'; readonly from: string; readonly to: string; readonly ids: Readonly<Record<string, string>> }
  /** Takes out all that a space is divided or filled with. */
  | { readonly kind: 'clear'; readonly space: string }
  | { readonly kind: 'things'; readonly space: string; readonly things: readonly Placement[] }
  /** Moves all of a thing from one space to another. */
  | { readonly kind: 'move'; readonly thing: string; readonly from: string; readonly to: string }
  /** One after the other, as one. */
  | { readonly kind: 'several'; readonly edits: readonly PieceEdit[] }
  /** Replaces whole fields of the piece itself, and takes out those that may be left out. */
  | { readonly kind: 'piece'; readonly patch: PiecePatch; readonly without?: readonly string[] };
