import { Figure, fine, force, mass, say, size } from '../../figure/index.js';
import { recess } from '../../joints/index.js';
import { pieceFix, type Check } from '../../finding/index.js';
import { GRAVITY, type Carried } from '../../carry/index.js';
import { ZERO, add, sub, toMm, type Length } from '../../length/index.js';
import {
  atX,
  boxOf,
  facingFrame,
  flatFrame,
  notched,
  onEdgeFrame,
  overlap,
  rectangular,
  type Body,
  type Bought,
  type Fact,
  type Feature,
  type Joint,
  type Member,
  type PieceEdit,
  type Shape,
  type ShapeProblem,
} from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import type { Envelope, Woods } from './envelope.js';
import { CASE, LID } from './ids.js';
import type { Lid, PanelCase } from './spec.js';
import { asDegrees, radians, inDegrees, asKg, asNewtons } from '../../measures/index.js';

/** A lid is opened so far where nothing else is said, degrees. */
const OPENS = asDegrees(100);
/** Leaning back by so much past upright it stays open by itself, degrees, typical. */
const STAYS = asDegrees(95);

const opensOf = ({ opens }: Lid) => opens ?? OPENS;
const source = (field: string) => ({ in: 'piece', field: `lid.${field}` }) as const;

/** The rail that a lid is hinged to, in front of the back. */
function packingOf({ how, packed }: Lid, woods: Woods): { readonly wood: Wood; readonly wide: Length } | null {
  return how === 'hinged' && packed && woods.packed ? { wood: woods.packed, wide: packed.wide } : null;
}

/** How high the upper face of a lid lies. */
const topOf = (piece: PanelCase, { height }: Envelope): Length => sub(height.value, piece.inset?.top ?? ZERO);

/** The top of a case as a lid: between the sides with room round it, from what it is hinged to on; or over them as a top is. */
export function asLid(piece: PanelCase, top: Member, envelope: Envelope, woods: Woods): Member {
  const { lid } = piece;
  if (!lid) return top;
  if (piece.top !== 'between') return { ...top, label: 'lid' };
  const { inside, start } = envelope;
  const slack = size('free at each side', lid.slack, source('slack'));
  const packing = packingOf(lid, woods);
  const behind = packing ? inside.depth.minus(packing.wood.thickness.named('rail it is hinged to')) : inside.depth;
  // One that is only so deep ends that much behind the front.
  const less = sub(add(start.z.value, inside.depth.value), top.frame.origin.z);
  const deep = less > ZERO ? behind.minus(size('less deep than the case', less, { in: 'piece', field: 'topDeep' })) : behind;
  return rectangular({
    id: top.id,
    node: top.node,
    role: top.role,
    label: 'lid',
    wood: woods.top,
    length: inside.width.minus(slack.times(2).named('free at both sides')),
    width: deep.minus(slack.named('free behind it')),
    frame: flatFrame({ x: add(start.x.value, lid.slack), y: top.frame.origin.y, z: top.frame.origin.z }),
    edges: top.edges,
  });
}

/** What goes with a lid: the rail that it is hinged to, and strips that it lies on, or that locate it. */
export function lidMembers(piece: PanelCase, envelope: Envelope, woods: Woods): readonly Member[] {
  const { lid } = piece;
  const { ledge: strip } = woods;
  if (!lid || !strip) return [];
  const { inside, start } = envelope;
  const packing = packingOf(lid, woods);
  const top = topOf(piece, envelope);
  const under = sub(top, woods.top.thickness.value);
  const over = piece.top === 'over';
  const behind = packing ? packing.wood.thickness.value : ZERO;
  const long = packing ? inside.depth.minus(packing.wood.thickness.named('rail it is hinged to')) : inside.depth;
  const ledge = (id: string, hand: 'left' | 'right') => {
    const room = over ? lid.slack : ZERO;
    const thick = strip.thickness.value;
    const x = hand === 'left' ? add(start.x.value, room, thick) : sub(add(start.x.value, inside.width.value), room);
    return rectangular({
      id,
      node: LID.node,
      role: over ? 'stop' : 'bearer',
      label: over ? `tab under the lid, ${hand}` : `ledge of the lid, ${hand}`,
      wood: strip,
      length: over ? inside.depth.minus(size('free behind it', lid.slack, source('slack')).times(2).named('free at both ends')) : long,
      width: size('ledge', lid.ledge.wide, source('ledge.wide')),
      frame: onEdgeFrame({ x, y: sub(under, lid.ledge.wide), z: add(start.z.value, over ? lid.slack : behind) }),
    });
  };
  const rail = packing
    ? [
        rectangular({
          id: LID.rail,
          node: LID.node,
          role: 'rail',
          label: 'rail that the lid is hinged to',
          wood: packing.wood,
          length: inside.width,
          width: size('rail', packing.wide, source('packed.wide')),
          frame: facingFrame({ x: start.x.value, y: sub(top, packing.wide), z: start.z.value }),
        }),
      ]
    : [];
  return [ledge(LID.left, 'left'), ledge(LID.right, 'right'), ...rail];
}

