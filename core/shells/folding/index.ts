import { len, say, size, type Figure } from '../../figure/index.js';
import { divide, interiorMembers } from '../../interiors/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import { ZERO, add, scale, sub } from '../../length/index.js';
import { FLOOR, OPEN, PLACE, stockUses, type Fact, type Feature, type Member, type Shape, type TapeEnd } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { otherStock } from '../../remedies/index.js';
import { NO_SHAPE, assembled, diagonalOf } from '../assemble.js';
import type { ShellKind } from '../kind.js';
import { assumedOf, axisSize, nothingClear, type AxisSize } from '../overall.js';
import { barsOf, jointsOf, stretchersOf, topOf, type Woods } from './bars.js';
import { foldingChecks } from './checks.js';
import { foldedAt, foldedFacts, foldingBodies } from './fold.js';
import { FOLDING, FOLDING_NODE } from './ids.js';
import { holesOf, legPlaces, legsOf } from './legs.js';
import { leastTop, placedOnTop, withThingsOnTop } from './on-top.js';
import { KEPT_FREE, foldingProblems, legProblems } from './problems.js';
import { foldingFields, type Folding } from './spec.js';
import { stanceOf, type Stance } from './stance.js';

const woodsOf = (piece: Folding, workshop: Workshop): Woods => ({
  top: woodOf(workshop, piece.top.stock),
  legs: woodOf(workshop, piece.legs.stock),
  bars: woodOf(workshop, piece.bars.stock),
  stretchers: woodOf(workshop, piece.stretchers.stock),
});

/** How wide or deep the top is: as what stands on it asks for, or by what decides it. */
function topSize(piece: Folding, reach: 'width' | 'depth', context: NeedContext): AxisSize {
  const rule = piece[reach];
  const least = rule.from === 'contents' || rule.from === 'bounded' ? leastTop(piece, context.workshop) : null;
  if (!least) return axisSize(piece, reach, context, [], []);
  const bounds = rule.from === 'bounded' ? rule : { from: 'bounded' as const };
  const wanted = least[reach];
  const kept = Math.max(bounds.least ?? 0, Math.min(bounds.greatest ?? Infinity, wanted.value));
  const overall = kept === wanted.value ? wanted : wanted.setTo(kept, 'within its bounds').named(`overall ${reach}`);
  return { overall, problems: [], assumed: false };
}

/** The sums of the legs, and where their holes are from both ends. */
function legFacts(piece: Folding, stance: Stance, thick: Figure): readonly Fact[] {
  const { legs, pivot } = piece;
  const over = size('over both outer legs', legs.over, { in: 'piece', field: 'legs.over' });
  const spacer = size('spacer', legs.spacer, { in: 'piece', field: 'legs.spacer' });
  const pin = say`Drill matched legs together, and mark from both ends: ${len(legs.round)} from each end, and ${len(stance.crossing.value)} in the middle. Boards sold as one width differ: plane the four to one, or they stand proud folded.`;
  return [
    { name: 'from hole to hole, up', figure: stance.vertical },
    { name: 'feet apart', figure: stance.apart },
    { name: 'leg, from hole to hole', figure: stance.between },
    { name: 'leg, over all', figure: stance.leg },
    { name: 'crossing hole, from either end', figure: stance.crossing },
    { name: 'angle', remark: say`The legs stand ${stance.degrees.toFixed(2)}° from the floor.` },
    {
      name: 'inner legs, over all',
      figure: over.minus(thick.times(2).named('two outer legs')).minus(spacer.times(2).named('two spacers')).named('inner legs, over all'),
    },
    {
      name: 'ends clear of the top',
      figure: size('pivot below the top', pivot.below, { in: 'piece', field: 'pivot.below' }).minus(
        size('end past its hole', legs.round, { in: 'piece', field: 'legs.round' }),
      ),
    },
    { name: 'holes', remark: pin },
  ];
}

/** The rod's holes in the inner legs. */
function rodHoles({ stretchers, legs }: Folding, thick: Figure): { into: string; cut: () => readonly Feature[] }[] {
  const { rod } = stretchers;
  if (rod === undefined) return [];
  return (['left', 'right'] as const).map((end) => ({
    into: FOLDING.leg('inner', end),
    cut: () => [
      {
        kind: 'hole',
        face: end === 'left' ? 'up' : 'down',
        at: { u: add(legs.round, stretchers.up), v: scale(legs.wide, 0.5) },
        diameter: rod,
        depth: scale(thick.value, 0.5),
        mate: FOLDING.stretcher('inner'),
      },
    ],
  }));
}

