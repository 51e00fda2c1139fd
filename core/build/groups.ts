import { likenessOf } from '../parts/hand.js';
import { FLOOR, LETS_GO, MAY_LIE, PLACE, boxOf, type Body, type Box, type Joint, type Member, type Role } from '../piece/index.js';
import { fromUnits, mm, negative, type Length } from '../length/index.js';
import type { Solution } from '../solution/index.js';
import { orderOf, type GoesIn, type Unit } from './apart.js';
import { inAssemblyOrder } from './captive.js';

/** When parts are put together: in frames first, then the main of it, then what closes it, and what moves in it. */
export type Stage = 'frames' | 'together' | 'close' | 'moving' | 'hang' | 'fronts' | 'loose';

/** Parts that are put together in one go, with others like it where there are several. */
export interface Group {
  readonly id: string;
  readonly stage: Stage;
  /** What is put together, each time by itself. */
  readonly each: readonly (readonly Member[])[];
  readonly bodies: readonly Body[];
  /** How its parts go in, by their ids; those of a frame that is ready all as that goes. */
  readonly goesIn: ReadonlyMap<string, GoesIn>;
}

/** What is put on once the rest stands: it would close it, or cannot stand alone. */
export const CLOSES: ReadonlySet<Role> = new Set<Role>([
  'back',
  'wall board',
  'deck',
  'slat',
  'toe board',
  'brace',
  'gusset',
  'corner block',
  'stop',
]);

/** The thickest that something flat is, which is put together lying down. */
const FLAT = mm(150);

const reachOn = (axis: 'x' | 'y', box: Box): readonly [Length, Length] => (axis === 'x' ? [box.x0, box.x1] : [box.y0, box.y1]);

/** What was measured nearer than drawn still lies beside what it is held to, where it is no further off than this. */
const BESIDE = mm(10);

/** Clusters of members that are held to each other and lie in one flat layer along an axis. */
function layersAlong(axis: 'x' | 'y', members: readonly Member[], joints: readonly Joint[]): Member[][] {
  const of = new Map(members.map((m) => [m.id, { members: [m], reach: reachOn(axis, boxOf(m)) }]));
  for (const { carried, carrier } of joints) {
    const [a, b] = [of.get(carried), of.get(carrier)];
    if (!a || !b || a === b) continue;
    const shared = Math.min(a.reach[1], b.reach[1]) - Math.max(a.reach[0], b.reach[0]);
    const thick = [a, b].map((c) => c.reach[1] - c.reach[0]) as [number, number];
    const reach = [Math.min(a.reach[0], b.reach[0]), Math.max(a.reach[1], b.reach[1])].map((l) => fromUnits(l)) as [Length, Length];
    // Side by side they are one frame, such as the steps of a ladder on its posts; what only lies on another is none.
    const least = axis === 'x' ? negative(BESIDE) : Math.min(...thick) / 2;
    if (shared < least || reach[1] - reach[0] > FLAT) continue;
    const merged = { members: [...a.members, ...b.members], reach };
    for (const m of merged.members) of.set(m.id, merged);
  }
  return [...new Set(of.values())].map((c) => c.members).filter((c) => c.length > 1);
}

/** Frames that are put together flat before they are joined: side frames and ladders first, then the frames of levels. */
function framesOf(members: readonly Member[], joints: readonly Joint[]): Member[][] {
  const upright = layersAlong('x', members, joints);
  const taken = new Set(upright.flat());
  const level = layersAlong(
    'y',
    members.filter((m) => !taken.has(m)),
    joints,
  );
  const all = [...upright, ...level];
  // All of it in one layer is no frame of it.
  return all.length === 1 && all[0]?.length === members.length ? [] : all;
}

/** The same for sets of parts that are alike, though one may be the reflection of the other. */
function likeness(members: readonly Member[]): string {
  return members
    .map((m) => `${m.role} ${likenessOf(m).either}`)
    .sort()
    .join('\n');
}

/** Groups with those that are alike in one. */
function alike<T>(all: readonly T[], membersOf: (one: T) => readonly Member[]): T[][] {
  const found = new Map<string, T[]>();
  for (const one of all) {
    const key = likeness(membersOf(one));
    found.set(key, [...(found.get(key) ?? []), one]);
  }
  return [...found.values()];
}

const isFront = (m: Member) => m.role === 'drawer front';

