import { Type, type Static } from '@sinclair/typebox';
import { SizeSchema } from '../length/index.js';
import { NameSchema } from '../project/ids.js';
import { MATERIALS, materialOf, type Material } from './material.js';

const closed = { additionalProperties: false } as const;

/** A sheet or a board as it is bought, and as it was measured. The measured thickness counts. */
export const StockSchema = Type.Object(
  {
    name: NameSchema,
    form: Type.Union([Type.Literal('sheet'), Type.Literal('board')]),
    material: Type.Union(MATERIALS.map((m) => Type.Literal(m.id))),
    /** What it is sold as, such as 18 or 3/4. */
    nominal: SizeSchema,
    /** What the calliper says. */
    thickness: SizeSchema,
    length: SizeSchema,
    width: SizeSchema,
    /** Price of one, in the project's money. */
    price: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
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
  readonly elastic: number;
  /** kg/m³. */
  readonly density: number;
  /** True where the stiffness is the builder's or the maker's own. */
  readonly ownElastic: boolean;
  /** How far the reading of the builder's own test may be out, as a part of it. */
  readonly spread?: number;
}

/** @throws RangeError for a material that is not known; the schema lets none through */
export function propertiesOf(stock: Stock): StockProperties {
  const material = materialOf(stock.material);
  if (!material) throw new RangeError(`unknown material: ${stock.material}`);
  return {
    material,
    elastic: stock.elastic ?? material.elastic,
    density: stock.density ?? material.density,
    ownElastic: stock.elastic !== undefined,
    ...(stock.test ? { spread: stock.test.readTo / stock.test.sag } : {}),
  };
}
