import { Type, type Static } from '@sinclair/typebox';
import { IdSchema } from '../../ids/index.js';
import { DistanceSchema, SizeSchema } from '../../length/index.js';

const closed = { additionalProperties: false } as const;

/** The six sides of a device. */
export const DEVICE_SIDES = ['left', 'right', 'front', 'rear', 'above', 'below'] as const;
export type DeviceSide = (typeof DEVICE_SIDES)[number];

/** Why a side is kept free. */
export const ReasonSchema = Type.Union([
  Type.Literal('heat'),
  Type.Literal('cables'),
  Type.Literal('hands'),
  Type.Literal('controls'),
  Type.Literal('fit'),
]);
export type Reason = Static<typeof ReasonSchema>;

const free = Type.Object({ size: DistanceSchema, why: ReasonSchema }, closed);

/** Devices side by side, each with what is kept free round it, and why. */
export const EquipmentSchema = Type.Object(
  {
    kind: Type.Literal('equipment'),
    thing: IdSchema,
    count: Type.Integer({ minimum: 1, maximum: 20 }),
    free: Type.Object({ left: free, right: free, front: free, rear: free, above: free, below: free }, closed),
    /** Between two of them. */
    between: DistanceSchema,
    /** Controls that hang so far under what they stand on, with so much free below them. */
    controls: Type.Optional(Type.Object({ hang: SizeSchema, free: DistanceSchema }, closed)),
    /** What each of them gives off as heat, W. */
    heat: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 20_000 })),
  },
  closed,
);
export type Equipment = Static<typeof EquipmentSchema>;

declare module '../../piece/space.js' {
  interface Fillings {
    equipment: Equipment;
  }
}
