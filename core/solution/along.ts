import { sub, type Length } from '../length/index.js';
import type { Member, Shape } from '../piece/index.js';

/** Where a hole is along a member, from its lower end and from its upper one. */
export interface HoleAlong {
  /** What goes through it, in a word. */
  readonly label: string;
  readonly fromLower: Length;
  readonly fromUpper: Length;
}

/** A member that stands at an angle, with its holes from both of its ends. */
export interface Along {
  readonly member: Member;
  readonly holes: readonly HoleAlong[];
}

/** Whether a member runs neither level nor upright. */
const atAnAngle = ({ frame }: Member) => frame.u.filter((k) => Math.abs(k) > 1e-6).length > 1;

/**
 * The tape along a member that stands at an angle: its holes as they are marked on it, from either end, the lowest first.
 * @param memberId what is selected; where that has no such tape, what the kind of piece says
 * @returns null where neither runs at an angle with holes in it
 * @example tapeAlong(SOLVED.shape, 'in-m1/shelf/1') // null
 */
export function tapeAlong({ members, outside }: Pick<Shape, 'members' | 'outside'>, memberId: string): Along | null {
  for (const id of [memberId, outside.along]) {
    const member = members.find((m) => m.id === id);
    if (!member || !atAnAngle(member)) continue;
    const long = member.length.value;
    const upward = member.frame.u[1] > 0;
    const seen = new Map<Length, HoleAlong>();
    for (const f of member.features) {
      if (f.kind !== 'hole' || f.spare) continue;
      const [fromLower, fromUpper] = upward ? [f.at.u, sub(long, f.at.u)] : [sub(long, f.at.u), f.at.u];
      const mate = members.find((m) => m.id === f.mate);
      if (!seen.has(fromLower)) seen.set(fromLower, { label: `hole for ${mate?.label ?? 'what goes through it'}`, fromLower, fromUpper });
    }
    const holes = [...seen.values()].sort((a, b) => a.fromLower - b.fromLower);
    if (holes.length > 0) return { member, holes };
  }
  return null;
}
