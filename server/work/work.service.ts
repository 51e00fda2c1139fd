import { MessageChannel } from 'node:worker_threads';
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import type { Response } from 'express';
import { Piscina } from 'piscina';
import { CONFIG, type Config } from '../config.js';
import { stopped } from '../problems/problem.js';
import { doTask, type Given, type Tasks, type Told } from './tasks.js';

/** A thread that nobody asks anything for so long ends, ms. */
const IDLE = 60_000;

/** How far some work is. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** How work is watched, and stopped, by whoever waits for it. */
export interface Watched {
  /** The name that how far it is can be asked by. */
  readonly job?: string | undefined;
  readonly signal?: AbortSignal | undefined;
}

/** Stops once the connection that waits for an answer is gone. */
export function whileWaited(res: Response): AbortSignal {
  const gone = new AbortController();
  res.once('close', () => {
    if (!res.writableFinished) gone.abort();
  });
  return gone.signal;
}

/** Does heavy work off the thread that answers requests, or on it where there is no built worker. */
@Injectable()
export class WorkService implements OnApplicationShutdown {
  private readonly pool: Piscina | null;
  /** A thread for what is looked at in the middle of an edit: all who edit wait for it, and it for nothing that takes long. */
  private readonly edits: Piscina | null;
  private readonly jobs = new Map<string, Progress>();

  constructor(@Inject(CONFIG) { worker }: Config) {
    const threads = (maxThreads: number) =>
      worker === null ? null : new Piscina({ filename: worker, minThreads: 0, maxThreads, idleTimeout: IDLE });
    this.pool = threads(2);
    this.edits = threads(1);
  }

  /** How far a job is; undefined for one that is over, or was never begun. */
  progressOf(job: string): Progress | undefined {
    return this.jobs.get(job);
  }

  /** Does something on this thread that tells how far it is, and can be asked for by its name meanwhile. */
  async here<T>({ job }: Watched, work: (told: Told) => Promise<T>): Promise<T> {
    const told = this.tellerOf(job);
    told(0, 0);
    try {
      return await work(told);
    } finally {
      if (job !== undefined) this.jobs.delete(job);
    }
  }

  private tellerOf(job: string | undefined): Told {
    return (done, of) => {
      if (job !== undefined) this.jobs.set(job, { done, of });
    };
  }

  /** Does one task. @throws ProblemException where it was stopped; the thread that was at it is ended */
  async run<K extends keyof Tasks>(task: K, given: Given<K>, { job, signal }: Watched = {}): Promise<Awaited<ReturnType<Tasks[K]>>> {
    const told = this.tellerOf(job);
    told(0, 0);
    const { port1, port2 } = new MessageChannel();
    port1.on('message', ({ done, of }: Progress) => told(done, of));
    try {
      const pool = task === 'keep' ? this.edits : this.pool;
      if (pool) {
        const asked = { task, given, port: port2 };
        return (await pool.run(asked, { transferList: [port2], signal: signal ?? null })) as Awaited<ReturnType<Tasks[K]>>;
      }
      const answer = await doTask(task, told, given);
      if (signal?.aborted) throw stopped();
      return answer;
    } catch (error) {
      throw signal?.aborted ? stopped() : error;
    } finally {
      port1.close();
      if (job !== undefined) this.jobs.delete(job);
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await Promise.all([this.pool?.destroy(), this.edits?.destroy()]);
  }
}
