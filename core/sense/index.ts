import type { TSchema } from '@sinclair/typebox';
import type { Length } from '../length/index.js';

/** A number of a document: where it is, and what its schema says of it. */
export interface NumberIn {
  readonly path: readonly string[];
  readonly value: number;
  /** What is taken at all; infinite where any is. */
  readonly taken: readonly [least: number, most: number];
  /** What is meant by such a field; infinite where nothing is said. */
  readonly meant: readonly [least: number, most: number];
  /** Whether it is a length, in units of 1/80 µm. */
  readonly isLength: boolean;
}

/** The part of a schema that is looked into. */
interface Node {
  readonly $id?: string;
  readonly $ref?: string;
  readonly const?: unknown;
  readonly type?: string;
  readonly properties?: Readonly<Record<string, Node>>;
  readonly required?: readonly string[];
  readonly patternProperties?: Readonly<Record<string, Node>>;
  readonly items?: Node | readonly Node[];
  readonly anyOf?: readonly Node[];
  readonly sense?: readonly [least: number, most: number];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly description?: string;
}

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields => value !== null && typeof value === 'object';

const partsOf = ({ properties, patternProperties, items, anyOf }: Node): readonly Node[] => [
  ...Object.values(properties ?? {}),
  ...Object.values(patternProperties ?? {}),
  ...(items === undefined ? [] : [items].flat()),
  ...(anyOf ?? []),
];

const named = new WeakMap<object, ReadonlyMap<string, Node>>();

/** What parts of a schema are called, by which others refer to them. */
function namesIn(schema: Node): ReadonlyMap<string, Node> {
  const known = named.get(schema);
  if (known) return known;
  const names = new Map<string, Node>();
  const look = (node: Node): void => {
    if (node.$id !== undefined) names.set(node.$id, node);
    partsOf(node).forEach(look);
  };
  look(schema);
  named.set(schema, names);
  return names;
}

/** Whether a value could be meant by an alternative: it says that it is of that kind, and has what such a one has. */
function isMeant(node: Node, value: unknown): boolean {
  if (node.const !== undefined) return node.const === value;
  if (node.properties === undefined)
    return node.type === undefined || typeof value === (node.type === 'integer' ? 'number' : node.type) || Array.isArray(value);
  if (!isFields(value) || Array.isArray(value)) return false;
  return (
    (node.required ?? []).every((key) => Object.hasOwn(value, key)) &&
    Object.entries(node.properties).every(
      ([key, inner]) => inner.const === undefined || !Object.hasOwn(value, key) || inner.const === value[key],
    )
  );
}

/** Goes through a document by its schema. @param told each number of it @param isKnown whether all in a value is known already */
function goThrough(
  schema: Node,
  document: unknown,
  told: (number: NumberIn) => void,
  isKnown: (node: Node, value: object) => boolean,
): void {
  const names = namesIn(schema);
  const look = (node: Node, value: unknown, path: readonly string[]): void => {
    if (node.$ref !== undefined) {
      const meant = names.get(node.$ref);
      if (meant) look(meant, value, path);
      return;
    }
    if (typeof value === 'number' && node.anyOf === undefined) {
      const { minimum = -Infinity, maximum = Infinity, sense = [-Infinity, Infinity], description = '' } = node;
      told({ path, value, taken: [minimum, maximum], meant: sense, isLength: description.includes('units of 1/80') });
    }
    if (isFields(value) && isKnown(node, value)) return;
    for (const one of node.anyOf ?? []) if (isMeant(one, value)) look(one, value, path);
    if (!isFields(value)) return;
    if (Array.isArray(value)) {
      value.forEach((inner, i) => {
        const item = Array.isArray(node.items) ? (node.items as readonly Node[])[i] : (node.items as Node | undefined);
        if (item) look(item, inner, [...path, `${i}`]);
      });
      return;
    }
    const [any] = Object.values(node.patternProperties ?? {});
    for (const [key, inner] of Object.entries(value)) {
      const field = node.properties?.[key] ?? any;
      if (field) look(field, inner, [...path, key]);
    }
  };
  look(schema, document, []);
}

/** Every number of a document that its schema takes. @example numbersIn(SizeSchema, mm(3)).length // 1 */
export function numbersIn(schema: TSchema, document: unknown): readonly NumberIn[] {
  const found: NumberIn[] = [];
  goThrough(
    schema,
    document,
    (number) => found.push(number),
    () => false,
  );
  return found;
}

/** A document in which what a path leads to is another. */
function replacedAt(document: unknown, [key, ...rest]: readonly string[], value: number): unknown {
  if (key === undefined || !isFields(document)) return value;
  if (Array.isArray(document)) return document.map((inner: unknown, i) => (`${i}` === key ? replacedAt(inner, rest, value) : inner));
  return { ...document, [key]: replacedAt(document[key], rest, value) };
}

/**
 * A document with every length of no less than so much set to the nearest whole number of steps; shorter ones, such as
 * pins, grooves and clearances, stay, and the same document comes back where there is nothing to set.
 * @example setToSteps(SizeSchema, mm(998), mm(25), inch(1 / 32)) // inch(39 + 9 / 32)
 */
export function setToSteps<T>(schema: TSchema, document: T, least: Length, step: Length): T {
  return numbersIn(schema, document).reduce<unknown>((now, { path, value, isLength }) => {
    const next = Math.round(value / step) * step;
    return isLength && value >= least && next !== value ? replacedAt(now, path, next) : now;
  }, document) as T;
}

/** Values in which every number was found to be meant, by what they were held against: what an edit leaves is not gone through again. */
const meantBy = new WeakMap<object, WeakSet<Node>>();

/** What was found in whole documents, by what they were held against. */
const foundIn = new WeakMap<object, WeakMap<TSchema, readonly NumberIn[]>>();

/** Every number of a document that is taken and that nobody means, such as a saw blade of a thousandth. @example outOfSense(SizeSchema, mm(30_000)).length // 1 */
export function outOfSense(schema: TSchema, document: unknown): readonly NumberIn[] {
  if (!isFields(document)) return lookedFor(schema, document);
  const by = foundIn.get(document) ?? new WeakMap<TSchema, readonly NumberIn[]>();
  const found = by.get(schema) ?? lookedFor(schema, document);
  foundIn.set(document, by.set(schema, found));
  return found;
}

function lookedFor(schema: TSchema, document: unknown): readonly NumberIn[] {
  const found: NumberIn[] = [];
  const met: (readonly [Node, object])[] = [];
  goThrough(
    schema,
    document,
    (number) => {
      const [least, most] = number.meant;
      if (number.value < least || number.value > most) found.push(number);
    },
    (node, value) => {
      if (meantBy.get(value)?.has(node)) return true;
      met.push([node, value]);
      return false;
    },
  );
  if (found.length === 0)
    for (const [node, value] of met) {
      const by = meantBy.get(value) ?? new WeakSet();
      meantBy.set(value, by.add(node));
    }
  return found;
}

/** A path of fields in words. @example pathText(['widths', '1', 'value']) // 'widths, 2, value' */
export function pathText(path: readonly string[]): string {
  const words = path.map((key) => (/^\d+$/.test(key) ? `${Number(key) + 1}` : key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()));
  return words.join(', ') || 'all of it';
}
