import type { Standing, ToLay } from '../../../core/layout/plan.js';

/** How the layout of one stock stands. */
export interface Layout {
  readonly standing: Standing | null;
  /** It was ended before it was done, by a person or because it could not be worked out. */
  readonly ended: 'stopped' | 'failed' | null;
}

const NOTHING: Layout = { standing: null, ended: null };

/** So many layouts are worked out at once, and so many are kept that nobody looks at. */
const [AT_ONCE, KEPT] = [2, 120];

/**
 * Layouts by what was asked, worked out in workers a few at a time: what was asked last comes first. An answer is kept,
 * so that nothing is worked out twice while one walks about.
 */
export class Layouts {
  private readonly known = new Map<string, Layout>();
  private readonly running = new Map<string, Worker>();
  private waiting: { readonly key: string; readonly asked: ToLay }[] = [];
  private readonly listeners = new Set<() => void>();
  private readonly stopping = new Set<string>();
  private version = 0;

  constructor(private readonly start: () => Worker) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Goes up whenever a layout changes. */
  readonly getVersion = (): number => this.version;

  private tell(): void {
    this.version += 1;
    this.listeners.forEach((listener) => listener());
  }

  get(key: string): Layout {
    return this.known.get(key) ?? NOTHING;
  }

  /** Has these worked out, the first of them first; what nobody asks for any more is ended. */
  ask(wanted: readonly { readonly key: string; readonly asked: ToLay }[]): void {
    const keys = new Set(wanted.map((w) => w.key));
    for (const [key, worker] of this.running) {
      if (keys.has(key)) continue;
      worker.terminate();
      this.running.delete(key);
      this.known.delete(key);
    }
    this.waiting = wanted.filter(({ key }) => !this.running.has(key) && !this.isSettled(key));
    for (const key of [...this.known.keys()].slice(0, Math.max(0, this.known.size - KEPT))) if (!keys.has(key)) this.known.delete(key);
    this.next();
  }

  private isSettled(key: string): boolean {
    const { standing, ended } = this.get(key);
    return ended !== null || standing?.done === 1;
  }

  private next(): void {
    while (this.running.size < AT_ONCE) {
      const one = this.waiting.shift();
      if (!one) return;
      this.run(one.key, one.asked);
    }
  }

  private run(key: string, asked: ToLay): void {
    const worker = this.start();
    this.running.set(key, worker);
    worker.onmessage = ({ data }: MessageEvent<Standing>) => {
      this.known.set(key, { standing: data, ended: null });
      if (this.stopping.delete(key) && data.done < 1) return this.stop(key);
      if (data.done === 1) this.end(key);
      this.tell();
    };
    worker.onerror = () => {
      this.known.set(key, { ...this.get(key), ended: 'failed' });
      this.end(key);
      this.tell();
    };
    const { problem, along, orRips, strips, flawed } = asked;
    worker.postMessage({ problem, along, orRips, strips, flawed } satisfies ToLay);
  }

  private end(key: string): void {
    this.running.get(key)?.terminate();
    this.running.delete(key);
    this.next();
  }

  /** Keeps the best so far and looks no further; where there is none yet, the first. */
  stop(key: string): void {
    if (!this.get(key).standing) {
      this.stopping.add(key);
      return;
    }
    this.waiting = this.waiting.filter((w) => w.key !== key);
    this.known.set(key, { ...this.get(key), ended: 'stopped' });
    this.end(key);
    this.tell();
  }

  /** Looks on from the start, where it was stopped. */
  again(key: string, asked: ToLay): void {
    this.known.delete(key);
    this.waiting = [{ key, asked }, ...this.waiting];
    this.next();
    this.tell();
  }
}
