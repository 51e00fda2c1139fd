import type { Fault } from './faults.js';
import { FORMAT, projectFileSchema, type ProjectFile } from './project-file.js';
import { referenceFaults } from './references.js';
import { textFaults } from './text.js';
import { DEEPEST, faultsIn, isTooDeep } from './validate.js';
import { OLDEST, VERSION, fileBroughtUp, type Raw } from './versions/index.js';

/** A file that was read, or what is wrong with it. */
export type FileReading = { readonly ok: true; readonly file: ProjectFile } | { readonly ok: false; readonly faults: readonly Fault[] };

/** The largest project file that is read, characters. */
export const LARGEST_FILE = 10_000_000;

function refuse(path: string, message: string, accepted: string, given?: unknown): FileReading {
  return { ok: false, faults: [given === undefined ? { path, message, accepted } : { path, message, accepted, given }] };
}

/** Reads a project from a value that was parsed already. @param told how many of its pieces were looked at @example readProject(FILE).ok // true */
export function readProject(document: unknown, told?: (done: number, of: number) => void): FileReading {
  if (document === null || typeof document !== 'object' || Array.isArray(document)) {
    return refuse('', 'this is not a project file', `an object with "format": "${FORMAT}"`);
  }
  const { format, version } = document as { format?: unknown; version?: unknown };
  if (format !== FORMAT) return refuse('/format', 'this is not a project file', `"${FORMAT}"`, format);
  if (typeof version === 'number' && version > VERSION) {
    return refuse('/version', `this file was made by a newer program, format version ${version}`, `version ${VERSION} or older`, version);
  }
  const old = typeof version === 'number' && Number.isInteger(version) && version >= OLDEST && version < VERSION;
  if (old && isTooDeep(document)) return refuse('', `this is nested more than ${DEEPEST} levels deep`, `at most ${DEEPEST} levels`);
  const now = old ? fileBroughtUp(document as Raw, version) : document;
  const unkept = textFaults(now);
  if (unkept.length > 0) return { ok: false, faults: unkept };
  const faults = faultsIn(projectFileSchema(), now);
  if (faults.length > 0) return { ok: false, faults };
  const file = now as ProjectFile;
  const dangling = referenceFaults(file, told);
  return dangling.length > 0 ? { ok: false, faults: dangling } : { ok: true, file };
}

/**
 * Reads a project file.
 * @returns the project, or every fault found with its path; never throws for a bad file
 * @example readProjectFile('{').ok // false
 */
export function readProjectFile(text: string): FileReading {
  if (text.length > LARGEST_FILE) {
    return refuse('', `this file is ${Math.round(text.length / 1e6)} MB long`, `at most ${LARGEST_FILE / 1e6} MB`);
  }
  let document: unknown;
  try {
    // With the mark that some editors put before UTF-8, or without.
    document = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (error) {
    const why = error instanceof Error ? error.message : 'not JSON';
    return refuse('', `this file breaks off or is not JSON: ${why}`, 'a whole JSON document');
  }
  return readProject(document);
}
