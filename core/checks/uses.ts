import { len, say, type Sentence } from '../figure/index.js';
import { pieceFix, type Check, type Fix } from '../finding/index.js';
import { ZERO, add, greatest, mm, scale, sub, type Length } from '../length/index.js';
import { isBlock } from '../carry/index.js';
import { boxOf, hangs, overlap, solidOfBox, solidOfMember, type Box, type Letters, type Piece, type Shape } from '../piece/index.js';
import { overlapOf } from '../solid/index.js';
import { measureOf, type Person, type Workshop } from '../project/index.js';
import { nameOf } from './names.js';

/** Bench work is done from so far below the elbow to so far below it, mm: the lighter the work the higher (typical). */
const BELOW_ELBOW = { least: mm(50), most: mm(150) } as const;
/** A seat may be so much lower, or higher, than the hollow of the knee (typical). */
const SEAT = { lower: mm(40), higher: mm(20) } as const;
/** A table is so high over the lap, at least for the thighs and at most for the arms (typical). */
const TABLE = { over: mm(20), most: mm(160) } as const;
/** The room that knees take, wide and deep, mm (typical; ISO 5970 and EN 527 have larger ones for offices). */
const KNEES = { wide: mm(550), deep: mm(450) } as const;
/** Free at each side of a lap that is broader than that leaves. */
const BESIDE_LAP = mm(50);
/** What is left free over the head of someone who sits. */
const OVER_HEAD = mm(50);

/** Someone and what they use. */
interface Using {
  readonly piece: Piece;
  readonly shape: Shape;
  readonly who: Person;
  readonly letters: Letters;
}

function check(id: string, state: 'fine' | 'fails', sentence: Sentence, fixes: readonly Fix[] = []): Check {
  return { id: `uses-${id}`, severity: state === 'fine' ? 'good' : 'look', state, about: { kind: 'piece' }, sentence, fixes };
}

/** The edit that makes a piece so high, where its height is given. */
function asHigh({ piece }: Using, high: Length): Fix[] {
  const { height } = piece;
  if (height.from !== 'given' || height.of !== 'overall') return [];
  return [pieceFix(say`Make it ${len(high)} high`, { kind: 'piece', patch: { height: { ...height, size: high } } })];
}

/** A height against the least and the most that suit someone. */
function suits(using: Using, what: string, high: Length, least: Length, most: Length, why: Sentence): Check {
  const fits = high >= least && high <= most;
  const sentence = fits
    ? say`${what} of ${len(high)} suits ${using.who.name}: ${why}.`
    : say`${what} of ${len(high)} is too ${high < least ? 'low' : 'high'} for ${using.who.name}: ${why}, from ${len(least)} to ${len(most)}.`;
  const over = sub(high, using.shape.overall.height.value);
  return check('height', fits ? 'fine' : 'fails', sentence, fits ? [] : asHigh(using, sub(scale(add(least, most), 0.5), over)));
}

/** The first member that is in the room that knees take, in the middle of the front. */
function knees({ shape, who, letters }: Using): Check {
  const high = add(measureOf(who, 'lap'), TABLE.over);
  const { width, depth } = shape.overall;
  const wide = greatest([KNEES.wide, add(measureOf(who, 'lapWide'), scale(BESIDE_LAP, 2))]);
  const half = scale(wide, 0.5);
  const middle = scale(width.value, 0.5);
  const front = depth.value;
  const room: Box = {
    x0: sub(middle, half),
    x1: add(middle, half),
    y0: ZERO,
    y1: high,
    z0: greatest([ZERO, sub(front, KNEES.deep)]),
    z1: front,
  };
  const solid = solidOfBox(room);
  // What lies at an angle leaves room in its least box.
  const inTheWay = shape.members.filter((m) => overlap(boxOf(m), room) && (isBlock(m) || overlapOf(solidOfMember(m), solid) > 0));
  const lowest = inTheWay.sort((a, b) => boxOf(a).y0 - boxOf(b).y0)[0];
  if (!lowest)
    return check('knees', 'fine', say`Knees of ${who.name} have room: ${len(high)} high, ${len(wide)} wide and ${len(KNEES.deep)} deep.`);
  return check(
    'knees',
    'fails',
    say`Knees of ${who.name} want ${len(high)} high, ${len(wide)} wide and ${len(KNEES.deep)} deep in the middle of its front, and ${nameOf(lowest, letters)} is in the way, from ${len(boxOf(lowest).y0)} over the floor.`,
  );
}

