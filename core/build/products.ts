/** A glue as its maker describes it. All times at 20 °C. */
export interface Glue {
  readonly id: 'pva' | 'pu' | 'epoxy' | 'none';
  readonly name: string;
  /** Until it must be closed, clamped, and until it may be worked, minutes. */
  readonly open: number;
  readonly clamp: number;
  readonly cure: number;
  /** Under this it does not set, °C. */
  readonly least: number;
  readonly caution: string | null;
}

const DAY = 24 * 60;

/** Usual glues; typical figures, the maker's sheet has the last word. */
export const GLUES = [
  { id: 'pva', name: 'white wood glue (PVA D3)', open: 8, clamp: 45, cure: DAY, least: 10, caution: null },
  { id: 'pu', name: 'polyurethane glue', open: 20, clamp: 180, cure: DAY, least: 5, caution: 'Polyurethane glue: gloves, and air.' },
  {
    id: 'epoxy',
    name: 'epoxy',
    open: 30,
    clamp: 480,
    cure: 2 * DAY,
    least: 10,
    caution: 'Epoxy: gloves, air, and no sanding before it is hard.',
  },
  { id: 'none', name: 'no glue', open: 0, clamp: 0, cure: 0, least: -40, caution: null },
] as const satisfies readonly Glue[];

/** A finish as its maker describes it. */
export interface Finish {
  readonly id: 'oil' | 'hard-wax-oil' | 'water-varnish' | 'paint' | 'none';
  readonly name: string;
  /** m² that a litre covers once. */
  readonly spread: number;
  /** Between coats, and before it is used, minutes at 20 °C. */
  readonly between: number;
  readonly before: number;
  readonly caution: string | null;
}

const RAGS = 'Rags with oil set themselves on fire: dry them spread out outdoors, or keep them under water.';

/** Usual finishes; typical figures, the tin has the last word. */
export const FINISHES = [
  { id: 'oil', name: 'oil', spread: 12, between: 12 * 60, before: 5 * DAY, caution: RAGS },
  { id: 'hard-wax-oil', name: 'hard wax oil', spread: 24, between: 10 * 60, before: 3 * DAY, caution: RAGS },
  { id: 'water-varnish', name: 'water-based varnish', spread: 10, between: 3 * 60, before: 2 * DAY, caution: 'Varnish: air, and no dust.' },
  {
    id: 'paint',
    name: 'primer and paint',
    spread: 10,
    between: 6 * 60,
    before: 2 * DAY,
    caution: 'Paint: air, and a mask for sanding between coats.',
  },
  { id: 'none', name: 'left bare', spread: 1, between: 0, before: 0, caution: null },
] as const satisfies readonly Finish[];

export type GlueId = (typeof GLUES)[number]['id'];
export type FinishId = (typeof FINISHES)[number]['id'];

/** A glue by its id. @example glueOf('pva').open // 8 */
export const glueOf = (id: GlueId): Glue => GLUES.find((g) => g.id === id) ?? GLUES[0];
/** A finish by its id. @example finishOf('oil').spread // 12 */
export const finishOf = (id: FinishId): Finish => FINISHES.find((f) => f.id === id) ?? FINISHES[0];

/**
 * What a time at 20 °C becomes elsewhere: twice as long for every 10 °C less, as setting and drying roughly go; never shorter than half.
 * @example timeAt(60, 10) // 120
 */
export function timeAt(minutes: number, celsius: number): number {
  return Math.round(minutes * Math.max(0.5, 2 ** ((20 - celsius) / 10)));
}
