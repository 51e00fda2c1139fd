import { ZERO, sub, toMm, type Length } from '../length/index.js';
import { isPlain, type Edges, type Feature, type Member } from '../piece/index.js';

/** The marks on a part that decide whether it is the same as another: all numbers in units, faces as ±1. */
interface Marking {
  readonly length: Length;
  readonly width: Length;
  readonly edges: Edges;
  readonly features: readonly Feature[];
  /** The member, where it is no plain board. */
  readonly shaped: Member | null;
}

/** A turn or a reflection of a rectangular part: ends swapped, edges swapped, faces swapped. */
interface Turn {
  readonly u: boolean;
  readonly v: boolean;
  readonly face: boolean;
}

const yes = [true, false];
const ALL: readonly Turn[] = yes.flatMap((u) => yes.flatMap((v) => yes.map((face) => ({ u, v, face }))));

/** Turns that can be made with a part in the hand: an even number of swaps. The others are reflections. */
const isTurn = (t: Turn) => (Number(t.u) + Number(t.v) + Number(t.face)) % 2 === 0;

function textOf(marking: Marking, turn: Turn): string {
  const { length, width, edges, features } = marking;
  const u = (a: Length) => (turn.u ? sub(length, a) : a);
  const v = (a: Length) => (turn.v ? sub(width, a) : a);
  const face = (f: Feature['face']) => (turn.face ? (f === 'up' ? 'down' : 'up') : f);
  const marks = features.map((f) => {
    if (f.kind === 'hole') return `hole ${face(f.face)} ${u(f.at.u)} ${v(f.at.v)} ${f.diameter} ${f.depth}`;
    const { u0, u1, v0, v1 } = f.region;
    const [a, b] = [u(u0), u(u1)].sort((x, y) => x - y);
    const [c, d] = [v(v0), v(v1)].sort((x, y) => x - y);
    const slant = f.slant ? ` ${(turn.u !== turn.v ? -f.slant : f.slant).toFixed(6)}` : '';
    return `${f.kind} ${face(f.face)} ${a} ${b} ${c} ${d} ${f.depth}${slant}`;
  });
  const [e0, e1] = turn.u ? [edges.u1, edges.u0] : [edges.u0, edges.u1];
  const [e2, e3] = turn.v ? [edges.v1, edges.v0] : [edges.v0, edges.v1];
  return [e0, e1, e2, e3, ...marks.sort(), ...shapeOf(marking, turn)].join('|');
}

/** The corners, arcs, holes and cut ends of a shaped member, turned; none of a plain board. To a hundredth of a mm, as they are worked out from angles. */
function shapeOf({ shaped, length, width }: Marking, turn: Turn): string[] {
  if (!shaped) return [];
  const written = (l: Length) => (Math.round(toMm(l) * 100) / 100 + 0).toFixed(2);
  const u = (a: Length) => written(turn.u ? sub(length, a) : a);
  const v = (a: Length) => written(turn.v ? sub(width, a) : a);
  const loops = [shaped.outline, ...(shaped.holes ?? [])].map(({ sides }) =>
    sides
      .map((s) => `${u(s.to.u)} ${v(s.to.v)}${s.kind === 'arc' ? ` ${Math.abs(s.bulge).toFixed(6)}` : ''}`)
      .sort()
      .join(','),
  );
  const ends = (shaped.ends ?? []).map(({ normal, at }) => {
    const turned = [turn.u, turn.v, turn.face] as const;
    const sizes = [length, width, shaped.thickness.value] as const;
    const way = normal.map((d, k) => ((turned[k] ? -d : d) + 0).toFixed(6));
    const far = normal.reduce((sum, d, k) => sum - (turned[k] ? d * (sizes[k] as Length) : ZERO), at as number);
    return `${way.join(' ')} ${written(Math.round(far) as Length)}`;
  });
  const section = shaped.section ? [JSON.stringify(shaped.section)] : [];
  return [...loops, ...ends.sort(), ...section];
}

function markingOf(member: Member): Marking {
  const shaped = isPlain(member) ? null : member;
  return { length: member.length.value, width: member.width.value, edges: member.edges, features: member.features, shaped };
}

/** What makes a part the same as another one: stock, sizes, edges and machining, however it lies. */
export interface Likeness {
  /** The same for parts that are equal when turned. */
  readonly same: string;
  /** The same for parts that are equal when turned or reflected. */
  readonly either: string;
  /** What is the same for its reflections: its own where they cannot be told apart. */
  readonly mirrored: string;
}

/** Whether a part and its reflection are two different ones. @example isHanded(SHELF) // false */
export function isHanded(member: Member): boolean {
  const { same, mirrored } = likenessOf(member);
  return same !== mirrored;
}

/** The likeness of a member, found from its geometry alone. @example likenessOf(SHELF).same === likenessOf(SHELF).mirrored // true */
export function likenessOf(member: Member): Likeness {
  const marking = markingOf(member);
  const sizes = `${member.stockId} ${member.length.amount} ${member.width.amount} ${member.thickness.amount}`;
  const first = (turns: readonly Turn[]) => turns.map((t) => textOf(marking, t)).sort()[0] ?? '';
  const [turned, reflected] = [first(ALL.filter(isTurn)), first(ALL.filter((t) => !isTurn(t)))];
  return {
    same: `${sizes} ${turned}`,
    either: `${sizes} ${turned < reflected ? turned : reflected}`,
    mirrored: `${sizes} ${reflected}`,
  };
}
