import { len, say, size } from '../../figure/index.js';
import { ZERO, add, greatest, least, sub, type Length } from '../../length/index.js';
import {
  atX,
  atZ,
  boxOf,
  rectangular,
  type Box,
  type Fact,
  type Joint,
  type Member,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { slatsFrom } from './height.js';
import type { Slats } from './spec.js';

/** The frame under the sliding slats: its rails, what holds them, how it stops, and what is wrong with it. */
export interface SlidingFrame {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly facts: readonly Fact[];
  readonly problems: readonly ShapeProblem[];
}

/** What it is made with: the slats that slide, and the supports that they slide on, across the piece or from rear to front. */
interface Under {
  readonly making: Slats;
  readonly workshop: Workshop;
  readonly space: PlacedSpace;
  readonly across: boolean;
  readonly sliding: readonly Member[];
  readonly supports: readonly Member[];
}

interface Stretch {
  readonly from: Length;
  readonly to: Length;
}

/** From where to where something reaches the way the slats lie, and the other way. */
function stretches({ x0, x1, z0, z1 }: Box, across: boolean): { readonly along: Stretch; readonly beside: Stretch } {
  const [x, z] = [
    { from: x0, to: x1 },
    { from: z0, to: z1 },
  ];
  return across ? { along: x, beside: z } : { along: z, beside: x };
}

/** The clear stretches before and between supports, the longest first. */
function bays(from: Length, supports: readonly Stretch[]): readonly Stretch[] {
  const starts = [from, ...supports.map((s) => s.to)];
  const all = supports.map((s, i) => ({ from: starts[i] as Length, to: s.from }));
  return all.sort((a, b) => b.to - b.from - (a.to - a.from));
}

/**
 * Two rails on edge under the sliding slats, which make a frame of them: one under their front ends, before all supports,
 * and one in the longest bay, which has as much way as that bay is longer than it is thick.
 */
export function slidingFrame({ making, workshop, space, across, sliding, supports }: Under): SlidingFrame {
  const { deal } = making;
  const tie = deal?.frame;
  const [first] = sliding;
  if (!tie || !deal || !first) return { members: [], joints: [], facts: [], problems: [] };
  const wood = woodOf(workshop, tie.stock);
  const t = wood.thickness.value;
  const own = sliding.map((s) => stretches(boxOf(s), across));
  const { along } = own[0] as (typeof own)[number];
  const beside = { from: least(own.map((o) => o.beside.from)), to: greatest(own.map((o) => o.beside.to)) };
  const held = supports.map((s) => stretches(boxOf(s), across).along).sort((a, b) => a.from - b.from);
  const { stroke } = deal;
  const front = sub(along.to, t);
  const [bay] = bays(along.from, held);
  const way = bay ? sub(sub(bay.to, bay.from), t) : ZERO;
  const y = add(space.box.y0, sub(slatsFrom(making), tie.wide));
  const rail = (which: 'front' | 'rear', at: Length): Member =>
    rectangular({
      id: `${space.id}/rail/${which}`,
      node: space.id,
      role: 'rail',
      label: `${which} rail under the sliding slats`,
      wood,
      length: size('from the first sliding slat to the last', sub(beside.to, beside.from)),
      width: size('rail', tie.wide, { in: 'making', field: 'deal.frame.wide' }),
      frame: across
        ? { origin: { x: add(at, t), y, z: beside.from }, u: [0, 0, 1], v: [0, 1, 0], n: [-1, 0, 0] }
        : { origin: { x: beside.from, y, z: at }, u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] },
    });
  const members = [...(bay && way > ZERO ? [rail('rear', bay.from)] : []), rail('front', front)];
  const middle = ({ from, to }: Stretch) => Math.round((from + to) / 2) as Length;
  const joints = members.flatMap((m) =>
    sliding.map((s, i): Joint => {
      const at = middle((own[i] as (typeof own)[number]).beside);
      return { carried: m.id, carrier: s.id, how: 'screws', on: across ? atZ(at) : atX(at) };
    }),
  );
  const last = held.at(-1);
  const problem = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes'] = []): ShapeProblem => ({
    id: `${id}-${space.id}`,
    about: space.id,
    stops: true,
    sentence,
    fixes,
  });
  const put = (patch: Partial<Slats>) => ({ kind: 'making', space: space.id, making: { ...making, ...patch } }) as const;
  const inset = add(t, deal.shorter);
  const problems = [
    ...(supports.length === 0
      ? [problem('slide-frame-none', say`With no supports under the slats there is no room for rails under them.`)]
      : []),
    ...(tie.wide > slatsFrom(making) && supports.length > 0
      ? [
          problem(
            'slide-frame-high',
            say`The rails under the sliding slats are ${len(tie.wide)} high, and the slats lie ${len(slatsFrom(making))} up.`,
            [
              {
                label: say`Make them ${len(slatsFrom(making))} high`,
                edit: put({ deal: { ...deal, frame: { ...tie, wide: slatsFrom(making) } } }),
              },
            ],
          ),
        ]
      : []),
    ...(last && last.to > front
      ? [
          problem(
            'slide-frame-front',
            say`The last support ends ${len(sub(last.to, front))} past where the front rail of ${len(t)} begins under the sliding slats.`,
            [{ label: say`Set the supports ${len(inset)} in`, edit: put({ supports: { ...making.supports, inset } }) }],
          ),
        ]
      : []),
    ...(supports.length > 0 && way < stroke
      ? [
          problem(
            'slide-frame-way',
            say`The rear rail of ${len(t)} has ${len(greatest([way, ZERO]))} of way between two supports, and the slats are to come out ${len(stroke)}: set the supports further apart, take fewer, or let them come out less.`,
            way > ZERO ? [{ label: say`Let them come out ${len(way)}`, edit: put({ deal: { ...deal, stroke: way } }) }] : [],
          ),
        ]
      : []),
  ];
  const facts: Fact[] = [
    {
      name: 'sliding frame',
      remark:
        way === stroke
          ? say`Two rails under the sliding slats make a frame of them; the rear one comes up against a support when they are out: that is the stop.`
          : say`Two rails under the sliding slats make a frame of them; screw a block to the supports ${len(sub(way, stroke))} before the rear one would meet one: that is the stop.`,
    },
  ];
  return { members, joints, facts: way >= stroke ? facts : [], problems };
}
