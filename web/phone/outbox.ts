import { ApiError, api } from '../data/api.js';

/** One tick of a step, as it was made at the bench. */
export interface Tick {
  readonly project: string;
  readonly piece: string;
  readonly step: string;
  readonly at: string;
  readonly done: boolean;
}

const KEY = 'ruvok-outbox';
/** How long it waits before it tries again, ms. */
const AGAIN = 4000;

type Listener = () => void;

/** Where ticks are kept until they are sent. */
export type Shelf = Pick<Storage, 'getItem' | 'setItem'>;

/**
 * Ticks that wait to be sent: they are kept in the browser, sent in the order they were made, again until the server
 * takes them, also after the page was opened anew. A tick says what is so, and does no harm when it comes twice.
 */
export class Outbox {
  private waiting: readonly Tick[];
  private readonly listeners = new Set<Listener>();
  private sending = false;
  /** What the server refused, in words; none where it refused nothing. */
  refused: string | null = null;

  constructor(
    private readonly shelf: Shelf,
    private readonly send: (tick: Tick) => Promise<unknown> = (t) => api.tick(t.project, t.piece, { step: t.step, at: t.at, done: t.done }),
    private readonly sent: () => void = () => undefined,
  ) {
    this.waiting = this.read();
  }

  subscribe = (listener: Listener) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  getWaiting = () => this.waiting;

  /** Whether a step is done as far as this phone knows, where something about it waits; else what is known elsewhere. */
  isDone({ project, piece }: Pick<Tick, 'project' | 'piece'>, step: string, known: boolean): boolean {
    const last = this.waiting.filter((t) => t.project === project && t.piece === piece && t.step === step).at(-1);
    return last ? last.done : known;
  }

  add(tick: Tick): void {
    this.keep([...this.waiting, tick]);
    void this.flush();
  }

  /** Sends what waits, one after the other; what cannot be sent now is tried again. */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    let took = 0;
    try {
      for (let next = this.waiting[0]; next; next = this.waiting[0]) {
        try {
          await this.send(next);
          took += 1;
        } catch (error) {
          const isRefused = error instanceof ApiError && error.problem.status >= 400 && error.problem.status < 500;
          if (!isRefused) break;
          this.refused = error.message;
        }
        this.keep(this.waiting.slice(1));
      }
    } finally {
      this.sending = false;
    }
    if (took > 0) this.sent();
    if (this.waiting.length > 0) setTimeout(() => void this.flush(), AGAIN);
  }

  private keep(waiting: readonly Tick[]): void {
    this.waiting = waiting;
    this.shelf.setItem(KEY, JSON.stringify(waiting));
    this.listeners.forEach((l) => l());
  }

  private read(): readonly Tick[] {
    try {
      const kept: unknown = JSON.parse(this.shelf.getItem(KEY) ?? '[]');
      return Array.isArray(kept) ? (kept as Tick[]) : [];
    } catch {
      return [];
    }
  }
}
