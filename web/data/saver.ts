import type { QueryClient } from '@tanstack/react-query';
import { nameOfRecord } from '../../core/project/record-name.js';
import type { Piece } from '../../core/piece/index.js';
import type { BuiltReading, MadePart } from '../../core/survey/index.js';
import { ApiError, api, type Kind, type Records, type Versioned, type Workbench } from './api.js';
import { rebase } from './rebase.js';

/** What is sent for a record of each kind; of a piece only the piece, its letters are the server's. */
export type Sent<K extends Kind> = K extends 'pieces' ? Piece : Records[K];

/** An edit that lost a race or could not be sent, waiting for a choice. */
export interface Trouble {
  readonly kind: Kind;
  readonly id: string;
  readonly label: string;
  readonly yours: unknown;
  readonly error: ApiError;
}

/** What is told at the foot of the page until it is dismissed: something that was refused, or taken out and can be brought back. */
export interface Notice {
  readonly text: string;
  readonly tone: 'done' | 'refused';
  /** The records whose latest change brings it back. */
  readonly undo?: readonly string[];
}

export const EVERY_BENCH = ['bench'] as const;
export const benchKey = (project: string) => [...EVERY_BENCH, project] as const;

type Listener = () => void;

/**
 * Sends edits of one project to the server one after another, while the page shows them at
 * once. Each edit names the version it was made on; one that lost a race waits as a trouble
 * until the person chooses.
 */
export class Saver {
  private queue: Promise<void> = Promise.resolve();
  private waiting = 0;
  private readonly listeners = new Set<Listener>();
  trouble: Trouble | null = null;
  private notice: Notice | null = null;

  constructor(
    private readonly client: QueryClient,
    private readonly project: string,
  ) {}

  subscribe = (listener: Listener) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  getTrouble = () => this.trouble;

  getWaiting = () => this.waiting;

  getNotice = () => this.notice;

  /** Tells something in place of what was told before; null takes it away. */
  say(notice: Notice | null): void {
    this.notice = notice;
    this.tell();
  }

  /** Resolves when everything that was sent so far is settled. */
  settled(): Promise<void> {
    return this.queue;
  }

  /** A record as the page has it now: edits that are on their way are in it, though a form may not have been drawn anew since. */
  latest<K extends Kind>(kind: K, id: string): Records[K] | undefined {
    return this.find(kind, id)?.data as Records[K] | undefined;
  }

  /**
   * Shows an edit at once and sends it after those before it.
   * @param seen the record as the form of the edit had it: what others changed since then is kept
   */
  save<K extends Kind>(kind: K, id: string, next: Sent<K>, label: string, seen?: Sent<K>): void {
    const now = this.latest(kind, id);
    const sent = (kind === 'pieces' ? (now as Records['pieces'] | undefined)?.piece : now) as Sent<K> | undefined;
    const data = seen === undefined || sent === undefined ? next : rebase(seen, next, sent);
    const shown = (record: Records[K]) => (kind === 'pieces' ? { ...record, piece: data } : data) as Records[K];
    this.show(kind, id, (record) => ({ ...record, data: shown(record.data) }));
    if (this.notice?.tone === 'done') this.notice = null;
    this.send(kind, id, data, label);
  }

  /** Makes a record. @returns once the server has it */
  create<K extends Kind>(kind: K, id: string, data: Sent<K>, label: string): Promise<void> {
    return this.enqueue(async () => {
      const record = (await api.create(this.project, kind, id, data, label)) as Versioned<Records[K]>;
      this.change((bench) => ({ ...bench, records: { ...bench.records, [kind]: [...bench.records[kind], record] } }));
    });
  }

  /** Adds what the tape found in a piece: a fact, which undo leaves; tells why not where it is refused. */
  read(id: string, data: BuiltReading): Promise<void> {
    return this.telling(async () => {
      const added = await api.read(this.project, id, data);
      this.change((bench) => ({ ...bench, readings: [...bench.readings, added] }));
    });
  }

  /**
   * Adds what became of parts: facts, which undo leaves; tells why not where one is refused. They are shown together, so that
   * the piece is worked out once and not after each.
   */
  make(facts: readonly { readonly id: string; readonly data: MadePart }[]): Promise<void> {
    return this.telling(async () => {
      const added: Versioned<MadePart>[] = [];
      try {
        for (const { id, data } of facts) added.push(await api.make(this.project, id, data));
      } finally {
        this.change((bench) => ({ ...bench, made: [...bench.made, ...added] }));
      }
    });
  }

