import type { QueryClient } from '@tanstack/react-query';
import { nameOfRecord } from '../../core/project/record-name.js';
import type { BuiltReading, MadePart } from '../../core/survey/index.js';
import { takeAhead } from './ahead.js';
import { ApiError, api, type Kind, type Records, type Versioned, type Workbench } from './api.js';
import { ErrandQueue, type Waiting } from './errand-queue.js';
import { NOWHERE, type Errand, type ErrandBox, type Meant } from './errands.js';
import { rebase } from './rebase.js';
import { sameData } from './same.js';
import { benchKey, type Notice, type Sent, type Trouble } from './told.js';
import { withErrand, withFact, withRecord, withUpdated } from './shown.js';
import { addedOrThere, goneOrNotThere, madeOrThere, savedOrThere, sentOf } from './taken.js';

type Listener = () => void;

/** What a walk would meet next, in one scope or, after an edit, in any that it is in. */
interface Next {
  readonly at: number;
  readonly scope: string | null;
  readonly undo: number | null;
  readonly redo: number | null;
}

/** What is shown before the server has it, or changes what it has in ways that only it knows. */
const SHOWN_AHEAD: ReadonlySet<Errand['does']> = new Set(['create', 'settings', 'undo', 'redo']);

/**
 * Tells the server of the edits of one project, one after another, while the page shows them at once. Each is kept in the
 * browser until it is answered: it is sent again while the server is away, also by the page that is opened next, and does
 * no harm when it was taken before. Each edit of a record names the version it was made on; one that lost a race waits
 * as a trouble until the person chooses.
 */
export class Saver {
  private readonly queue: ErrandQueue;
  private readonly listeners = new Set<Listener>();
  /** The versions that records have by what was saved here. */
  private readonly own = new Map<string, number>();
  /** What could be taken back and done again next, by what was done here last. */
  private next: Next | null = null;
  /** Errands that were left by the page before are in the queue. */
  private readonly ready: Promise<void>;
  trouble: Trouble | null = null;
  private notice: Notice | null = null;

  /** @param saved told when something was saved, so that other pages look */
  constructor(
    private readonly client: QueryClient,
    private readonly project: string,
    box: ErrandBox = NOWHERE,
    saved: () => void = () => undefined,
  ) {
    this.queue = new ErrandQueue(project, box, {
      do: (errand) => this.do(errand),
      joins: (waiting) => this.joinsTrouble(waiting),
      keeps: (waiting, error) => this.keepsAsTrouble(waiting, error),
      changed: () => this.tell(),
      saved,
    });
    this.ready = this.takeUp();
  }

  subscribe = (listener: Listener) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  getTrouble = () => this.trouble;

  getWaiting = () => this.queue.count;

  getNotice = () => this.notice;

  /** Whether what waits does so because the server is away. */
  getAway = () => this.queue.isAway;

  /** What the server said of a fault of its own that the first edit met; null where it met none. */
  getFault = () => this.queue.fault?.message ?? null;

  /** Leaves out the edit that met a fault, and shows what the server has. */
  leaveOut(): void {
    this.queue.leaveOut();
    void this.refresh();
  }

  /** Whether all that waits would outlive this page. */
  isKept = () => this.queue.isKept;

  /** What waits, by its name, in order. */
  names = (): readonly string[] => this.queue.names;

  /** Tells something in place of what was told before; null takes it away. */
  say(notice: Notice | null): void {
    this.notice = notice;
    this.tell();
  }

  /** Resolves when everything that was sent so far is settled, or the server is away. */
  settled(): Promise<void> {
    return this.queue.settled();
  }

  /** A record as the page has it now: edits that are on their way are in it, though a form may not have been drawn anew since. */
  latest<K extends Kind>(kind: K, id: string): Records[K] | undefined {
    return this.find(kind, id)?.data as Records[K] | undefined;
  }

