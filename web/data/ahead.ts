import { api, type Workbench } from './api.js';

/** A project that was asked for before its screens were there. */
let asked: { readonly project: string; readonly answer: Promise<Workbench> } | null = null;

/** Asks for a project before its screens are there. */
export function askAhead(project: string): void {
  asked = { project, answer: api.workbench(project) };
  // Who takes it is told of what went wrong.
  asked.answer.catch(() => undefined);
}

/** The answer to what was asked ahead, once; null where nothing was asked of this project. */
export function takeAhead(project: string): Promise<Workbench> | null {
  const taken = asked;
  asked = null;
  return taken?.project === project ? taken.answer : null;
}
