import { isIP } from 'node:net';
import type { NextFunction, Request, Response } from 'express';
import { tellProblem } from './problem.js';

/** The name in a host, without its port and the brackets of an address. */
function nameOf(host: string): string | null {
  try {
    return new URL(`http://${host}`).hostname.replace(/^\[|\]$/g, '').toLowerCase();
  } catch {
    return null;
  }
}

/**
 * Why a request is none of this page's own, if it is not: it names a host that a stranger could have pointed here, or it
 * comes from a page of another place.
 * @param named hosts that this server is reached by, beside its addresses and localhost
 */
export function strangeIn(headers: Pick<Request, 'headers'>['headers'], named: ReadonlySet<string>): string | null {
  const { host = '', origin } = headers;
  const name = nameOf(host);
  if (name === null || !(name === 'localhost' || isIP(name) > 0 || named.has(name)))
    return `This server is not called “${host}”. Open it by its address, such as http://127.0.0.1, or name that host in RUVOK_HOSTS.`;
  if (origin === undefined) return headers['sec-fetch-site'] === 'cross-site' ? 'A page of another place asked for this.' : null;
  const from = /^https?:\/\/(.+)$/.exec(origin)?.[1]?.toLowerCase();
  return from === host.toLowerCase() ? null : `A page of another place (${origin}) asked for this.`;
}

/**
 * Refuses what other pages ask for in the name of whoever has Ruvok open: a page whose name was pointed to this machine,
 * and requests from other places. Programs that are no browser name no place and are let through; a link to a page is.
 */
export function ownPagesOnly(named: ReadonlySet<string>) {
  return (req: Request, res: Response, next: NextFunction): void => {
    const isLink = req.method === 'GET' && req.headers['sec-fetch-mode'] === 'navigate';
    const why = strangeIn(isLink ? { host: req.headers.host } : req.headers, named);
    if (why === null) return next();
    tellProblem(req, res, { type: 'about:blank', title: 'Not from here', status: 403, detail: why });
  };
}