/** In which groups the parts of a piece are put together, in the order of the work. @example groupsOf(SOLVED, 'bottom up').length > 0 // true */
export function groupsOf({ shape, parts }: Solution, order: 'bottom up' | 'top down'): readonly Group[] {
  const members = parts.map((p) => p.member);
  // What moves by itself on another is built with that.
  const builtWith = (b: Body) => (b.byItself ? (shape.bodies.find((lead) => lead.id === b.on) ?? b) : b);
  const inBody = new Map(shape.bodies.flatMap((b) => b.members.map((id) => [id, builtWith(b)] as const)));
  const up = order === 'bottom up' ? 1 : -1;
  const low = (m: Member) => boxOf(m).y0;
  const sorted = (all: readonly Member[]) => [...all].sort((a, b) => up * (low(a) - low(b)));
  // What the piece is hung on stands on the wall by then.
  const onWall = new Set(shape.joints.flatMap((j) => (j.how === 'hung' ? [j.carrier] : [])));
  const still = sorted(members.filter((m) => !inBody.has(m.id) && !onWall.has(m.id)));
  const firm = shape.joints.filter((j) => !LETS_GO.has(j.how));
  const held = new Set(firm.flatMap((j) => (j.carrier === FLOOR ? [] : [j.carried, j.carrier])));
  const carries = new Set(shape.joints.map((j) => j.carrier));
  const isLoose = (m: Member) => MAY_LIE.has(m.role) && !held.has(m.id) && !carries.has(m.id);
  const main = still.filter((m) => !isLoose(m) && !CLOSES.has(m.role));
  const closing = still.filter((m) => CLOSES.has(m.role));
  const loose = still.filter((m) => isLoose(m) && !CLOSES.has(m.role));
  // Posts lie on the bench first, then what goes between them.
  const carriersFirst = (some: readonly Member[]) => [...some].sort((a, b) => Number(carries.has(b.id)) - Number(carries.has(a.id)));
  // It is named by a part whatever the order is, so that what was ticked stays so.
  const group = (stage: Stage, by: Member | undefined, each: readonly (readonly GoesIn[])[], bodies: readonly Body[] = []): Group[] => {
    if (!by) return [];
    const goesIn = new Map(each.flat().flatMap((g) => g.unit.map((m) => [m.id, g] as const)));
    return [{ id: `${stage} ${by.id}`, stage, each: each.map(inTurn), bodies, goesIn }];
  };
  const bodyMembers = (b: Body, front: boolean) => members.filter((m) => inBody.get(m.id) === b && isFront(m) === front);
  const bodies = [...shape.bodies].filter((b) => bodyMembers(b, false).length > 0);
  const bottomOf = (b: Body) => up * Math.min(...bodyMembers(b, false).map(low));
  const hung = bodies.flatMap((b) => bodyMembers(b, false));
  const fronts = sorted(members.filter((m) => inBody.has(m.id) && isFront(m)));
  const { frames, together, close } = putTogether(main, closing, firm, framesOf(main, firm).map(carriersFirst));
  const byThemselves = (some: readonly Member[]) => orderOf(some.map(alone), []);
  return [
    ...alike(frames, (f) => f).flatMap((each) => group('frames', each[0]?.[0], each.map(byThemselves))),
    ...group('together', main[0], [together]),
    ...group(
      'close',
      closing.find((m) => inTurn(close).includes(m)),
      [close],
    ),
    ...alike(
      bodies.sort((a, b) => bottomOf(a) - bottomOf(b)),
      (b) => bodyMembers(b, false),
    ).flatMap((all) =>
      group(
        'moving',
        bodyMembers(all[0] as Body, false)[0],
        all.map((b) => byThemselves(bodyMembers(b, false))),
        all,
      ),
    ),
    ...group('hang', hung[0], [hung.map(laid)], bodies),
    ...group('fronts', fronts[0], [fronts.map(laid)]),
    ...group('loose', loose[0], [loose.map(laid)]),
  ];
}

const alone = (m: Member): Unit => [m];

/** What is hung, fitted or tilted in: no straight way is asked for. */
const laid = (m: Member): GoesIn => ({ unit: [m], way: null, barredBy: [] });

const inTurn = (order: readonly GoesIn[]) => order.flatMap((g) => g.unit);

const isShutOut = ({ way }: GoesIn) => way === null;

/**
 * The main of it, by frames that are ready where these can be joined so, and what closes it then. What the main of it would shut out, such as a
 * back in grooves all round or a deck notched round its posts, goes in with it.
 */
function putTogether(main: readonly Member[], closing: readonly Member[], firm: readonly Joint[], frames: readonly Unit[]) {
  const caught = orderOf(closing.map(alone), main)
    .filter(isShutOut)
    .flatMap((g) => g.unit);
  const asFrames = (ready: readonly Unit[]) => {
    const framed = new Map(ready.flatMap((f) => f.map((m) => [m.id, f] as const)));
    const wanted = [...inAssemblyOrder(main, firm, ready), ...caught];
    return {
      frames: ready,
      together: orderOf(
        [...new Set(wanted.map((m) => framed.get(m.id) ?? m))].map((u) => ('id' in u ? [u] : u)),
        [],
      ),
    };
  };
  const tried = frames.length > 0 ? [asFrames(frames), asFrames([])] : [asFrames([])];
  const shutOut = ({ together }: (typeof tried)[number]) => together.filter(isShutOut).length;
  const best = tried.reduce((least, one) => (shutOut(one) < shutOut(least) ? one : least));
  const close = orderOf(closing.filter((m) => !caught.includes(m)).map(alone), [...main, ...caught]);
  return { ...best, close };
}

/**
 * Whether a joint is made where the piece stays: with the floor, a wall, a cabinet that is there, or what it is hung on.
 * @example isOutside(SOLVED.shape.joints.find((joint) => joint.carrier === 'floor')) // true
 */
export const isOutside = ({ carrier, how }: Joint): boolean => carrier === FLOOR || carrier === PLACE || how === 'hung';
