import { Figure, say, size } from '../../figure/index.js';
import { ZERO, mm, type Length } from '../../length/index.js';
import { spaceNeed, type NeedAxis, type NeedContext } from '../../interiors/need.js';
import type { Overall, Piece, ShapeProblem } from '../../piece/index.js';
import { thicknessOf, type Workshop } from '../../project/index.js';
import type { Stock } from '../../stock/index.js';
import { roomFor, type Reach } from '../../survey/index.js';

/** A stock record with its id and its measured thickness. */
export interface Wood {
  readonly id: string;
  readonly stock: Stock;
  readonly thickness: Figure;
}

/** The woods of a case. */
export interface Woods {
  readonly sides: Wood;
  readonly shelves: Wood;
  readonly dividers: Wood;
  readonly back: Wood;
  readonly base: Wood;
}

/** The outside and the clear inside of a case, settled before anything in it. */
export interface Envelope {
  readonly width: Figure;
  readonly height: Figure;
  readonly depth: Figure;
  readonly sidesDepth: Figure;
  readonly baseHeight: Figure;
  readonly inside: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  /** Where the clear inside begins: from the outside left, the floor and the rear. */
  readonly start: { readonly x: Figure; readonly y: Figure; readonly z: Figure };
  readonly problems: readonly ShapeProblem[];
}

const STAND_IN: Stock = {
  name: 'missing stock',
  form: 'sheet',
  material: 'birch-plywood',
  nominal: mm(18),
  thickness: mm(18),
  length: mm(2440),
  width: mm(1220),
};

/** Looks up the woods of a case; one that is missing stops the build and is drawn 18 thick. */
export function woodsOf(piece: Piece, workshop: Workshop): { woods: Woods; problems: ShapeProblem[] } {
  const problems: ShapeProblem[] = [];
  const wood = (use: string, id: string): Wood => {
    const stock = workshop.stock.get(id);
    if (!stock) {
      problems.push({
        id: `stock-missing-${use}`,
        about: piece.name,
        stops: true,
        sentence: say`The stock chosen for the ${use} is no longer in the stockroom.`,
        fixes: [...workshop.stock].slice(0, 3).map(([other, s]) => ({
          label: say`Use ${s.name}`,
          edit: { kind: 'piece', patch: { stock: { ...piece.stock, [use]: other } } },
        })),
      });
    }
    const found = stock ?? STAND_IN;
    return { id, stock: found, thickness: thicknessOf(id, found) };
  };
  const { sides, shelves, dividers, back, base } = piece.stock;
  return {
    woods: {
      sides: wood('sides', sides),
      shelves: wood('shelves', shelves),
      dividers: wood('dividers', dividers),
      back: piece.back.kind === 'none' ? wood('sides', sides) : wood('back', back ?? sides),
      base: piece.base.kind === 'none' ? wood('sides', sides) : wood('base', base ?? sides),
    },
    problems,
  };
}

/** What lies between the overall size and the clear inside along one axis, each taken off in turn. */
type Deductions = readonly Figure[];

function takeOff(from: Figure, deductions: Deductions): Figure {
  return deductions.reduce((rest, d) => rest.minus(d), from);
}

function putOn(inside: Figure, deductions: Deductions): Figure {
  return deductions.reduce((whole, d) => whole.plus(d), inside);
}

interface AxisSize {
  readonly overall: Figure;
  readonly problems: readonly ShapeProblem[];
}

const AXIS_OF: Readonly<Record<Reach, NeedAxis>> = { width: 'across', height: 'up', depth: 'deep' };

/** What the contents ask for along one axis, or a stand-in size with a problem that says nothing decides it. */
function fromContents(piece: Piece, reach: Reach, context: NeedContext, deductions: Deductions): AxisSize {
  const need = spaceNeed(piece.interior, AXIS_OF[reach], context);
  if (need) return { overall: putOn(need, deductions).named(`overall ${reach}`), problems: [] };
  const standIn = mm(reach === 'depth' ? 300 : 800);
  return {
    overall: size(`overall ${reach}, for now`, standIn),
    problems: [
      {
        id: `no-${reach}`,
        about: piece.name,
        stops: true,
        sentence: say`Nothing that stands in it has a size yet, so nothing decides the ${reach}.`,
        fixes: [
          {
            label: say`Give the ${reach} instead`,
            edit: { kind: 'piece', patch: { [reach]: { from: 'given', size: standIn, of: 'overall' } } },
          },
        ],
      },
    ],
  };
}

function bound(wanted: AxisSize, rule: Extract<Overall, { from: 'bounded' }>, reach: Reach): AxisSize {
  const value = wanted.overall.value;
  const choice = { kind: 'choice', ref: `piece:${reach}` } as const;
  if (rule.greatest !== undefined && value > rule.greatest) {
    return { ...wanted, overall: size(`overall ${reach}, at most`, rule.greatest, choice) };
  }
  if (rule.least !== undefined && value < rule.least) {
    return { ...wanted, overall: size(`overall ${reach}, at least`, rule.least, choice) };
  }
  return wanted;
}

