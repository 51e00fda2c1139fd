import { say, stress, type Sentence } from '../figure/index.js';
import { asMPa, type Megapascals } from '../measures/index.js';
import type { CreepRow, Material } from '../stock/index.js';
import { stateOf, type State } from './verdict.js';

/** Construction timber of the least usual grade, C16: characteristic bending strength, MPa (EN 338). */
const C16 = 16;

/** Woods that are bought as construction timber, whose clear-wood means never count. */
const SOFTWOODS = new Set(['douglas-fir', 'sitka-spruce', 'loblolly-pine', 'ponderosa-pine', 'white-pine', 'redcedar', 'spruce']);

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

/** What metals yield at, as the least grades of bars as sold, MPa: S235 (EN 10025-2) and EN AW-6060 T5 under 5 mm (EN 755-2). */
const YIELDS: Readonly<Record<string, number>> = { steel: 235, aluminium: 120 };

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

/** kmod for what is over within a week, such as people on it. */
const KMOD_SHORT: Readonly<Record<CreepRow, readonly [number | null, number | null, number | null]>> = {
  solid: [0.9, 0.9, 0.7],
  plywood: [0.9, 0.9, 0.7],
  osb3: [0.9, 0.7, null],
  'particleboard-p5': [0.85, 0.6, null],
  'particleboard-p4': [0.85, null, null],
  'mdf-hls': [0.8, 0.45, null],
  'mdf-la': [0.8, null, null],
  metal: [null, null, null],
};

/** How long a load lasts: for years, as what is stored, or for a short while, as people on it. */
export type Lasting = 'years' | 'short';
const KMODS = { years: KMOD, short: KMOD_SHORT } as const;

/**
 * What a load for a short while counts where it is held against what is safe for years: by solid wood and plywood, boards of chips hold more than that.
 * @example lastsShort(1) // 0.7 / 0.9
 */
export function lastsShort(serviceClass: 1 | 2 | 3): number {
  const [years, short] = [KMOD.solid, KMOD_SHORT.solid].map((row) => row[serviceClass - 1] as number) as [number, number];
  return years / short;
}

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

/**
 * How a stress stands to what is safe for years, in words.
 * @param used the stress over what is allowed
 * @param lasting whether that is for years, or for a moment
 * @example ofWhatIsSafe(1.32) // '1.3 times what is safe for years'
 * @example ofWhatIsSafe(0.95) // '95 % of what is safe for years'
 * @example ofWhatIsSafe(0.001) // 'less than 1 % of what is safe for years'
 */
export function ofWhatIsSafe(used: number, lasting = true): string {
  const many = used >= 1.1 ? `${Number(used.toFixed(1))}` : used.toFixed(2);
  const part = used < 0.005 ? 'less than 1' : Math.round(used * 100);
  return `${used > 1 ? `${many} times` : `${part} % of`} what is safe${lasting ? ' for years' : ''}`;
}

/** What a material may be bent to under plain loads, MPa, or why that is not said. */
export type Strength =
  { readonly judged: true; readonly allowed: Megapascals; readonly basis: Sentence } | { readonly judged: false; readonly reason: string };

/** Tension square to the grain of hardwood whose own is not published, by which a board that is bent that way splits: characteristic, MPa (EN 338:2016 table 1). */
const SPLITS = 0.6;

const isHardwood = (material: Material) => material.form === 'solid' && !SOFTWOODS.has(material.id);

/** Which grades a solid wood goes by. @example woodKind('pine') // 'softwood' */
export const woodKind = (material: Material): 'softwood' | 'hardwood' => (isHardwood(material) ? 'hardwood' : 'softwood');

/** What loads for years leave of a characteristic strength under plain loads, or why it is not to be used so. */
function lasting(material: Material, serviceClass: 1 | 2 | 3, how: Lasting): { readonly times: number; readonly basis: string } | string {
  const kmod = KMODS[how][material.creep][serviceClass - 1];
  if (kmod === null || kmod === undefined)
    return `${material.name} may not carry ${how === 'years' ? 'for years ' : ''}in service class ${serviceClass}`;
  const gamma = GAMMA_M[material.creep];
  return { times: kmod / gamma / LOAD_FACTOR, basis: `× ${kmod} / ${gamma}, loads times ${LOAD_FACTOR}, EN 1995-1-1` };
}

