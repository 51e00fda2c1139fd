import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { CONFIG, type Config } from '../config.js';
import { TASKS, type Tasks } from './tasks.js';

/** A thread that nobody asks anything for so long ends, ms. */
const IDLE = 60_000;

/** Does heavy work off the thread that answers requests, or on it where there is no built worker. */
@Injectable()
export class WorkService implements OnApplicationShutdown {
  private readonly pool: Piscina | null;

  constructor(@Inject(CONFIG) { worker }: Config) {
    this.pool = worker === null ? null : new Piscina({ filename: worker, minThreads: 0, maxThreads: 2, idleTimeout: IDLE });
  }

  async run<K extends keyof Tasks>(task: K, ...given: Parameters<Tasks[K]>): Promise<Awaited<ReturnType<Tasks[K]>>> {
    const here = TASKS[task] as (...given: Parameters<Tasks[K]>) => ReturnType<Tasks[K]>;
    return this.pool ? ((await this.pool.run({ task, given })) as Awaited<ReturnType<Tasks[K]>>) : await here(...given);
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool?.destroy();
  }
}