/** Dividers that reach up to a lid, notched for the rail that it is hinged to. */
export function notchedForRail(made: readonly Member[], own: readonly Member[]): readonly Member[] {
  const rail = own.find((m) => m.id === LID.rail);
  if (!rail) return made;
  const at = boxOf(rail);
  return made.map((m) => {
    const box = boxOf(m);
    if (m.role !== 'divider' || !overlap(box, at)) return m;
    const cut = recess('housing', m, 'up', rail.id, { ...at, y1: box.y1 }, m.thickness.value);
    return notched({ ...m, features: [...m.features, { ...cut, kind: 'notch' } as Feature] });
  });
}

/** How a lid lies: on its ledges, which are glued to the sides; or over their ends, with its tabs screwed to it. @param over its joints where it goes over */
export function lidJoints(piece: PanelCase, made: readonly Member[], over: readonly Joint[]): Joint[] {
  const strips = made.filter((m) => m.id === LID.left || m.id === LID.right);
  const side = (id: string) => (id === LID.left ? CASE.left : CASE.right);
  if (piece.top === 'over') return [...over, ...strips.map((m): Joint => ({ carried: m.id, carrier: CASE.top, how: 'screws' }))];
  const rail = made.find((m) => m.id === LID.rail);
  const ends = rail ? boxOf(rail) : null;
  return [
    ...strips.flatMap((m): Joint[] => {
      const { x0, x1 } = boxOf(m);
      return [
        { carried: CASE.top, carrier: m.id, how: 'bearing', on: atX(Math.round((x0 + x1) / 2) as Length) },
        // Strips are too thin for screws to be counted on.
        { carried: m.id, carrier: side(m.id), how: 'glued' },
      ];
    }),
    ...(ends
      ? [
          { carried: LID.rail, carrier: CASE.left, how: 'screws' as const, on: atX(ends.x0) },
          { carried: LID.rail, carrier: CASE.right, how: 'screws' as const, on: atX(ends.x1) },
        ]
      : []),
  ];
}

/** So many hinges for a lid so wide, typical. */
const hingesFor = (wide: Length) => 2 + Math.max(0, Math.ceil(toMm(wide) / 500) - 1);

/**
 * How far a lid may be opened before it meets a wall that the case stands against, degrees: 90° and asin of what is behind its hinges
 * over its depth, both mm.
 * @example opensToWall(50, 100) // 120
 */
export function opensToWall(behind: number, deep: number): number {
  return 90 + inDegrees(Math.asin(Math.min(1, Math.max(0, behind) / deep)));
}

/** A lid as it moves, with what is bought for it and told of it. */
export interface Lidded {
  readonly bodies: readonly Body[];
  readonly bought: readonly Bought[];
  readonly facts: readonly Fact[];
}

/** How a lid moves: about its hinges, or up and off. */
export function liddedOf(piece: PanelCase, members: readonly Member[]): Lidded {
  const { lid } = piece;
  const top = members.find((m) => m.id === CASE.top);
  if (!lid || !top || top.length.value <= ZERO || top.width.value <= ZERO) return { bodies: [], bought: [], facts: [] };
  const box = boxOf(top);
  const tabs = piece.top === 'over' ? members.filter((m) => m.id === LID.left || m.id === LID.right) : [];
  const common = { id: LID.body, label: 'the lid', members: [top, ...tabs].map((m) => m.id), spaces: [] };
  const wide: Fact = { name: 'lid, long', figure: top.length };
  if (lid.how === 'lift-off') {
    // Until it is clear of all that is beside it.
    const travel = top.thickness.plus(size('strip', lid.ledge.wide, source('ledge.wide'))).named('lifted off');
    return {
      bodies: [
        { ...common, motion: { kind: 'slide', along: [0, 1, 0], travel }, runsOn: { kind: 'plain', name: 'nothing', rating: null } },
      ],
      bought: [],
      facts: [wide],
    };
  }
  const [deep, behind] = [toMm(sub(box.z1, box.z0)), toMm(box.z0)];
  return {
    bodies: [
      {
        ...common,
        motion: {
          kind: 'turn',
          at: { x: ZERO, y: box.y1, z: box.z0 },
          axis: [-1, 0, 0],
          angle: Figure.leaf('angle', opensOf(lid), 'opens', source('opens')),
        },
        runsOn: { kind: 'plain', name: 'hinges', rating: null },
      },
    ],
    bought: [
      { what: 'hinges', count: hingesFor(top.length.value), each: 'piece' },
      ...(lid.stay ? [{ what: 'lid stay', count: 1, each: 'piece' as const }] : []),
    ],
    facts: [
      wide,
      { name: 'lid, deep', figure: top.width },
      { name: 'lid', remark: say`Against a wall the lid opens by ${opensToWall(behind, deep).toFixed(1)}° before it meets it.` },
    ],
  };
}

