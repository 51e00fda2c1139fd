import { asGPa, asMPa, type Gigapascals, type Megapascals } from '../measures/index.js';

/** How a material creeps: which row of EN 1995-1-1 table 3.2 it falls under. */
export type CreepRow = 'solid' | 'plywood' | 'osb3' | 'particleboard-p5' | 'particleboard-p4' | 'mdf-hls' | 'mdf-la' | 'metal';

/** What is known of a kind of wood or sheet. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly form: 'solid' | 'sheet' | 'metal';
  /** Modulus of elasticity along the grain or the length of the sheet, GPa. */
  readonly elastic: Gigapascals;
  /** Across the grain or the sheet, GPa, where it is known. */
  readonly elasticAcross?: Gigapascals;
  /** Shear modulus in its plane, which decides how it twists, GPa; where it is left out it follows from E. */
  readonly shear?: Gigapascals;
  /** kg/m³ at 12 % moisture. */
  readonly density: number;
  /** Modulus of rupture of clear wood, MPa. */
  readonly rupture?: Megapascals;
  /** Tension square to the grain at which clear wood splits, MPa, where it is published. */
  readonly splits?: number;
  readonly creep: CreepRow;
  /** The source of the values, as shown to the builder. */
  readonly source: string;
}

const WOOD_HANDBOOK = 'USDA Wood Handbook FPL-GTR-282, table 5-3a, at 12 %';
const TYPICAL = 'typical, varies by maker; use the maker’s figure or your own test';

/** Density at 12 % moisture from specific gravity G on green volume basis as tabled: 1120 G kg/m³. */
export const DENSITY_PER_G = 1120;

function solid(id: string, name: string, elastic: number, rupture: number, gravity: number, splits?: number): Material {
  const own = splits === undefined ? {} : { splits };
  return {
    id,
    name,
    form: 'solid',
    elastic: asGPa(elastic),
    rupture: asMPa(rupture),
    ...own,
    density: DENSITY_PER_G * gravity,
    creep: 'solid',
    source: WOOD_HANDBOOK,
  };
}

function sheet(id: string, name: string, along: number, across: number, density: number, creep: CreepRow, shear?: number): Material {
  const own = shear === undefined ? {} : { shear: asGPa(shear) };
  return { id, name, form: 'sheet', elastic: asGPa(along), elasticAcross: asGPa(across), density, creep, source: TYPICAL, ...own };
}

/** A metal as bars and angles are sold, that ties and stiffens. */
function metal(id: string, name: string, elastic: number, density: number): Material {
  return {
    id,
    name,
    form: 'metal',
    elastic: asGPa(elastic),
    density,
    shear: asGPa(elastic / 2.6),
    creep: 'metal',
    source: 'typical of bars and angles as sold',
  };
}

/** Everything Ruvok knows the stiffness of. */
export const MATERIALS: readonly Material[] = [
  sheet('birch-plywood', 'Birch plywood', 9.5, 7.0, 680, 'plywood', 0.62),
  sheet('birch-plywood-thin', 'Birch plywood, thin', 12.7, 4.8, 680, 'plywood', 0.62),
  sheet('softwood-plywood', 'Softwood plywood', 8.0, 3.0, 550, 'plywood', 0.5),
  sheet('poplar-plywood', 'Poplar plywood', 6.0, 4.5, 480, 'plywood', 0.45),
  sheet('mdf-faced-plywood', 'MDF-faced plywood', 5.0, 4.5, 620, 'plywood', 0.5),
  sheet('mdf', 'MDF', 3.0, 3.0, 750, 'mdf-la'),
  sheet('mdf-moisture', 'MDF, moisture resistant', 3.0, 3.0, 750, 'mdf-hls'),
  sheet('particleboard', 'Particleboard P4', 2.0, 2.0, 680, 'particleboard-p4'),
  sheet('particleboard-moisture', 'Particleboard P5', 2.0, 2.0, 680, 'particleboard-p5'),
  sheet('osb3', 'OSB/3', 4.9, 1.9, 620, 'osb3', 1.08),
  sheet('hardboard', 'Hardboard', 4.5, 4.5, 950, 'mdf-la'),
  solid('red-oak', 'Northern red oak', 12.5, 99, 0.63, 5.5),
  solid('white-oak', 'White oak', 12.3, 105, 0.68, 5.5),
  solid('sugar-maple', 'Sugar maple', 12.6, 109, 0.63),
  solid('yellow-birch', 'Yellow birch', 13.9, 114, 0.62, 6.3),
  solid('beech', 'American beech', 11.9, 103, 0.64, 7.0),
  solid('white-ash', 'White ash', 12.0, 103, 0.6, 6.5),
  solid('black-walnut', 'Black walnut', 11.6, 101, 0.55, 4.8),
  solid('black-cherry', 'Black cherry', 10.3, 85, 0.5, 3.9),
  solid('yellow-poplar', 'Yellow-poplar', 10.9, 70, 0.42, 3.7),
  solid('red-alder', 'Red alder', 9.5, 68, 0.41, 2.9),
  solid('douglas-fir', 'Douglas-fir, coast', 13.4, 85, 0.48, 2.3),
  solid('sitka-spruce', 'Sitka spruce', 10.8, 70, 0.4, 2.6),
  solid('loblolly-pine', 'Loblolly pine', 12.3, 88, 0.51, 3.2),
  solid('ponderosa-pine', 'Ponderosa pine', 8.9, 65, 0.4, 2.9),
  solid('white-pine', 'Eastern white pine', 8.5, 59, 0.35, 2.1),
  solid('redcedar', 'Western redcedar', 7.7, 52, 0.32, 1.5),
  // Planed timber as it is graded in Europe.
  {
    id: 'spruce',
    name: 'Spruce',
    form: 'solid',
    elastic: asGPa(11),
    density: 420,
    creep: 'solid',
    source: 'EN 338:2016 table 1, means of C24',
  },
  metal('steel', 'Steel', 200, 7850),
  metal('aluminium', 'Aluminium', 69, 2700),
];

const byId = new Map(MATERIALS.map((material) => [material.id, material]));

/** The material of an id; undefined for one that is not known. @example materialOf('birch-plywood').form // 'sheet' */
export function materialOf(id: string): Material | undefined {
  return byId.get(id);
}
