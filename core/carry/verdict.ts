import type { Limit, Settings } from '../project/index.js';
import type { StockProperties } from '../stock/index.js';
import { BeamError, solveBeam, type BeamResult, type BeamSpec, type BeamStretch } from './beam.js';
import type { Creep } from './creep.js';
import type { LoadPattern } from './patterns.js';
import { rectangleSecondMoment, shearModulus, shearStiffness } from './section.js';

/** How a member stands: fine, close (from 80 % of the limit), fails, or not checked for want of something. */
export type State = 'fine' | 'close' | 'fails' | 'not checked';

/** Amber from this part of a limit on: the stiffness of wood scatters by some 20 %. */
export const CLOSE_FROM = 0.8;

/** The named limits that are always shown, strictest first, as parts of the span. */
export const NAMED_LIMITS: readonly { readonly over: number; readonly meaning: string }[] = [
  { over: 600, meaning: 'no one sees it, even beside a straight line' },
  { over: 384, meaning: 'what the eye sees on a clean edge, 1/32 in per foot' },
  { over: 360, meaning: 'the usual limit for floors' },
  { over: 240, meaning: 'seen, but sound' },
];

/** What a limit allows on a span, mm. @example allowed({ kind: 'span', over: 384 }, 576) // 1.5 */
export function allowed(limit: Limit, span: number): number {
  return limit.kind === 'span' ? span / limit.over : limit.mm;
}

/** How a limit is written. @example limitName({ kind: 'span', over: 384 }) // 'span/384' */
export function limitName(limit: Limit): string {
  return limit.kind === 'span' ? `span/${limit.over}` : `${limit.mm} mm`;
}

/** The verdict of an amount of sag against what is allowed. @example stateOf(0.9, 1) // 'close' */
export function stateOf(sag: number, most: number): State {
  if (sag > most) return 'fails';
  return sag >= CLOSE_FROM * most ? 'close' : 'fine';
}

const ORDER: readonly State[] = ['fine', 'not checked', 'close', 'fails'];

/** The more serious of two states. @example worse('close', 'fails') // 'fails' */
export function worse(a: State, b: State): State {
  return ORDER.indexOf(a) >= ORDER.indexOf(b) ? a : b;
}

const MPA_PER_GPA = 1000;

/** What bends: its section and what it is made of. Width and thickness in mm. */
export interface Bending {
  readonly width: number;
  readonly thickness: number;
  readonly properties: StockProperties;
  /** True for what spans across its grain, or across the length of its sheet, with the stiffness and strength it has that way. */
  readonly acrossGrain?: boolean;
  /** Bending stiffness of a section of several parts, N mm²; that of the rectangle where it is left out. */
  readonly EI?: number;
  /** Where notches leave only a part of its width, from the start of the beam, mm. */
  readonly narrow?: readonly Narrowed[];
}

/** A stretch of a member that a notch leaves so much of, as a part of its width. */
export interface Narrowed {
  readonly from: number;
  readonly to: number;
  readonly share: number;
}

/** The stretches of a beam, less stiff where it is notched. */
function stretchesOf(length: number, { narrow = [] }: Bending, whole: Omit<BeamStretch, 'to'>): readonly BeamStretch[] {
  const stretches: BeamStretch[] = [];
  for (const { from, to, share } of [...narrow].sort((a, b) => a.from - b.from)) {
    if (from > 0) stretches.push({ ...whole, to: from });
    const shear = whole.shear === undefined ? {} : { shear: whole.shear * share };
    stretches.push({ EI: whole.EI * share, ...shear, to });
  }
  return (stretches.at(-1)?.to ?? 0) < length ? [...stretches, { ...whole, to: length }] : stretches;
}

/** The bending stiffness of a section, N mm². @example stiffnessOf({ width: 300, thickness: 20, properties: { elastic: 9.5 } }) // 1_900_000_000 */
export function stiffnessOf({ width, thickness, properties, EI }: Bending): number {
  return EI ?? properties.elastic * MPA_PER_GPA * rectangleSecondMoment(width, thickness);
}

/** The sag of a member by the two ways of reading a table's E. */
export interface Sag {
  /** With the table's E and bending alone; the table's own test hid some shear in E. */
  readonly bending: BeamResult;
  /** With 1.1 times the table's E and shear counted by itself (G = E/16, typical); worked out when first asked for. */
  readonly withShear: () => BeamResult;
  /** The one that gives the greater sag. */
  readonly result: BeamResult;
  /** The greater of the two, mm, and where. */
  readonly mm: number;
  readonly x: number;
  readonly decides: 'bending' | 'withShear';
}

const FREE_OF_SHEAR = 1.1;

/**
 * From this many thicknesses of span on, the first way of reading E always decides: shear is at
 * most 0.96 (E/G) (t/L)² of a simple span's bending, some twice that where it is loaded unevenly,
 * five times that with fixed ends, which there is less than the tenth that the second way adds to E.
 */
const SLENDER = {
  simple: { solid: 18, sheet: 31, metal: 18 },
  other: { solid: 30, sheet: 50, metal: 30 },
} as const;

function slenderFrom({ supports, points }: Omit<BeamSpec, 'stretches'>, { properties }: Bending): number {
  const simple = supports.length === 2 && points.length === 0 && supports.every((s) => !s.fixed);
  return SLENDER[simple ? 'simple' : 'other'][properties.material.form];
}

