import { asGPa, type Gigapascals } from '../measures/index.js';
import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema, mm, sizeFrom, sizeMeant, type Meant } from '../length/index.js';
import { NameSchema } from '../ids/index.js';
import { MATERIALS, materialOf, type Material } from './material.js';

const closed = { additionalProperties: false } as const;

/** Where nothing may come from, right across: a knot, a split, a dent; from the end that is measured from. */
const FlawSchema = Type.Object({ from: DistanceSchema, to: SizeSchema }, closed);
export type Flaw = Static<typeof FlawSchema>;

/** A rest that is kept, or a board that was looked over; its edges sawn true. */
export const OffcutSchema = Type.Object(
  {
    name: NameSchema,
    length: SizeSchema,
    width: SizeSchema,
    count: Type.Integer({ minimum: 1, maximum: 1000 }),
    /** Knots and splits that parts are laid clear of; of one board only, so that the count is taken to be 1. */
    flaws: Type.Optional(Type.Array(FlawSchema, { maxItems: 40 })),
  },
  closed,
);
export type Offcut = Static<typeof OffcutSchema>;

/** Nothing shorter or narrower is sold as stock that parts come from. */
const LEAST = mm(10);

/** As thick as stock is. */
export const THICKNESS_MEANT: Meant = { least: mm(0.3), greatest: mm(400) };
const ThicknessSchema = sizeMeant(THICKNESS_MEANT);

/** Another size that the same stock is sold in. */
const OtherSizeSchema = Type.Object(
  {
    length: SizeSchema,
    width: SizeSchema,
    price: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
    onHand: Type.Optional(Type.Integer({ minimum: 0, maximum: 10_000 })),
  },
  closed,
);

/** A sheet or a board as it is bought, and as it was measured. The measured thickness counts. */
export const StockSchema = Type.Object(
  {
    name: NameSchema,
    form: Type.Union([Type.Literal('sheet'), Type.Literal('board')]),
    material: Type.Union(MATERIALS.map((m) => Type.Literal(m.id))),
    /** What it is sold as, such as 18 or 3/4. */
    nominal: ThicknessSchema,
    /** What the calliper says. */
    thickness: ThicknessSchema,
    length: sizeFrom(LEAST),
    width: sizeFrom(LEAST),
    /** Price of one, in the project's money. */
    price: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
    /** What is left of one that was cut: offered before anything else. */
    offcuts: Type.Optional(Type.Array(OffcutSchema, { maxItems: 200 })),
    /** What else it is sold in, such as other lengths. */
    sizes: Type.Optional(Type.Array(OtherSizeSchema, { maxItems: 20 })),
    /** Whether its grain shows which way a part lies; by its material where it is left out. */
    grain: Type.Optional(Type.Union([Type.Literal('along'), Type.Literal('none')])),
    /** How many are on hand. */
    onHand: Type.Optional(Type.Integer({ minimum: 0, maximum: 10_000 })),
    /** The maker's or a tested modulus of elasticity, GPa; the material's typical one when left out. */
    elastic: Type.Optional(Type.Number({ minimum: 0.05, maximum: 250 })),
    /** The builder's own test that `elastic` comes from: a board on two supports, loaded; the sag and how finely it was read, mm. */
    test: Type.Optional(
      Type.Object(
        {
          span: SizeSchema,
          width: SizeSchema,
          kg: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
          load: Type.Union([Type.Literal('middle'), Type.Literal('even')]),
          sag: Type.Number({ exclusiveMinimum: 0, maximum: 500 }),
          readTo: Type.Number({ exclusiveMinimum: 0, maximum: 10 }),
        },
        closed,
      ),
    ),
    /** The maker's shear modulus in the plane of the sheet, GPa. */
    shear: Type.Optional(Type.Number({ minimum: 0.005, maximum: 100 })),
    /** A weighed density, kg/m³. */
    density: Type.Optional(Type.Number({ minimum: 50, maximum: 9000 })),
  },
  closed,
);
export type Stock = Static<typeof StockSchema>;

/** What mechanics needs of a stock, its own values in place of the typical ones. */
export interface StockProperties {
  readonly material: Material;
  /** GPa. */
  readonly elastic: Gigapascals;
  /** E across its grain or the length of the sheet, GPa. */
  readonly elasticAcross: Gigapascals;
  /** Shear modulus in its plane, GPa: how it twists. */
  readonly shear: Gigapascals;
  /** kg/m³. */
  readonly density: number;
  /** True where the stiffness is the builder's or the maker's own. */
  readonly ownElastic: boolean;
  /** How far the reading of the builder's own test may be out, as a part of it. */
  readonly spread?: number;
}

/** E across the grain of solid wood is some thirtieth of that along it, and G a sixteenth (typical, USDA Wood Handbook table 5-1). */
const ACROSS_GRAIN = 1 / 30;
const SHEAR_OF_SOLID = 1 / 16;
/** Boards of chips and fibres are alike in all directions of their plane: G = E / 2.5. */
const SHEAR_OF_CHIPS = 1 / 2.5;

/** E across and G, GPa, from E along: an own E changes both directions alike; plies crossed at right angles have a G of their own. */
function inItsPlane(stock: Stock, material: Material, elastic: Gigapascals): Pick<StockProperties, 'elasticAcross' | 'shear'> {
  const solid = material.form === 'solid';
  const ratio = solid ? ACROSS_GRAIN : (material.elasticAcross ?? material.elastic) / material.elastic;
  const typical = material.shear ?? elastic * (solid ? SHEAR_OF_SOLID : SHEAR_OF_CHIPS);
  return { elasticAcross: asGPa(elastic * ratio), shear: asGPa(stock.shear ?? typical) };
}

/** @throws RangeError for a material that is not known; the schema lets none through @example propertiesOf(PLY).density // 680 */
export function propertiesOf(stock: Stock): StockProperties {
  const material = materialOf(stock.material);
  if (!material) throw new RangeError(`unknown material: ${stock.material}`);
  const elastic = stock.elastic ?? material.elastic;
  return {
    material,
    elastic: asGPa(elastic),
    ...inItsPlane(stock, material, asGPa(elastic)),
    density: stock.density ?? material.density,
    ownElastic: stock.elastic !== undefined,
    ...(stock.test ? { spread: stock.test.readTo / stock.test.sag } : {}),
  };
}

/** Whether it matters which way a part lies: not in metal, fibres and chips, which look alike both ways. @example hasGrain(PLY) // true */
export function hasGrain(stock: Stock): boolean {
  if (stock.grain) return stock.grain === 'along';
  const creep = materialOf(stock.material)?.creep;
  return creep === 'solid' || creep === 'plywood';
}
