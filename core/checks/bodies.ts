import {
  CLOSE_FROM,
  GRAVITY,
  PASS,
  carry,
  keepsThings,
  onSlides,
  tippingCases,
  unweighedIn,
  usedSo,
  worstTipping,
  type Carried,
  type TippingCase,
} from '../carry/index.js';
import { force, len, mass, say, type Sentence } from '../figure/index.js';
import { dividingKind } from '../interiors/index.js';
import { applyEdit } from '../kinds/index.js';
import { add, fromUnits, mm } from '../length/index.js';
import { overlapOf, type Solid } from '../solid/index.js';
import {
  boxOf,
  boxRound,
  findSpace,
  keptMembers,
  ofTwo,
  overlap,
  posed,
  shiftOf,
  solidOfMember,
  statesOnTheWay,
  sweptBox,
  type Body,
  type Box,
  type Member,
  type OnTheWay,
  type Piece,
  type Pose,
  type Shape,
} from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shapeOf, shellOf } from '../shells/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { movesAs } from './reach.js';
import { asKg } from '../measures/index.js';

/** Slides on hand of that length whose pair is rated for so much, the lightest rated first, as changes to the bank of a drawer. */
function heavierSlides(piece: Piece, body: Body, kg: number, { slides }: Workshop): Check['fixes'] {
  const bank = findSpace(piece.interior, body.id)?.parent?.space;
  const split = bank?.split;
  if (!bank || !split?.making || body.runsOn.kind !== 'slide') return [];
  const { making } = split;
  const kind = dividingKind(split);
  return [...slides]
    .filter(([, s]) => (s.rating ?? 0) * CLOSE_FROM >= kg)
    .sort(([, a], [, b]) => (a.rating ?? 0) - (b.rating ?? 0))
    .flatMap(([id, s]) => {
      const on = kind.onSlides?.(making, id, s);
      return on
        ? [
            pieceFix(say`Run the drawers on ${s.name}, rated for ${mass(asKg(s.rating ?? 0))}`, {
              kind: 'making',
              space: bank.id,
              making: on,
            }),
          ]
        : [];
    });
}

function rated(piece: Piece, body: Body, carried: Carried, workshop: Workshop): Check[] {
  const slides = onSlides(body, carried);
  if (!slides || slides.state === 'fine' || (slides.empty && slides.rating !== null)) return [];
  const about = { kind: 'space', id: body.id } as const;
  const { name, rating, contents, self, used, assumed } = slides;
  if (rating === null || contents === null || used === null) {
    const missing = rating === null ? say`the rating of ${name} is not known` : say`something in it has no mass`;
    const sentence = say`${body.label} is not checked against its slides, since ${missing}.`;
    return [{ id: `rating-${body.id}`, severity: 'look', state: 'not checked', about, sentence, fixes: [] }];
  }
  const weighs = say`${body.label} holds ${mass(asKg(contents))}${assumed ? ', as drawers of its size do at home,' : ''} and weighs ${mass(self)}; a pair of ${name} is rated for ${mass(rating)}`;
  const near = slides.state === 'close';
  const sentence = near ? say`${weighs}: ${Math.round(used * 100)} % of it.` : say`${weighs}.`;
  return [
    {
      id: `rating-${body.id}`,
      severity: near || assumed ? 'look' : 'stop',
      state: slides.state,
      about,
      sentence,
      fixes: heavierSlides(piece, body, contents + self, workshop),
    },
  ];
}

interface Boxed {
  readonly member: Member;
  readonly box: Box;
}

/** In each other by less than this is rounding, mm. */
const LEAST = 0.05;

const comesInto = (solid: Solid, other: Member) => overlapOf(solid, solidOfMember(other)) > LEAST;

/** The states of a member on its way stay the same as long as it does, so that what they come into is looked at once. */
const turnedBoth = ofTwo<readonly OnTheWay[], readonly OnTheWay[], boolean>();
const turnedInto = ofTwo<readonly OnTheWay[], Member, boolean>();

/** A member on its way: the box that it stays in, and for what turns it at states of its way, each with its own box. */
interface Moved {
  readonly member: Member;
  readonly box: Box;
  readonly swept: Box;
  readonly states: readonly OnTheWay[] | null;
}

function onTheWay({ member, box }: Boxed, body: Body, bodies: readonly Body[]): Moved {
  if (body.motion.kind === 'slide') return { member, box, swept: sweptBox(member, body, bodies), states: null };
  const states = statesOnTheWay(member, body, bodies);
  return { member, box, swept: boxRound(states.map((s) => s.box)), states };
}

/** Whether two that turn together come into each other, each at the same states. */
function meetOnTheWay({ swept, states }: Moved, other: Moved): boolean {
  if (!states || !other.states || !overlap(swept, other.swept)) return false;
  const others = other.states;
  return turnedBoth(states, others, () =>
    states.some((at, i) => {
      const there = others[i];
      return there !== undefined && overlap(at.box, there.box) && overlapOf(at.solid(), there.solid()) > LEAST;
    }),
  );
}

