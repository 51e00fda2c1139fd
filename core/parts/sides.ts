import type { Direction, Edges, Face, Member } from '../piece/index.js';

/** Which way something looks in the piece. */
export type Way = 'front' | 'rear' | 'left' | 'right' | 'upper' | 'lower';

const WAYS: readonly (readonly [Way, Way])[] = [
  ['right', 'left'],
  ['upper', 'lower'],
  ['front', 'rear'],
];

/** The way of a direction: that of the axis of the piece it is nearest to. */
function wayOf(direction: Direction, back = false): Way {
  const axis = ([0, 1, 2] as const).reduce((best, k) => (Math.abs(direction[k]) > Math.abs(direction[best]) ? k : best));
  return WAYS[axis]?.[direction[axis] > 0 === back ? 1 : 0] as Way;
}

/** Which way the four edges of a member look, as it stands in the piece. */
export function waysOf({ frame: { u, v } }: Member): Readonly<Record<keyof Edges, Way>> {
  return { u0: wayOf(u, true), u1: wayOf(u), v0: wayOf(v, true), v1: wayOf(v) };
}

/** What an edge of a member is called: its ends are across its length. @example edgeName(SHELF, 'v1') // 'rear edge' */
export function edgeName(member: Member, edge: keyof Edges): string {
  return `${waysOf(member)[edge]} ${edge === 'u0' || edge === 'u1' ? 'end' : 'edge'}`;
}

/** What a face of a member is called: inside or outside where it has these, else the way it looks. @example faceName(SHELF, 'n1') // 'upper face' */
export function faceName(member: Member, face: Face): string {
  if (member.inner) return face === member.inner ? 'inside' : 'outside';
  const way = wayOf(member.frame.n, face === 'down');
  return way === 'lower' ? 'underside' : `${way} face`;
}
