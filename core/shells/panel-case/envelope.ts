import { Figure, size } from '../../figure/index.js';
import { ZERO, add, type Length } from '../../length/index.js';
import type { NeedContext } from '../../interiors/kind.js';
import type { Shape, ShapeProblem } from '../../piece/index.js';
import type { Inset, PanelCase } from './spec.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { assumedOf, axisSize, nothingClear, takeOff, type Deductions } from '../overall.js';

/** The woods of a case. */
export interface Woods {
  readonly sides: Wood;
  readonly top: Wood;
  readonly bottom: Wood;
  readonly back: Wood;
  readonly base: Wood;
  /** Of the strips along a lid, and of the rail that it is hinged to; none without. */
  readonly ledge: Wood | null;
  readonly packed: Wood | null;
}

/** The outside and the clear inside of a case, settled before anything in it. */
export interface Envelope {
  readonly overall: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  /** Over both sides, up to the top, and to the front edges of the sides: less than overall where the top stands out past them. */
  readonly width: Figure;
  readonly height: Figure;
  readonly depth: Figure;
  /** How far the left side is from the left of the whole piece. */
  readonly left: Length;
  readonly sidesDepth: Figure;
  readonly baseHeight: Figure;
  readonly inside: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  /** Where the clear inside begins: from the outside left, the floor and the rear. */
  readonly start: { readonly x: Figure; readonly y: Figure; readonly z: Figure };
  readonly problems: readonly ShapeProblem[];
  /** Overall sizes that nothing decides yet. */
  readonly assumed: Shape['assumed'];
}

/** The woods of a case; one that is missing is drawn 18 thick. @example woodsOf(CASE, SHOP).sides.id // 'ply' */
export function woodsOf(piece: PanelCase, workshop: Workshop): Woods {
  const { sides, top, bottom, back, base } = piece.stock;
  const wood = (id: string) => woodOf(workshop, id);
  return {
    sides: wood(sides),
    top: wood(top ?? sides),
    bottom: wood(bottom ?? sides),
    back: wood(piece.back.kind === 'none' ? sides : (back ?? sides)),
    base: wood(piece.base.kind === 'none' ? sides : (base ?? sides)),
    ledge: piece.lid ? wood(piece.lid.ledge.stock) : null,
    packed: piece.lid?.packed ? wood(piece.lid.packed.stock) : null,
  };
}

/** What lies behind the sides of a case: the cleat that it hangs by. */
const behind = ({ hung }: PanelCase, workshop: Workshop): Deductions =>
  hung && 'cleat' in hung && !hung.cleat.notched ? [woodOf(workshop, hung.cleat.stock).thickness.named('cleat')] : [];

/** A rail that it hangs by, or a cleat that is let into its sides, where no back stands in front of that. */
function hangingRail({ hung, back }: PanelCase, workshop: Workshop): Deductions {
  if (!hung || back.kind !== 'none') return [];
  if ('rail' in hung) return [woodOf(workshop, hung.rail.stock).thickness.named('hanging rail')];
  return 'cleat' in hung && hung.cleat.notched ? [woodOf(workshop, hung.cleat.stock).thickness.named('cleat')] : [];
}

/** How far what is between the sides stands in from one of their edges; nothing where it does not. */
const insetOf =
  ({ inset }: PanelCase) =>
  (side: keyof Inset): Deductions =>
    inset && inset[side] > ZERO ? [size(`in from the ${side}`, inset[side], { in: 'piece', field: `inset.${side}` })] : [];

/** What a top that goes over the sides stands out past them; nothing where none does. */
export function standsOut({ top, lid, topDeep, overhang }: PanelCase): { readonly sides: Deductions; readonly front: Deductions } {
  if (!overhang || top !== 'over' || lid || topDeep !== undefined) return { sides: [], front: [] };
  const by = (at: 'sides' | 'front') =>
    overhang[at] > ZERO
      ? [size(`top past the ${at === 'sides' ? 'side' : 'front'}`, overhang[at], { in: 'piece', field: `overhang.${at}` })]
      : [];
  return { sides: by('sides'), front: by('front') };
}

