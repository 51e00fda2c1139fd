import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { Space, Split } from '../piece/index.js';
import type { Boards, Cells, Drawers, Front, Grooves, Runner, Slats } from '../interiors/index.js';
import { space } from './samples.js';
import { asDegrees } from '../measures/index.js';

/** A length within two of whole millimetres, to a tenth. */
export const length = (least: number, most: number) => fc.integer({ min: least * 10, max: most * 10 }).map((n) => mm(n / 10));

const fronts: fc.Arbitrary<Front> = fc.oneof(
  fc.record({
    kind: fc.constant('inset' as const),
    between: length(2, 5),
    below: length(0, 5),
    above: length(0, 5),
    sides: length(1, 3),
    setback: fc.constantFrom(ZERO, mm(2)),
  }),
  fc
    .record({ between: length(2, 5), over: length(4, 12) })
    .map(({ between, over }): Front => ({ kind: 'overlay', between, over: { left: over, right: over, below: over, above: over } })),
  length(6, 12).map((lip): Front => ({ kind: 'lipped', lip, between: (lip * 3) as Length })),
  fc.record({ kind: fc.constant('none' as const), between: length(2, 6), below: length(2, 6), above: length(2, 6) }),
);

const runners: fc.Arbitrary<Runner> = fc.oneof(
  fc.constantFrom(300, 350, 400).map((l): Runner => ({ kind: 'slide', slide: 'slide', length: mm(l) })),
  length(1, 3).map((side): Runner => ({ kind: 'plain', side })),
);

const bottoms: fc.Arbitrary<Drawers['box']['bottom']> = fc.oneof(
  fc.record(
    {
      kind: fc.constant('groove' as const),
      depth: length(3, 6),
      up: length(6, 12),
      slack: length(0, 2),
      slidIn: fc.constant(true as const),
    },
    { requiredKeys: ['kind', 'depth', 'up', 'slack'] },
  ),
  fc.record({ kind: fc.constant('rebate' as const), depth: length(4, 8), slack: length(0, 2) }),
  fc.constant({ kind: 'applied' as const }),
  length(20, 40).map((strip) => ({ kind: 'tray' as const, strip })),
);

const orders = fc.constantFrom('ends-between' as const, 'sides-between' as const);
const joins = fc.constantFrom('pocket' as const, 'nailed' as const, 'screwed' as const);

const drawers: fc.Arbitrary<Drawers> = fc
  .record({
    front: fronts,
    runner: runners,
    less: length(16, 30),
    rise: length(4, 12),
    bottom: bottoms,
    order: orders,
    join: joins,
    linesFrom: fc.constantFrom('bottom' as const, 'top' as const),
    oversize: fc.constantFrom(ZERO, mm(1.5)),
    // One of them made otherwise, by the place it has in its bank.
    other: fc.option(fc.record({ nth: fc.integer({ min: 1, max: 3 }), bottom: bottoms, order: orders, join: joins })),
  })
  .map(({ bottom, order, join, other, ...rest }) => ({
    kind: 'drawers',
    face: 'front',
    behind: mm(5),
    box: { order, join, bottom },
    stock: { box: 'wall', bottom: 'thin', front: 'ply' },
    ...(other
      ? {
          others: [
            {
              drawer: `drawer-${other.nth}`,
              box: { order: other.order, join: other.join, bottom: other.bottom },
              stock: { box: 'ply', bottom: 'thin' },
            },
          ],
        }
      : {}),
    ...rest,
  }));

function parts(id: string, count: number, things: Space['things'] = []): Pick<Split, 'members' | 'spaces'> {
  return {
    members: Array.from({ length: count - 1 }, (_, i) => ({ id: `${id}-m${i + 1}` })),
    spaces: Array.from({ length: count }, (_, i) => space(`${id}-${i + 1}`, { things: [...things] })),
  };
}

const boards: fc.Arbitrary<Space> = fc
  .record({
    lanes: fc.integer({ min: 1, max: 3 }),
    compartments: fc.integer({ min: 1, max: 4 }),
    fit: fc.constantFrom(ZERO, mm(0.5)),
    channel: fc.constantFrom(ZERO, mm(3)),
    ends: fc.boolean(),
  })
  .map(({ lanes, compartments, fit, channel, ends }) => {
    const making: Boards = { kind: 'boards', stock: 'wall', high: mm(50), ends: ends || lanes === 1, fit, channel: ZERO, glued: false };
    const layout: Split = { axis: 'deep', making, ...parts('lane', lanes) };
    const inner: Boards = { ...making, ends: false, fit: ZERO, channel: lanes > 2 ? channel : ZERO };
    // Cross pieces go into channels where boards stand on both sides of their lane.
    const lane = layout.spaces[lanes > 2 ? 1 : 0];
    if (lane && compartments > 1) lane.split = { axis: 'across', making: inner, ...parts('cell', compartments) };
    return space('tray', { split: layout });
  });

