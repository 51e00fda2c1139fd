import type { Fault } from '../../core/formats/faults.js';
import type { KeptPiece } from '../../core/formats/project-file.js';
import type { Building, LogEntry } from '../../core/build/index.js';
import type { Cutting, ToPrint } from '../../core/layout/index.js';
import type { Person, Project } from '../../core/project/index.js';
import type { BuiltReading, MadePart, Opening } from '../../core/survey/index.js';
import type { Hardware, Slide, Stock } from '../../core/stock/index.js';
import type { Thing } from '../../core/things/index.js';

/** The kinds of record a project holds, with what each record is. */
export interface Records {
  openings: Opening;
  things: Thing;
  stock: Stock;
  slides: Slide;
  hardware: Hardware;
  people: Person;
  pieces: KeptPiece;
  cuttings: Cutting;
  buildings: Building;
  log: LogEntry;
}
export type Kind = keyof Records;

/** A record with the version that an edit must name. */
export interface Versioned<T> {
  /** The change that made it so, where an edit was answered with it. */
  readonly change?: number;
  readonly id: string;
  readonly version: number;
  readonly data: T;
}

/** A project with everything in it. */
export interface Workbench {
  readonly id: string;
  readonly version: number;
  readonly project: Project;
  readonly records: { readonly [K in Kind]: readonly Versioned<Records[K]>[] };
  /** What the tape found in pieces once they stood there, oldest first. */
  readonly readings: readonly Versioned<BuiltReading>[];
  /** What became of parts, oldest first. */
  readonly made: readonly Versioned<MadePart>[];
}

/** What an error of the server says, by RFC 9457. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly Fault[];
  readonly current?: { readonly version: number; readonly data: unknown };
}

/** An answer of the server that is not what was asked for. */
export class ApiError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }

  /** The record was changed elsewhere since it was read. */
  get lostRace(): boolean {
    return this.problem.status === 409 && this.problem.current !== undefined;
  }
}

const UNREACHED: Problem = {
  type: 'about:blank',
  title: 'Not reached',
  status: 0,
  detail: 'Ruvok’s server does not answer. Is it still running? Your edits are kept here and are sent by themselves once it does.',
};

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const text = await callForText(method, path, body);
  return (text ? JSON.parse(text) : undefined) as T;
}

function sentAs(body: unknown): RequestInit {
  if (body === undefined) return {};
  if (body instanceof Blob) return { headers: { 'content-type': body.type || 'application/octet-stream' }, body };
  return { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
}

async function callForText(method: string, path: string, body?: unknown): Promise<string> {
  return (await answered(method, path, body)).text();
}

async function answered(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { method, ...sentAs(body), ...(signal ? { signal } : {}) });
  } catch {
    throw new ApiError(UNREACHED);
  }
  if (response.ok) return response;
  const text = await response.text();
  let problem: Problem;
  try {
    problem = JSON.parse(text) as Problem;
  } catch {
    problem = { ...UNREACHED, status: response.status, detail: `The server answered ${response.status}.` };
  }
  throw new ApiError(problem);
}

/** What an undo or redo did, and what could be next. */
export interface HistoryAnswer {
  readonly undo: string | null;
  readonly redo: string | null;
  /** Which changes those are. */
  readonly undoChange: number | null;
  readonly redoChange: number | null;
  readonly step?: {
    readonly label: string;
    readonly kind: Kind;
    readonly recordId: string;
    readonly record: Versioned<unknown> | null;
  } | null;
}

/** How far a job is that the server is at. */
export interface JobProgress {
  readonly done: number;
  readonly of: number;
}

/** One change as the server tells it. */
export interface ToldChange {
  readonly change: number;
  readonly label: string;
  readonly kind: string;
  readonly recordId: string;
  /** The device that it came from; null for what was changed before that was kept. */
  readonly device: string | null;
  readonly at: string;
  readonly undone: boolean;
}

/** Whether phones can be paired, how, and which are. */
export interface Shop {
  readonly on: boolean;
  /** The code that is good now, until when; null where none was asked for. ms since 1970 */
  readonly code: { readonly code: string; readonly until: number } | null;
  /** From where wrong codes came within the last hour. */
  readonly wrong: readonly { readonly address: string; readonly count: number; readonly at: number }[];
  readonly addresses: readonly string[];
  readonly phones: readonly { readonly id: string; readonly name: string; readonly pairedAt: string; readonly usedAt: string }[];
}

