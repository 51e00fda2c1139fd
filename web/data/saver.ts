import type { QueryClient } from '@tanstack/react-query';
import { nameOfRecord } from '../../core/project/record-name.js';
import type { Piece } from '../../core/piece/index.js';
import type { BuiltReading, MadePart } from '../../core/survey/index.js';
import { ApiError, api, type Kind, type Records, type Versioned, type Workbench } from './api.js';
import { errandName, NOWHERE, type Errand, type ErrandBox, type Meant } from './errands.js';
import { rebase } from './rebase.js';
import { sameData } from './same.js';
import { withErrand, withFact, withRecord, withUpdated } from './shown.js';

/** What is sent for a record of each kind; of a piece only the piece, its letters are the server's. */
export type Sent<K extends Kind> = K extends 'pieces' ? Piece : Records[K];

/** An edit that lost a race or was refused, waiting for a choice. */
export interface Trouble {
  readonly kind: Kind;
  readonly id: string;
  readonly label: string;
  /** The record as the first of these edits had it, and as the last of them makes it. */
  readonly seen: unknown;
  readonly yours: unknown;
  readonly error: ApiError;
  /** What is kept of it until it is settled. */
  readonly kept: readonly Waiting[];
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

/** An errand that waits to be done. */
interface Waiting {
  readonly errand: Errand;
  readonly n: Promise<number>;
  readonly done: (error?: unknown) => void;
}

/** What a walk would meet next, in one scope or, after an edit, in any that it is in. */
interface Next {
  readonly at: number;
  readonly scope: string | null;
  readonly undo: number | null;
  readonly redo: number | null;
}

/** Answers that say nothing of the errand: the server is away, busy or starting. It is asked again. */
const AWAY: ReadonlySet<number> = new Set([0, 429, 502, 503, 504]);

/** How long it waits before it asks again: longer each time, ms. */
const AGAIN = [1000, 2000, 4000, 8000, 15_000] as const;

/** What is shown before the server has it, or changes what it has in ways that only it knows. */
const SHOWN_AHEAD: ReadonlySet<Errand['does']> = new Set(['create', 'settings', 'undo', 'redo']);

const isAway = (error: unknown): boolean => error instanceof ApiError && AWAY.has(error.problem.status);

/** What of a stored record an edit sends. */
const sentOf = (kind: Kind, data: unknown): unknown => (kind === 'pieces' ? (data as Records['pieces']).piece : data);

/**
 * Tells the server of the edits of one project, one after another, while the page shows them at once. Each is kept in the
 * browser until it is answered: it is sent again while the server is away, also by the page that is opened next, and does
 * no harm when it was taken before. Each edit of a record names the version it was made on; one that lost a race waits
 * as a trouble until the person chooses.
 */
export class Saver {
  private waiting: readonly Waiting[] = [];
  private running: Promise<void> = Promise.resolve();
  private isRunning = false;
  /** How many errands are done. */
  private done = 0;
  /** How often the server was away, one time after the other. */
  private away = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<Listener>();
  /** The versions that records have by what was saved here. */
  private readonly own = new Map<string, number>();
  /** What could be taken back and done again next, by what was done here last. */
  private next: Next | null = null;
  /** Errands that were left by the page before are in the queue. */
  private readonly ready: Promise<void>;
  trouble: Trouble | null = null;
  private notice: Notice | null = null;

  constructor(
    private readonly client: QueryClient,
    private readonly project: string,
    private readonly box: ErrandBox = NOWHERE,
    /** Told when something was saved, so that other pages look. */
    private readonly onSaved: () => void = () => undefined,
  ) {
    this.ready = this.takeUp();
  }

  subscribe = (listener: Listener) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  getTrouble = () => this.trouble;

  getWaiting = () => this.waiting.length;

  getNotice = () => this.notice;

  /** Whether what waits does so because the server is away. */
  getAway = () => this.away > 0;

  /** What waits, by its name, in order. */
  names = (): readonly string[] => this.waiting.map((w) => errandName(w.errand));

  /** Tells something in place of what was told before; null takes it away. */
  say(notice: Notice | null): void {
    this.notice = notice;
    this.tell();
  }

  /** Resolves when everything that was sent so far is settled, or the server is away. */
  settled(): Promise<void> {
    return this.running;
  }

  /** A record as the page has it now: edits that are on their way are in it, though a form may not have been drawn anew since. */
  latest<K extends Kind>(kind: K, id: string): Records[K] | undefined {
    return this.find(kind, id)?.data as Records[K] | undefined;
  }

