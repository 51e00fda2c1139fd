import { toMm } from '../length/index.js';
import { FLOOR, PLACE, ofTwo, solidOfMember, type Joint, type Member } from '../piece/index.js';
import { apartOf, type Vector } from '../solid/index.js';
import { extentsOf, isBlock, reachAlong, type AxisIndex } from './fixings/contact.js';

/** What a joint may be slack, mm: the fitting slack of a groove or a housing. */
const SLACK = 3;
/** A pin bridges so much and still lies under its shelf, mm. */
const PIN_BRIDGES = 7;

/** How far two members are apart along an axis, mm; 0 where they touch or overlap. */
function gap(a: Member, b: Member, axis: AxisIndex): number {
  const p = extentsOf(a)[axis];
  const q = extentsOf(b)[axis];
  return Math.max(0, p[0] - q[1], q[0] - p[1]);
}

/** Members never change, so that how far two of them are apart is worked out once. */
const known = ofTwo<Member, Member, number>();

const apartFrom = (a: Member, b: Member) => known(a, b, () => apartOf(solidOfMember(a), solidOfMember(b)));

/**
 * Whether what is to carry a member is where it can: against it, but for what a joint is slack or a
 * pin or a slide bridges. A floor, and a place that is there already, are where they are said to be.
 * @example isInReach(SHELF, undefined, { carried: 'shelf', carrier: 'gone', how: 'screws' }) // false
 */
export function isInReach(member: Member, carrier: Member | undefined, { carrier: id, how, apart }: Joint): boolean {
  // What would carry it may have no size left, and not be there at all.
  if (!carrier) return id === FLOOR || id === PLACE;
  const most = Math.max(how === 'pins' ? PIN_BRIDGES : SLACK, apart === undefined ? 0 : toMm(apart) + 0.1);
  // What stands on something has nothing else under it.
  if (how === 'bearing' && gap(member, carrier, 1) > SLACK) return false;
  if (!isBlock(member) || !isBlock(carrier)) return apartFrom(member, carrier) <= most;
  return gap(member, carrier, 0) <= most && gap(member, carrier, 1) <= most && gap(member, carrier, 2) <= most;
}

/** What is no more than a sliver of room, mm. */
const TOUCHES = 0.5;

/** Whether two members are beside each other seen from above: a level direction square to a face of one keeps them apart. */
function isBeside(a: Member, b: Member): boolean {
  const ways = isBlock(a) && isBlock(b) ? AXES : [a, b].flatMap(({ frame }) => [frame.u, frame.v, frame.n].flatMap(level));
  return ways.some((d) => {
    const [[a0, a1], [b0, b1]] = [reachAlong(a, d), reachAlong(b, d)];
    return Math.min(a1, b1) - Math.max(a0, b0) <= TOUCHES;
  });
}

const AXES: readonly Vector[] = [
  [1, 0, 0],
  [0, 0, 1],
];

/** What of a direction is level, as a direction; nothing where that is no more than a trace of it. */
function level([x, , z]: Vector): readonly Vector[] {
  const size = Math.hypot(x, z);
  return size < 1e-6 ? [] : [[x / size, 0, z / size]];
}

/**
 * How much room is under a member before it comes down on another one, mm; Infinity where nothing is under it.
 * @example roomUnder(SHELF, [SHELF, RAIL]) // 305
 */
export function roomUnder(member: Member, members: readonly Member[]): number {
  const [, [y0]] = extentsOf(member);
  let room = Infinity;
  for (const other of members) {
    if (other === member) continue;
    const [, [, top]] = extentsOf(other);
    if (top > y0 + TOUCHES || isBeside(member, other)) continue;
    // What it rests on along its edges is no room lost in its middle.
    const rests = y0 - top < TOUCHES;
    if (!rests) room = Math.min(room, y0 - top);
  }
  return room;
}
