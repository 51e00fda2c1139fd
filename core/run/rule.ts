import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, LONGEST_MEANT, SizeSchema, mm, sizeMeant } from '../length/index.js';

const closed = { additionalProperties: false } as const;

/** A gap of a given size. */
const Fixed = Type.Object({ kind: Type.Literal('fixed'), size: SizeSchema }, closed);

/** A gap as large as what stands in it, and a clearance over that. */
const Fit = Type.Object({ kind: Type.Literal('fit'), clearance: DistanceSchema }, closed);

/** A gap that takes a weighted part of what is left. */
const Share = Type.Object({ kind: Type.Literal('share'), weight: Type.Number({ minimum: 0.001, maximum: 1000 }) }, closed);

/** A gap larger (or, below zero, smaller) than the graded gap before it in the run by a length. */
const GradedStep = Type.Object(
  { kind: Type.Literal('graded'), step: Type.Integer({ minimum: -800_000_000, maximum: 800_000_000 }) },
  closed,
);

/** A gap so many times the graded gap before it in the run. */
const GradedRatio = Type.Object({ kind: Type.Literal('graded'), ratio: Type.Number({ minimum: 0.01, maximum: 10 }) }, closed);

/**
 * A gap of so many steps of a hole or groove pitch. With `overMember` the pitch runs from
 * one member's near edge to the next one's, so that the gap is less by the member's thickness.
 */
const Grid = Type.Object(
  {
    kind: Type.Literal('grid'),
    pitch: sizeMeant({ least: mm(1), greatest: LONGEST_MEANT }),
    steps: Type.Integer({ minimum: 1, maximum: 10_000 }),
    overMember: Type.Boolean(),
  },
  closed,
);

/** What decides the size of a gap. */
export const GapRuleSchema = Type.Union([Fixed, Fit, Share, GradedStep, GradedRatio, Grid]);
export type GapRule = Static<typeof GapRuleSchema>;

/** How free gaps are brought to the grid of the shop. */
export const RoundingSchema = Type.Object(
  {
    grid: sizeMeant({ least: mm(0.005), greatest: mm(50) }),
    /** `gaps` for those who use spacers, `edges` for those who mark from the tape, `exact` for neither. */
    set: Type.Union([Type.Literal('gaps'), Type.Literal('edges'), Type.Literal('exact')]),
    /** Where whole steps that are left over go. */
    leftover: Type.Union([Type.Literal('spread'), Type.Literal('first'), Type.Literal('last'), Type.Literal('total')]),
  },
  closed,
);
export type Rounding = Static<typeof RoundingSchema>;

/**
 * The rule of the gap that two become when what is between them goes: it fits where one of them does, and else shares unless both go by one kind of pitch or grade.
 * @example mergedRule({ kind: 'share', weight: 1 }, { kind: 'share', weight: 1 }).kind // 'share'
 */
export function mergedRule(before: GapRule, after: GapRule): GapRule {
  if (before.kind === 'fit') return before;
  if (after.kind === 'fit') return after;
  return before.kind === after.kind && before.kind !== 'fixed' ? before : { kind: 'share', weight: 1 };
}