/**
 * The sag of a beam of one section all along, but for its notches.
 * @param loads the beam without its stiffness
 * @param span its shortest stretch between supports, mm
 * @example sagOf({ length: 1000, supports: [{ x: 0 }, { x: 1000 }], lines: [{ from: 0, to: 1000, perMm: 0.1 }], points: [] }, { width: 300, thickness: 20, properties: PROPERTIES, EI: 1e9 }).mm // 1.302
 */
export function sagOf(loads: Omit<BeamSpec, 'stretches'>, section: Bending, span = loads.length): Sag {
  const { width, thickness, properties } = section;
  const EI = stiffnessOf(section);
  const bending = solveBeam({ ...loads, stretches: stretchesOf(loads.length, section, { EI }) });
  const shear = shearStiffness(FREE_OF_SHEAR * shearModulus(properties), width, thickness);
  let known: BeamResult | null = null;
  const solveShear = () => {
    try {
      return solveBeam({ ...loads, stretches: stretchesOf(loads.length, section, { EI: FREE_OF_SHEAR * EI, shear }) });
    } catch (error) {
      // Where slivers leave no digits for the second way, the first one stands for it.
      if (error instanceof BeamError) return bending;
      throw error;
    }
  };
  const withShear = () => (known ??= solveShear());
  // Of a section of several parts the whole height counts, which is not known here: both ways are asked.
  const slender = section.EI === undefined && span >= slenderFrom(loads, section) * thickness;
  const decides = slender || bending.greatest.mm >= withShear().greatest.mm ? 'bending' : 'withShear';
  const result = decides === 'bending' ? bending : withShear();
  return { bending, withShear, result, mm: result.greatest.mm, x: result.greatest.x, decides };
}

/** The sag under the worst of several patterns of load, and what all of the load together does. */
export interface WorstSag {
  readonly sag: Sag;
  /** Under all of the load, for what is given on to supports. */
  readonly full: BeamResult;
  /** How many patterns were tried. */
  readonly tried: number;
  /** The pattern that it sags most under, and the one of those with all of the load on. */
  readonly worst: LoadPattern;
  readonly whole: LoadPattern;
  /** The greatest bending moment of any pattern, N mm. */
  readonly moment: number;
  /** The most that each support carries under any pattern, N. */
  readonly most: readonly number[];
}

/** Patterns that are as bad as each other but for rounding: the first of them counts. */
const ALIKE = 1e-6;

/** @param patterns the first has all of the load */
export function worstSag(patterns: readonly LoadPattern[], section: Bending, span?: number): WorstSag {
  const all = patterns.map((p) => sagOf(p, section, span));
  const full = all[0] as Sag;
  const carried = (s: Sag) => s.result.reactions.map((r) => r.newtons);
  const first = patterns[0] as LoadPattern;
  if (all.length === 1)
    return { sag: full, full: full.result, tried: 1, worst: first, whole: first, moment: full.result.moment, most: carried(full) };
  const mm = (i: number) => (all[i] as Sag).mm;
  const sag = all.reduce((worst, s) => (s.mm > worst.mm * (1 + ALIKE) ? s : worst), full);
  return {
    sag,
    full: full.result,
    tried: all.length,
    worst: patterns[all.indexOf(sag)] ?? first,
    whole: patterns.reduce((most, p, i) => (p.partial || mm(i) <= mm(patterns.indexOf(most)) * (1 + ALIKE) ? most : p), first),
    moment: Math.max(...all.map((s) => s.result.moment)),
    most: carried(full).map((_, i) => Math.max(...all.map((s) => carried(s)[i] as number))),
  };
}

/** The three answers, side by side. */
export interface Verdict {
  readonly today: { readonly mm: number; readonly state: State };
  readonly later: { readonly mm: number; readonly state: State } | null;
  readonly creep: Creep;
  /** What the project's limit allows on this span, or the room under what nobody sees, mm. */
  readonly allowed: number;
  /** The strictest named limit that is met in the long term (today's, where the long term is not checked); null for none. */
  readonly meets: { readonly over: number; readonly meaning: string } | null;
  /** The sag as a part of the span, span / this, in the long term where it is judged. */
  readonly ratio: number;
  readonly state: State;
}

/**
 * Judges a sag on a span, all of the load lasting, against the project's limit.
 * @param room what nobody sees may sag into the room under it, mm, whatever the limit; null for what is seen
 * @example judge(1, 384, CARRIED.bending.verdict.creep, SHOP.settings).allowed // 1
 */
export function judge(sag: number, span: number, creep: Creep, settings: Settings, room: number | null = null): Verdict {
  const most = room ?? allowed(settings.limit, span);
  const today = { mm: sag, state: stateOf(sag, most) };
  const later = creep.judged ? { mm: sag * creep.factor, state: stateOf(sag * creep.factor, most) } : null;
  const lasting = later?.mm ?? sag;
  return {
    today,
    later,
    creep,
    allowed: most,
    meets: NAMED_LIMITS.find((l) => lasting <= span / l.over) ?? null,
    ratio: lasting > 0 ? span / lasting : Infinity,
    // Without its long term a sag that passes today is not known to pass.
    state: later ? worse(today.state, later.state) : today.state === 'fails' ? 'fails' : 'not checked',
  };
}