const slats: fc.Arbitrary<Space> = fc
  .record({
    count: fc.integer({ min: 3, max: 10 }),
    wide: length(25, 45),
    supports: fc.integer({ min: 0, max: 4 }),
    flush: fc.boolean(),
    axis: fc.constantFrom('deep' as const, 'across' as const),
    dealt: fc.boolean(),
    framed: fc.boolean(),
    trim: fc.constantFrom(ZERO, mm(20)),
  })
  .map(({ count, wide, supports, flush, axis, dealt, framed, trim }) => {
    const making: Slats = {
      kind: 'slats',
      stock: 'wall',
      wide,
      ends: flush ? 'flush' : 'half-gap',
      supports: { stock: 'ply', count: axis === 'deep' ? supports : Math.max(2, supports), wide: mm(40), inset: mm(40), trim: mm(10) },
      ...(dealt
        ? { deal: { pattern: 'fs', stroke: mm(150), shorter: mm(10), ...(framed ? { frame: { stock: 'wall', wide: mm(35) } } : {}) } }
        : {}),
      ...(trim ? { trim } : {}),
    };
    return space('deck', { things: [{ thing: 'tin', count: 2 }], split: { axis, making, ...parts('gap', count) } });
  });

const cells: fc.Arbitrary<Space> = fc
  .record({
    free: length(3, 15),
    lapped: fc.boolean(),
    blocked: fc.boolean(),
    tilt: fc.constantFrom(0, 10, 20),
    pair: fc.boolean(),
    asThing: fc.boolean(),
    sections: fc.integer({ min: 1, max: 3 }),
  })
  .map(({ free, lapped, blocked, tilt, pair, asThing, sections }) => {
    const fill: Cells = {
      kind: 'cells',
      thing: 'tin',
      free,
      make: lapped
        ? { kind: 'half-lapped', stock: 'wall' }
        : {
            kind: 'ladders',
            upright: pair ? { stock: 'ply', deep: mm(40), pair } : { stock: 'ply', deep: mm(200) },
            support: { stock: 'wall', long: mm(200), wide: mm(15), spares: 2, ...(asThing ? { asThing } : {}) },
            sections,
          },
      blocked: blocked ? [{ name: 'pipe', x: mm(300), y: mm(200), width: mm(150), height: mm(150) }] : [],
      features: tilt > 0 && !lapped ? [{ row: 2, tilt: asDegrees(tilt), long: mm(150) }] : [],
    };
    return space('rack', { filling: fill });
  });

const grooves: fc.Arbitrary<Space> = fc
  .record({
    deep: length(3, 6),
    first: length(16, 60),
    pitch: length(12, 40),
    slack: length(0, 2),
    shelves: fc.uniqueArray(fc.integer({ min: 1, max: 14 }), { maxLength: 5 }),
    thing: fc.boolean(),
    fingers: fc.boolean(),
    upright: fc.option(
      fc.record({ deep: length(1, 2), pitch: length(30, 90), at: fc.uniqueArray(fc.integer({ min: 1, max: 6 }), { maxLength: 3 }) }),
    ),
  })
  .map(({ thing, fingers, upright, ...rest }) => {
    const fill: Grooves = {
      kind: 'grooves',
      stock: 'thin',
      wide: mm(6.5),
      last: mm(20),
      ...rest,
      ...(thing ? { thing: 'tin' } : {}),
      ...(fingers ? { fingers: { wide: mm(80), deep: mm(20) } } : {}),
      ...(upright
        ? {
            uprights: {
              stock: 'thin',
              deep: upright.deep,
              pitch: upright.pitch,
              over: rest.shelves.map((shelf) => ({ shelf, at: upright.at })),
            },
          }
        : {}),
    };
    return space('grooves', { filling: fill });
  });

/** A filled space of any kind, under one id. */
export const fills: fc.Arbitrary<Space> = fc.oneof(
  fc
    .record({ making: drawers, count: fc.integer({ min: 1, max: 4 }), graded: fc.boolean(), inside: fc.option(boards) })
    .map(({ making, count, graded, inside }) => {
      const bank: Split = { axis: 'up', making, ...parts('drawer', count, [{ thing: 'tin', count: 1 }]) };
      if (graded) bank.spaces.forEach((s) => (s.rule = { kind: 'graded', step: mm(-8) }));
      const [first] = bank.spaces;
      if (inside?.split && first) {
        first.things = [];
        first.split = inside.split;
      }
      return space('bank', { split: bank });
    }),
  fc.record({ making: drawers, count: fc.integer({ min: 1, max: 3 }), room: length(15, 40) }).map(({ making, count, room }) => {
    const bank = (id: string, face: Drawers['face']): Space => {
      const others = making.others?.map((o) => ({ ...o, drawer: `${id}-1` }));
      return space(id, { split: { axis: 'up', making: { ...making, face, ...(others ? { others } : {}) }, ...parts(id, count) } });
    };
    return space('ends', {
      split: { axis: 'deep', members: [{ id: 'middle', room }], spaces: [bank('behind', 'rear'), bank('before', 'front')] },
    });
  }),
  boards,
  slats,
  cells,
  grooves,
);