/** The geometry of a table whose legs cross and fold. */
function shape(piece: Folding, workshop: Workshop): Shape {
  const context: NeedContext = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const woods = woodsOf(piece, workshop);
  const [width, depth] = [topSize(piece, 'width', context), topSize(piece, 'depth', context)];
  const stance = stanceOf(piece, context, woods.top);
  const height = stance.height.overall;
  const places = legPlaces(piece, width.overall, woods.legs.thickness.value);
  const thick = woods.legs.thickness;
  const wood = (id: string, label: string, figure: Figure): TapeEnd => ({ id, kind: 'wood', label, selects: id, size: figure });
  const gap = (id: string, label: string, figure: Figure): TapeEnd => ({
    id,
    kind: 'gap',
    label,
    selects: piece.interior.id,
    size: figure,
  });
  const overhang = size('top past the legs', places.outer[0]);
  const spacer = size('spacer', piece.legs.spacer, { in: 'piece', field: 'legs.spacer' });
  const side = (end: 'left' | 'right'): TapeEnd[] => [
    ...(places.outer[0] > ZERO ? [gap(`past-${end}`, 'past the legs', overhang)] : []),
    wood(FOLDING.leg('outer', end), 'outer leg', thick),
    ...(piece.legs.spacer > ZERO ? [gap(`spacer-${end}`, 'spacer', spacer)] : []),
    wood(FOLDING.leg('inner', end), 'inner leg', thick),
  ];
  const inside = {
    width: width.overall.minus(overhang.plus(thick).plus(spacer).plus(thick).times(2).named('both sides')),
    height: height.minus(woods.top.thickness.named('top')),
    depth: depth.overall,
  };
  const falls = [...nothingClear('width', inside.width), ...nothingClear('height', inside.height), ...legProblems(piece, stance)];
  const problems = [...width.problems, ...depth.problems, ...stance.height.problems, ...falls];
  const common = {
    overall: { width: width.overall, height, depth: depth.overall },
    assumed: assumedOf({ width, height: stance.height, depth }),
    caseHeight: height,
    diagonal: diagonalOf(height, depth.overall),
  };
  const foot = add(scale(depth.overall.value, 0.5), scale(stance.apart.value, 0.5));
  const outside = (members: readonly Member[]): Shape['outside'] => ({
    is: 'built',
    carried: true,
    along: FOLDING.leg('inner', 'left'),
    foot,
    ends: {
      up: { before: [], after: [wood(FOLDING.top, 'top', woods.top.thickness)] },
      across: { before: side('left'), after: side('right').reverse() },
      deep: { before: [], after: [] },
    },
    members: new Set(members.map((m) => m.id)),
    behind: new Set<string>(),
  });
  if (falls.length > 0) return { ...NO_SHAPE, ...common, outside: outside([]), problems };
  const made = divide(piece, context, {
    start: { x: size('left of the inside', add(places.inner[0], thick.value)), y: size('floor', ZERO), z: size('rear', ZERO) },
    clear: inside,
    neighbours: { left: PLACE, right: PLACE, below: FLOOR, above: OPEN },
    setback: ZERO,
  });
  const holes = holesOf(piece, stance, depth.overall);
  const under = sub(height.value, woods.top.thickness.value);
  const flat = foldedAt(piece, stance, woods.bars);
  const members = [
    topOf(piece, width.overall, depth.overall, under, woods.top),
    ...legsOf(piece, stance, holes, width.overall, woods.legs),
    ...barsOf(piece, holes, width.overall, under, woods),
    ...stretchersOf(piece, stance, holes, width.overall, woods),
  ];
  const bodies = Number.isNaN(flat) ? [] : foldingBodies(members, holes, stance.degrees, flat);
  const on = placedOnTop(piece, workshop, common.overall);
  const inner = interiorMembers(piece, workshop, made);
  const spaces = new Map([...made.spaces, ...on.spaces.map((s) => [s.id, s] as const)]);
  const folded = bodies.length > 0 ? foldedFacts({ members, bodies }, flat) : [];
  return assembled(
    { ...made, spaces },
    {
      ...inner,
      members: [...members, ...inner.members],
      joints: [...jointsOf(members, holes, piece, width.overall, thick.value), ...inner.joints],
      bodies: [...bodies, ...inner.bodies],
      cuts: [...inner.cuts, ...rodHoles(piece, thick)],
      bought: [...inner.bought, { what: 'pins with washers', thick: piece.pivot.pin, count: 4, each: 'piece' }],
      facts: [...inner.facts, { space: piece.interior.id, facts: [...legFacts(piece, stance, thick), ...folded] }],
    },
    { ...common, outside: outside(members) },
    [...problems, ...on.problems, ...foldingProblems(piece, stance, flat, depth.overall.value, woods)],
  );
}

/** Which stock a member is of. */
function useOf({ id, role }: Member): 'top' | 'legs' | 'bars' | 'stretchers' {
  if (id === FOLDING.top) return 'top';
  return role === 'leg' ? 'legs' : role === 'stretcher' ? 'stretchers' : 'bars';
}

const withStock = (piece: Folding, member: Member, stock: string) => {
  const use = useOf(member);
  return { kind: 'piece' as const, patch: { [use]: { ...piece[use], stock } } };
};

export const folding: ShellKind<Folding> = {
  kind: 'folding',
  inside: 'Under the top',
  keptFree: KEPT_FREE,
  fields: foldingFields,
  uses: (piece) =>
    (['top', 'legs', 'bars', 'stretchers'] as const).flatMap((use) =>
      stockUses(use, { stock: piece[use].stock }, ({ stock }) => ({ [use]: { ...piece[use], stock } })),
    ),
  names: () => [],
  placed: ({ top }) => top.things ?? [],
  withThings: withThingsOnTop,
  shape,
  racking: foldingChecks,
  withStock: (piece, member, stock) => (member.node === FOLDING_NODE ? withStock(piece, member, stock) : null),
  remedies: (piece, asked) => {
    const { member } = asked;
    return otherStock(asked, member.stockId, (id) => withStock(piece, member, id));
  },
};