/** Whether what moves comes into what stays; what already stands in room of its own, such as a board let into a groove, is not run into. */
function runsInto({ member, box, swept, states }: Moved, there: Boxed): boolean {
  if (!overlap(swept, there.box)) return false;
  if (!states) return !overlap(box, there.box);
  return turnedInto(states, there.member, () => {
    const met = states.some((s) => overlap(s.box, there.box) && comesInto(s.solid(), there.member));
    return met && !comesInto(solidOfMember(member), there.member);
  });
}

/** A body with its axis where it is while what it is on is drawn out, and all members as they are then; null for what is on nothing that slides. */
function withLeadOut(body: Body, { members, bodies }: Shape): { readonly body: Body; readonly all: readonly Boxed[] } | null {
  const lead = bodies.find((b) => b.id === body.on);
  if (!body.byItself || lead?.motion.kind !== 'slide') return null;
  const pose: Pose = new Map([[lead.id, 1]]);
  const by = shiftOf(lead, pose);
  const { motion } = body;
  const { at } = motion.kind === 'turn' ? motion : { at: by };
  const moved = motion.kind === 'turn' ? { ...motion, at: { x: add(at.x, by.x), y: add(at.y, by.y), z: add(at.z, by.z) } } : motion;
  return { body: { ...body, motion: moved }, all: boxed(keptMembers(posed(members, bodies, pose))) };
}

const boxed = (members: readonly Member[]): readonly Boxed[] => members.map((member) => ({ member, box: boxOf(member) }));

/** What is first in the way of a body: a member that stays, one of another body, or one of what it goes with. */
function inTheWay(body: Body, all: readonly Boxed[], bodies: readonly Body[]): Member | undefined {
  const lead = body.byItself ? undefined : bodies.find((b) => b.id === body.on);
  const of = (b: Body, way = b) => all.filter(({ member }) => b.members.includes(member.id)).map((m) => onTheWay(m, way, bodies));
  const carried = bodies.filter((b) => b.on === body.id && b.byItself);
  const moving = [...of(body), ...carried.flatMap((b) => of(b, body))];
  const along = bodies.filter((b) => b.on === body.id || b === lead);
  const passed = new Set([...body.members, ...(body.outOf ?? []), ...along.flatMap((b) => b.members)]);
  const ways = lead ? of(lead) : [];
  return (
    all.find((b) => !passed.has(b.member.id) && moving.some((m) => runsInto(m, b)))?.member ??
    ways.find((other) => moving.some((m) => meetOnTheWay(m, other)))?.member
  );
}