/** How high someone sits: on it, with what lies on it. */
function seatOf({ shape }: Using): Length {
  const soft = [...shape.spaces.values()].filter((s) => s.standing === shape.overall.height.value).flatMap((s) => s.blocks);
  return add(shape.overall.height.value, greatest([ZERO, ...soft.map((b) => b.stance.height)]));
}

function headroom(using: Using, seat: Length): Check[] {
  const free = using.piece.usedBy?.headroom;
  if (free === undefined) return [];
  const wants = add(seat, measureOf(using.who, 'sitting'), OVER_HEAD);
  const fits = free >= wants;
  const sentence = fits
    ? say`${using.who.name} sits upright under ${len(free)}: ${len(wants)} is wanted.`
    : say`${using.who.name} cannot sit upright under ${len(free)}: with a seat of ${len(seat)} it takes ${len(wants)}.`;
  return [
    check(
      'headroom',
      fits ? 'fine' : 'fails',
      sentence,
      fits ? [] : asHigh(using, sub(using.shape.overall.height.value, sub(wants, free))),
    ),
  ];
}

/** What things stand on that is higher than someone reaches; `over` the floor is where the piece begins. */
function reach({ shape, who, letters }: Using, over: Length = ZERO): Check[] {
  const most = measureOf(who, 'reach');
  const carriers = new Set([...shape.spaces.values()].flatMap((s) => (s.blocks.length > 0 ? [s.neighbours.below] : [])));
  const high = shape.members.filter((m) => carriers.has(m.id) && add(over, boxOf(m).y1) > most);
  const [first] = high;
  if (!first) return [];
  return [
    check(
      'reach',
      'fails',
      say`${who.name} reaches ${len(most)} and ${nameOf(first, letters)} is at ${len(add(over, boxOf(first).y1))}: what stands there is out of reach without a step.`,
    ),
  ];
}

/** What hangs is no table and no seat: only whether its shelves are within reach, where it is known how high it hangs. */
function hungUse(using: Using): Check[] {
  const { above } = using.shape.outside;
  if (above !== undefined) return reach(using, above);
  const sentence = say`Whether ${using.who.name} reaches its shelves is not checked, since how high over the floor it hangs is not given.`;
  return [{ ...check('reach', 'fails', sentence), severity: 'look', state: 'not checked' }];
}

/** Whether a piece suits who uses it: heights to stand and to sit at, room for knees, seats, headroom and reach. */
export function useChecks(piece: Piece, shape: Shape, letters: Letters, workshop: Workshop): Check[] {
  const { usedBy } = piece;
  const who = usedBy && workshop.people.get(usedBy.person);
  if (!usedBy || !who) return [];
  const using: Using = { piece, shape, who, letters };
  if (hangs(shape)) return hungUse(using);
  const top = shape.overall.height.value;
  switch (usedBy.how) {
    case 'stands at': {
      const elbow = measureOf(who, 'elbow');
      const why = say`the elbow is at ${len(elbow)}, and work is done ${len(BELOW_ELBOW.least)} to ${len(BELOW_ELBOW.most)} under it`;
      return [suits(using, 'A top', top, sub(elbow, BELOW_ELBOW.most), sub(elbow, BELOW_ELBOW.least), why), ...reach(using)];
    }
    case 'sits at': {
      const lap = measureOf(who, 'lap');
      const why = say`the lap is at ${len(lap)}`;
      return [suits(using, 'A table', top, add(lap, TABLE.over), add(lap, TABLE.most), why), knees(using), ...reach(using)];
    }
    case 'sits on': {
      const hollow = measureOf(who, 'hollow');
      const seat = seatOf(using);
      const why = say`the hollow of the knee is at ${len(hollow)}`;
      return [suits(using, 'A seat', seat, sub(hollow, SEAT.lower), add(hollow, SEAT.higher), why), ...headroom(using, seat)];
    }
  }
}
