import { len, say, size } from '../../figure/index.js';
import { ZERO, add, greatest, sub, type Length } from '../../length/index.js';
import { USUAL_KERF, piecesFrom, ripYield } from '../../joints/index.js';
import {
  atX,
  atZ,
  boxOf,
  rectangular,
  type Body,
  type DividingMember,
  type Fact,
  type Joint,
  type Member,
  type PlacedRun,
  type PlacedSpace,
} from '../../piece/index.js';
import { type Slats } from './spec.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { dividingMemberId } from '../ids.js';
import { NOTHING, type DividedIn, type Made } from '../kind.js';
import { slatsFrom } from './height.js';
import { slidingFrame } from './sliding-frame.js';

interface Deck {
  readonly making: Slats;
  readonly workshop: Workshop;
  readonly run: PlacedRun;
  readonly space: PlacedSpace;
}

/** Whether slats lie across the piece, one behind the other, or run to the front side by side. */
const liesAcross = ({ run }: Deck) => run.axis === 'deep';

function slides({ deal }: Slats, index: number): boolean {
  return deal !== undefined && deal.pattern[index % deal.pattern.length] === 's';
}

/** The supports under a deck: on edge, square to the slats, cut over-length and trimmed flush after. */
function supportMembers(deck: Deck): Member[] {
  const { making, workshop, space } = deck;
  const { supports } = making;
  const wood = woodOf(workshop, supports.stock);
  const t = wood.thickness.value;
  const across = liesAcross(deck);
  const { box } = space;
  const [from, to] = across ? [box.x0, box.x1] : [box.z0, box.z1];
  const first = add(from, supports.inset);
  const last = sub(sub(to, supports.inset), t);
  return Array.from({ length: supports.count }, (_, i) => {
    const at = supports.count === 1 ? Math.round((from + to - t) / 2) : Math.round(first + ((last - first) * i) / (supports.count - 1));
    return rectangular({
      id: `${space.id}/slat-support/${i + 1}`,
      node: space.id,
      role: 'slat support',
      label: `support ${i + 1} of ${space.label}`,
      wood,
      length: across ? space.clear.depth : space.clear.width,
      width: size('support', supports.wide, { in: 'making', field: 'supports.wide' }),
      frame: across
        ? { origin: { x: (at + t) as Length, y: box.y0, z: box.z0 }, u: [0, 0, 1], v: [0, 1, 0], n: [-1, 0, 0] }
        : { origin: { x: box.x0, y: box.y0, z: at as Length }, u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] },
      purpose: { length: 'trimmed', width: 'between' },
      over: { length: supports.trim, width: ZERO },
    });
  });
}

function slatMember(deck: Deck, id: string, node: string, at: Length, label: string, short: boolean): Member {
  const { making, workshop, space } = deck;
  const wood = woodOf(workshop, making.stock);
  const { box } = space;
  const y = add(box.y0, slatsFrom(making));
  const whole = liesAcross(deck) ? space.clear.width : space.clear.depth;
  const shorter = making.deal?.shorter ?? ZERO;
  const length = short && shorter > ZERO ? whole.minus(size('shorter, to slide', shorter, { in: 'making', field: 'deal.shorter' })) : whole;
  return rectangular({
    id,
    node,
    role: 'slat',
    label,
    wood,
    length,
    width: size('slat', making.wide, { in: 'making', field: 'wide' }),
    frame: liesAcross(deck)
      ? { origin: { x: box.x0, y, z: add(at, making.wide) }, u: [1, 0, 0], v: [0, 0, -1], n: [0, 1, 0] }
      : { origin: { x: at, y, z: box.z0 }, u: [0, 0, 1], v: [1, 0, 0], n: [0, 1, 0] },
    // The upper edges are what a hand meets; the lower ones stay square for the glue.
    edges: { v0: 'eased', v1: 'eased' },
    ...(making.trim ? { purpose: { length: 'trimmed', width: 'between' }, over: { length: making.trim, width: ZERO } } : {}),
  });
}

function slatJoints(deck: Deck, slat: Member, supports: readonly Member[], slid: boolean): Joint[] {
  const { space } = deck;
  if (supports.length === 0) {
    const { left, right, below } = space.neighbours;
    // With nothing under them slats that lie across go from side to side; those that run to the front lie on what is below.
    if (!liesAcross(deck)) return [{ carried: slat.id, carrier: below, how: 'bearing' }];
    return [
      { carried: slat.id, carrier: left, how: 'screws', on: atX(space.box.x0) },
      { carried: slat.id, carrier: right, how: 'screws', on: atX(space.box.x1) },
    ];
  }
  return supports.map((s): Joint => {
    const b = boxOf(s);
    const on = liesAcross(deck) ? atX(Math.round((b.x0 + b.x1) / 2) as Length) : atZ(Math.round((b.z0 + b.z1) / 2) as Length);
    // One that slides lies on them and is held by none.
    return { carried: slat.id, carrier: s.id, how: slid ? 'bearing' : 'screws', on };
  });
}

