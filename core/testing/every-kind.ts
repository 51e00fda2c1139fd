import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { DividingMember, Piece, Space, Split } from '../piece/index.js';
import type { Boards, Cells, Drawers, Front, Grooves, Runner, Slats } from '../interiors/index.js';
import type { InPlace, PanelCase } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import type { Solution } from '../solution/index.js';
import { anyFolding } from './any-folding.js';
import { anyFrame } from './any-frame.js';
import { anyLeaning } from './any-leaning.js';
import { piece, space, stock, thing, workshop, panels } from './samples.js';

/** The same pieces each time, so that a change is held against what the last one was. */
export const SEED = 20261125;

/** How many random pieces are asked: 500, or 5,000 by `npm run test:long`. */
export const RUNS = Number(process.env['RUVOK_PIECES'] ?? 500);

/** Another seed each time, printed so that what fails can be looked at again; RUVOK_SEED takes its place. */
export function freshSeed(): number {
  const seed = Number(process.env['RUVOK_SEED'] ?? Math.floor(Math.random() * 2 ** 31));
  process.stderr.write(`Random pieces by seed ${seed}; RUVOK_SEED=${seed} makes them again.\n`);
  return seed;
}

/** Whether a piece came out whole: it has members, and no run of it is short of room. */
export function isWhole({ shape }: Solution): boolean {
  const fits = [...shape.runs.values()].every((r) => r.run.conflicts.length === 0 && r.run.lines.every((l) => l.size.value >= 0));
  return shape.members.length > 0 && fits;
}

const length = (least: number, most: number) => fc.integer({ min: least * 10, max: most * 10 }).map((n) => mm(n / 10));

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
      features: tilt > 0 && !lapped ? [{ row: 2, tilt, long: mm(150) }] : [],
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
const fills: fc.Arbitrary<Space> = fc.oneof(
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

/** A random piece, and the workshop it is solved with. */
export interface Random {
  readonly piece: Piece;
  readonly shop: Workshop;
}

/** A box, or a place that is there, with an interior of any kind, one beside or over another. */
const boxed: fc.Arbitrary<Random> = fc
  .record({
    fill: fills,
    cased: fc.boolean(),
    beside: fc.constantFrom('alone' as const, 'bay' as const, 'over' as const),
    width: length(700, 1400),
    height: length(500, 1200),
    depth: length(430, 600),
    thickness: length(15, 21),
    wall: length(10, 14),
    set: fc.constantFrom('gaps' as const, 'edges' as const, 'exact' as const),
    fix: fc.constantFrom('butted' as const, 'housed' as const),
    rows: fc.option(fc.record({ pitch: fc.constantFrom(mm(12), mm(32)), each: fc.integer({ min: 1, max: 6 }) }), { freq: 3 }),
    corner: fc.constantFrom('between' as const, 'rebated' as const),
    hung: fc.constantFrom<PanelCase['hung'] | null>(
      null,
      { cleat: { stock: 'wall', wide: mm(100) } },
      { cleat: { stock: 'wall', wide: mm(100), notched: true } },
      { rail: { stock: 'wall', wide: mm(60) } },
      { keyholes: { under: mm(50), rated: 40 }, above: mm(900) },
    ),
    sides: fc.option(
      fc.record({
        by: length(4, 40),
        is: fc.constantFrom('round' as const, 'cut' as const),
        front: fc.constantFrom(undefined, 'stepped' as const, 'sloped' as const),
        inset: length(0, 50),
        lid: fc.constantFrom(undefined, 'hinged' as const, 'lift-off' as const),
      }),
    ),
    stiff: fc.constantFrom<Pick<DividingMember, 'strip' | 'doubled' | 'toBack' | 'deep'>>(
      {},
      { deep: mm(180) },
      { deep: mm(200), strip: { stock: 'wall', high: mm(12), at: 'front', top: 'flush', held: 'glued' } },
      { doubled: 'glued' },
      { strip: { stock: 'wall', high: mm(12), at: 'front', top: 'flush', held: 'glued' } },
      { strip: { stock: 'wall', high: mm(12), at: 'both', top: 'flush', held: 'screwed' } },
    ),
  })
  .map(({ fill, cased, beside, width, height, depth, thickness, wall, set, fix, rows, corner, hung, sides, stiff }) => {
    const open = space('open', { things: [{ thing: 'tin', count: 2 }] });
    const interior =
      beside === 'alone'
        ? fill
        : space('in', {
            split: {
              axis: beside === 'bay' ? 'across' : 'up',
              members: [{ id: 'post', ...(beside === 'over' ? stiff : {}) }],
              spaces: [fill, open],
            },
          });
    const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
    const common = {
      width: given(width),
      height: given(height),
      depth: given(depth),
      rounding: { grid: mm(0.5), set, leftover: 'spread' },
      panels: panels({ fix: rows ? 'loose' : fix, housing: mm(4), ...(rows ? { rows } : {}) }, { fix, housing: mm(4) }),
    } as const;
    const shop = workshop({
      stock: {
        ply: stock({ thickness }),
        wall: stock({ name: 'wall', thickness: wall }),
      },
      slides: {
        slide: {
          name: 'slide',
          lengths: [mm(300), mm(350), mm(400)],
          side: mm(12.7),
          height: mm(45),
          setback: ZERO,
          rating: 30,
          extension: 1,
        },
      },
      things: { tin: thing() },
    });
    const base: PanelCase = piece(interior, {
      ...common,
      ...(corner === 'rebated' ? { top: corner, bottom: corner, rebate: mm(6) } : {}),
      ...(hung ? { hung, base: { kind: 'none' }, bottom: corner } : {}),
      // Fronts that lie over the sides, and what fills all of its space up to them and to the lid, leave no room for these.
      ...(sides && fill.id !== 'bank' && fill.id !== 'rack' ? sidesOf(sides) : {}),
    });
    const { name, edges, fixedToWall } = base;
    const inPlace: InPlace = {
      ...common,
      name,
      edges,
      fixedToWall,
      interior,
      shell: 'in-place',
      place: 'an old cabinet',
    };
    return { piece: cased ? base : inPlace, shop };
  });

/** Sides cut to an outline, with what is between them as far in as hides it, and perhaps a lid. */
function sidesOf({
  by,
  is,
  front,
  inset,
  lid,
}: {
  readonly by: Length;
  readonly is: 'round' | 'cut';
  readonly front: 'stepped' | 'sloped' | undefined;
  readonly inset: Length;
  readonly lid: 'hinged' | 'lift-off' | undefined;
}): Partial<PanelCase> {
  const corners = { frontTop: { is, by }, rearBottom: { is, by } };
  return {
    outline: { corners, ...(front ? { front } : {}) },
    inset: { front: inset, rear: ZERO, top: inset, bottom: inset },
    ...(lid ? { lid: { how: lid, slack: mm(1.5), ledge: { stock: 'wall', wide: mm(20) }, packed: { stock: 'ply', wide: mm(40) } } } : {}),
  };
}

/** A piece of any shell with an interior of any kind. */
export const anyPiece: fc.Arbitrary<Random> = fc.oneof(
  { arbitrary: boxed, weight: 3 },
  { arbitrary: anyFrame, weight: 2 },
  { arbitrary: anyLeaning, weight: 1 },
  { arbitrary: anyFolding, weight: 1 },
);
