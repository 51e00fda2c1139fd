import { len, say, size, type Figure } from '../../figure/index.js';
import { ZERO, add, fromUnits, greatest, least, mm, sub, type Length } from '../../length/index.js';
import { USUAL_KERF, piecesFrom, ripYield } from '../../joints/index.js';
import {
  atX,
  atZ,
  boxOf,
  OPEN,
  PLACE,
  rectangular,
  uprightFrame,
  type Joint,
  type Member,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import { type Cells } from './spec.js';
import type { Wood, Workshop } from '../../project/index.js';
import { NOTHING, type Made } from '../kind.js';
import { cellWood, leftOf, type CellGrid } from './grid.js';
import { asDegrees, radians } from '../../measures/index.js';

type Ladders = Extract<Cells['make'], { kind: 'ladders' }>;

/** The stretches of a ladder that are not in a blocked zone, from its foot up. */
function clearOf(cells: Cells, x0: Length, x1: Length, height: Figure): readonly { readonly from: Length; readonly length: Figure }[] {
  const zones = cells.blocked
    .filter((b) => x0 < b.x + b.width && b.x < x1 && b.y < height.value)
    .map((b) => ({ from: b.y, to: add(b.y, b.height) }))
    .sort((a, b) => a.from - b.from);
  const parts: { from: Length; length: Figure }[] = [];
  let from = ZERO;
  for (const zone of zones) {
    if (zone.from > from) parts.push({ from, length: size('up to what is in the way', sub(zone.from, from)) });
    from = greatest([from, zone.to]);
  }
  if (from === ZERO) return [{ from, length: height }];
  if (height.value > from) parts.push({ from, length: height.minus(size('what is in the way, and under it', from)) });
  return parts;
}

/** A support that reaches further than this past the upright it is screwed to hangs off it. */
const REACHES_PAST = mm(50);

/** Screws keep so far from where an upright ends. */
const FROM_EDGE = mm(20);

/** How a support is held: along the upright it is on, or, where it reaches far past that, at the two ends of what they have in common. */
function onUpright(id: string, upright: Member, rear: Length, front: Length): Joint[] {
  const { z0, z1 } = boxOf(upright);
  const past = greatest([sub(z0, rear), sub(front, z1)]);
  if (past <= REACHES_PAST) return [{ carried: id, carrier: upright.id, how: 'screws' }];
  const [low, high] = [greatest([z0, rear]), least([z1, front])];
  const inset = least([FROM_EDGE, fromUnits((high - low) / 4)]);
  return [add(low, inset), sub(high, inset)].map((z): Joint => ({ carried: id, carrier: upright.id, how: 'screws', on: atZ(z) }));
}

/** What a ladder stands on; a part over something in the way is fixed to the place, where there is one. */
function footOf(upright: Member, { box, neighbours: { below } }: PlacedSpace): Joint {
  const { x, y } = upright.frame.origin;
  if (y > box.y0) return { carried: upright.id, carrier: below === PLACE ? PLACE : OPEN, how: 'screws' };
  return { carried: upright.id, carrier: below, how: 'bearing', on: atX(add(x, Math.round(upright.thickness.value / 2) as Length)) };
}

/** Two uprights that lie behind each other want a support that is longer than both are deep. */
function tooDeep(space: PlacedSpace, make: Ladders, cells: Cells, long: Length): ShapeProblem[] {
  const { upright } = make;
  if (!upright.pair || upright.deep * 2 < long) return [];
  return [
    {
      id: `ladders-deep-${space.id}`,
      about: space.id,
      stops: true,
      sentence: say`Two uprights of ${len(upright.deep)}, one behind the other, do not go on supports of ${len(long)}.`,
      fixes: [
        {
          label: say`Make ladders of one upright`,
          edit: {
            kind: 'filling',
            space: space.id,
            filling: { ...cells, make: { ...make, upright: { stock: upright.stock, deep: upright.deep } } },
          },
        },
      ],
    },
  ];
}

/** Parts of ladders over a blocked zone stand on nothing. */
function hanging(space: PlacedSpace, uprights: readonly Member[]): ShapeProblem[] {
  const over = uprights.filter((u) => u.frame.origin.y > space.box.y0);
  if (over.length === 0) return [];
  return [
    {
      id: `ladders-hang-${space.id}`,
      about: space.id,
      stops: space.neighbours.below !== PLACE,
      sentence: say`${over.length === 1 ? 'Part of a ladder is' : `Parts of ${over.length} ladders are`} over what is in the way in ${space.label}, and stand on nothing: fix them to the wall there, with screws that hold what they carry.`,
      fixes: [],
    },
  ];
}

/** The uprights of a ladder, each in its parts from the foot up: one, or one at the rear and one at the front. */
type Ladder = readonly (readonly Member[])[];

/** Where level supports begin and end: at the front, or from the rear and out in front where they are longer than the place is deep. */
function reachOf({ box }: PlacedSpace, long: Length): { readonly rear: Length; readonly front: Length } {
  const rear = greatest([box.z0, sub(box.z1, long)]);
  return { rear, front: add(rear, long) };
}

/** The ladders of a rack, from the left: at both sides of every column, two of them where a section ends and the next begins. */
function laddersOf(space: PlacedSpace, make: Ladders, cells: Cells, grid: CellGrid, wood: Wood): readonly Ladder[] {
  const { box } = space;
  const t = wood.thickness.value;
  const deep = size('upright, deep', make.upright.deep, { in: 'making', field: 'make.upright.deep' });
  const { rear, front } = reachOf(space, grid.support?.value ?? make.support.long);
  const places: readonly (readonly [end: string, z: Length])[] = make.upright.pair
    ? [
        ['rear', rear],
        ['front', sub(front, deep.value)],
      ]
    : [['', sub(box.z1, deep.value)]];
  const lefts = Array.from({ length: grid.columns }, (_, column) => ({ column, at: leftOf(grid, column) }));
  const all = lefts.flatMap(({ column, at }): Length[] => {
    const ends = column === grid.columns - 1 || grid.sectionOf(column + 1) !== grid.sectionOf(column);
    return ends ? [at, add(at, grid.pitch.across.value)] : [at];
  });
  return all.map((at, i) =>
    places.map(([end, z]) =>
      clearOf(cells, at, add(at, t), grid.height).map(({ from, length }, part) =>
        rectangular({
          id: [`${space.id}/ladder-upright/${i + 1}`, ...(end === '' ? [] : [end]), ...(part === 0 ? [] : [part + 1])].join('-'),
          node: space.id,
          role: 'ladder upright',
          label: [`ladder ${i + 1}`, ...(end === '' ? [] : [end]), ...(part === 0 ? [] : [`part ${part + 1}`])].join(', '),
          wood,
          length,
          width: deep,
          frame: uprightFrame({ x: add(box.x0, at), y: add(box.y0, from), z }),
        }),
      ),
    ),
  );
}

/** The part of an upright that is there at a height. */
function partAt(parts: readonly Member[], y: Length): Member | undefined {
  return parts.find((p) => boxOf(p).y0 <= y && y < boxOf(p).y1) ?? parts[0];
}

/** How a support is held on its ladder: along one upright, or at each of the two. */
function heldOn(id: string, ladder: Ladder, y: Length, rear: Length, front: Length): Joint[] {
  const on = ladder.flatMap((parts) => partAt(parts, y) ?? []).filter((u, i) => i === 0 || (boxOf(u).z0 < front && rear < boxOf(u).z1));
  const [one, ...more] = on;
  if (one && more.length === 0) return onUpright(id, one, rear, front);
  return on.map((upright): Joint => {
    const { z0, z1 } = boxOf(upright);
    return { carried: id, carrier: upright.id, how: 'screws', on: atZ(Math.round((z0 + z1) / 2) as Length) };
  });
}

/** What the ladders are, and how sections come together. */
function ladderRemark({ upright }: Ladders, { sections }: CellGrid, count: number) {
  const each = upright.pair ? say`, each of two uprights, one at the front and one at the rear` : say``;
  const apart =
    sections > 1
      ? say` They stand in ${sections} sections that are built, carried in and put up one by one; screw the two uprights to each other where sections meet.`
      : say``;
  return say`${count} ladders${each}; those at the ends have supports on one side only.${apart}`;
}

/** Uprights, and under every thing a support on each of the two ladders beside it. */
export function ladderRack(space: PlacedSpace, make: Ladders, cells: Cells, grid: CellGrid, workshop: Workshop): Made {
  const { beside, under } = cellWood(cells, workshop);
  const { box } = space;
  const t = beside.thickness.value;
  const ladders = laddersOf(space, make, cells, grid, beside);
  const level = grid.support ?? size('support', make.support.long);
  let out = ZERO;
  const supports: Member[] = [];
  const joints: Joint[] = [];
  for (const { column, row, state, tilted: by } of grid.cells) {
    if (state === 'blocked' || state === 'under-tilted') continue;
    const tilted = by?.spec;
    const long = tilted ? size('support', tilted.long, { in: 'making', field: 'make.support.long' }) : level;
    const y = add(box.y0, fromUnits(row * grid.pitch.up.value));
    const x = add(box.x0, leftOf(grid, column), t);
    const right = add(x, sub(grid.pitch.across.value, t));
    const left = column + grid.sectionOf(column);
    const sides: readonly [string, Length, number][] = [
      ['left', x, left],
      ['right', sub(right, make.support.wide), left + 1],
    ];
    for (const [hand, at, ladder] of sides) {
      const id = `${space.id}/ladder-support/${column + 1}-${row + 1}-${hand}`;
      const angle = radians(tilted?.tilt ?? asDegrees(0));
      const { rear, front } = reachOf(space, fromUnits(long.value * Math.cos(angle)));
      out = greatest([out, sub(front, box.z1)]);
      supports.push(
        rectangular({
          id,
          node: space.id,
          role: 'ladder support',
          label: `${tilted ? 'sloping support' : 'support'} ${column + 1}, ${row + 1}, ${hand}`,
          wood: under,
          length: long,
          width: size('support, wide', make.support.wide, { in: 'making', field: 'make.support.wide' }),
          frame: {
            origin: { x: at, y: tilted ? add(y, fromUnits(long.value * Math.sin(angle))) : y, z: rear },
            // A sloping one falls from the rear to the front, where a stop holds the thing.
            u: [0, -Math.sin(angle), Math.cos(angle)],
            v: [1, 0, 0],
            n: [0, Math.cos(angle), Math.sin(angle)],
          },
        }),
      );
      const on = ladders[ladder];
      if (on) joints.push(...heldOn(id, on, y, rear, front));
    }
  }
  // What is over something in the way and holds nothing is not made.
  const used = new Set(joints.map((j) => j.carrier));
  const uprights = ladders.flatMap((ladder) => ladder.flatMap((parts) => parts.filter((p, i) => i === 0 || used.has(p.id))));
  const plain = supports.length - 2 * grid.cells.filter((c) => c.state === 'tilted').length;
  const kerf = workshop.settings.kerf ?? USUAL_KERF;
  const { strips } = ripYield(under.stock.width, make.support.wide, kerf);
  const perBoard = strips * piecesFrom(under.stock.length, level.value, kerf);
  const [spared] = supports.filter((s) => s.frame.u[1] === 0);
  if (spared) supports[supports.indexOf(spared)] = { ...spared, spares: make.support.spares };
  return {
    ...NOTHING,
    members: [...uprights, ...supports],
    joints: [...joints, ...uprights.map((u) => footOf(u, space))],
    problems: [...tooDeep(space, make, cells, level.value), ...hanging(space, uprights)],
    facts: [
      {
        space: space.id,
        facts: [
          { name: 'ladders', remark: ladderRemark(make, grid, ladders.length) },
          {
            name: 'supports',
            remark: say`${plain} plain and ${supports.length - plain} sloping, and ${make.support.spares} to spare; ${perBoard} come from one ${under.stock.name}.`,
          },
          {
            name: 'jig',
            remark: say`One jig with notches every ${len(grid.pitch.up.value)} sets all supports; spacers notched at ${len(grid.pitch.across.value)} hold the ladders.`,
          },
          ...(out > ZERO ? [{ name: 'in front', remark: say`Supports stand out ${len(out)} in front of the place.` }] : []),
          ...(grid.tilted.length > 0
            ? [{ name: 'tilted ones', remark: say`They want a stop at the front; along a row every second upright can be left out there.` }]
            : []),
        ],
      },
    ],
  };
}
