import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Request } from 'express';
import { textFaults } from '../../core/formats/index.js';
import { isId } from '../../core/ids/index.js';
import { DATABASE, type Database } from '../data/database.js';
import { projects } from '../data/schema.js';
import { badInput, notFound } from './problem.js';

const FILES = '/api/projects/files';

/** Where a request for a project that is not there yet may name it. */
const ONE_OF: Readonly<Record<string, string>> = { project: 'project', piece: 'piece', id: 'record', phone: 'phone' };

/**
 * Refuses what no question to the database can be made of: names that are none, text that cannot be kept, and projects
 * that there are not.
 */
@Injectable()
export class RequestGuard implements CanActivate {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const { params, body, method, path } = context.switchToHttp().getRequest<Request<Record<string, string>, unknown, unknown>>();
    for (const [name, value] of Object.entries(params)) {
      const what = ONE_OF[name];
      if (what && !isId(value)) throw notFound(`${what} of that name`);
    }
    // A whole file is looked through where it is read, off this thread.
    if (method !== 'GET' && !Buffer.isBuffer(body) && path !== FILES) {
      const faults = textFaults(body);
      if (faults.length > 0) throw badInput(faults);
    }
    const { project } = params;
    if (project === undefined) return true;
    const [found] = await this.db.select({ id: projects.id }).from(projects).where(eq(projects.id, project));
    if (!found) throw notFound(`project ${project}`);
    return true;
  }
}
