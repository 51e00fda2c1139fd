import { Type } from '@sinclair/typebox';

const ID = '^[a-z0-9][a-z0-9-]{0,59}$';

/** The id of a record or of a node of a piece: given when it is made, never an index. */
export const IdSchema = Type.String({ pattern: ID, description: 'Small letters, digits and hyphens' });

/** A name that people read: one line, not empty. */
export const NameSchema = Type.String({ minLength: 1, maxLength: 80, pattern: '^[^\\u0000-\\u001f]+$' });

/** Whether a text may be an id. */
export const isId = (text: string): boolean => new RegExp(ID).test(text);