function factsOf({ making, workshop, run }: Deck, count: number, long: Length): readonly Fact[] {
  const stock = woodOf(workshop, making.stock).stock;
  const kerf = workshop.settings.kerf ?? USUAL_KERF;
  const { strips, left } = ripYield(stock.width, making.wide, kerf);
  const along = piecesFrom(stock.length, add(long, making.trim ?? ZERO), kerf);
  const gaps = run.run.lines.filter((l) => l.line.kind === 'gap');
  const sizes = new Map<Length, number>();
  gaps.forEach((g) => sizes.set(g.size.value, (sizes.get(g.size.value) ?? 0) + 1));
  const blocks = [...sizes].sort(([a], [b]) => b - a).map(([size, n]) => say`${n} of ${len(size)}`);
  const [first] = gaps;
  return [
    { name: 'slats', remark: say`${count} slats; spacer blocks: ${blocks.flatMap((b, i) => (i === 0 ? b : [', ', ...b]))}.` },
    ...(first ? [{ name: 'a gap exactly', figure: first.exact }] : []),
    strips > 1
      ? {
          name: 'ripped',
          remark: say`${strips} strips come from the breadth of one ${stock.name}, ${len(left)} left after ${strips} cuts${along > 1 ? `; ${along} slats along each` : ''}.`,
        }
      : { name: 'bought at width', remark: say`${stock.name} is as wide as a slat: one each, nothing to rip.` },
    ...(making.trim
      ? [{ name: 'cut long', remark: say`Slats are cut ${len(making.trim)} over-length and trimmed along one line when they are on.` }]
      : []),
    ...(making.supports.count > 0 && making.supports.trim > ZERO
      ? [{ name: 'supports', remark: say`Cut ${len(making.supports.trim)} over-length and trimmed flush when the slats are on.` }]
      : []),
  ];
}

/** The slats of a deck, its supports, and the body that slides where slats are dealt to two. */
export function slatMembers(making: Slats, { workshop, run, space }: DividedIn): Made {
  const deck: Deck = { making, workshop, run, space };
  const specs = new Map<string, DividingMember>((space.space.split?.members ?? []).map((m) => [m.id, m]));
  const lines = run.run.lines.filter((l) => l.line.kind === 'member' && specs.get(l.line.id)?.room === undefined);
  const slats = lines.map((l, i) => {
    const spec = specs.get(l.line.id);
    const id = spec ? dividingMemberId(spec.id, 'slat') : `${space.id}/slat/${l.line.id.endsWith('-start') ? 'first' : 'last'}`;
    return slatMember(deck, id, spec?.id ?? space.id, add(run.datum.value, l.near.value), `slat ${i + 1}`, slides(making, i));
  });
  const supports = supportMembers(deck);
  const slid = slats.filter((_, i) => slides(making, i));
  const sliding = new Set(slid.map((m) => m.id));
  const frame = slidingFrame({ making, workshop, space, across: liesAcross(deck), sliding: slid, supports });
  const body: Body[] =
    making.deal && slid.length > 0
      ? [
          {
            id: space.id,
            label: 'sliding slats',
            members: [...slid, ...frame.members].map((m) => m.id),
            spaces: [],
            motion: {
              kind: 'slide',
              along: liesAcross(deck) ? [1, 0, 0] : [0, 0, 1],
              travel: size('stroke', making.deal.stroke, { in: 'making', field: 'deal.stroke' }),
            },
            runsOn: { kind: 'plain', name: 'its supports', rating: null },
          },
        ]
      : [];
  return {
    ...NOTHING,
    members: [...supports, ...slats, ...frame.members],
    problems: frame.problems,
    joints: [
      ...slats.flatMap((s) => slatJoints(deck, s, supports, sliding.has(s.id))),
      ...frame.joints,
      ...supports.map((s): Joint => ({ carried: s.id, carrier: space.neighbours.below, how: 'bearing' })),
    ],
    bodies: body,
    stands: [{ space: space.id, carriers: slats.map((s) => s.id) }],
    facts: [
      {
        space: space.id,
        facts: [...factsOf(deck, slats.length, greatest([1 as Length, ...slats.map((s) => s.length.value)])), ...frame.facts],
      },
    ],
  };
}
