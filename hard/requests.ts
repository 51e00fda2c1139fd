import { readFileSync } from 'node:fs';
import { request as ask } from 'node:http';
import { Ajv, type ValidateFunction } from 'ajv';
import { seeded } from '../core/cutting/index.js';
import { mutated, oneOf } from './mutate.js';

/** An endpoint as it is published. */
interface Endpoint {
  readonly method: string;
  readonly path: string;
  readonly body: boolean;
  readonly query: readonly string[];
}

type Published = Readonly<
  Record<
    string,
    Readonly<
      Record<string, { readonly parameters?: readonly { readonly in: string; readonly name: string }[]; readonly requestBody?: object }>
    >
  >
>;

/** Every endpoint of the published API. */
export function endpoints(path: string): readonly Endpoint[] {
  const { paths } = JSON.parse(readFileSync(path, 'utf8')) as { paths: Published };
  return Object.entries(paths).flatMap(([at, methods]) =>
    Object.entries(methods).map(([method, { parameters = [], requestBody }]) => ({
      method: method.toUpperCase(),
      path: at,
      body: requestBody !== undefined,
      query: parameters.filter((p) => p.in === 'query').map((p) => p.name),
    })),
  );
}

const NAMES = [
  'print-shed',
  'ink-case',
  'alcove',
  'wren',
  '__proto__',
  'constructor',
  'Bad%20Thing',
  '..%2f..',
  '%00',
  '%ed%a0%80',
  'a'.repeat(300),
  '%F0%9F%AA%B5',
  '0',
];
const VALUES = ['1', '0', '-1', '2147483648', '99999999999999999999', 'NaN', '', '%00', 'pieces/ink-case', 'pieces', 'x', '1e3'];
const KINDS = ['openings', 'things', 'stock', 'slides', 'hardware', 'people', 'pieces', 'cuttings', 'buildings', 'log', 'readings', 'made'];

/** One request of a stranger; the same seed makes the same. */
export interface Sent {
  readonly seed: number;
  readonly method: string;
  readonly path: string;
  /** The path of the contract that it is made of. */
  readonly known: string;
  readonly body: string | null;
  readonly type: string;
}

/**
 * Requests made up from the published API and from a project as it is: paths, queries and bodies that nearly fit.
 * @param project the print shed, as the server gives it out
 */
export function sentBy(seed: number, known: readonly Endpoint[], project: Readonly<Record<string, unknown>>): Sent {
  const random = seeded(seed);
  const endpoint = oneOf(known, random);
  const kind = KINDS.find((k) => endpoint.path.includes(`/${k}`)) ?? 'things';
  const records = Object.entries((project[kind] ?? {}) as Readonly<Record<string, unknown>>);
  const some = records.length > 0 ? oneOf(records, random) : (['none', {}] as const);
  const fill = (name: string) => {
    if (random() < 0.25) return oneOf(NAMES, random);
    return name === 'project' ? 'print-shed' : name === 'piece' ? 'ink-case' : some[0];
  };
  const path = endpoint.path.replace(/\{(\w+)\}/g, (_, name: string) => fill(name));
  const query = endpoint.query.filter(() => random() < 0.8).map((name) => `${name}=${oneOf(VALUES, random)}`);
  const data = kind === 'pieces' ? (some[1] as { piece?: unknown }).piece : some[1];
  const body = {
    id: oneOf(['new-one', some[0], '__proto__', 'Bad'], random),
    version: oneOf<unknown>([1, 1, 2, 2 ** 31, 2 ** 53, -1, 0.5, '1'], random),
    label: oneOf(['Changed', '', '\u0000', '\ud800', 'x'.repeat(500)], random),
    data,
    scope: [`${kind}/${some[0]}`],
    step: 'saw',
    at: '2026-05-04T18:00:00Z',
    done: true,
  };
  const shaped = random() < 0.15 ? body : mutated(body, random);
  const text = random() < 0.05 ? JSON.stringify(shaped).slice(0, 20) : JSON.stringify(shaped);
  return {
    seed,
    method: endpoint.method,
    known: endpoint.path,
    path: `${path}${query.length > 0 ? `?${query.join('&')}` : ''}`,
    body: endpoint.method === 'GET' || endpoint.method === 'DELETE' || random() < 0.03 ? null : text,
    type: random() < 0.95 ? 'application/json' : oneOf(['text/plain', 'image/png', ''], random),
  };
}

