import { ApiError, api, type Kind, type Records, type Versioned } from './api.js';
import { sameData } from './same.js';

/** What of a stored record an edit sends: of a piece only the piece, its letters are the server's. */
export const sentOf = (kind: Kind, data: unknown): unknown => (kind === 'pieces' ? (data as Records['pieces']).piece : data);

/** A record as an edit leaves it. */
type Saved = Pick<Versioned<unknown>, 'version' | 'data' | 'change'>;

/** The id of what was to be made is taken. */
const isTaken = (error: unknown): boolean => error instanceof ApiError && error.problem.status === 409;

/** What was saved; or what is there, where that is just what was sent: then it was taken before, and the answer was lost. */
export async function savedOrThere(saving: Promise<Saved>, isOurs: (data: unknown) => boolean): Promise<Saved> {
  try {
    return await saving;
  } catch (error) {
    const current = error instanceof ApiError ? error.problem.current : undefined;
    if (current && isOurs(current.data)) return current;
    throw error;
  }
}

/** The same of a record that is made. */
export async function madeOrThere(project: string, kind: Kind, id: string, data: unknown, label: string): Promise<Versioned<unknown>> {
  try {
    return await api.create(project, kind, id, data, label);
  } catch (error) {
    const there = isTaken(error) ? await api.one(project, kind, id) : null;
    if (there && sameData(sentOf(kind, there.data), data)) return there;
    throw error;
  }
}

/** The same of a record that is taken out: where it is gone already it is done. */
export async function goneOrNotThere(project: string, kind: Kind, id: string, version: number): Promise<void> {
  try {
    await api.remove(project, kind, id, version);
  } catch (error) {
    if (!(error instanceof ApiError && error.problem.status === 404)) throw error;
  }
}

/** The same of a fact that is added. */
export async function addedOrThere<T>(
  project: string,
  list: 'readings' | 'made',
  id: string,
  data: T,
  adding: Promise<Versioned<T>>,
): Promise<Versioned<T>> {
  try {
    return await adding;
  } catch (error) {
    const bench = isTaken(error) ? await api.workbench(project) : null;
    const there = (bench?.[list] as readonly Versioned<unknown>[] | undefined)?.find((r) => r.id === id);
    if (there && sameData(there.data, data)) return there as Versioned<T>;
    throw error;
  }
}