  /** Takes a record out, and tells so with a way back; tells why not where it is refused. */
  remove(kind: Kind, id: string): Promise<void> {
    return this.telling(async () => {
      const record = this.find(kind, id);
      if (!record) return;
      await api.remove(this.project, kind, id, record.version);
      this.change((bench) => ({ ...bench, records: { ...bench.records, [kind]: bench.records[kind].filter((r) => r.id !== id) } }));
      this.notice = { text: `Took out ${nameOfRecord(record.data)}.`, tone: 'done', undo: [`${kind}/${id}`] };
    });
  }

  /** Shows changed settings at once and sends them. @param seen the project as the form had it */
  saveProject(next: Workbench['project'], seen: Workbench['project']): void {
    const data = rebase(seen, next, this.bench()?.project ?? next);
    this.change((bench) => ({ ...bench, project: data }));
    void this.telling(async () => {
      try {
        const { version } = await api.saveProject(this.project, this.bench()?.version ?? 1, data);
        this.change((bench) => ({ ...bench, version }));
      } catch (error) {
        await this.refresh();
        throw error;
      }
    });
  }

  /** Takes back or does again the latest change in a scope, after everything that waits was sent. */
  walk(direction: 'undo' | 'redo', scope: readonly string[]): Promise<void> {
    return this.telling(async () => {
      await api[direction](this.project, scope);
      this.notice = null;
      await this.refresh();
    });
  }

  /** Work whose refusal is told at the foot of the page. */
  private telling(work: () => Promise<void>): Promise<void> {
    return this.enqueue(work).catch((error: unknown) => {
      if (!(error instanceof ApiError)) throw error;
      this.say({ text: error.message, tone: 'refused' });
    });
  }

  /** Settles a trouble: sends what is here over what is there, or takes what is there. */
  resolve(choice: 'mine' | 'theirs'): void {
    const trouble = this.trouble;
    if (!trouble) return;
    this.trouble = null;
    const current = trouble.error.problem.current;
    if (current)
      this.show(trouble.kind, trouble.id, (record) => ({
        ...record,
        version: current.version,
        ...(choice === 'theirs' ? { data: current.data as never } : {}),
      }));
    if (choice === 'mine') this.send(trouble.kind, trouble.id, trouble.yours, trouble.label);
    else if (!current) void this.refresh();
    this.tell();
  }

  private send(kind: Kind, id: string, data: unknown, label: string): void {
    void this.enqueue(async () => {
      if (this.trouble?.kind === kind && this.trouble.id === id) {
        // A later edit stands on the one in trouble: it takes its place, so that nothing typed is lost.
        this.trouble = { ...this.trouble, yours: data, label };
        return;
      }
      const version = this.find(kind, id)?.version ?? 1;
      try {
        const saved = await api.save(this.project, kind, id, version, data, label);
        const last = this.waiting === 1;
        this.show(kind, id, (record) => ({ ...record, version: saved.version, data: last ? (saved.data as never) : record.data }));
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        this.trouble = { kind, id, label, yours: data, error };
      }
    });
  }

  private enqueue(work: () => Promise<void>): Promise<void> {
    this.waiting += 1;
    this.tell();
    const done = this.queue.then(work).finally(() => {
      this.waiting -= 1;
      this.tell();
    });
    this.queue = done.catch(() => undefined);
    return done;
  }

  private bench(): Workbench | undefined {
    return this.client.getQueryData<Workbench>(benchKey(this.project));
  }

  private find(kind: Kind, id: string): Versioned<unknown> | undefined {
    return (this.bench()?.records[kind] as readonly Versioned<unknown>[] | undefined)?.find((r) => r.id === id);
  }

  private change(update: (bench: Workbench) => Workbench): void {
    this.client.setQueryData<Workbench>(benchKey(this.project), (bench) => (bench ? update(bench) : bench));
  }

  private show<K extends Kind>(kind: K, id: string, update: (record: Versioned<Records[K]>) => Versioned<Records[K]>): void {
    this.change((bench) => {
      const list = bench.records[kind] as readonly Versioned<Records[K]>[];
      return { ...bench, records: { ...bench.records, [kind]: list.map((r) => (r.id === id ? update(r) : r)) } };
    });
  }

  private async refresh(): Promise<void> {
    await this.client.invalidateQueries({ queryKey: benchKey(this.project) });
  }

  private tell(): void {
    this.listeners.forEach((listener) => listener());
  }
}
