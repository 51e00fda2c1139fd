import { ApiError } from './api.js';
import { errandName, type Errand, type ErrandBox } from './errands.js';

/** An errand that waits to be done. */
export interface Waiting {
  readonly errand: Errand;
  readonly n: Promise<number>;
  readonly done: (error?: unknown) => void;
}

/** Who does errands, and what becomes of those that are refused. */
export interface Doing {
  readonly do: (errand: Errand) => Promise<void>;
  /** Takes an errand to those that it stands on, which wait for a choice. @returns whether it did */
  readonly joins: (waiting: Waiting) => boolean;
  /** Keeps an errand that was refused until somebody chooses. @returns whether it does */
  readonly keeps: (waiting: Waiting, error: unknown) => boolean;
  /** Something waits, or waits no more. */
  readonly changed: () => void;
  /** An errand was done. */
  readonly saved: () => void;
}

/** Answers that say nothing of the errand: the server is away, busy or starting. It is asked again. */
const AWAY: ReadonlySet<number> = new Set([0, 429, 502, 503, 504]);

/** How long it waits before it asks again: longer each time, ms. */
const AGAIN = [1000, 2000, 4000, 8000, 15_000] as const;

/** Answers that say that something is wrong there, and not with the errand. It is kept, and sent again when somebody says so. */
const FAULTS: ReadonlySet<number> = new Set([500, 507]);

const isFault = (error: unknown): error is ApiError => error instanceof ApiError && FAULTS.has(error.problem.status);

const isAway = (error: unknown): boolean => error instanceof ApiError && AWAY.has(error.problem.status);

const asError = (error: unknown): Error => (error instanceof Error ? error : new Error('an edit could not be sent', { cause: error }));

/**
 * Errands one after another, each kept until it is answered; while the server is away the first of them is tried again. One
 * that fails by a fault of the server stays first until it is sent again or left out.
 */
export class ErrandQueue {
  private waiting: readonly Waiting[] = [];
  private running: Promise<void> = Promise.resolve();
  private isRunning = false;
  /** How often the server was away, one time after the other. */
  private away = 0;
  /** The fault of the server that the first errand met; null where it met none. */
  fault: ApiError | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Errands that are in the box by now. */
  private readonly kept = new WeakSet<Errand>();
  /** How many errands are done. */
  done = 0;

  constructor(
    private readonly project: string,
    private readonly box: ErrandBox,
    private readonly doing: Doing,
  ) {}

  get count(): number {
    return this.waiting.length;
  }

  /** Whether what waits does so because the server is away. */
  get isAway(): boolean {
    return this.away > 0;
  }

  /** Whether all that waits would outlive this page. */
  get isKept(): boolean {
    return this.waiting.every((w) => this.kept.has(w.errand));
  }

  get errands(): readonly Errand[] {
    return this.waiting.map((w) => w.errand);
  }

  /** What waits, by its name, in order. */
  get names(): readonly string[] {
    return this.errands.map(errandName);
  }

  /** Resolves when everything so far is settled, or the server is away. */
  settled(): Promise<void> {
    return this.running;
  }

  /** Keeps an errand, and does it after those before it. */
  run(errand: Errand): Promise<void> {
    const n = this.box.keep(this.project, errand).catch(() => -1);
    void n.then((at) => at >= 0 && this.kept.add(errand));
    const done = new Promise<void>((resolve, reject) => {
      const end = (error?: unknown) => (error === undefined ? resolve() : reject(asError(error)));
      this.waiting = [...this.waiting, { errand, n, done: end }];
    });
    this.doing.changed();
    void this.flush();
    return done;
  }

  /** Takes up what the page before left. @returns whether there was anything */
  async takeUp(refused: (error: unknown) => void): Promise<boolean> {
    const left = await this.box.left(this.project).catch(() => []);
    left.forEach(({ errand }) => this.kept.add(errand));
    const before = left.map(({ n, errand }): Waiting => ({ errand, n: Promise.resolve(n), done: refused }));
    this.waiting = [...before, ...this.waiting];
    this.doing.changed();
    return before.length > 0;
  }

  /** Sends what waits now and not later. */
  flush(): Promise<void> {
    clearTimeout(this.timer);
    if (this.isRunning) return this.running;
    this.isRunning = true;
    this.running = this.doAll().finally(this.doing.changed);
    return this.running;
  }

  /** Leaves out the errand that met a fault, and goes on with those after it. */
  leaveOut(): void {
    const [first] = this.waiting;
    if (this.fault === null || !first) return;
    const { fault } = this;
    this.fault = null;
    this.leave(first);
    this.end(first, fault);
    void this.flush();
  }

  /** Lets go of what is kept of an errand. */
  drop({ n }: Waiting): void {
    void n.then((at) => (at >= 0 ? this.box.drop(at) : undefined)).catch(() => undefined);
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
    if (this.doing.joins(next)) {
      this.leave(next);
      next.done();
      return true;
    }
    try {
      await this.doing.do(next.errand);
    } catch (error) {
      if (isAway(error)) {
        this.timer = setTimeout(() => void this.flush(), AGAIN[Math.min(this.away, AGAIN.length - 1)]);
        this.away += 1;
        return false;
      }
      this.away = 0;
      if (isFault(error)) {
        this.fault = error;
        return false;
      }
      this.fault = null;
      this.leave(next);
      if (this.doing.keeps(next, error)) next.done();
      else this.end(next, error);
      return true;
    }
    this.away = 0;
    this.fault = null;
    this.done += 1;
    this.leave(next);
    this.end(next);
    this.doing.saved();
    return true;
  }

  private end(waiting: Waiting, error?: unknown): void {
    this.drop(waiting);
    waiting.done(error);
  }

  private leave(waiting: Waiting): void {
    this.waiting = this.waiting.filter((w) => w !== waiting);
    this.doing.changed();
  }
}
