import { len, say, type Figure } from '../../figure/index.js';
import { ZERO, add, fromUnits, sub, type Length } from '../../length/index.js';
import {
  MOST_CELLS,
  atX,
  flatFrame,
  rectangular,
  stockNames,
  uprightFrame,
  type Fact,
  type Feature,
  type Joint,
  type Member,
  type PlacedSpace,
  type Stand,
} from '../../piece/index.js';
import { CellsSchema, type Cells } from './spec.js';
import type { Workshop } from '../../project/index.js';
import { NOTHING, type FillingKind, type Made, type MadeIn } from '../kind.js';
import { cellGrid, cellWood, leftOf, type CellGrid } from './grid.js';

export * from './grid.js';
export * from './tilted.js';
export * from './spec.js';
import { ladderRack } from './ladders.js';

/**
 * A slot in the far half of a board's width for each board that crosses it. An upright board
 * is wide from the rear to the front and a level one from the front to the rear, so that the
 * slots of one meet the wood of the other.
 */
function slots(member: Member, at: readonly { along: Length; mate: string }[], thick: Length): Member {
  const half = Math.round(member.width.value / 2) as Length;
  const features = at.map(({ along, mate }): Feature => ({
    kind: 'notch',
    face: 'up',
    region: { u0: along, u1: add(along, thick), v0: half, v1: member.width.value },
    depth: member.thickness.value,
    mate,
  }));
  return { ...member, features };
}

/** Boards across and up that slot into each other half-way, upright ones slotted from the front. */
function halfLapped(space: PlacedSpace, cells: Cells, grid: CellGrid, workshop: Workshop): Made {
  const { beside: wood } = cellWood(cells, workshop);
  const { box, clear, neighbours } = space;
  const t = wood.thickness.value;
  const at = (pitch: Figure, i: number) => fromUnits((i + 1) * pitch.value - t);
  const upId = (i: number) => `${space.id}/divider/${i + 1}`;
  const acrossId = (i: number) => `${space.id}/shelf/${i + 1}`;
  const ups = Array.from({ length: Math.max(0, grid.columns - 1) }, (_, i) => ({ id: upId(i), along: at(grid.pitch.across, i) }));
  const acrosses = Array.from({ length: Math.max(0, grid.rows - 1) }, (_, i) => ({ id: acrossId(i), along: at(grid.pitch.up, i) }));
  const members = [
    ...ups.map(({ id, along }, i) =>
      slots(
        rectangular({
          id,
          node: space.id,
          role: 'divider',
          label: `upright board ${i + 1}`,
          wood,
          length: clear.height,
          width: clear.depth,
          frame: uprightFrame({ x: add(box.x0, along), y: box.y0, z: box.z0 }),
        }),
        acrosses.map((a) => ({ along: a.along, mate: a.id })),
        t,
      ),
    ),
    ...acrosses.map(({ id, along }, i) =>
      slots(
        rectangular({
          id,
          node: space.id,
          role: 'shelf',
          label: `level board ${i + 1}`,
          wood,
          length: clear.width,
          width: clear.depth,
          frame: flatFrame({ x: box.x0, y: add(box.y0, along), z: box.z1 }),
        }),
        ups.map((u) => ({ along: u.along, mate: u.id })),
        t,
      ),
    ),
  ];
  const joints: Joint[] = [
    ...ups.map((u): Joint => ({
      carried: u.id,
      carrier: neighbours.below,
      how: 'bearing',
      on: atX(add(box.x0, u.along, Math.round(t / 2) as Length)),
    })),
    ...acrosses.flatMap((a): Joint[] => [
      { carried: a.id, carrier: neighbours.left, how: 'screws', on: atX(box.x0) },
      ...ups.map((u): Joint => ({
        carried: a.id,
        carrier: u.id,
        how: 'bearing',
        on: atX(add(box.x0, u.along, Math.round(t / 2) as Length)),
      })),
      { carried: a.id, carrier: neighbours.right, how: 'screws', on: atX(box.x1) },
    ]),
  ];
  return {
    ...NOTHING,
    members,
    joints,
    facts: [
      {
        space: space.id,
        facts: [
          {
            name: 'slots',
            remark: say`Slots ${len(t)} wide to the middle of each board; upright ones from the front, level ones from the rear.`,
          },
        ],
      },
    ],
  };
}

