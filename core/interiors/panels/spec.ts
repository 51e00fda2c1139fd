import { Type, type Static } from '@sinclair/typebox';
import { IdSchema } from '../../ids/index.js';
import { DistanceSchema, SizeSchema, mm, sizeFrom } from '../../length/index.js';
import { FixSchema, type Piece } from '../../piece/index.js';

const closed = { additionalProperties: false } as const;

/** How all shelves and dividers of a piece are made, unless one of them says otherwise. */
export const PanelsSchema = Type.Object(
  {
    stock: Type.Object({ shelves: IdSchema, dividers: IdSchema }, closed),
    shelves: Type.Object(
      {
        fix: FixSchema,
        /** How deep a housing goes into each side. */
        housing: SizeSchema,
        /** What a loose shelf is short at each end. */
        looseEnd: DistanceSchema,
        /** Pin holes over and under those of a loose shelf, so that it can be moved: how far apart, and how many each way. */
        rows: Type.Optional(Type.Object({ pitch: sizeFrom(mm(5)), each: Type.Integer({ minimum: 1, maximum: 20 }) }, closed)),
        /** How far shelves stand back from the front. */
        setback: DistanceSchema,
      },
      closed,
    ),
    dividers: Type.Object({ fix: Type.Union([Type.Literal('butted'), Type.Literal('housed')]), housing: SizeSchema }, closed),
  },
  closed,
);
export type Panels = Static<typeof PanelsSchema>;

declare module '../../piece/spec.js' {
  interface OfInteriors {
    panels: Panels;
  }
}

/** A piece with some of it made otherwise: its shelves, its dividers, or the stock of either. @example withPanels(CASE, {}).panels // CASE.panels */
export function withPanels({ panels }: Piece, change: Partial<Panels>): { readonly panels: Panels } {
  return { panels: { ...panels, ...change } };
}
