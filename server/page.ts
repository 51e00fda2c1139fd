import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { NextFunction, Request, Response } from 'express';
import { tellProblem } from './problems/problem.js';

const SELF = "'self'";

/**
 * The content policy: nothing from elsewhere, no inline script, and only those style sheets
 * that carry the nonce of their page.
 * @param style what is taken for styles beside the page's own files
 */
export function policy(style: string) {
  return {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: [SELF, "'wasm-unsafe-eval'"],
      styleSrc: [SELF, style],
      fontSrc: [SELF],
      imgSrc: [SELF, 'data:', 'blob:'],
      connectSrc: [SELF],
      workerSrc: [SELF, 'blob:'],
      baseUri: [SELF],
      formAction: [SELF],
      frameAncestors: ["'none'"],
    },
  };
}

/** A path as files are named; as it is where it cannot be read so. */
function named(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
}

/** Answers every path of the page itself with its one document, the nonce of this answer written into it; what else is asked of the page is refused. */
export function servePage(folder: string) {
  const html = readFileSync(join(folder, 'index.html'), 'utf8');
  return (req: Request, res: Response, next: NextFunction): void => {
    const path = named(req.path);
    if (/^\/api(\/|$)/i.test(path)) return next();
    if (req.method !== 'GET' && req.method !== 'HEAD') {
      res.set('Allow', 'GET, HEAD');
      return tellProblem(req, res, { type: 'about:blank', title: 'Not done', status: 405, detail: 'A page can be read and nothing else.' });
    }
    const isFile = /^\/assets(\/|$)|\.[a-z0-9]+$/i.test(path) && path !== '/index.html';
    if (isFile) return next();
    res
      .type('html')
      .set('Cache-Control', 'no-cache')
      .send(html.replace('__CSP_NONCE__', res.locals['nonce'] as string));
  };
}

/** Tells of a file of the page that is not there. */
export function noFile(req: Request, res: Response, next: NextFunction): void {
  if (req.path.startsWith('/api')) return next();
  tellProblem(req, res, { type: 'about:blank', title: 'Not found', status: 404, detail: `There is no ${req.path}.` });
}
