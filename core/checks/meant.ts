import { len, say, type Quantity } from '../figure/index.js';
import type { TSchema } from '@sinclair/typebox';
import type { Check } from '../finding/index.js';
import { namedBy, pieceSchema } from '../kinds/index.js';
import { fromUnits } from '../length/index.js';
import type { Piece } from '../piece/index.js';
import { PersonSchema, SettingsSchema, type Workshop } from '../project/index.js';
import { outOfSense, pathText, type NumberIn } from '../sense/index.js';
import { SlideSchema, StockSchema } from '../stock/index.js';
import { OpeningSchema } from '../survey/index.js';
import { ThingSchema } from '../things/index.js';

/** A record that a piece goes by, with what it is called. */
interface KeptRecord {
  readonly called: string;
  readonly schema: TSchema;
  readonly data: unknown;
}

/** What a piece names, once each. */
function recordsOf(piece: Piece, workshop: Workshop): readonly KeptRecord[] {
  const kept = {
    opening: [OpeningSchema, workshop.openings],
    thing: [ThingSchema, workshop.things],
    stock: [StockSchema, workshop.stock],
    slide: [SlideSchema, workshop.slides],
    person: [PersonSchema, workshop.people],
  } as const;
  const named = new Map(
    namedBy(piece).flatMap(({ kind, id }): [string, KeptRecord][] => {
      const [schema, all] = kept[kind];
      const data = all.get(id);
      return data ? [[`${kind}/${id}`, { called: data.name, schema, data }]] : [];
    }),
  );
  return [
    { called: piece.name, schema: pieceSchema(), data: piece },
    { called: 'Settings', schema: SettingsSchema, data: workshop.settings },
    ...named.values(),
  ];
}

const amount = (value: number, { isLength }: NumberIn): Quantity | string => (isLength ? len(fromUnits(value)) : `${value}`);

/** Numbers that nobody means, such as a saw blade of a thousandth of a millimetre: a file or another program brought them. @example meantChecks(CASE, SHOP) // [] */
export function meantChecks(piece: Piece, workshop: Workshop): readonly Check[] {
  return recordsOf(piece, workshop).flatMap(({ called, schema, data }) =>
    outOfSense(schema, data).map((number): Check => {
      const [least, most] = number.meant;
      return {
        id: `meant ${called} ${number.path.join('/')}`,
        severity: 'stop',
        state: 'fails',
        about: { kind: 'piece' },
        sentence: say`${called}: ${pathText(number.path)} is ${amount(number.value, number)}. From ${amount(least, number)} to ${amount(most, number)} makes sense there.`,
        fixes: [],
      };
    }),
  );
}
