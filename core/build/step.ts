import { asKg, type Kilograms } from '../measures/index.js';
import type { Sentence } from '../figure/index.js';
import type { Bought } from '../piece/index.js';
import type { Vector } from '../solid/index.js';
import type { Work } from './works.js';

/** What a step is a part of, in the order of the work. */
export const PHASES = [
  'take out',
  'buy',
  'saw',
  'shape',
  'band',
  'recess',
  'drill',
  'sand',
  'dry fit',
  'frames',
  'together',
  'close',
  'moving',
  'hang',
  'fronts',
  'loose',
  'ease',
  'coats',
  'stand',
  'check',
] as const;
export type Phase = (typeof PHASES)[number];

/** What each is called by those who do it. */
export const PHASE_NAMES: Readonly<Record<Phase, string>> = {
  'take out': 'taking out',
  buy: 'buying',
  saw: 'sawing',
  shape: 'cutting outlines',
  band: 'edging',
  recess: 'grooving',
  drill: 'drilling',
  sand: 'sanding',
  'dry fit': 'dry fitting',
  frames: 'making frames',
  together: 'putting together',
  close: 'closing',
  moving: 'making drawers',
  hang: 'hanging drawers',
  fronts: 'fitting fronts',
  loose: 'putting in shelves',
  ease: 'easing edges',
  coats: 'finishing',
  stand: 'putting it where it stays',
  check: 'checking',
};

/** One setting of a tool, and what is done with it before it is changed. */
export interface Setup {
  readonly says: Sentence;
  readonly parts: readonly string[];
  readonly count: number;
}

/** A time in which nothing is done to what waits. */
export interface Wait {
  readonly minutes: number;
  readonly why: string;
}

/** One step of building a piece. */
export interface Step {
  readonly id: string;
  readonly phase: Phase;
  readonly title: string;
  /** The parts that it is about, in the order that they are taken up. */
  readonly parts: readonly string[];
  readonly works: readonly Work[];
  /** What goes in one after the other, each straight its way, or as it can where that is null; nothing where nothing is put together. */
  readonly goesIn: readonly { readonly parts: readonly string[]; readonly way: Vector | null }[];
  readonly setups: readonly Setup[];
  /** What is done, a sentence each. */
  readonly says: readonly Sentence[];
  readonly cautions: readonly string[];
  /** What is driven or put in, as it is bought. */
  readonly takes: readonly Bought[];
  /** What is put together so far is drawn; the parts alone where it is not. */
  readonly standing: readonly string[];
  /** What is lifted in it at the most, kg. */
  readonly kg: Kilograms;
  readonly wait: Wait | null;
  /** Steps that must be done before it. */
  readonly needs: readonly string[];
  /** Time at work, minutes. */
  readonly minutes: number;
}

/** A step before it is known what it needs. */
export type Draft = Omit<Step, 'needs'>;

const NOTHING = {
  parts: [],
  works: [],
  goesIn: [],
  setups: [],
  says: [],
  takes: [],
  cautions: [],
  standing: [],
  kg: asKg(0),
  wait: null,
} as const;

/** A step, with nothing of what most steps have not. @example draft({ id: 'saw', phase: 'saw', title: 'Saw', minutes: 27 }).minutes // 27 */
export function draft(step: Pick<Draft, 'id' | 'phase' | 'title' | 'minutes'> & Partial<Draft>): Draft {
  return { ...NOTHING, ...step };
}

/** The title of a step inside a sentence. @example titleWithin({ title: 'Saw the parts to size' }) // 'saw the parts to size' */
export const titleWithin = ({ title }: Pick<Step, 'title'>): string => title.charAt(0).toLowerCase() + title.slice(1);

/** More than this is lifted by two (about what is usually advised for one person at the height of the waist). */
export const ALONE = 20;