/** How wide each section is that a rack is built of. */
function sectionFacts({ sections, sectionOf, columns, pitch, beside }: CellGrid): readonly Fact[] {
  if (sections < 2) return [];
  return Array.from({ length: sections }, (_, section) => {
    const own = Array.from({ length: columns }, (_c, c) => c).filter((c) => sectionOf(c) === section).length;
    return { name: `section ${section + 1}, ${own} columns, wide`, figure: pitch.across.times(own).plus(beside) };
  });
}

function gridFacts(grid: CellGrid): readonly Fact[] {
  return [
    { name: 'pitch across', figure: grid.pitch.across },
    { name: 'pitch up', figure: grid.pitch.up },
    { name: 'wide in all', figure: grid.width },
    ...sectionFacts(grid),
    { name: 'high in all', figure: grid.height },
    ...grid.tilted.map((t): Fact => ({ name: `${t.label}, tilted, needs`, figure: t.high })),
    { name: `${grid.columns} columns, ${grid.rows} rows; room for`, count: grid.capacity },
  ];
}

/** What carries the things of the cells, and where each lies: on the supports, or on the level boards and what is under the lowest. */
function standOf(cells: Cells, space: PlacedSpace, grid: CellGrid, members: readonly Member[]): Stand {
  const ofRole = (role: Member['role']) => members.filter((m) => m.role === role).map((m) => m.id);
  const supports = ofRole('ladder support');
  const { pitch, clear, thing } = grid;
  const ladders = cells.make.kind === 'ladders';
  const from = (own: Figure, whole: Figure) => (ladders ? sub(whole.value, own.value) : ZERO);
  return {
    space: space.id,
    carriers: supports.length > 0 ? supports : [...ofRole('shelf'), space.neighbours.below],
    filled: {
      thingId: cells.thing,
      thing,
      called: ['cell', 'cells'],
      room: { width: clear.across.value, height: clear.up.value },
      places: grid.cells
        .filter((c) => c.state === 'free' || c.state === 'tilted')
        .map(({ column, row }) => ({
          x: add(space.box.x0, leftOf(grid, column), from(clear.across, pitch.across)),
          y: add(space.box.y0, (row * pitch.up.value + from(clear.up, pitch.up)) as Length),
        })),
    },
  };
}

/** The cells of a space with their uprights, supports or boards. */
export function cellMembers(cells: Cells, { space, workshop }: Pick<MadeIn, 'space' | 'workshop'>): Made {
  const grid = cellGrid(space, cells, workshop);
  const problem = (id: string, sentence: ReturnType<typeof say>): Made => ({
    ...NOTHING,
    problems: [{ id: `${id}-${space.id}`, about: space.id, stops: true, sentence, fixes: [] }],
  });
  if (!grid) return problem('cells-thing', say`The thing that the cells of ${space.label} are for is not in the library any more.`);
  if (grid.tooMany !== null)
    return problem(
      'cells-many',
      say`${grid.tooMany} cells of ${len(grid.pitch.across.value)} by ${len(grid.pitch.up.value)} would go into ${space.label}; up to ${MOST_CELLS} are worked out. Leave more free round ${grid.thing.name}, or divide the space.`,
    );
  if (grid.columns < 1 || grid.rows < 1) {
    return problem(
      'cells-none',
      say`Not one cell of ${len(grid.pitch.across.value)} by ${len(grid.pitch.up.value)} goes into ${space.label}.`,
    );
  }
  const without = grid.tilted.filter((t) => !grid.cells.some((c) => c.tilted === t));
  const made =
    cells.make.kind === 'ladders' ? ladderRack(space, cells.make, cells, grid, workshop) : halfLapped(space, cells, grid, workshop);
  const problems = without.map((t) => ({
    id: `cells-tilted-${space.id}-${t.label.replace(' ', '-')}`,
    about: space.id,
    stops: false,
    sentence: say`${t.label} of ${space.label} cannot be tilted: it needs ${len(t.high.value)}, ${t.takes} rows, free above one another.`,
    fixes: [],
  }));
  return {
    ...made,
    problems: [...made.problems, ...problems],
    stands: [standOf(cells, space, grid, made.members)],
    facts: [{ space: space.id, facts: [...gridFacts(grid), ...made.facts.flatMap((f) => f.facts)] }],
  };
}

export const cells: FillingKind<Cells> = {
  kind: 'cells',
  schema: CellsSchema,
  names: ({ thing, make }) => [
    { kind: 'thing', id: thing },
    ...stockNames(make.kind === 'ladders' ? [make.upright.stock, make.support.stock] : [make.stock]),
  ],
  filled: 'cells',
  onPiece: null,
  seenFrom: 'front',
  made: cellMembers,
  withStock: () => null,
  remedies: () => [],
};
