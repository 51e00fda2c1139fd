import type { Settings } from '../project/index.js';
import type { CreepRow, Material } from '../stock/index.js';

/**
 * kdef of EN 1995-1-1 table 3.2 by service class 1, 2 and 3. Null where the standard does
 * not allow the material in that class.
 */
const KDEF: Readonly<Record<CreepRow, readonly [number | null, number | null, number | null]>> = {
  solid: [0.6, 0.8, 2.0],
  plywood: [0.8, 1.0, 2.5],
  osb3: [1.5, 2.25, null],
  'particleboard-p5': [2.25, 3.0, null],
  'particleboard-p4': [2.25, null, null],
  'mdf-hls': [2.25, 3.0, null],
  'mdf-la': [2.25, null, null],
  metal: [0, 0, 0],
};

/** The builders' school: half as much again for seasoned solid wood, twice for panels (NDS time-dependent factors). */
const SCHOOL_HALF = { solid: 1.5, sheet: 2.0, metal: 1 } as const;

/** By how much a lasting load's sag grows, or why that cannot be said. */
export type Creep =
  { readonly judged: true; readonly factor: number; readonly basis: string } | { readonly judged: false; readonly reason: string };

/**
 * The long-term factor on the sag of lasting loads for a material in the project's service class and school.
 * @example creepOf(PROPERTIES.material, SHOP.settings).factor // 1.8
 */
export function creepOf(material: Material, settings: Pick<Settings, 'serviceClass' | 'creepSchool'>): Creep {
  const kdef = KDEF[material.creep][settings.serviceClass - 1];
  if (kdef === null || kdef === undefined) {
    return { judged: false, reason: `${material.name} is not for service class ${settings.serviceClass}` };
  }
  if (settings.creepSchool === 'half') {
    return {
      judged: true,
      factor: SCHOOL_HALF[material.form],
      basis: material.form === 'solid' ? 'half as much again, seasoned solid wood' : 'twice for panels, NDS',
    };
  }
  return { judged: true, factor: 1 + kdef, basis: `1 + kdef ${kdef}, EN 1995-1-1 table 3.2, service class ${settings.serviceClass}` };
}