  /**
   * A project as the server has it, with what waits shown in it. What was read before an edit was taken does not know of
   * it, so that it is read again then.
   */
  async look(): Promise<Workbench> {
    await this.ready;
    for (;;) {
      const before = this.done;
      const bench = await api.workbench(this.project);
      if (before === this.done) return this.waiting.reduce((now, { errand }) => withErrand(now, errand), bench);
    }
  }

  /**
   * Shows an edit at once and sends it after those before it.
   * @param seen the record as the form of the edit had it: what others changed since then is kept
   */
  save<K extends Kind>(kind: K, id: string, next: Sent<K>, label: string, seen?: Sent<K>): void {
    const now = this.find(kind, id);
    const sent = now && (sentOf(kind, now.data) as Sent<K>);
    const data = seen === undefined || sent === undefined ? next : rebase(seen, next, sent);
    if (this.notice?.tone === 'done') this.notice = null;
    void this.run({ does: 'save', kind, id, base: now?.version ?? 1, seen: sent, data, label });
  }

  /** Makes a record. @returns once the server has it */
  create<K extends Kind>(kind: K, id: string, data: Sent<K>, label: string): Promise<void> {
    return this.run({ does: 'create', kind, id, data, label });
  }

  /** Adds what the tape found in a piece: a fact, which undo leaves; tells why not where it is refused. */
  read(id: string, data: BuiltReading): Promise<void> {
    return this.telling({ does: 'read', id, data });
  }

  /**
   * Adds what became of parts: facts, which undo leaves; tells why not where one is refused. They are shown together, so that
   * the piece is worked out once and not after each.
   */
  make(facts: readonly { readonly id: string; readonly data: MadePart }[]): Promise<void> {
    return this.telling({ does: 'make', facts });
  }

  /** Takes a record out, and tells so with a way back; tells why not where it is refused. */
  async remove(kind: Kind, id: string): Promise<void> {
    const record = this.find(kind, id);
    if (record) await this.telling({ does: 'remove', kind, id, base: record.version, name: nameOfRecord(record.data) });
  }

  /** Shows changed settings at once and sends them. @param seen the project as the form had it */
  saveProject(next: Workbench['project'], seen: Workbench['project']): void {
    const bench = this.bench();
    const data = rebase(seen, next, bench?.project ?? next);
    void this.telling({ does: 'settings', base: bench?.version ?? 1, seen: bench?.project ?? seen, data });
  }

  /**
   * Takes back or does again the latest change in a scope, after everything that waits was sent.
   * @param meant which one that is, as it is shown; nothing is done where another has come in between
   */
  walk(direction: 'undo' | 'redo', scope: readonly string[], meant: Meant | null = null): Promise<void> {
    return this.telling({ does: direction, scope, meant });
  }

  /** Sends what waits now and not later. */
  tryNow(): void {
    clearTimeout(this.timer);
    void this.flush();
  }

  /** Work whose refusal is told at the foot of the page. */
  private telling(errand: Errand): Promise<void> {
    return this.run(errand).catch((error: unknown) => {
      if (!(error instanceof ApiError)) throw error;
      this.say({ text: error.message, tone: 'refused' });
    });
  }

  /** Settles a trouble: sends what was changed here over what is there, or takes what is there. */
  resolve(choice: 'mine' | 'theirs'): void {
    const { trouble } = this;
    if (!trouble) return;
    this.trouble = null;
    trouble.kept.forEach((w) => this.dropped(w));
    const { kind, id, label, seen, yours } = trouble;
    const current = trouble.error.problem.current;
    if (current) this.show(kind, id, (record) => ({ ...record, version: current.version, data: current.data as never }));
    if (choice === 'mine') {
      const now = current ? sentOf(kind, current.data) : seen;
      const data = current ? rebase(seen, yours, now) : yours;
      void this.run({ does: 'save', kind, id, base: current?.version ?? this.find(kind, id)?.version ?? 1, seen: now, data, label });
    } else if (!current) void this.refresh();
    this.tell();
  }

  /** Takes up what the page before left, and sends it. */
  private async takeUp(): Promise<void> {
    const left = await this.box.left(this.project).catch(() => []);
    if (left.length === 0) return;
    const before = left.map(({ n, errand }): Waiting => ({ errand, n: Promise.resolve(n), done: (error) => this.toldLater(error) }));
    this.waiting = [...before, ...this.waiting];
    this.tell();
    void this.flush().then(() => this.refresh());
  }

