import { applyDecorators } from '@nestjs/common';
import { ApiDefaultResponse, ApiOperation, ApiResponse, type ApiResponseSchemaHost } from '@nestjs/swagger';

type SchemaObject = Extract<ApiResponseSchemaHost['schema'], { type?: unknown }>;

const TEXT: SchemaObject = { type: 'string' };
const WHOLE: SchemaObject = { type: 'integer' };

/** An object with these fields, all of them there but those that are named. */
export function object(properties: Readonly<Record<string, SchemaObject>>, optional: readonly string[] = []): SchemaObject {
  const required = Object.keys(properties).filter((key) => !optional.includes(key));
  return { type: 'object', properties: { ...properties }, ...(required.length > 0 ? { required } : {}) };
}

export const listOf = (items: SchemaObject): SchemaObject => ({ type: 'array', items });
export const orNull = (schema: SchemaObject): SchemaObject => ({ ...schema, nullable: true });

/** A document of the project file. */
const documented = (what: string): SchemaObject => ({ type: 'object', description: `${what}, as docs/project.schema.json has it` });

/** A record with the version that an edit of it must name, and the change that made it so where an edit was answered. */
export const recordOf = (what: string): SchemaObject =>
  object({ id: TEXT, version: WHOLE, data: documented(what), change: WHOLE }, ['change']);

/** What could be taken back and done again next. */
export const PROSPECTS = { undo: orNull(TEXT), redo: orNull(TEXT), undoChange: orNull(WHOLE), redoChange: orNull(WHOLE) };

const FAULT = object({ path: TEXT, message: TEXT, given: {}, accepted: TEXT }, ['given']);

/** Problem details by RFC 9457, with the fields at fault, and for a lost race what is stored and what was sent. */
export const PROBLEM = object(
  {
    type: TEXT,
    title: TEXT,
    status: WHOLE,
    detail: TEXT,
    instance: TEXT,
    errors: listOf(FAULT),
    current: object({ version: WHOLE, data: {} }),
    yours: {},
  },
  ['instance', 'errors', 'current', 'yours'],
);

/**
 * What an endpoint does, what it answers with, and how it tells an error.
 * @param schema of the answer; null where it has none
 */
export function Answers(summary: string, schema: SchemaObject | null, status = schema ? 200 : 204) {
  return applyDecorators(
    ApiOperation({ summary }),
    ApiResponse({ status, description: summary, ...(schema ? { schema } : {}) }),
    ApiDefaultResponse({
      description: 'What was wrong, where, and what is accepted',
      content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
    }),
  );
}