  /**
   * A project as the server has it, with what waits shown in it. What was read before an edit was taken does not know of
   * it, so that it is read again then. The first look takes what was asked for while the page was loaded.
   */
  async look(): Promise<Workbench> {
    await this.ready;
    for (;;) {
      const before = this.queue.done;
      const bench = await ((before === 0 && takeAhead(this.project)) || api.workbench(this.project));
      if (before === this.queue.done) return this.queue.errands.reduce(withErrand, bench);
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
    void this.telling({ does: 'settings', base: bench?.version ?? 1, data });
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
    void this.queue.flush();
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
    trouble.kept.forEach((w) => this.queue.drop(w));
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
    const refused = (error: unknown) => {
      if (error instanceof ApiError) this.say({ text: error.message, tone: 'refused' });
    };
    if (await this.queue.takeUp(refused)) void this.queue.flush().then(() => this.refresh());
  }

  /** Shows an errand, and does it after those before it. */
  private run(errand: Errand): Promise<void> {
    this.change((bench) => withErrand(bench, errand));
    const done = this.queue.run(errand);
    // What was shown ahead of it is not so where it is refused.
    if (SHOWN_AHEAD.has(errand.does)) done.catch(() => void this.refresh());
    return done;
  }

  /** A later edit of a record in trouble stands on that: it joins it, so that nothing typed is lost. */
  private joinsTrouble(waiting: Waiting): boolean {
    const { errand } = waiting;
    const { trouble } = this;
    if (!trouble || errand.does !== 'save' || errand.kind !== trouble.kind || errand.id !== trouble.id) return false;
    this.trouble = { ...trouble, yours: errand.data, label: errand.label, kept: [...trouble.kept, waiting] };
    return true;
  }

  private keepsAsTrouble(waiting: Waiting, error: unknown): boolean {
    const { errand } = waiting;
    if (errand.does !== 'save' || !(error instanceof ApiError)) return false;
    const { kind, id, label, seen, data } = errand;
    this.trouble = { kind, id, label, seen, yours: data, error, kept: [waiting] };
    this.tell();
    return true;
  }

  /** Does one errand. What the server has taken before, though its answer was lost, counts as done. */
  private async do(errand: Errand): Promise<void> {
    switch (errand.does) {
      case 'save': {
        const { kind, id } = errand;
        const key = `${kind}/${id}`;
        const version = Math.max(errand.base, this.own.get(key) ?? 0);
        const saving = api.save(this.project, kind, id, version, errand.data, errand.label);
        const saved = await savedOrThere(saving, (data) => sameData(sentOf(kind, data), errand.data));
        this.own.set(key, saved.version);
        this.edited(saved.change);
        const last = this.queue.count === 1;
        this.show(kind, id, (record) => ({ ...record, version: saved.version, data: last ? (saved.data as never) : record.data }));
        return;
      }
      case 'create': {
        const { kind, id, data, label } = errand;
        const record = await madeOrThere(this.project, kind, id, data, label);
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
        await goneOrNotThere(this.project, kind, id, version);
        this.own.delete(`${kind}/${id}`);
        this.change((bench) => ({ ...bench, records: { ...bench.records, [kind]: bench.records[kind].filter((r) => r.id !== id) } }));
        this.notice = { text: `Took out ${name}.`, tone: 'done', undo: [`${kind}/${id}`] };
        return;
      }
      case 'read': {
        const { id, data } = errand;
        const added = await addedOrThere(this.project, 'readings', id, data, api.read(this.project, id, data));
        this.change((bench) => ({ ...bench, readings: withFact(bench.readings, added) }));
        return;
      }
      case 'make': {
        const added: Versioned<MadePart>[] = [];
        try {
          for (const { id, data } of errand.facts)
            added.push(await addedOrThere(this.project, 'made', id, data, api.make(this.project, id, data)));
        } finally {
          this.change((bench) => ({ ...bench, made: added.reduce(withFact, bench.made) }));
        }
        return;
      }
      case 'settings': {
        const version = Math.max(errand.base, this.own.get('project') ?? 0);
        const saved = await savedOrThere(api.saveProject(this.project, version, errand.data), (data) => sameData(data, errand.data));
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