function axisSize(piece: Piece, reach: Reach, context: NeedContext, deductions: Deductions, backOnly: Deductions): AxisSize {
  const rule = piece[reach];
  switch (rule.from) {
    case 'given': {
      const given = size(
        rule.of === 'inside' ? `inside ${reach}` : rule.of === 'sides' ? `${reach} of the sides` : `overall ${reach}`,
        rule.size,
        { kind: 'choice', ref: `piece:${reach}` },
      );
      if (rule.of === 'overall') return { overall: given, problems: [] };
      const added = rule.of === 'inside' ? deductions : backOnly;
      return { overall: added.length > 0 ? putOn(given, added).named(`overall ${reach}`) : given, problems: [] };
    }
    case 'opening': {
      const opening = piece.opening ? context.workshop.openings.get(piece.opening) : undefined;
      if (!piece.opening || !opening) {
        const standIn = fromContents(piece, reach, context, deductions);
        return {
          overall: standIn.overall,
          problems: [
            {
              id: `no-opening-${reach}`,
              about: piece.name,
              stops: true,
              sentence: say`The ${reach} should come from an opening, but none is chosen.`,
              fixes: [...context.workshop.openings].slice(0, 3).map(([id, o]) => ({
                label: say`Use ${o.name}`,
                edit: { kind: 'piece', patch: { opening: id } },
              })),
            },
          ],
        };
      }
      return { overall: roomFor(piece.opening, opening, reach).named(`overall ${reach}`), problems: [] };
    }
    case 'contents':
      return fromContents(piece, reach, context, deductions);
    case 'bounded':
      return bound(fromContents(piece, reach, context, deductions), rule, reach);
  }
}

function depthDeductions(piece: Piece, back: Wood): { all: Deductions; behindSides: Deductions } {
  switch (piece.back.kind) {
    case 'none':
      return { all: [], behindSides: [] };
    case 'applied':
      return { all: [back.thickness.named('back')], behindSides: [back.thickness.named('back')] };
    case 'rebate':
      return { all: [back.thickness.named('back')], behindSides: [] };
    case 'groove': {
      const inset = size('groove in from the rear', piece.back.inset, { kind: 'choice', ref: 'piece:back' });
      return { all: piece.back.inset === ZERO ? [back.thickness.named('back')] : [inset, back.thickness.named('back')], behindSides: [] };
    }
  }
}

function baseFigure(piece: Piece): Figure | null {
  const { base } = piece;
  if (base.kind === 'none') return null;
  return size(base.kind === 'toe' ? 'toe' : 'plinth', base.height, { kind: 'choice', ref: 'piece:base' });
}

function tooSmall(reach: Reach, inside: Figure): ShapeProblem[] {
  if (inside.value > ZERO) return [];
  return [
    {
      id: `inside-${reach}`,
      about: reach,
      stops: true,
      sentence: say`The ${reach} leaves nothing clear inside: the opening is smaller than its slack and the wood together.`,
      fixes: [],
    },
  ];
}

/**
 * Settles the outside and the clear inside of a case: depth first, since it decides how
 * many things stand behind each other, then width, then height.
 */
export function envelopeOf(piece: Piece, workshop: Workshop, woods: Woods): Envelope {
  const context: NeedContext = {
    workshop,
    stock: piece.stock,
    rounding: piece.rounding ?? workshop.settings.rounding,
  };
  const side = woods.sides.thickness;
  const deep = depthDeductions(piece, woods.back);
  const shelfSetback = piece.shelves.setback === ZERO ? [] : [size('shelves back from the front', piece.shelves.setback)];
  const depth = axisSize(
    piece,
    'depth',
    context,
    piece.depth.from === 'given' ? deep.all : [...deep.all, ...shelfSetback],
    deep.behindSides,
  );
  const insideDepth = takeOff(depth.overall, deep.all);
  const standing = { ...context, depth: Math.max(1, insideDepth.value - piece.shelves.setback) as Length };

  const sides = side.times(2).named('two sides');
  const width = axisSize(piece, 'width', standing, [sides], []);
  const insideWidth = width.overall.minus(sides);

  const base = baseFigure(piece);
  const panels = side.times(2).named('top and bottom');
  const high = base ? [base, panels] : [panels];
  const height = axisSize(piece, 'height', { ...standing, width: Math.max(1, insideWidth.value) as Length }, high, []);
  const insideHeight = takeOff(height.overall, high);

  return {
    width: width.overall,
    height: height.overall,
    depth: depth.overall,
    sidesDepth: takeOff(depth.overall, deep.behindSides),
    baseHeight: base ?? size('no base', ZERO),
    inside: { width: insideWidth, height: insideHeight, depth: insideDepth },
    start: {
      x: side.named('side'),
      y: base ? base.plus(side.named('bottom')) : side.named('bottom'),
      z: deep.all.length > 0 ? Figure.sum(deep.all) : size('rear', ZERO),
    },
    problems: [
      ...depth.problems,
      ...width.problems,
      ...height.problems,
      ...tooSmall('depth', insideDepth),
      ...tooSmall('width', insideWidth),
      ...tooSmall('height', insideHeight),
    ],
  };
}
