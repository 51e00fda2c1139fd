import { say, size, type Figure } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import type { NeedContext } from '../interiors/kind.js';
import { spaceNeed } from '../interiors/need.js';
import type { Axis, Overall, Piece, ShapeProblem } from '../piece/index.js';
import { isMeasured, roomFor, type Reach } from '../survey/index.js';

/** What lies between the overall size and the clear inside along one axis, each taken off in turn. */
export type Deductions = readonly Figure[];

/** What is left of a size after deductions. */
export function takeOff(from: Figure, deductions: Deductions): Figure {
  return deductions.reduce((rest, d) => rest.minus(d), from);
}

/** The size that leaves so much after deductions. */
export function putOn(inside: Figure, deductions: Deductions): Figure {
  return deductions.reduce((whole, d) => whole.plus(d), inside);
}

/** One overall size, and what keeps it from being right. */
export interface AxisSize {
  readonly overall: Figure;
  readonly problems: readonly ShapeProblem[];
  /** Nothing decides it yet, so that it only stands in for a size. */
  readonly assumed: boolean;
}

/** Which of the three overall sizes only stand in. */
export function assumedOf(axes: Readonly<Record<Reach, AxisSize>>): readonly Reach[] {
  return (['width', 'height', 'depth'] as const).filter((reach) => axes[reach].assumed);
}

const AXIS_OF: Readonly<Record<Reach, Axis>> = { width: 'across', height: 'up', depth: 'deep' };

/** What the contents ask for along one axis, or a stand-in size with a problem that says nothing decides it. */
function fromContents(piece: Piece, reach: Reach, context: NeedContext, deductions: Deductions): AxisSize {
  const need = spaceNeed(piece.interior, AXIS_OF[reach], context);
  if (need) return { overall: putOn(need, deductions).named(`overall ${reach}`), problems: [], assumed: false };
  const standIn = mm(reach === 'depth' ? 300 : 800);
  return {
    overall: size(`overall ${reach}, assumed`, standIn),
    assumed: true,
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
  const choice = (end: 'least' | 'greatest') => ({ in: 'overall', field: `${reach}.${end}` }) as const;
  if (rule.greatest !== undefined && value > rule.greatest) {
    return { ...wanted, overall: size(`overall ${reach}, at most`, rule.greatest, choice('greatest')) };
  }
  if (rule.least !== undefined && value < rule.least) {
    return { ...wanted, overall: size(`overall ${reach}, at least`, rule.least, choice('least')) };
  }
  return wanted;
}

/**
 * One overall size of a piece, by what decides it.
 * @param deductions all that lies between the outside and the clear inside
 * @param backOnly what lies behind the sides
 */
export function axisSize(piece: Piece, reach: Reach, context: NeedContext, deductions: Deductions, backOnly: Deductions): AxisSize {
  const rule = piece[reach];
  switch (rule.from) {
    case 'given': {
      const given = size(
        rule.of === 'inside' ? `inside ${reach}` : rule.of === 'sides' ? `${reach} of the sides` : `overall ${reach}`,
        rule.size,
        { in: 'overall', field: `${reach}.size` },
      );
      if (rule.of === 'overall') return { overall: given, problems: [], assumed: false };
      const added = rule.of === 'inside' ? deductions : backOnly;
      return { overall: added.length > 0 ? putOn(given, added).named(`overall ${reach}`) : given, problems: [], assumed: false };
    }
    case 'opening': {
      const opening = piece.opening ? context.workshop.openings.get(piece.opening) : undefined;
      if (!piece.opening || !opening) {
        const standIn = fromContents(piece, reach, context, deductions);
        return {
          overall: standIn.overall,
          assumed: true,
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
      return {
        overall: roomFor(piece.opening, opening, reach).named(`overall ${reach}`),
        problems: [],
        assumed: !isMeasured(opening, reach),
      };
    }
    case 'contents':
      return fromContents(piece, reach, context, deductions);
    case 'bounded':
      return bound(fromContents(piece, reach, context, deductions), rule, reach);
  }
}

/** A size that leaves nothing clear inside. */
export function nothingClear(reach: Reach, inside: Figure): ShapeProblem[] {
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