export const api = {
  projects: () => call<Versioned<Project>[]>('GET', '/projects'),
  createProject: (id: string, data: Project) => call<Versioned<Project>>('POST', '/projects', { id, data }),
  saveProject: (id: string, version: number, data: Project) => call<Versioned<Project>>('PUT', `/projects/${id}`, { version, data }),
  removeProject: (id: string, version: number) => call<void>('DELETE', `/projects/${id}?version=${version}`),
  loadDemo: (of: string) => call<{ id: string }>('POST', `/projects/demo?of=${of}`),
  readFile: async (id: string, document: unknown, job: string, signal: AbortSignal): Promise<void> => {
    await answered('POST', `/projects/files?id=${id}&job=${job}`, document, signal);
  },
  progress: (job: string) => call<JobProgress>('GET', `/work/${job}`),
  shopSheets: async (project: string, piece: string, job: string, signal: AbortSignal): Promise<Blob> =>
    (await answered('GET', `/projects/${project}/pieces/${piece}/sheets.pdf?job=${job}`, undefined, signal)).blob(),
  archive: async (project: string, job: string, signal: AbortSignal): Promise<Blob> =>
    (await answered('GET', `/projects/${project}/archive?job=${job}`, undefined, signal)).blob(),
  file: (project: string) => callForText('GET', `/projects/${project}/file`),
  workbench: (project: string) => call<Workbench>('GET', `/projects/${project}`),
  create: (project: string, kind: Kind, id: string, data: unknown, label: string) =>
    call<Versioned<unknown>>('POST', `/projects/${project}/${kind}`, { id, data, label }),
  one: (project: string, kind: Kind, id: string) => call<Versioned<unknown>>('GET', `/projects/${project}/${kind}/${id}`),
  save: (project: string, kind: Kind, id: string, version: number, data: unknown, label: string) =>
    call<Versioned<unknown>>('PUT', `/projects/${project}/${kind}/${id}`, { version, data, label }),
  read: (project: string, id: string, data: BuiltReading) =>
    call<Versioned<BuiltReading>>('POST', `/projects/${project}/readings`, { id, data }),
  make: (project: string, id: string, data: MadePart) => call<Versioned<MadePart>>('POST', `/projects/${project}/made`, { id, data }),
  keepPhoto: (project: string, id: string, photo: Blob) =>
    call<{ id: string; width: number; height: number }>('POST', `/projects/${project}/photos?id=${id}`, photo),
  printLayouts: async (project: string, data: ToPrint): Promise<Blob> =>
    (await answered('POST', `/projects/${project}/prints/layouts`, { data })).blob(),
  tick: (project: string, piece: string, tick: { readonly step: string; readonly at: string; readonly done: boolean }) =>
    call<Versioned<Building>>('POST', `/projects/${project}/pieces/${piece}/steps`, tick),
  shop: () => call<Shop>('GET', '/shop'),
  makeCode: () => call<{ code: string; until: number }>('POST', '/shop/code'),
  pair: (code: string, name: string) => call<{ id: string; name: string }>('POST', '/shop/pair', { code, name }),
  letGo: (phone: string) => call<void>('DELETE', `/shop/phones/${phone}`),
  remove: (project: string, kind: Kind, id: string, version: number) =>
    call<void>('DELETE', `/projects/${project}/${kind}/${id}?version=${version}`),
  changes: (project: string, before: number | null) =>
    call<ToldChange[]>('GET', `/projects/${project}/changes${before === null ? '' : `?before=${before}`}`),
  history: (project: string, scope: readonly string[]) =>
    call<HistoryAnswer>('GET', `/projects/${project}/history?${scope.map((s) => `scope=${encodeURIComponent(s)}`).join('&')}`),
  undo: (project: string, scope: readonly string[], change: number | null) =>
    call<HistoryAnswer>('POST', `/projects/${project}/undo`, change === null ? { scope } : { scope, change }),
  redo: (project: string, scope: readonly string[], change: number | null) =>
    call<HistoryAnswer>('POST', `/projects/${project}/redo`, change === null ? { scope } : { scope, change }),
};
