import { Type } from '@sinclair/typebox';

/** Every object has a field of this name already, so that no record or node can be found by it. */
const TAKEN = 'constructor';
const ID = `^(?!${TAKEN}$)[a-z0-9][a-z0-9-]{0,59}$`;

/** What an id is, as requests are held against it. */
export const ID_PATTERN = new RegExp(ID);

/** What is accepted as an id, in words. */
export const ID_ACCEPTED = `small letters, digits and hyphens, at most 60; not ${TAKEN}`;

/** The id of a record or of a node of a piece: given when it is made, never an index. */
export const IdSchema = Type.String({ pattern: ID, description: 'Small letters, digits and hyphens' });

/** A name that people read: one line, not empty. */
export const NameSchema = Type.String({ minLength: 1, maxLength: 80, pattern: '^[^\\u0000-\\u001f]+$' });

/** Whether a text may be an id. @example isId('top-shelf') // true */
export const isId = (text: string): boolean => ID_PATTERN.test(text);
