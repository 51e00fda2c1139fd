import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv } from 'ajv';
import { publishedSchema } from '../core/formats/index.js';
import { PRINT_SHED } from './print-shed.js';

const text = readFileSync(join(process.cwd(), 'docs/project.schema.json'), 'utf8');

test('the published schema is the one that files are held against', () => {
  expect(JSON.parse(text)).toEqual(publishedSchema());
});

test('the print shed is right by the published schema, and a spoiled one is not', () => {
  const check = new Ajv({ strict: false }).compile(JSON.parse(text) as object);
  expect(check(PRINT_SHED)).toBe(true);
  expect(check({ ...PRINT_SHED, stock: { a: { name: 'no sizes' } } })).toBe(false);
});
