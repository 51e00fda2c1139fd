import type { CreepRow, Material } from '../stock/index.js';
import { stateOf, type State } from './verdict.js';

/** Construction timber of the least usual grade, C16: characteristic bending strength, MPa (EN 338). */
const C16 = 16;

/** Woods that are bought as construction timber, whose clear-wood means never count. */
const SOFTWOODS = new Set(['douglas-fir', 'sitka-spruce', 'loblolly-pine', 'ponderosa-pine', 'white-pine', 'redcedar']);

/** Typical characteristic bending strength of sheets along and across, MPa; makers vary (EN 12369-1 for wood-based panels). */
const SHEETS: Readonly<Record<string, readonly [along: number, across: number]>> = {
  'birch-plywood': [40, 32],
  'birch-plywood-thin': [50, 29],
  'softwood-plywood': [23, 11],
  'poplar-plywood': [20, 15],
  'mdf-faced-plywood': [20, 18],
  mdf: [21, 21],
  'mdf-moisture': [22, 22],
  particleboard: [12.5, 12.5],
  'particleboard-moisture': [13.3, 13.3],
  osb3: [14.8, 7.4],
  hardboard: [30, 30],
};

/** kmod of EN 1995-1-1 table 3.1 for storage, a long-term load, by service class; null where the standard does not allow it. */
const KMOD: Readonly<Record<CreepRow, readonly [number | null, number | null, number | null]>> = {
  solid: [0.7, 0.7, 0.55],
  plywood: [0.7, 0.7, 0.55],
  osb3: [0.5, 0.4, null],
  'particleboard-p5': [0.45, 0.3, null],
  'particleboard-p4': [0.45, null, null],
  'mdf-hls': [0.4, null, null],
  'mdf-la': [0.4, null, null],
  metal: [null, null, null],
};

/** Partial factors of EN 1995-1-1 table 2.3. */
const GAMMA_M: Readonly<Record<CreepRow, number>> = {
  solid: 1.3,
  plywood: 1.2,
  osb3: 1.2,
  'particleboard-p5': 1.3,
  'particleboard-p4': 1.3,
  'mdf-hls': 1.3,
  'mdf-la': 1.3,
  metal: 1,
};

/** What loads are taken times, where the strength is a characteristic one (EN 1990 table A1.2(B), imposed load). */
const LOAD_FACTOR = 1.5;

/** Clear hardwood is allowed a quarter of its mean modulus of rupture under plain loads. */
const CLEAR_WOOD = 4;

/** What a material may be bent to under plain loads, MPa, or why that is not said. */
export type Strength =
  { readonly judged: true; readonly allowed: number; readonly basis: string } | { readonly judged: false; readonly reason: string };

/** The bending stress that a material may carry for years in a service class, along its length or across it. */
export function bendingStrength(material: Material, serviceClass: 1 | 2 | 3, across = false): Strength {
  const hardwood = material.form === 'solid' && !SOFTWOODS.has(material.id);
  if (hardwood && material.rupture !== undefined) {
    return {
      judged: true,
      allowed: material.rupture / CLEAR_WOOD,
      basis: `a quarter of the ${material.rupture} MPa at which clear ${material.name.toLowerCase()} breaks`,
    };
  }
  const sheet = SHEETS[material.id];
  const characteristic = material.form === 'solid' ? C16 : sheet?.[across ? 1 : 0];
  if (characteristic === undefined) return { judged: false, reason: `no strength is known for ${material.name}` };
  const kmod = KMOD[material.creep][serviceClass - 1];
  if (kmod === null || kmod === undefined)
    return { judged: false, reason: `${material.name} may not carry for years in service class ${serviceClass}` };
  const gamma = GAMMA_M[material.creep];
  const what = material.form === 'solid' ? 'C16 timber' : 'typical, makers vary';
  return {
    judged: true,
    allowed: (characteristic * kmod) / gamma / LOAD_FACTOR,
    basis: `${characteristic} MPa (${what}) × ${kmod} / ${gamma}, loads times ${LOAD_FACTOR}, EN 1995-1-1`,
  };
}

/** How a stress stands against what is allowed. */
export interface StrengthVerdict {
  readonly stress: number;
  readonly strength: Strength;
  /** Stress over what is allowed; null where it is not judged. */
  readonly used: number | null;
  readonly state: State;
}

export function judgeStress(stress: number, strength: Strength): StrengthVerdict {
  if (!strength.judged) return { stress, strength, used: null, state: 'not judged' };
  const used = stress / strength.allowed;
  return { stress, strength, used, state: stateOf(used, 1) };
}

/**
 * What wood bears square to its grain at an end, a post or a pin, for years, MPa: 0.007 of its
 * density for softwoods and 0.015 for hardwoods (EN 338), by kmod, its factor and that of loads.
 */
export function bearingStrength(material: Material, density: number, serviceClass: 1 | 2 | 3): Strength {
  if (material.form !== 'solid' && material.creep !== 'plywood')
    return { judged: false, reason: `no bearing strength is published for ${material.name}` };
  const kmod = KMOD[material.creep][serviceClass - 1];
  if (kmod === null || kmod === undefined)
    return { judged: false, reason: `${material.name} may not carry for years in service class ${serviceClass}` };
  const hardwood = material.form === 'solid' && !SOFTWOODS.has(material.id);
  const part = hardwood ? 0.015 : 0.007;
  // The characteristic density is about five sixths of the mean (EN 384).
  const characteristic = (part * density) / 1.2;
  return {
    judged: true,
    allowed: (characteristic * kmod) / GAMMA_M[material.creep] / LOAD_FACTOR,
    basis: `${part} of its density, EN 338`,
  };
}
