import { HttpException } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Fault } from '../../core/formats/index.js';

/** Problem details by RFC 9457, with the fields at fault. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly instance?: string;
  /** What is wrong in which field, what was given, what is accepted. */
  readonly errors?: readonly Fault[];
  /** For a lost race: what is stored now, and what was sent. */
  readonly current?: { readonly version: number; readonly data: unknown };
  readonly yours?: unknown;
}

/** An error that is told to the caller as problem details. */
export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, problem.status);
  }
}

/** Answers a request with what is wrong, as problem details; one whose answer was begun is only broken off. */
export function tellProblem(req: Request, res: Response, problem: Problem): void {
  if (res.headersSent) return void res.destroy();
  res
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ ...problem, instance: req.originalUrl }));
}

const TYPE = 'urn:ruvok:problem:';

export function badInput(errors: readonly Fault[], detail = 'Some of what was sent cannot be used.'): ProblemException {
  return new ProblemException({ type: `${TYPE}bad-input`, title: 'Bad input', status: 400, detail, errors });
}

export function notFound(what: string): ProblemException {
  return new ProblemException({ type: `${TYPE}not-found`, title: 'Not found', status: 404, detail: `There is no ${what}.` });
}

export function lostRace(current: { version: number; data: unknown }, yours: unknown): ProblemException {
  return new ProblemException({
    type: `${TYPE}changed-meanwhile`,
    title: 'Changed meanwhile',
    status: 409,
    detail: 'This was changed elsewhere since you opened it. Both are kept here: choose one.',
    current: { version: current.version, data: current.data },
    yours,
  });
}

export function inUse(detail: string): ProblemException {
  return new ProblemException({ type: `${TYPE}in-use`, title: 'In use', status: 409, detail });
}

/** Whoever waited no longer does; told to nobody, but it ends what was begun. */
export function stopped(): ProblemException {
  return new ProblemException({ type: `${TYPE}stopped`, title: 'Stopped', status: 409, detail: 'This was stopped. Nothing was changed.' });
}

/** A phone asked what is not said to be for phones. */
export function onlyTheDesk(): ProblemException {
  return new ProblemException({ type: 'about:blank', title: 'Not let in', status: 403, detail: 'Only the desk does this.' });
}

/** A newer program has brought the store up to documents that this one cannot write. */
export function outOfDate(): ProblemException {
  return new ProblemException({
    type: `${TYPE}out-of-date`,
    title: 'Out of date',
    status: 503,
    detail:
      'A newer Ruvok works on this store by now, and this one would write over what it cannot read. End this one and start the newer. Edits wait in the page until then.',
  });
}

/** The database does not answer. */
export function databaseAway(): ProblemException {
  return new ProblemException({
    type: `${TYPE}database-away`,
    title: 'Database away',
    status: 503,
    detail:
      'The database server does not answer, so nothing can be read or kept just now. Edits wait in the page and are sent again by themselves.',
  });
}

export function diskFull(detail: string): ProblemException {
  return new ProblemException({ type: `${TYPE}disk-full`, title: 'Disk full', status: 507, detail });
}