/** An answer, as far as it matters here; null where there was none. */
export interface Answered {
  readonly status: number;
  readonly text: string;
  readonly type?: string;
}

/** So much of an answer is read, characters. */
const MOST_READ = 20e6;

/** Sends a request as it stands, without mending its path. */
export function send(
  base: string,
  { method, path, body, type, headers: more = {} }: Sent & { readonly headers?: Readonly<Record<string, string>> },
  limit: number,
): Promise<Answered | null> {
  const { hostname, port } = new URL(base);
  return new Promise((resolve) => {
    const headers = body === null ? more : { ...more, 'content-type': type, 'content-length': `${Buffer.byteLength(body)}` };
    const req = ask({ hostname, port, method, path, headers, timeout: limit }, (res) => {
      let text = '';
      res.setEncoding('utf8');
      res.on('data', (chunk: string) => (text = text.length < MOST_READ ? text + chunk : text));
      res.on('end', () => resolve({ status: res.statusCode ?? 0, text, type: res.headers['content-type'] ?? '' }));
      res.on('error', () => resolve(null));
    });
    req.on('timeout', () => req.destroy());
    req.on('error', () => resolve(null));
    if (body !== null) req.write(body);
    req.end();
  });
}

/** What is wrong with an answer; null where nothing is. */
export function faultOfAnswer(answer: Answered | null): string | null {
  if (answer === null) return 'no answer';
  const { status, text, type = 'json' } = answer;
  if (status >= 500 && status !== 507) return `${status}: ${text.slice(0, 200)}`;
  // In what is packed or drawn letters stand for nothing.
  if (status < 400 && !/json|text/.test(type)) return null;
  if (status < 400) return /\bNaN\b|\bInfinity\b/.test(text) ? `a figure that is none: ${text.slice(0, 200)}` : null;
  try {
    const { detail } = JSON.parse(text) as { detail?: unknown };
    return typeof detail === 'string' && detail !== '' ? null : `${status} without a word`;
  } catch {
    return `${status} that is no problem document: ${text.slice(0, 100)}`;
  }
}

type Schema = Readonly<Record<string, unknown>>;
interface Contract {
  readonly components: Schema;
  readonly paths: Readonly<
    Record<
      string,
      Readonly<
        Record<
          string,
          { readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, { readonly schema: Schema }>> }>> }
        >
      >
    >
  >;
}

/** Holds answers against the contract: what is wrong with the body of one; null where nothing is. */
export function heldTo(contractFile: string): (method: string, known: string, answer: Answered) => string | null {
  const contract = JSON.parse(readFileSync(contractFile, 'utf8')) as Contract;
  const ajv = new Ajv({ strict: false });
  ajv.addSchema({ $id: 'contract', components: contract.components });
  const checks = new Map<string, ValidateFunction | null>();
  const checkOf = (method: string, known: string, status: number) => {
    const key = `${method} ${known} ${status}`;
    let check = checks.get(key);
    if (check === undefined) {
      const { responses = {} } = contract.paths[known]?.[method.toLowerCase()] ?? {};
      const { content = {} } = responses[String(status)] ?? responses['default'] ?? {};
      const schema = content['application/json']?.schema ?? content['application/problem+json']?.schema;
      check = schema ? ajv.compile(JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"contract#/')) as Schema) : null;
      checks.set(key, check);
    }
    return check;
  };
  return (method, known, { status, text, type = '' }) => {
    const check = /json/.test(type) ? checkOf(method, known, status) : null;
    if (check === null || check(JSON.parse(text))) return null;
    const [error] = check.errors ?? [];
    return `${status} is not as the contract has it: ${error?.instancePath} ${error?.message}`;
  };
}