/** What loads for years leave of a characteristic value in a service class, 0 to 1; null where the material may not carry so there. @example lastingShare(PROPERTIES.material, 1) // 0.389 */
export function lastingShare(material: Material, serviceClass: 1 | 2 | 3): number | null {
  const lasts = lasting(material, serviceClass, 'years');
  return typeof lasts === 'string' ? null : lasts.times;
}

/** A characteristic strength under plain loads for years. @param what where the value is from */
function lastingStrength(
  characteristic: number,
  what: string,
  material: Material,
  serviceClass: 1 | 2 | 3,
  how: Lasting = 'years',
): Strength {
  const lasts = lasting(material, serviceClass, how);
  if (typeof lasts === 'string') return { judged: false, reason: lasts };
  return {
    judged: true,
    allowed: asMPa(characteristic * lasts.times),
    basis: say`${stress(asMPa(characteristic))} (${what}) ${lasts.basis}`,
  };
}

/** A quarter of what dry clear wood breaks at (the builder's usual caution); wet wood carries less, and a short load is less of one (EN 1995-1-1 table 3.1). */
function quarterOf(breaks: number, what: Sentence, serviceClass: 1 | 2 | 3, how: Lasting): Strength {
  const times = (KMODS[how].solid[serviceClass - 1] as number) / (KMOD.solid[0] as number);
  const changed = times < 1 ? ', less where it is wet' : times > 1 ? ', more for a short while' : '';
  return {
    judged: true,
    allowed: asMPa((breaks / CLEAR_WOOD) * times),
    basis: say`${what}${changed}${changed ? ' (EN 1995-1-1 table 3.1)' : ''}`,
  };
}

/**
 * The bending stress that a material may carry in a service class, for years or a short while, along its grain (the length of a sheet) or across it.
 * @example bendingStrength(PROPERTIES.material, 1).judged // true
 */
export function bendingStrength(material: Material, serviceClass: 1 | 2 | 3, across = false, how: Lasting = 'years'): Strength {
  const solid = material.form === 'solid';
  if (solid && across) {
    if (material.splits === undefined) return lastingStrength(SPLITS, 'across the grain, EN 338', material, serviceClass, how);
    const what = say`a quarter of the ${stress(asMPa(material.splits))} at which clear ${material.name.toLowerCase()} splits along its grain`;
    return quarterOf(material.splits, what, serviceClass, how);
  }
  if (isHardwood(material) && material.rupture !== undefined) {
    return quarterOf(
      material.rupture,
      say`a quarter of the ${stress(material.rupture)} at which clear ${material.name.toLowerCase()} breaks`,
      serviceClass,
      how,
    );
  }
  const yields = YIELDS[material.id];
  if (yields !== undefined)
    return {
      judged: true,
      allowed: asMPa(yields / LOAD_FACTOR),
      basis: say`yields at ${stress(asMPa(yields))}, loads times ${LOAD_FACTOR}`,
    };
  const characteristic = solid ? C16 : SHEETS[material.id]?.[across ? 1 : 0];
  if (characteristic === undefined) return { judged: false, reason: `no strength is known for ${material.name}` };
  return lastingStrength(characteristic, solid ? 'C16 timber' : 'typical, makers vary', material, serviceClass, how);
}

/** How a stress stands against what is allowed. */
export interface StrengthVerdict {
  readonly stress: Megapascals;
  readonly strength: Strength;
  /** Stress over what is allowed; null where it is not checked. */
  readonly used: number | null;
  readonly state: State;
}

/** Holds a stress against what a wood may carry. @example judgeStress(5, { judged: true, allowed: 10 }).used // 0.5 */
export function judgeStress(stress: Megapascals, strength: Strength): StrengthVerdict {
  if (!strength.judged) return { stress, strength, used: null, state: 'not checked' };
  const used = stress / strength.allowed;
  return { stress, strength, used, state: stateOf(used, 1) };
}

/** Which way a member is pressed: on the end of its grain, on its edge, or on its face. */
export type Pressed = 'end' | 'edge' | 'face';

/** Compression along the grain, characteristic, MPa: C16 and the least hardwood grade, D18 (EN 338:2016 table 1). */
const ALONG_GRAIN = { softwood: 17, hardwood: 18 } as const;

