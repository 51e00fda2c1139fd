import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Project } from '../../core/project/index.js';
import type { BuiltReading, MadePart } from '../../core/survey/index.js';
import type { Kind } from './api.js';

/** Which change is meant by an undo or redo, as it was shown, and when that was known; null for whichever comes next. */
export interface Meant {
  readonly change: number | null;
  readonly asOf: number;
}

/** One thing that the server has to be told; kept until it has answered. */
export type Errand =
  | {
      readonly does: 'save';
      readonly kind: Kind;
      readonly id: string;
      /** The version and the data that the edit was made on. */
      readonly base: number;
      readonly seen: unknown;
      readonly data: unknown;
      readonly label: string;
    }
  | { readonly does: 'create'; readonly kind: Kind; readonly id: string; readonly data: unknown; readonly label: string }
  | { readonly does: 'remove'; readonly kind: Kind; readonly id: string; readonly base: number; readonly name: string }
  | { readonly does: 'read'; readonly id: string; readonly data: BuiltReading }
  | { readonly does: 'make'; readonly facts: readonly { readonly id: string; readonly data: MadePart }[] }
  | { readonly does: 'settings'; readonly base: number; readonly data: Project }
  | { readonly does: 'undo' | 'redo'; readonly scope: readonly string[]; readonly meant: Meant | null };

/** What an errand is called where it waits. */
export function errandName(errand: Errand): string {
  switch (errand.does) {
    case 'save':
    case 'create':
      return errand.label;
    case 'remove':
      return `Take out ${errand.name}`;
    case 'read':
      return 'What the tape found';
    case 'make':
      return errand.facts.length === 1 ? 'What became of a part' : `What became of ${errand.facts.length} parts`;
    case 'settings':
      return 'Changed the settings';
    case 'undo':
      return 'Undo';
    case 'redo':
      return 'Redo';
  }
}

/** An errand with the number that it is kept under. */
export interface KeptErrand {
  readonly n: number;
  readonly errand: Errand;
}

/** Where errands are kept until they are done. */
export interface ErrandBox {
  /** Errands of a project that this page, or one that is no longer open, left behind: now this page's. */
  readonly left: (project: string) => Promise<readonly KeptErrand[]>;
  /** @returns the number that it is kept under */
  readonly keep: (project: string, errand: Errand) => Promise<number>;
  readonly drop: (n: number) => Promise<void>;
}

interface Stored extends DBSchema {
  errands: {
    key: number;
    value: { n?: number; page: string; project: string; errand: Errand };
    indexes: { project: string };
  };
}

const PAGE_KEY = 'ruvok-page';
const lockOf = (page: string) => `ruvok-page-${page}`;

/** Holds a name for as long as this page is open; false where another page has it. */
function hold(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      // Until the page is closed, which ends it.
      return lock === null ? undefined : new Promise<void>(() => undefined);
    });
  });
}

/** Which page this is: the same after a reload, another one in each tab, also in one that was duplicated. */
async function ownPage(): Promise<string> {
  const before = sessionStorage.getItem(PAGE_KEY);
  if (before !== null && (!('locks' in navigator) || (await hold(lockOf(before))))) return before;
  const page = crypto.getRandomValues(new Uint32Array(2)).join('-');
  sessionStorage.setItem(PAGE_KEY, page);
  if ('locks' in navigator) await hold(lockOf(page));
  return page;
}

/** Pages that are open now, as far as can be told. */
async function openPages(): Promise<ReadonlySet<string> | null> {
  if (!('locks' in navigator)) return null;
  const { held = [] } = await navigator.locks.query();
  return new Set(held.map((l) => l.name ?? ''));
}

/** Errands in the browser's own database: they outlive a reload, a crash, and a server that is away. */
export class BrowserErrands implements ErrandBox {
  private readonly opened: Promise<{ readonly db: IDBPDatabase<Stored>; readonly page: string }>;

  constructor(page: Promise<string> = ownPage()) {
    const db = openDB<Stored>('ruvok', 1, {
      upgrade: (fresh) => fresh.createObjectStore('errands', { keyPath: 'n', autoIncrement: true }).createIndex('project', 'project'),
    });
    this.opened = Promise.all([db, page]).then(([opened, own]) => ({ db: opened, page: own }));
    // Whoever asks next is told.
    this.opened.catch(() => undefined);
  }

  left = async (project: string): Promise<readonly KeptErrand[]> => {
    const { db, page } = await this.opened;
    const open = await openPages();
    const tx = db.transaction('errands', 'readwrite');
    const all = await tx.store.index('project').getAll(project);
    const own = all.filter((e) => e.page === page || (open !== null && !open.has(lockOf(e.page))));
    for (const e of own) await tx.store.put({ ...e, page });
    await tx.done;
    return own.flatMap(({ n, errand }) => (n === undefined ? [] : [{ n, errand }]));
  };

  keep = async (project: string, errand: Errand): Promise<number> => {
    const { db, page } = await this.opened;
    return db.add('errands', { page, project, errand });
  };

  drop = async (n: number): Promise<void> => {
    const { db } = await this.opened;
    await db.delete('errands', n);
  };
}

/** Errands that are kept nowhere but in this page. */
export const NOWHERE: ErrandBox = { left: () => Promise.resolve([]), keep: () => Promise.resolve(-1), drop: () => Promise.resolve() };
