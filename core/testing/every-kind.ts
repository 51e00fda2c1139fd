import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { DividingMember, Piece } from '../piece/index.js';
import type { InPlace, PanelCase } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import type { Solution } from '../solution/index.js';
import { anyFolding } from './any-folding.js';
import { anyFrame } from './any-frame.js';
import { fills, length } from './any-interior.js';
import { anyLeaning } from './any-leaning.js';
import { anyWallBoard } from './any-wall-board.js';
import { piece, space, stock, thing, workshop, panels } from './samples.js';
import { asKg } from '../measures/index.js';
import { runs } from './runs.js';

/** Another seed each run, printed so that what fails can be looked at again; RUVOK_SEED takes its place. */
const SEED = Number(process.env['RUVOK_SEED'] ?? Math.floor(Math.random() * 2 ** 31));

/** How a test asks random pieces. */
export function random(many: number) {
  process.stderr.write(`Random pieces by seed ${SEED}; RUVOK_SEED=${SEED} makes them again.\n`);
  return { numRuns: runs(many), seed: SEED, endOnFailure: true };
}

/** Whether a piece came out whole: it has members, and no run of it is short of room. */
export function isWhole({ shape }: Solution): boolean {
  const fits = [...shape.runs.values()].every((r) => r.run.conflicts.length === 0 && r.run.lines.every((l) => l.size.value >= 0));
  return shape.members.length > 0 && fits;
}

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
    corner: fc.constantFrom('between' as const, 'over' as const, 'rebated' as const, 'housed' as const, 'mitred' as const),
    overhang: fc.record({ sides: length(0, 40), front: length(0, 40) }),
    blocks: fc.boolean(),
    hung: fc.constantFrom<PanelCase['hung'] | null>(
      null,
      { cleat: { stock: 'wall', wide: mm(100) } },
      { cleat: { stock: 'wall', wide: mm(100), notched: true } },
      { rail: { stock: 'wall', wide: mm(60) } },
      { keyholes: { under: mm(50), rated: asKg(40) }, above: mm(900) },
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
  .map(({ fill, cased, beside, width, height, depth, thickness, wall, set, fix, rows, corner, overhang, blocks, hung, sides, stiff }) => {
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
          rating: asKg(30),
          extension: 1,
        },
      },
      things: { tin: thing() },
    });
    // What is cut to an outline, or opens, is not mitred.
    const joined = sides && (corner === 'mitred' || corner === 'over') ? 'between' : corner;
    const base: PanelCase = piece(interior, {
      ...common,
      ...(joined === 'between' ? {} : { top: joined, bottom: joined, rebate: mm(6) }),
      ...(joined === 'over' ? { overhang } : {}),
      // What hangs has its bottom between its sides, which would else stand on it.
      ...(hung ? { hung, base: { kind: 'none' }, bottom: joined === 'over' ? 'between' : joined } : {}),
      // Fronts that lie over the sides, and what fills all of its space up to them and to the lid, leave no room for these.
      ...(sides && fill.id !== 'bank' && fill.id !== 'rack' ? sidesOf(sides) : {}),
      // Over what else fills its space nothing is in the way of blocks under the top.
      ...(blocks && beside === 'over' && joined === 'rebated' ? { top: 'between', blocks: { stock: 'wall', wide: mm(20) } } : {}),
    });
    // A housing has no shoulder at the very end of a side.
    if (joined === 'housed') {
      const { front, rear, top, bottom } = base.inset ?? { front: ZERO, rear: ZERO, top: ZERO, bottom: ZERO };
      const shoulder = (by: Length) => Math.max(by, mm(22)) as Length;
      base.inset = { front, rear, top: shoulder(top), bottom: shoulder(bottom) };
    }
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
  { arbitrary: anyWallBoard, weight: 1 },
);