function depthDeductions(piece: PanelCase, back: Wood): { all: Deductions; behindSides: Deductions } {
  switch (piece.back.kind) {
    case 'none':
      return { all: [], behindSides: [] };
    case 'applied':
      return { all: [back.thickness.named('back')], behindSides: [back.thickness.named('back')] };
    case 'rebate':
      return { all: [back.thickness.named('back')], behindSides: [] };
    case 'groove': {
      const inset = size('groove in from the rear', piece.back.inset, { in: 'piece', field: 'back.inset' });
      return { all: piece.back.inset === ZERO ? [back.thickness.named('back')] : [inset, back.thickness.named('back')], behindSides: [] };
    }
  }
}

function baseFigure(piece: PanelCase): Figure | null {
  const { base } = piece;
  if (base.kind === 'none') return null;
  return size(base.kind === 'toe' ? 'toe' : 'plinth', base.height, { in: 'piece', field: 'base.height' });
}

/**
 * Settles the outside and the clear inside of a case: depth first, since it decides how
 * many things stand behind each other, then width, then height.
 * @example envelopeOf(CASE, SHOP, woodsOf(CASE, SHOP)).overall.width.value // mm(1000)
 */
export function envelopeOf(piece: PanelCase, workshop: Workshop, woods: Woods): Envelope {
  const context: NeedContext = {
    workshop,
    panels: piece.panels,
    rounding: piece.rounding ?? workshop.settings.rounding,
  };
  const side = woods.sides.thickness;
  const cleat = behind(piece, workshop);
  const own = depthDeductions(piece, woods.back);
  const inset = insetOf(piece);
  const deep = {
    all: [...cleat, ...inset('rear'), ...hangingRail(piece, workshop), ...own.all],
    behindSides: [...cleat, ...own.behindSides],
  };
  const past = standsOut(piece);
  const pastSides = past.sides.map((f) => f.times(2).named('top past both sides'));
  const shelfSetback = piece.panels.shelves.setback === ZERO ? [] : [size('shelves back from the front', piece.panels.shelves.setback)];
  const depth = axisSize(
    piece,
    'depth',
    context,
    [...deep.all, ...inset('front'), ...past.front, ...(piece.depth.from === 'given' ? [] : shelfSetback)],
    [...deep.behindSides, ...past.front],
  );
  const ownDepth = takeOff(depth.overall, past.front);
  const insideDepth = takeOff(ownDepth, [...deep.all, ...inset('front')]);
  const standing = { ...context, depth: Math.max(1, insideDepth.value - piece.panels.shelves.setback) as Length };

  const sides = side.times(2).named('two sides');
  const width = axisSize(piece, 'width', standing, [...pastSides, sides], pastSides);
  const ownWidth = takeOff(width.overall, pastSides);
  const insideWidth = ownWidth.minus(sides);

  const base = baseFigure(piece);
  const [top, bottom] = [woods.top.thickness, woods.bottom.thickness];
  const panels = woods.top.id === woods.bottom.id ? [top.times(2).named('top and bottom')] : [top.named('top'), bottom.named('bottom')];
  const high = [...(base ? [base] : []), ...inset('bottom'), ...panels, ...inset('top')];
  const height = axisSize(piece, 'height', { ...standing, width: Math.max(1, insideWidth.value) as Length }, high, []);
  const insideHeight = takeOff(height.overall, high);

  return {
    overall: { width: width.overall, height: height.overall, depth: depth.overall },
    width: ownWidth,
    height: height.overall,
    depth: ownDepth,
    left: add(...past.sides.map((f) => f.value)),
    sidesDepth: takeOff(ownDepth, deep.behindSides),
    baseHeight: base ?? size('no base', ZERO),
    inside: { width: insideWidth, height: insideHeight, depth: insideDepth },
    start: {
      x: past.sides.reduce((x, f) => f.plus(x), side.named('side')),
      y: Figure.sum([...(base ? [base] : []), ...inset('bottom'), bottom.named('bottom')]),
      z: deep.all.length > 0 ? Figure.sum(deep.all) : size('rear', ZERO),
    },
    assumed: assumedOf({ width, height, depth }),
    problems: [
      ...depth.problems,
      ...width.problems,
      ...height.problems,
      ...nothingClear('depth', insideDepth),
      ...nothingClear('width', insideWidth),
      ...nothingClear('height', insideHeight),
    ],
  };
}