/** Compression square to the grain as a part of the characteristic density, MPa per kg/m³ (EN 338:2016, 5.2). */
const SQUARE_TO_GRAIN = { softwood: 0.007, hardwood: 0.01 } as const;

/** Compression in the plane of sheets, along plies or chips, the weaker way: typical characteristic values, MPa; makers vary (EN 12369-1 for wood-based panels). */
const IN_PLANE: Readonly<Record<string, number>> = {
  'birch-plywood': 20,
  'birch-plywood-thin': 20,
  'softwood-plywood': 11,
  'poplar-plywood': 10,
  'mdf-faced-plywood': 11,
  osb3: 12.7,
  particleboard: 11.1,
  'particleboard-moisture': 11.8,
  mdf: 10,
  'mdf-moisture': 10,
};

/** What a sheet bears in its plane, the weaker way, characteristic, MPa; undefined where nothing is published. @example inPlaneStrength(PROPERTIES.material) // 20 */
export const inPlaneStrength = ({ id }: Pick<Material, 'id'>): number | undefined => IN_PLANE[id];

/** Plywood whose plies are of hardwood. */
const HARDWOOD_PLIES = new Set(['birch-plywood', 'birch-plywood-thin']);

/**
 * What wood bears where it is pressed, for years, MPa: along its grain or the plies of a sheet on edge, or
 * square to them. The characteristic density is taken as five sixths of the mean (EN 384).
 * @example bearingStrength(PROPERTIES.material, 680, 1, 'flat').judged // true
 */
export function bearingStrength(material: Material, density: number, serviceClass: 1 | 2 | 3, pressed: Pressed): Strength {
  const solid = material.form === 'solid';
  if (!solid && pressed !== 'face') {
    const inPlane = IN_PLANE[material.id];
    if (inPlane === undefined) return { judged: false, reason: `no bearing strength is known for the edge of ${material.name}` };
    return lastingStrength(inPlane, 'in its plane, typical', material, serviceClass);
  }
  if (!solid && material.creep !== 'plywood') return { judged: false, reason: `no bearing strength is published for ${material.name}` };
  const wood = isHardwood(material) || HARDWOOD_PLIES.has(material.id) ? 'hardwood' : 'softwood';
  if (solid && pressed === 'end') return lastingStrength(ALONG_GRAIN[wood], 'along the grain, EN 338', material, serviceClass);
  const characteristic = Number(((SQUARE_TO_GRAIN[wood] * density) / 1.2).toFixed(2));
  return lastingStrength(characteristic, 'square to the grain, EN 338', material, serviceClass);
}

/**
 * What a wood presses a pin of steel with along a hole in it, for years, MPa: embedment (EN 1995-1-1 8.5.1.1 for
 * wood, 8.3.1.3 for sheets). @param diameter in mm
 * @example embedmentStrength(PROPERTIES.material, 680, 1, 5).judged // true
 */
export function embedmentStrength(material: Material, density: number, serviceClass: 1 | 2 | 3, diameter: number): Strength {
  const characteristic = density / 1.2;
  const value =
    material.form === 'solid'
      ? 0.082 * (1 - 0.01 * diameter) * characteristic
      : material.creep === 'plywood'
        ? 0.11 * characteristic * diameter ** -0.3
        : material.creep === 'osb3' || material.creep.startsWith('particleboard')
          ? 65 * diameter ** -0.7
          : null;
  if (value === null) return { judged: false, reason: `no value is published for a pin in ${material.name}` };
  return lastingStrength(Number(value.toFixed(1)), 'a pin in it, EN 1995-1-1 8.5', material, serviceClass);
}

/** Shear in the plane of a sheet, characteristic, MPa: cautious for all of them (EN 12369-1 has 3.5 for plywood and more for boards of chips), typical. */
const PANEL_SHEAR = 3;

/** The shear stress that a sheet may carry in its plane for years, MPa. @example panelShear(PROPERTIES.material, 1).judged // true */
export function panelShear(material: Material, serviceClass: 1 | 2 | 3): Strength {
  if (material.form !== 'sheet') return { judged: false, reason: `${material.name} is no sheet` };
  return lastingStrength(PANEL_SHEAR, 'shear in its plane, typical', material, serviceClass);
}
