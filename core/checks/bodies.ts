import type { Carried } from '../carry/index.js';
import { len, mass, say } from '../figure/index.js';
import { fromUnits, toMm } from '../length/index.js';
import { boxOf, overlap, posed, posesOf, sweptBox, type Body, type Member, type Piece, type Pose, type Shape } from '../piece/index.js';
import type { Check } from './check.js';

/** The mass of what is in a body and of the body itself, kg; null where something in it has no mass. */
export function massOfBody(body: Body, shape: Shape, carried: Carried): { readonly contents: number | null; readonly self: number } {
  const self = body.members.reduce((sum, id) => sum + (carried.members.get(id)?.selfKg ?? 0), 0);
  const blocks = body.spaces.flatMap((id) => shape.spaces.get(id)?.blocks ?? []);
  if (blocks.some((b) => b.thing.mass === undefined)) return { contents: null, self };
  return { contents: blocks.reduce((sum, b) => sum + (b.thing.mass ?? 0) * b.count, 0), self };
}

function rated(body: Body, shape: Shape, carried: Carried): Check[] {
  if (body.runsOn.kind !== 'slide') return [];
  const about = { kind: 'space', id: body.id } as const;
  const { contents, self } = massOfBody(body, shape, carried);
  const { rating, name } = body.runsOn;
  if (rating === null || contents === null) {
    const missing = rating === null ? say`the rating of ${name} is not known` : say`something in it has no mass`;
    return [
      {
        id: `rating-${body.id}`,
        severity: 'look',
        state: 'not judged',
        about,
        sentence: say`${body.label} is not judged against its slides, since ${missing}.`,
        fixes: [],
      },
    ];
  }
  const all = contents + self;
  if (all <= rating) return [];
  return [
    {
      id: `rating-${body.id}`,
      severity: 'stop',
      state: 'fails',
      about,
      sentence: say`${body.label} holds ${mass(contents)} and weighs ${mass(self)}; a pair of ${name} is rated for ${mass(rating)}.`,
      fixes: [],
    },
  ];
}

/** What a body runs into on its way: a member that stays, or one of another body. */
function hits(body: Body, shape: Shape): Check[] {
  const own = new Set(body.members);
  const members = new Map(shape.members.map((m) => [m.id, m]));
  const moving = body.members.flatMap((id) => members.get(id) ?? []);
  const swept = moving.map((m) => sweptBox(m, body));
  const inTheWay = shape.members.find((other) => {
    if (own.has(other.id)) return false;
    const box = boxOf(other);
    // What already stands in room of its own, such as a board let into a groove, is not run into by moving along.
    return moving.some((m, i) => overlap(swept[i] as (typeof swept)[number], box) && !overlap(boxOf(m), box));
  });
  if (!inTheWay) return [];
  return [
    {
      id: `hits-${body.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'space', id: body.id },
      sentence: say`${body.label} runs into ${inTheWay.label} when it is drawn out.`,
      fixes: [],
    },
  ];
}

/** Where the middle of the mass of a piece lies from its rear in a pose, mm, and that mass, kg. */
export function middleOfMass(shape: Shape, carried: Carried, pose: Pose): { readonly z: number; readonly kg: number } {
  const out = new Map(shape.bodies.flatMap((b) => b.spaces.map((id) => [id, b] as const)));
  let moment = 0;
  let kg = 0;
  const put = (m: number, z: number) => {
    kg += m;
    moment += m * z;
  };
  const middle = (m: Member) => {
    const box = boxOf(m);
    return toMm(fromUnits((box.z0 + box.z1) / 2));
  };
  for (const m of posed(shape.members, shape.bodies, pose)) put(carried.members.get(m.id)?.selfKg ?? 0, middle(m));
  for (const space of shape.spaces.values()) {
    const body = out.get(space.id);
    const shift = body ? toMm(fromUnits(body.travel.value * (pose.get(body.id) ?? 0))) * body.along[2] : 0;
    for (const b of space.blocks) put((b.thing.mass ?? 0) * b.count, toMm(fromUnits(space.box.z1 - space.setback - b.depth / 2)) + shift);
  }
  return { z: kg > 0 ? moment / kg : 0, kg };
}

/** Free-standing pieces that tip forward with drawers drawn out. Feet are taken to reach from the rear to the front of the piece. */
function tips(piece: Piece, shape: Shape, carried: Carried): Check[] {
  if (piece.shell !== 'panel-case' || piece.fixedToWall || shape.bodies.length === 0) return [];
  const foot = toMm(shape.overall.depth.value);
  const poses = posesOf(shape.bodies).filter((p) => p.id !== 'shut');
  const worst = poses.map((p) => ({ ...p, ...middleOfMass(shape, carried, p.pose) })).sort((a, b) => b.z - a.z)[0];
  if (!worst || worst.z <= foot) return [];
  return [
    {
      id: 'tips-open',
      severity: 'stop',
      state: 'fails',
      about: { kind: 'piece' },
      sentence: say`With ${worst.label} its ${mass(worst.kg)} hang ${len(fromUnits((worst.z - foot) * 80_000))} in front of its feet: it tips over. Fix it to the wall.`,
      fixes: [
        {
          label: say`It will be fixed to the wall`,
          change: { target: 'piece', edit: { kind: 'piece', patch: { fixedToWall: true } } },
        },
      ],
    },
  ];
}

/** Fronts that stand out further than what lies above them covers. */
function covered(piece: Piece, shape: Shape): Check[] {
  const face = shape.overall.depth.value;
  const out = shape.members.filter((m) => m.role === 'drawer front').map((m) => boxOf(m).z1 - face);
  const most = Math.max(0, ...out);
  const cover = piece.shell === 'in-place' ? piece.cover : undefined;
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
export function bodyChecks(piece: Piece, shape: Shape, carried: Carried): Check[] {
  const slid = shape.bodies.filter((b) => b.runsOn.kind === 'slide' && b.runsOn.rating !== null);
  const faults = shape.bodies.flatMap((body) => [...rated(body, shape, carried), ...hits(body, shape)]);
  const good: Check[] =
    slid.length > 0 && !faults.some((f) => f.id.startsWith('rating-'))
      ? [
          {
            id: 'rated',
            severity: 'good',
            state: 'fine',
            about: { kind: 'piece' },
            sentence: say`${slid.length === 1 ? 'The drawer stays' : `All ${slid.length} drawers stay`} within the rating of the slides.`,
            fixes: [],
          },
        ]
      : [];
  return [...faults, ...tips(piece, shape, carried), ...covered(piece, shape), ...good];
}
