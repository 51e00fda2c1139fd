import type { Kilograms } from '../measures/index.js';
import type { Figure, Sentence } from '../figure/index.js';
import type { Length } from '../length/index.js';
import type { PieceEdit } from './edit.js';
import type { Body, Bought, Fact } from './body.js';
import type { Box, Member } from './member.js';
import type { Joint, Keep } from './joint.js';
import type { Lean } from './lean.js';
import type { Posts } from './posts.js';
import type { Axis, Space } from './space.js';
import type { PlacedLine, RunSolution, RunSpec } from '../run/index.js';
import type { Reach } from '../survey/index.js';
import type { Block, Thing } from '../things/index.js';

/** The members round a space. */
export interface Neighbours {
  readonly left: string;
  readonly right: string;
  readonly below: string;
  readonly above: string;
  /** Boards that stand behind and before a lane of a layout; none elsewhere. */
  readonly rear?: string;
  readonly front?: string;
}

/** A space in its place. */
export interface PlacedSpace {
  readonly id: string;
  readonly space: Space;
  readonly label: string;
  readonly box: Box;
  readonly clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly neighbours: Neighbours;
  /** How far things stand back from its front. */
  readonly setback: Length;
  /** By how much the tape found it, or what it lies in, otherwise than planned: what bounds it is as much nearer or further than drawn. */
  readonly off: Length;
  /** The height that its things stand at, from the floor: its foot, or the top of the deck in it. */
  readonly standing: Length;
  /** The space that this one is a part of, and its line in that run; null for the whole interior. */
  readonly within: { readonly owner: string; readonly axis: Axis; readonly line: PlacedLine } | null;
  readonly depth: number;
  /** What stands in it, side by side from the left. */
  readonly blocks: readonly Block[];
  /** What lies between it and its line in the run it is a part of, such as the box round the inside of a drawer. */
  readonly insets: Insets | null;
  /** What stands round it, where posts do in place of sides. */
  readonly posts?: Posts;
  /** How the sides lean that its shelves go between; left out where they stand upright. */
  readonly lean?: Lean;
  /** The body that makes it as much deeper as it is drawn out. */
  readonly growsWith?: string;
}

/** One length between the clear inside of a part and the part itself. */
export interface Inset {
  readonly label: string;
  readonly size: Figure;
  /** The member it is; none for a clearance. */
  readonly member?: string;
}

/** What lies before and after a clear inside along one axis, from the datum. */
export interface InsetEnds {
  readonly before: readonly Inset[];
  readonly after: readonly Inset[];
}

/** What lies round a clear inside, by axis. */
export type Insets = Readonly<Record<Axis, InsetEnds>>;

/** The run that divides a space. */
export interface PlacedRun {
  readonly owner: string;
  readonly axis: Axis;
  readonly spec: RunSpec;
  readonly run: RunSolution;
  /** Where the datum of the run lies in the piece, along its axis. */
  readonly datum: Figure;
  /** What its members are; `room` for one that is nothing but room. */
  readonly roles: ReadonlyMap<string, DividingRole>;
  /** How far the run reaches over what bounds the divided space, at its start and its end. */
  readonly over: { readonly before: Figure | null; readonly after: Figure | null };
  /** The members that stand at its ends; null where there are none. */
  readonly endIds: { readonly before: string; readonly after: string } | null;
}

/** What a member of a run is. */
export type DividingRole = 'shelf' | 'divider' | 'partition' | 'board' | 'slat' | 'rail' | 'deck' | 'room';

/** Something that keeps a piece from being worked out, or from being right, with edits that would mend it. */
export interface ShapeProblem {
  readonly id: string;
  readonly about: string;
  readonly stops: boolean;
  readonly sentence: Sentence;
  readonly fixes: readonly { readonly label: Sentence; readonly edit: PieceEdit }[];
}

/** What carries what stands in a space that is not open itself, or holds one thing in each of many places. */
export interface Stand {
  readonly space: string;
  /** The members that share it: evenly, or where they lie end to end each what is over it. */
  readonly carriers: readonly string[];
  readonly endToEnd?: true;
  /** What people on it weigh in all, kg, spread over it; nothing where it is left out. */
  readonly people?: Kilograms;
  /** What lies in each of its places, where its kind says what that is. */
  readonly filled?: {
    readonly thingId: string;
    readonly thing: Thing;
    /** What one of its places is called, and several of them. */
    readonly called: readonly [one: string, many: string];
    /** How much room one has, and where each begins, from the outside left and the floor. */
    readonly room: { readonly width: Length; readonly height: Length };
    /** Where it stands from the rear to the front, for what is to be brought in and out whole; left out where that is not asked. */
    readonly deep?: { readonly from: Length; readonly to: Length };
    readonly places: readonly { readonly x: Length; readonly y: Length }[];
  };
}