/** What a body runs into on its way, wherever what it is on has come to. */
function hits(body: Body, all: readonly Boxed[], shape: Shape): Check[] {
  const { bodies } = shape;
  const shut = inTheWay(body, all, bodies);
  const out = shut ? null : withLeadOut(body, shape);
  const met = shut ?? (out ? inTheWay(out.body, out.all, bodies) : undefined);
  if (!met) return [];
  const away = (body.away ?? bodies.find((b) => b.id === body.on)?.away)?.[1];
  const lead = shut ? '' : ' and what it is on is drawn out';
  return [
    {
      id: `hits-${body.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'space', id: body.id },
      sentence: away
        ? say`${body.label} run into ${met.label} on their way to be ${away}.`
        : say`${body.label} runs into ${met.label} when it is ${movesAs(body)}${lead}.`,
      fixes: [],
    },
  ];
}

const TO_WALL: Check['fixes'] = [pieceFix(say`It will be fixed to the wall`, { kind: 'piece', patch: { fixedToWall: true } })];

/** Feet are tried further apart by steps of this, mm, and by so many of them. */
const STEP = 50;
const MOST_STEPS = 8;

/** The least that its feet have to be further out at a side so that it stands, where its kind lets that be said. */
function standingWider(piece: Piece, to: TippingCase['to'], workshop: Workshop): Check['fixes'] {
  const wayBy = (steps: number) => shellOf(piece).standingWider?.(piece, to, mm(steps * STEP)) ?? null;
  const stands = (way: ReturnType<typeof wayBy>) => {
    if (!way) return false;
    const changed = applyEdit(piece, way.edit);
    const shape = shapeOf(changed, workshop);
    return worstTipping(tippingCases(shape, carry(shape, workshop), usedSo(changed, shape)))?.tipping.state === 'fine';
  };
  // The further the surer: halved rather than tried one by one, since each has to be carried.
  let [falls, steps] = [0, MOST_STEPS];
  while (steps > 1 && !wayBy(steps)) steps -= 1;
  if (!stands(wayBy(steps))) return [];
  while (steps - falls > 1) {
    const middle = Math.floor((falls + steps) / 2);
    if (stands(wayBy(middle))) steps = middle;
    else falls = middle;
  }
  const way = wayBy(steps);
  return way ? [pieceFix(say`${way.says}, so that it stands`, way.edit)] : [];
}

const FILLED = {
  empty: 'nothing in it',
  'top only': 'only its upper half filled',
  'one side': 'only that side of it filled',
  'open drawers only': 'only what is open filled',
  all: 'all of it filled',
} as const;

/** What tips a piece, of all that is asked what it stands least: by itself, by whoever is on its edge, or by a pull or a push at its top. */
function tipsBy({ to, kg, tipping }: TippingCase, keeps: boolean): { readonly id: string; readonly sentence: Sentence } {
  const { margin, pull, should, asks, onDrawer, down } = tipping;
  if (margin < 0)
    return {
      id: 'tips-open',
      sentence: say`its ${mass(kg)} hang ${len(fromUnits(-margin * 80_000))} past its feet to the ${to}: it tips over`,
    };
  if (down && down.lifts < down.by.newtons) {
    const who = down.by.is === 'sat on' ? 'sits' : 'leans';
    return {
      id: 'tips-edge',
      sentence: say`someone who ${who} on its edge tips it to the ${to}: it stands ${mass(asKg(Math.max(0, down.lifts) / GRAVITY))} there, and ${mass(asKg(down.by.newtons / GRAVITY))} is counted with`,
    };
  }
  const climbed = keeps && onDrawer !== null;
  const child = climbed ? say`, or ${mass(onDrawer)} on the open drawer,` : say``;
  const asked = climbed ? say`${force(should)} and ${mass(PASS.onDrawer)}` : force(should);
  return {
    id: climbed || asks === 'child' ? 'tips-child' : 'tips-push',
    sentence: say`a pull of ${force(pull)} to the ${to} at the top${child} tips it; it should stand ${asked}`,
  };
}

/** Free-standing pieces that fall by themselves with drawers out, under someone on an edge of theirs, or under a pull or a push. */
function tips(piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): Check[] {
  if (piece.fixedToWall) return [];
  const unknown = unweighedIn(carried);
  const cases = tippingCases(shape, carried, usedSo(piece, shape));
  // With things of no known mass in it, only what it does empty is known.
  const worst = worstTipping(unknown.length > 0 ? cases.filter((c) => c.filling === 'empty') : cases);
  const keeps = keepsThings(shape);
  if (!worst || worst.tipping.state === 'fine') {
    if (!worst || unknown.length === 0) return [];
    const sentence = say`Whether it tips is not checked, since the mass of ${unknown.join(', ')} is not known.`;
    return [
      { id: 'tips-unknown', severity: 'look', state: 'not checked', about: { kind: 'piece' }, sentence, fixes: keeps ? TO_WALL : [] },
    ];
  }
  const { pose, filling, to } = worst;
  const { id, sentence } = tipsBy(worst, keeps);
  // A bench or a table stands by itself; what things are kept in is fixed.
  const how = say`${pose.id === 'shut' ? (keeps ? 'With everything shut' : 'With it standing') : `With ${pose.label}`} and ${FILLED[filling]}`;
  const fixes = [...standingWider(piece, to, workshop), ...(keeps ? TO_WALL : [])];
  // A light table that is carried about tips under a push, and is told so; tall storage is told to be fixed anyway.
  const severity = id === 'tips-push' && (shape.outside.carried || keeps) ? 'look' : 'stop';
  const about = { kind: 'piece' } as const;
  return [{ id, severity, state: 'fails', about, sentence: say`${how} ${sentence}.${keeps ? ' Fix it to the wall.' : ''}`, fixes }];
}

/** Fronts that stand out further than what lies above them covers. */
function covered(shape: Shape): Check[] {
  const face = shape.overall.depth.value;
  const out = shape.members.filter((m) => m.role === 'drawer front').map((m) => boxOf(m).z1 - face);
  const most = Math.max(0, ...out);
  const { cover } = shape.outside;
  if (cover === undefined || most <= cover) return [];
  return [
    {
      id: 'fronts-uncovered',
      severity: 'look',
      state: 'fails',
      about: { kind: 'piece' },
      sentence: say`The drawer fronts stand out ${len(fromUnits(most))} and the top covers ${len(cover)} of it.`,
      fixes: [],
    },
  ];
}

/** Whether what moves is carried, has room to move, and does not tip the piece over. */
export function bodyChecks(piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): Check[] {
  const slid = shape.bodies.filter((b) => onSlides(b, carried)?.state === 'fine');
  const boxes = shape.bodies.length > 0 ? boxed(shape.members) : [];
  const faults = shape.bodies.flatMap((body) => [...rated(piece, body, carried, workshop), ...hits(body, boxes, shape)]);
  const good: Check[] =
    slid.length > 0
      ? [
          {
            id: 'rated',
            severity: 'good',
            state: 'fine',
            about: { kind: 'piece' },
            sentence: say`${slid.length === 1 ? `${(slid[0] as Body).label} stays` : `${slid.length} drawers stay`} within the rating of the slides.`,
            fixes: [],
          },
        ]
      : [];
  return [...faults, ...tips(piece, shape, carried, workshop), ...covered(shape), ...good];
}
