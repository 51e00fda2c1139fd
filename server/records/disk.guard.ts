import { statfs } from 'node:fs/promises';
import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { CONFIG, type Config } from '../config.js';
import { diskFull } from '../problems/problem.js';

/** Refuses writes while the disk is nearly full, before the database can run into it. */
@Injectable()
export class DiskGuard implements CanActivate {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (context.switchToHttp().getRequest<Request>().method === 'GET') return true;
    // The disk of a database server is its own to watch.
    if (this.config.databaseUrl !== null) return true;
    const { bavail, bsize } = await statfs(this.config.dataFolder);
    const free = bavail * bsize;
    if (free >= this.config.leastFree) return true;
    throw diskFull(
      `Only ${Math.round(free / 1e6)} MB is left on the disk of ${this.config.dataFolder}; ${Math.round(this.config.leastFree / 1e6)} MB is needed to save safely. This edit was not kept. Everything saved before it is safe.`,
    );
  }
}