/** What a shell puts at an end of the clear inside along an axis, as a tape shows it, from the datum on. */
export interface TapeEnd {
  readonly id: string;
  readonly kind: 'gap' | 'wood';
  readonly label: string;
  /** The member or space that is selected by it. */
  readonly selects: string;
  readonly size: Figure;
}

/** What of a shell follows from its kind alone, as all that is asked about a piece needs it. */
export interface Outside {
  /** Built round the inside, or a place that is there already and that carries what is put into it. */
  readonly is: 'built' | 'found';
  /** How far its front feet are from its rear; null where it stands on none of its own. */
  readonly foot: Length | null;
  /** What lies at the ends of the clear inside along each axis. */
  readonly ends: Readonly<Record<Axis, { readonly before: readonly TapeEnd[]; readonly after: readonly TapeEnd[] }>>;
  /** The members of the shell itself. */
  readonly members: ReadonlySet<string>;
  /** Members that are seen behind all else from the front. */
  readonly behind: ReadonlySet<string>;
  /** How high over the floor the lower edge of what hangs is, where that is known. */
  readonly above?: Length;
  /** Where studs were found behind it, from its left; none where it is left out. */
  readonly studs?: readonly Length[];
  /** The member along which a tape lies where none at an angle is selected; none where it is left out. */
  readonly along?: string;
  /** How far what lies above stands out in front, where it should cover the fronts. */
  readonly cover?: Length;
  /** What is there already and is taken out first; `carries` what lies on it. */
  readonly takenOut?: readonly { readonly what: string; readonly carries?: true }[];
  /** It leans on a wall, so that it goes over to the front alone. */
  readonly leans?: true;
  /** It is carried about, so that it is never fixed to a wall. */
  readonly carried?: true;
  /** A way of making it lower across its corners while it is stood up. */
  readonly lower?: { readonly way: string; readonly diagonal: Length; readonly edit: PieceEdit };
}

/** A foot or a castor under a member. */
export interface Foot {
  readonly id: string;
  readonly is: 'foot' | 'castor';
  readonly under: string;
  readonly box: Box;
  /** What it is rated for, kg; null where that is not known. */
  readonly rated: Kilograms | null;
}

/** The geometry of a piece: what a shell and its interior make of a spec. */
export interface Shape {
  readonly overall: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly outside: Outside;
  /** Books are taken to stand where nothing is entered, rather than stores of a home. */
  readonly forBooks?: boolean;
  /** What stands on each shelf where nothing else is entered, kg on a metre. */
  readonly shelfLoad?: number;
  /** What carries what stands in spaces that are not open, by their ids. */
  readonly stands: ReadonlyMap<string, Stand>;
  /** Overall sizes that nothing decides yet: what is drawn only stands in, and nothing of it is judged. */
  readonly assumed: readonly Reach[];
  /** The height of the case without a loose plinth. */
  readonly caseHeight: Figure;
  /** Across the corners of the case, from the foot of its rear to the top of its front: what it needs to be tipped upright. */
  readonly diagonal: Figure;
  readonly spaces: ReadonlyMap<string, PlacedSpace>;
  readonly runs: ReadonlyMap<string, PlacedRun>;
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  /** What besides its weight keeps members where they lie. */
  readonly keeps?: readonly Keep[];
  /** What moves. */
  readonly bodies: readonly Body[];
  readonly bought: readonly Bought[];
  /** What members stand on that are not on the floor themselves; none where it is left out. */
  readonly feet?: readonly Foot[];
  /** Named figures of spaces, by their ids. */
  readonly facts: ReadonlyMap<string, readonly Fact[]>;
  readonly problems: readonly ShapeProblem[];
}

/** How many problems of a shape stop its being built. @example stopsIn(SOLVED.shape) // 0 */
export const stopsIn = ({ problems }: Pick<Shape, 'problems'>): number => problems.filter((p) => p.stops).length;
