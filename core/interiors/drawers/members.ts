import { len, say, size, type Figure, type Sentence } from '../../figure/index.js';
import { pocketScrewLength } from '../../joints/index.js';
import { ZERO, add, negative, sub, type Length, type LengthUnit } from '../../length/index.js';
import {
  facingFrame,
  rectangular,
  spacesOf,
  type Body,
  type Fact,
  type Member,
  type PlacedRun,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import { type Drawers } from './spec.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { NOTHING, together, type DividedIn, type Made } from '../kind.js';
import { boxMembers, type BoxPlace } from './box.js';
import { jointsOf, type Drawer } from './carried.js';
import { drawerIds } from './ids.js';
import { makingOf } from './own.js';
import { drawerProblems } from './problems.js';
import {
  boxDepth,
  boxHeight,
  boxWidth,
  drawerStock,
  freeDepth,
  frontDepth,
  frontSize,
  sideClearance,
  slideFrom,
  type DrawerStock,
} from './sizes.js';

/** The width that a bank has, by one name in every sum that rests on it. */
function openingOf(bank: PlacedSpace): Figure {
  return bank.clear.width.named('opening');
}

function placeOf({ making, bank, line, y, stock }: Drawer): BoxPlace {
  const width = boxWidth(making, stock, openingOf(bank));
  const depth = boxDepth(making, stock, bank.clear.depth);
  const inFront = frontDepth(making, stock)?.value ?? ZERO;
  const [z0, z1] =
    making.face === 'front'
      ? [sub(sub(bank.box.z1, inFront), depth.value), sub(bank.box.z1, inFront)]
      : [add(bank.box.z0, inFront), add(add(bank.box.z0, inFront), depth.value)];
  return {
    width,
    height: boxHeight(making, line.size),
    depth,
    x: add(bank.box.x0, sideClearance(making, stock).value),
    y: add(y, making.rise),
    z0,
    z1,
    face: making.face,
  };
}

function frontMember({ making, bank, part, line, y, stock, edge }: Drawer): Member[] {
  const { front, face } = making;
  const sizes = frontSize(making, openingOf(bank), line.size);
  if (!sizes || front.kind === 'none') return [];
  const t = stock.front.thickness.value;
  const [x, low] =
    front.kind === 'inset'
      ? [front.sides, ZERO]
      : front.kind === 'overlay'
        ? [negative(front.over.left), ZERO]
        : [negative(front.lip), negative(front.lip)];
  const inside = front.kind === 'inset';
  // From the face inwards: an inset front begins at its setback, one that stands in front ends at the face.
  const depth = inside ? front.setback : negative(t);
  const z = face === 'front' ? sub(sub(bank.box.z1, depth), t) : add(bank.box.z0, depth);
  return [
    rectangular({
      id: drawerIds(part.id).front,
      node: part.id,
      role: 'drawer front',
      label: `front of ${part.label}`,
      wood: stock.front,
      length: sizes.width,
      width: sizes.height,
      frame: facingFrame({ x: add(bank.box.x0, x), y: add(y, low), z }),
      purpose: inside ? { length: 'between', width: 'between' } : { length: 'covers', width: 'covers' },
      edges: { u0: edge, u1: edge, v0: edge, v1: edge },
      ...(making.oversize === ZERO ? {} : { over: { length: ZERO, width: making.oversize } }),
    }),
  ];
}

/** Wooden runners under the sides of the box, as long as the depth there is. */
function runners({ making, bank, part, stock }: Drawer, place: BoxPlace, workshop: Workshop): Member[] {
  const { runner } = making;
  if (runner.kind !== 'wooden') return [];
  const wood = woodOf(workshop, runner.stock);
  // An inset front goes past the ends of its runners.
  const inFront = frontDepth(making, stock);
  const clear = inFront ? bank.clear.depth.minus(inFront) : bank.clear.depth;
  const rear = making.face === 'front' ? bank.box.z0 : add(bank.box.z0, inFront?.value ?? ZERO);
  // Between posts they lie between the rails under the opening, level with them.
  const { posts } = bank;
  const length = posts ? clear.minus(posts.rail.times(2).named('two rails')) : clear;
  const z = posts ? add(rear, posts.rail.value) : rear;
  const width = size('runner, wide', runner.wide, { in: 'making', field: 'runner.wide' });
  const at = (id: string, x: Length) =>
    rectangular({
      id,
      node: part.id,
      role: 'runner',
      label: `runner of ${part.label}`,
      wood,
      length,
      width,
      frame: {
        origin: { x, y: sub(place.y, wood.thickness.value), z },
        u: [0, 0, 1],
        v: [1, 0, 0],
        n: [0, 1, 0],
      },
    });
  const [left, right] = drawerIds(part.id).runners;
  return [at(left, bank.box.x0), at(right, sub(bank.box.x1, runner.wide))];
}

/** What a drawer comes out: a slide its extension, a wooden one three quarters of its depth, so that it does not tip out. */
function travelOf({ making, stock }: Drawer, place: BoxPlace): Figure {
  const { runner } = making;
  if (runner.kind !== 'slide') return place.depth.times(0.75).named('three quarters of the box');
  return size('slide', runner.length, { in: 'making', field: 'runner.length' })
    .times(stock.slide?.extension ?? 1)
    .named('drawn out');
}

function bodyOf(drawer: Drawer, members: readonly Member[], place: BoxPlace): Body {
  const { making, part, stock } = drawer;
  const fixed = new Set<string>(drawerIds(part.id).runners);
  const { runner } = making;
  return {
    id: part.id,
    label: part.label,
    members: members.filter((m) => !fixed.has(m.id)).map((m) => m.id),
    spaces: [...spacesOf(part.space)].map((s) => s.space.id),
    motion: { kind: 'slide', along: [0, 0, making.face === 'front' ? 1 : -1], travel: travelOf(drawer, place) },
    runsOn: {
      kind: runner.kind,
      name: runner.kind === 'slide' ? (stock.slide?.name ?? 'slide') : runner.kind === 'wooden' ? 'wooden runners' : 'the opening',
      rating: stock.slide?.rating ?? null,
    },
  };
}

/** The middle of the slide, or the lower edge of the box, from the floor or the top of the bank. */
function lineOf({ making, bank, line, stock }: Drawer, datum: Figure): Fact {
  const half = stock.slide ? size('half the slide', Math.round(stock.slide.height / 2) as Length) : null;
  const low = line.near.plus(size('under the box', making.rise, { in: 'making', field: 'rise' }));
  const shift = datum.value === bank.box.y0 ? low : low.minus(size('over what is below', sub(bank.box.y0, datum.value)));
  const up = half ? shift.plus(half) : shift;
  const what = half ? 'middle of the slide' : 'lower edge of the box';
  if (making.linesFrom === 'bottom') return { name: `${what}, up from the inside bottom`, figure: up };
  return { name: `${what}, down from the inside top`, figure: bank.clear.height.minus(up) };
}

function factsOf(drawer: Drawer, place: BoxPlace, datum: Figure, unit: LengthUnit): readonly Fact[] {
  const { making, bank, line, stock } = drawer;
  const front = frontSize(making, openingOf(bank), line.size);
  const slide: Fact[] =
    making.runner.kind === 'slide' ? [{ name: 'depth there is for a slide', figure: freeDepth(making, stock, bank.clear.depth) }] : [];
  const back = slideFrom(making, stock);
  return [
    ...(front
      ? [
          { name: 'front, wide', figure: front.width },
          { name: 'front, high', figure: front.height },
        ]
      : []),
    { name: 'box, wide', figure: place.width },
    { name: 'box, high', figure: place.height },
    { name: 'box, deep', figure: place.depth },
    ...slide,
    ...(back ? [{ name: 'front end of the slide, back from the face', figure: back }] : []),
    lineOf(drawer, datum),
    ...(making.handle ? [handleFact(making, front?.height ?? line.size)] : []),
    ...joinFact(making, stock, unit),
    ...slidFact(making),
  ];
}

/** What the corners of a box are screwed with, where its walls are thick enough for pocket screws. */
function joinFact({ box }: Drawers, stock: DrawerStock, unit: LengthUnit): Fact[] {
  if (box.join !== 'pocket') return [];
  const thick = stock.box.thickness.value;
  const long = pocketScrewLength(thick, unit);
  const remark = long
    ? say`Pocket screws of ${len(long)} for walls of ${len(thick)}.`
    : say`Walls of ${len(thick)} are not for pocket screws; nail or screw them.`;
  return [{ name: 'corners', remark }];
}

/** How a bottom that is slid in goes in, and what holds it. */
function slidFact({ box: { bottom } }: Drawers): Fact[] {
  if (bottom.kind !== 'groove' || !bottom.slidIn) return [];
  return [
    {
      name: 'bottom',
      remark: say`Slid in from behind when the box stands, and screwed to the back from below: it comes out again, and solid wood may move behind its screws.`,
    },
  ];
}

function handleFact({ handle }: Drawers, height: Figure): Fact {
  const down = handle?.down;
  return {
    name: `${handle?.name ?? 'handle'}, down from the top of the front`,
    figure:
      down === undefined || down === 'middle'
        ? height.named('front, high').over(2, 'middle')
        : size('chosen', down, { in: 'making', field: 'handle.down' }),
  };
}

function oneDrawer(drawer: Drawer, run: PlacedRun, workshop: Workshop): Made {
  const { making, part, stock } = drawer;
  const place = placeOf(drawer);
  const walls = stock.box.thickness.value * 2;
  // The clear height of the drawer is what its bottom leaves of the box.
  const sound = place.width.value > walls && place.depth.value > walls && place.height.value > ZERO && part.clear.height.value > ZERO;
  const facts = [{ space: part.id, facts: factsOf(drawer, place, run.datum, workshop.settings.unit) }];
  if (!sound) {
    const problem: ShapeProblem = {
      id: `drawer-small-${part.id}`,
      about: part.id,
      stops: true,
      sentence: say`${part.label} would have a box of ${len(place.width.value)} by ${len(place.height.value)} by ${len(place.depth.value)}: nothing is left inside it.`,
      fixes: [],
    };
    return { ...NOTHING, facts, problems: [problem] };
  }
  const members = [...frontMember(drawer), ...boxMembers(making, part.id, part.label, stock, place), ...runners(drawer, place, workshop)];
  const { bottom } = making.box;
  const high = bottom.kind === 'tray' ? add(bottom.strip, stock.bottom.thickness.value) : ZERO;
  const { front } = making;
  // What a front reaches over the wood above it is no room for the box behind it.
  const over = front.kind === 'overlay' ? front.over.above : front.kind === 'lipped' ? front.lip : ZERO;
  const room = sub(sub(drawer.line.size.value, making.rise), over);
  const problem = (id: string, sentence: Sentence): ShapeProblem => ({
    id: `${id}-${part.id}`,
    about: part.id,
    stops: true,
    sentence,
    fixes: [],
  });
  const wall = members.find((m) => m.role === 'drawer side');
  const height = frontSize(making, openingOf(drawer.bank), drawer.line.size)?.height ?? drawer.line.size;
  const down = making.handle?.down;
  const problems: ShapeProblem[] = [
    ...(high > room
      ? [problem('tray-high', say`The strips and the base of ${part.label} are ${len(high)} high together, and ${len(room)} is there.`)]
      : []),
    ...(stock.slide && wall && wall.width.value < stock.slide.height
      ? [
          problem(
            'slide-high',
            say`${stock.slide.name} is ${len(stock.slide.height)} high, and the sides of ${part.label} that it is screwed to are ${len(wall.width.value)}.`,
          ),
        ]
      : []),
    ...(typeof down === 'number' && down >= height.value
      ? [
          problem(
            'handle-low',
            say`${making.handle?.name ?? 'The handle'} would be ${len(down)} down on the front of ${part.label}, which is ${len(height.value)} high.`,
          ),
        ]
      : []),
  ];
  return {
    ...NOTHING,
    members,
    joints: jointsOf(drawer, members, place),
    bodies: [bodyOf(drawer, members, place)],
    bought: [
      ...(stock.slide && making.runner.kind === 'slide'
        ? [{ what: stock.slide.name, length: making.runner.length, count: 1, each: 'pair' as const }]
        : []),
      ...(making.handle ? [{ what: making.handle.name, count: 1, each: 'piece' as const }] : []),
    ],
    facts,
    problems,
  };
}

/** The drawers of a bank: fronts, boxes and runners, what carries them, how they move, and what is wrong with them. */
export function drawerMembers(bankMaking: Drawers, { split, workshop, run, space: bank, spaces, piece }: DividedIn): Made {
  const edge = piece.edges.front;
  const stock = drawerStock(bankMaking, workshop);
  const drawers = run.run.lines.flatMap((line): Drawer[] => {
    const part = spaces.get(line.line.id);
    if (!part || line.line.kind !== 'gap') return [];
    const making = makingOf(bankMaking, part.id);
    const own = making === bankMaking ? stock : drawerStock(making, workshop);
    return [{ making, bank, part, line, y: add(run.datum.value, line.near.value), stock: own, edge }];
  });
  const made = together(drawers.map((drawer) => oneDrawer(drawer, run, workshop)));
  return { ...made, problems: [...drawerProblems(bankMaking, split, stock, bank, workshop), ...made.problems] };
}