  private toldLater(error: unknown): void {
    if (error instanceof ApiError) this.say({ text: error.message, tone: 'refused' });
  }

  /** Keeps an errand, shows it, and does it after those before it. */
  private run(errand: Errand): Promise<void> {
    const n = this.box.keep(this.project, errand).catch(() => -1);
    const done = new Promise<void>((resolve, reject) => {
      this.waiting = [
        ...this.waiting,
        {
          errand,
          n,
          done: (error) =>
            error === undefined
              ? resolve()
              : reject(error instanceof Error ? error : new Error('an edit could not be sent', { cause: error })),
        },
      ];
    });
    this.change((bench) => withErrand(bench, errand));
    this.tell();
    void this.flush();
    return done;
  }

  private flush(): Promise<void> {
    if (this.isRunning) return this.running;
    this.isRunning = true;
    clearTimeout(this.timer);
    this.running = this.doAll().finally(() => this.tell());
    return this.running;
  }

  private async doAll(): Promise<void> {
    try {
      for (let next = this.waiting[0]; next; next = this.waiting[0]) if (!(await this.doNext(next))) return;
    } finally {
      // Here and not once this is waited for: what is added by whoever waited for the last errand begins anew.
      this.isRunning = false;
    }
  }

  /** @returns whether the next one can be done */
  private async doNext(next: Waiting): Promise<boolean> {
    if (this.joinsTrouble(next)) return true;
    try {
      await this.do(next.errand);
    } catch (error) {
      if (isAway(error)) {
        this.timer = setTimeout(() => void this.flush(), AGAIN[Math.min(this.away, AGAIN.length - 1)]);
        this.away += 1;
        return false;
      }
      this.away = 0;
      this.end(next, error);
      return true;
    }
    this.away = 0;
    this.done += 1;
    this.end(next);
    this.onSaved();
    return true;
  }

  /** A later edit of a record in trouble stands on that: it joins it, so that nothing typed is lost. */
  private joinsTrouble(next: Waiting): boolean {
    const { errand } = next;
    const { trouble } = this;
    if (!trouble || errand.does !== 'save' || errand.kind !== trouble.kind || errand.id !== trouble.id) return false;
    this.trouble = { ...trouble, yours: errand.data, label: errand.label, kept: [...trouble.kept, next] };
    this.leave(next);
    next.done();
    return true;
  }

  private end(waiting: Waiting, error?: unknown): void {
    const { errand } = waiting;
    this.leave(waiting);
    if (errand.does === 'save' && error instanceof ApiError) {
      const { kind, id, label, seen, data } = errand;
      this.trouble = { kind, id, label, seen, yours: data, error, kept: [waiting] };
      waiting.done();
      return;
    }
    this.dropped(waiting);
    // What was shown ahead of it is not so.
    if (error !== undefined && SHOWN_AHEAD.has(errand.does)) void this.refresh();
    waiting.done(error);
  }

  private leave(waiting: Waiting): void {
    this.waiting = this.waiting.filter((w) => w !== waiting);
    this.tell();
  }

  private dropped({ n }: Waiting): void {
    void n.then((at) => (at >= 0 ? this.box.drop(at) : undefined)).catch(() => undefined);
  }

