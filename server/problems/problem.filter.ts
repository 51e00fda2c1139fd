import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Logger } from 'pino';
import { ProblemException, databaseAway, diskFull, tellProblem, type Problem } from './problem.js';

/** What an error and those that it came from say: their codes, and their words. */
interface Says {
  readonly codes: readonly string[];
  readonly words: string;
}

function saidBy(error: unknown): Says {
  const [codes, words]: [string[], string[]] = [[], []];
  let e = error as { message?: string; code?: string; cause?: unknown } | undefined;
  for (let deep = 0; e && deep < 8; deep += 1, e = e.cause as typeof e) {
    if (typeof e.code === 'string') codes.push(e.code);
    // What was asked of the database stands in this, with whatever somebody wrote.
    if (!e.message?.startsWith('Failed query')) words.push(e.message ?? '');
  }
  return { codes, words: words.join(' / ') };
}

/** Whether an error of the database or the file system says that the disk is full. */
export function saysDiskFull(error: unknown): boolean {
  const { codes, words } = saidBy(error);
  return codes.some((c) => c === 'ENOSPC' || c === '53100') || /No space left|disk.?full/i.test(words);
}

/** Codes of the network, and of PostgreSQL: connections, too little of anything, ended by an operator, a fault of the system. */
const AWAY_CODES =
  /^(E(CONN(REFUSED|RESET|ABORTED)|PIPE|TIMEDOUT|NOTFOUND|AI_AGAIN|HOSTUNREACH|NETUNREACH|HOSTDOWN|NETDOWN)|08\w{3}|53[0234]00|57P0[1-5]|58\w{3}|25006)$/;

/** What the driver says, which has no code for it; and of the embedded database, that it is gone until this process is started anew. */
const AWAY_WORDS =
  /connection (terminated|ended|error)|not queryable|closed the connection|unexpected \w+ message from backend|after calling end|establishing an SSL|timeout (exceeded when trying to connect|expired)|read timeout|PGlite is clos|RuntimeError: (unreachable|Aborted|memory access)/i;

/** Whether an error says that the database cannot be reached, is going down, or is gone. */
export function saysDatabaseAway(error: unknown): boolean {
  const { codes, words } = saidBy(error);
  return codes.some((c) => AWAY_CODES.test(c)) || AWAY_WORDS.test(words);
}

const TOO_LARGE: Problem = {
  type: 'about:blank',
  title: 'Too large',
  status: 413,
  detail:
    'What was sent is too large; at most 12 MB is accepted for a file, 150 MB for one packed with its photos, 25 MB for a photo and 2 MB for anything else.',
};

function fromHttp(error: HttpException): Problem {
  const status = error.getStatus();
  if (status === TOO_LARGE.status) return TOO_LARGE;
  const titles: Readonly<Record<number, string>> = { 400: 'Bad request', 404: 'Not found', 429: 'Too many requests' };
  return { type: 'about:blank', title: titles[status] ?? 'Error', status, detail: error.message };
}

/** What the body parser says: too large, or not JSON. */
function fromParser(error: unknown): Problem | null {
  const { type, status } = error as { type?: unknown; status?: unknown };
  if (type === 'entity.too.large') {
    return TOO_LARGE;
  }
  if (typeof type === 'string' && type.startsWith('entity.'))
    return { type: 'about:blank', title: 'Bad request', status: 400, detail: 'What was sent breaks off or is not JSON.' };
  return typeof status === 'number' && status < 500
    ? { type: 'about:blank', title: 'Bad request', status, detail: (error as Error).message }
    : null;
}

/** Tells every error as problem details; what is not expected is logged and told without its inside. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  constructor(private readonly log: Logger) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const problem = this.problemOf(error);
    if (problem.status >= 500) this.log.error({ err: error }, problem.detail);
    tellProblem(http.getRequest<Request>(), http.getResponse<Response>(), problem);
  }

  private problemOf(error: unknown): Problem {
    if (error instanceof ProblemException) return error.problem;
    if (saysDiskFull(error))
      return diskFull('The disk is full, so this edit was not kept. Everything saved before it is safe. Free some space and try again.')
        .problem;
    if (saysDatabaseAway(error)) return databaseAway().problem;
    if (error instanceof HttpException) return fromHttp(error);
    return (
      fromParser(error) ?? {
        type: 'about:blank',
        title: 'Something went wrong',
        status: 500,
        detail: 'Something went wrong here. What was saved before is safe; the log has the details.',
      }
    );
  }
}