const edit = (patch: Partial<PanelCase>): PieceEdit => ({ kind: 'piece', patch });

/** A lid where something else holds what it should open. */
export function lidProblems(piece: PanelCase, joints: readonly Joint[]): ShapeProblem[] {
  const { lid, top, back } = piece;
  if (!lid) return [];
  const problem = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes']): ShapeProblem => ({
    id: `lid-${id}`,
    about: CASE.top,
    stops: true,
    sentence,
    fixes,
  });
  const between = { label: say`Between the sides`, edit: edit({ top: 'between' }) };
  const liftOff = { label: say`Lift it off`, edit: edit({ lid: { ...lid, how: 'lift-off' } }) };
  return [
    ...(lid.how === 'hinged' && top === 'over'
      ? [
          problem(
            'over',
            say`A lid over the ends of the sides has no rail behind it to be hinged to: put it between them, or lift it off.`,
            [between, liftOff],
          ),
        ]
      : []),
    ...(top !== 'between' && top !== 'over'
      ? [
          problem(
            'rebated',
            say`A lid does not lie in ${top === 'mitred' ? 'a mitre with' : top === 'housed' ? 'housings of' : 'rebates of'} the sides, which only a top that stays does.`,
            [between],
          ),
        ]
      : []),
    ...(back.kind === 'groove' || back.kind === 'rebate'
      ? [
          problem('back', say`The back goes into a ${back.kind} of the top, and a lid opens: put the back over the rear edges.`, [
            { label: say`A back over the rear edges`, edit: edit({ back: { kind: 'applied' } }) },
          ]),
        ]
      : []),
    ...(joints.some((j) => (j.carried === CASE.top || j.carrier === CASE.top) && j.how === 'housed')
      ? [problem('housed', say`What stands under the lid is housed in it, and holds it shut: butt that, or leave it out.`, [])]
      : []),
  ];
}

/**
 * Whether a hinged lid opens where it stands, and stays open; what it takes to lift it.
 * @example lidChecks(CASE, SOLVED.shape, SOLVED.carried) // []
 */
export function lidChecks(piece: PanelCase, shape: Shape, carried: Carried): readonly Check[] {
  const { lid } = piece;
  const top = shape.members.find((m) => m.id === CASE.top);
  if (lid?.how !== 'hinged' || !top) return [];
  const opens = opensOf(lid);
  const box = boxOf(top);
  const [deep, behind] = [toMm(sub(box.z1, box.z0)), toMm(box.z0)];
  const reach = opens > 90 ? deep * Math.abs(Math.cos(radians(opens))) - behind : -behind;
  const most = Math.floor(opensToWall(behind, deep) * 2) / 2;
  const about = { kind: 'member', id: top.id } as const;
  const one = (id: string, state: Check['state'], sentence: Check['sentence'], fixes: Check['fixes'] = []): Check => ({
    id,
    severity: state === 'fails' ? 'stop' : state === 'close' ? 'look' : 'good',
    state,
    about,
    sentence,
    fixes,
  });
  const liftOff = pieceFix(say`Lift it off`, edit({ lid: { ...lid, how: 'lift-off' } }));
  const found: Check[] = [];
  if (reach > 0.05) {
    const wall = piece.fixedToWall || piece.opening !== undefined;
    const sentence = say`Opened by ${opens}° the lid stands ${fine(reach, 1)} out behind the case`;
    const less = most >= STAYS || lid.stay ? [pieceFix(say`Open it by ${most}°`, edit({ lid: { ...lid, opens: asDegrees(most) } }))] : [];
    found.push(
      wall
        ? one(
            'lid-wall',
            'fails',
            say`${sentence}: it hits the wall, and opens by ${most}° there. Pack the rail that it is hinged to further off the back.`,
            [...less, liftOff],
          )
        : one('lid-wall', 'close', say`${sentence}: leave as much between it and a wall.`, less),
    );
  }
  if (opens < STAYS && !lid.stay)
    found.push(
      one(
        'lid-falls',
        'fails',
        say`Opened by ${opens}° the lid does not lean back far enough to stay, and falls shut on hands: give it a stay, or open it by ${STAYS}°.`,
        [
          pieceFix(say`Give it a stay`, edit({ lid: { ...lid, stay: true } })),
          ...(most >= STAYS ? [pieceFix(say`Open it by ${STAYS}°`, edit({ lid: { ...lid, opens: STAYS } }))] : []),
        ],
      ),
    );
  if (found.length > 0) return found;
  const kg = asKg(carried.members.get(top.id)?.selfKg ?? 0);
  const held = lid.stay ? say`is held open by a stay` : say`leans back and stays open`;
  return [
    one(
      'lid-opens',
      'fine',
      say`The lid weighs ${mass(kg)}, and ${force(asNewtons((kg * GRAVITY) / 2))} lifts its front edge. Opened by ${opens}° it ${held}, ${fine(Math.max(0, -reach), 1)} off what is behind the case.`,
    ),
  ];
}
