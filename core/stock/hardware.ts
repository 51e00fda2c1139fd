import { Type, type Static } from '@sinclair/typebox';
import { SizeSchema } from '../length/index.js';

const closed = { additionalProperties: false } as const;

/** Something bought besides wood, as it is sold: screws by the box, edging by the roll, oil by the tin. */
export const HardwareSchema = Type.Object(
  {
    /** What it is, as lists of what to buy call it. */
    what: Type.String({ minLength: 1, maxLength: 120 }),
    each: Type.Union([Type.Literal('piece'), Type.Literal('pair'), Type.Literal('run'), Type.Literal('litre')]),
    length: Type.Optional(SizeSchema),
    thick: Type.Optional(SizeSchema),
    /** How much is in one of what is sold: pieces, pairs, metres or litres. */
    pack: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
    /** Price of one of what is sold, in the project's money. */
    price: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
    /** What there is already: pieces, pairs, metres or litres. */
    onHand: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
  },
  closed,
);
export type Hardware = Static<typeof HardwareSchema>;

/**
 * Whether two are one thing: alike in name, in what they are counted by, and in their sizes.
 * @example isSameHardware({ what: 'hinge', each: 'piece' }, { what: 'hinge', each: 'pair' }) // false
 */
export function isSameHardware(a: Omit<Hardware, 'pack'>, b: Omit<Hardware, 'pack'>): boolean {
  return a.what === b.what && a.each === b.each && a.length === b.length && a.thick === b.thick;
}
