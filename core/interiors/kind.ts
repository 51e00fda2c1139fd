import type { TSchema } from '@sinclair/typebox';
import type { Figure } from '../figure/index.js';
import type { Length } from '../length/index.js';
import type { Asked, Candidate } from '../remedies/index.js';
import type {
  Axis,
  Body,
  Bought,
  DividingMember,
  DividingRole,
  Fact,
  Feature,
  Insets,
  Joint,
  Lean,
  Member,
  Filling,
  Making,
  Names,
  Neighbours,
  Piece,
  Posts,
  PlacedRun,
  PlacedSpace,
  Shape,
  ShapeProblem,
  Space,
  Split,
  Stand,
  StockUse,
} from '../piece/index.js';
import type { Rounding } from '../run/index.js';
import type { Workshop } from '../project/index.js';
import type { Slide } from '../stock/index.js';
import type { Panels } from './panels/spec.js';

/** A clear region of a piece, with the members round it. */
export interface ClearRegion {
  readonly start: { readonly x: Figure; readonly y: Figure; readonly z: Figure };
  readonly clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly neighbours: Neighbours;
  /** How far things stand back from its front. */
  readonly setback: Length;
  /** What stands round it, where posts do in place of sides. */
  readonly posts?: Posts;
  /** How the sides lean that its shelves go between; left out where they stand upright. */
  readonly lean?: Lean;
  /** By how much the tape found it, or what it lies in, otherwise than it was planned; left out where nothing was measured. */
  readonly off?: Length;
}

/** What a need is worked out with: the workshop, how panels are made, and the clear room known so far. */
export interface NeedContext {
  readonly workshop: Workshop;
  readonly panels: Panels;
  readonly rounding: Rounding;
  /** Clear depth for things to stand behind each other, where it is known. */
  readonly depth?: Length;
  /** Clear width for things to stand beside each other, where it is known. */
  readonly width?: Length;
}

/** What one kind of divided space is: its members, what stands at its ends, and what lies round the inside of its parts. */
export interface SplitKind {
  /** What its members and its parts are called. */
  readonly names: { readonly one: string; readonly many: string; readonly part: string };
  /** Whether its gaps are brought to the grid of the shop. */
  readonly set: boolean;
  readonly roleOf: (member: DividingMember) => DividingRole;
  /** How far a member reaches along the run. */
  readonly extent: (member: DividingMember, context: NeedContext) => Figure;
  /** What stands before the first part and after the last; null for nothing. */
  readonly ends: (context: NeedContext) => { readonly before: Figure | null; readonly after: Figure | null };
  /** What part of a share the first and the last part take: half a gap at the ends of some decks. */
  readonly endShare: number;
  /** The members that stand there, where they are wood. */
  readonly endIds: (owner: string) => { readonly before: string; readonly after: string } | null;
  /** How far the run reaches over what bounds it. */
  readonly over: { readonly before: Figure | null; readonly after: Figure | null };
  /**
   * What lies between a part and its clear inside; null where a part is its own inside.
   * @param clear the region that is divided; its depth is not known yet while a need is asked
   */
  readonly insets: (part: string, context: NeedContext, clear: { readonly depth?: Figure }) => Insets | null;
}

/** What an interior adds to a piece. */
export interface Made {
  readonly members: readonly Member[];
  /** What is cut into other members, by their id; worked out once those are known. */
  readonly cuts: readonly { readonly into: string; readonly cut: (mate: Member) => readonly Feature[] }[];
  readonly joints: readonly Joint[];
  readonly bodies: readonly Body[];
  readonly bought: readonly Bought[];
  readonly facts: readonly { readonly space: string; readonly facts: readonly Fact[] }[];
  readonly problems: readonly ShapeProblem[];
  readonly stands: readonly Stand[];
}

export const NOTHING: Made = { members: [], cuts: [], joints: [], bodies: [], bought: [], facts: [], problems: [], stands: [] };

/** What several interiors add together. Most of a piece's spaces add nothing, and there are many. */
export function together(all: readonly Made[]): Made {
  const some = all.filter((made) => made !== NOTHING);
  const list = <K extends keyof Made>(key: K): Made[K] => {
    const joined: Made[K][number][] = [];
    for (const made of some) joined.push(...made[key]);
    return joined as unknown as Made[K];
  };
  return {
    members: list('members'),
    cuts: list('cuts'),
    joints: list('joints'),
    bodies: list('bodies'),
    bought: list('bought'),
    facts: list('facts'),
    problems: list('problems'),
    stands: list('stands'),
  };
}

/** Where an interior is made: the piece it is in, its space, and every space and run there is. */
export interface MadeIn {
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly space: PlacedSpace;
  readonly spaces: Shape['spaces'];
  readonly runs: Shape['runs'];
}

/** What a space of a kind is made with: for what divides it also its spec and its run. */
export interface DividedIn extends MadeIn {
  readonly split: Split;
  readonly run: PlacedRun;
}

/**
 * All that belongs to one kind of interior alone: nothing else in the code names it. Its functions
 * are methods, so that kinds stand in one list: each is only ever given makings of its own.
 */
interface Kind<M> {
  readonly kind: string;
  /** Of what is kept of it in a file; null for the kind that keeps nothing. */
  readonly schema: TSchema | null;
  /** The records that it refers to. */
  names(making: M): readonly Names[];
  /** What it says of a piece as a whole, whatever is inside: its fields and the stock they name; null for nothing. */
  readonly onPiece: { readonly fields: Readonly<Record<string, TSchema>>; uses(piece: Piece): readonly StockUse[] } | null;
  /** From where one looks at it first. */
  readonly seenFrom: 'front' | 'top';
  /** Made of another stock, where a member of it is made with all that are like it; null where it is not. */
  withStock(making: M, member: Member, stock: string): M | null;
  /** What else might make a member of it pass, besides other stock and less load. */
  remedies(making: M, owner: Space, member: Member, workshop: Workshop): readonly Candidate[];
}

/** How far up things stand on what divides a space. */
type Height<M> = { of(making: M, workshop: Workshop): Length }['of'];

/** A kind of divided space: its parts lie in a run. */
export interface DividingKind<M = Making | undefined> extends Kind<M> {
  split(making: M, axis: Axis): SplitKind;
  made(making: M, at: DividedIn): Made;
  /** What a space is that is divided by it, as a tape and a worksheet say it. */
  readonly filled: (axis: Axis) => string;
  /** How far up things stand on it, where it holds them itself; null where they stand in its parts. */
  readonly holdsAt: Height<M> | null;
  /** It on other slides of the same length; null where it runs on none, or they are not sold so long. */
  onSlides?(making: M, id: string, slide: Slide): M | null;
  /** It with the parts that it names called otherwise, in a copy; left out where it names none. */
  renewed?(making: M, renew: (id: string) => string): M;
  /** What might make one of its members pass, where each may differ from the others; null where all are made alike. */
  readonly memberRemedies: ((asked: Asked) => readonly Candidate[]) | null;
}

/** A kind of what fills a space as a whole. */
export interface FillingKind<M = Filling> extends Kind<M> {
  /** What it is called, such as cells. */
  readonly filled: string;
  made(filling: M, at: MadeIn): Made;
  /** What it needs clear along an axis; left out where that is not decided by it. */
  need?(filling: M, axis: Axis, context: NeedContext): Figure | null;
  /** Whether cables come out of it at the rear. */
  cablesBehind?(filling: M): boolean;
}