  /** Does one errand. What the server has taken before, though its answer was lost, counts as done. */
  private async do(errand: Errand): Promise<void> {
    switch (errand.does) {
      case 'save': {
        const { kind, id } = errand;
        const key = `${kind}/${id}`;
        const version = Math.max(errand.base, this.own.get(key) ?? 0);
        const saved = await taken(api.save(this.project, kind, id, version, errand.data, errand.label), (current) =>
          sameData(sentOf(kind, current.data), errand.data),
        );
        this.own.set(key, saved.version);
        this.edited(saved.change);
        const last = this.waiting.length === 1;
        this.show(kind, id, (record) => ({ ...record, version: saved.version, data: last ? (saved.data as never) : record.data }));
        return;
      }
      case 'create': {
        const { kind, id, data, label } = errand;
        const record = await api.create(this.project, kind, id, data, label).catch(async (error: unknown) => {
          const there = isTaken(error) ? await api.one(this.project, kind, id) : null;
          if (there && sameData(sentOf(kind, there.data), data)) return there;
          throw error;
        });
        this.edited(record.change);
        this.own.set(`${kind}/${id}`, record.version);
        // What was changed in it since it was made is on its way, and stays as it is shown.
        const shown = this.find(kind, id);
        this.change((bench) => withRecord(bench, kind, shown ? { ...record, data: shown.data } : record));
        return;
      }
      case 'remove': {
        const { kind, id, base, name } = errand;
        const version = Math.max(base, this.own.get(`${kind}/${id}`) ?? 0);
        await api.remove(this.project, kind, id, version).catch((error: unknown) => {
          if (!(error instanceof ApiError && error.problem.status === 404)) throw error;
        });
        this.own.delete(`${kind}/${id}`);
        this.change((bench) => ({ ...bench, records: { ...bench.records, [kind]: bench.records[kind].filter((r) => r.id !== id) } }));
        this.notice = { text: `Took out ${name}.`, tone: 'done', undo: [`${kind}/${id}`] };
        return;
      }
      case 'read': {
        const added = await this.fact(() => api.read(this.project, errand.id, errand.data), 'readings', errand.id, errand.data);
        this.change((bench) => ({ ...bench, readings: withFact(bench.readings, added) }));
        return;
      }
      case 'make': {
        const added: Versioned<MadePart>[] = [];
        try {
          for (const { id, data } of errand.facts) added.push(await this.fact(() => api.make(this.project, id, data), 'made', id, data));
        } finally {
          this.change((bench) => ({ ...bench, made: added.reduce(withFact, bench.made) }));
        }
        return;
      }
      case 'settings': {
        const version = Math.max(errand.base, this.own.get('project') ?? 0);
        const saved = await taken(api.saveProject(this.project, version, errand.data), (current) => sameData(current.data, errand.data));
        this.own.set('project', saved.version);
        this.change((bench) => ({ ...bench, version: saved.version }));
        return;
      }
      case 'undo':
      case 'redo': {
        const change = this.changeFor(errand.does, errand.scope, errand.meant);
        if (change === undefined) return;
        const { undoChange, redoChange } = await api[errand.does](this.project, errand.scope, change);
        this.next = { at: Date.now(), scope: errand.scope.join(' '), undo: undoChange, redo: redoChange };
        this.notice = null;
        await this.refresh();
      }
    }
  }

  /** An edit was taken: it is what is taken back next, and nothing is done again. */
  private edited(change: number | undefined): void {
    if (change !== undefined) this.next = { at: Date.now(), scope: null, undo: change, redo: null };
  }

  /** The change that a walk names: as it was shown, or by what was done here since. @returns undefined where there is none */
  private changeFor(direction: 'undo' | 'redo', scope: readonly string[], meant: Meant | null): number | null | undefined {
    if (meant === null) return null;
    const { next } = this;
    const isNewer = next !== null && next.at >= meant.asOf && (next.scope === null || next.scope === scope.join(' '));
    return isNewer ? (next[direction] ?? undefined) : meant.change;
  }

  /** A fact that is added; one that is there already with the same in it was taken before. */
  private async fact<T>(add: () => Promise<Versioned<T>>, list: 'readings' | 'made', id: string, data: T): Promise<Versioned<T>> {
    try {
      return await add();
    } catch (error) {
      const bench = isTaken(error) ? await api.workbench(this.project) : null;
      const there = (bench?.[list] as readonly Versioned<unknown>[] | undefined)?.find((r) => r.id === id);
      if (there && sameData(there.data, data)) return there as Versioned<T>;
      throw error;
    }
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
    this.change((bench) => withUpdated(bench, kind, id, update));
  }

  private async refresh(): Promise<void> {
    await this.client.invalidateQueries({ queryKey: benchKey(this.project) });
  }

  private tell(): void {
    this.listeners.forEach((listener) => listener());
  }
}

/** The id of what was to be made is taken. */
const isTaken = (error: unknown): boolean => error instanceof ApiError && error.problem.status === 409;

/** What was saved, or what is there where that is just what was sent: then its answer was lost. */
async function taken<T extends { readonly version: number; readonly data: unknown; readonly change?: number }>(
  saving: Promise<T>,
  isOurs: (current: { readonly version: number; readonly data: unknown }) => boolean,
): Promise<{ readonly version: number; readonly data: unknown; readonly change?: number }> {
  try {
    return await saving;
  } catch (error) {
    const current = error instanceof ApiError ? error.problem.current : undefined;
    if (current && isOurs(current)) return current;
    throw error;
  }
}
