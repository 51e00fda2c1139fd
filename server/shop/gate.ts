import type { NextFunction, Request, Response } from 'express';
import { tellProblem } from '../problems/problem.js';
import { asDevice } from '../records/device.js';
import { fromPhone } from './rights.js';
import type { ShopService } from './shop.service.js';

const HERE: ReadonlySet<string> = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** The cookie that a phone is known by. */
export const COOKIE = 'ruvok_phone';

/** Whether a request comes from this machine, to its own address. */
export function isDesk({ socket }: Request): boolean {
  return HERE.has(socket.remoteAddress ?? '') && HERE.has(socket.localAddress ?? '');
}

/** The token that a request carries, if any. */
export function tokenIn(req: Request): string | undefined {
  const found = (req.headers.cookie ?? '').split(';').map((c) => c.trim().split('='));
  return found.find(([name]) => name === COOKIE)?.[1];
}

/** What one needs to be let in, and nothing else: the page that asks for the code, and what it is made of. */
function isDoor(req: Request): boolean {
  if (req.method === 'POST') return req.path === '/api/shop/pair';
  return req.method === 'GET' && (req.path === '/pair' || /^\/(assets\/[\w.-]+|[\w-]+\.(svg|png|ico|webmanifest))$/.test(req.path));
}

/**
 * Lets in this machine and the phones that were paired; everything else is refused. A server that listens to this machine
 * alone lets everything pass. What is let in is done under the name of its device.
 * @param desk what this machine is called
 */
export function gate(shop: ShopService, desk: string) {
  return async (req: Request, res: Response, next: NextFunction): Promise<void> => {
    if (!shop.isOpen || isDesk(req)) return asDevice(desk, next);
    if (isDoor(req)) return next();
    const phone = await shop.phoneOf(tokenIn(req));
    if (phone) {
      // What of it all a phone may ask is told by what answers.
      fromPhone(req);
      return asDevice(phone.name, next);
    }
    if (req.method === 'GET' && !req.path.toLowerCase().startsWith('/api')) return res.redirect(302, '/pair');
    const detail = 'This phone is not paired. Open /pair and give the code that stands on the page of the desk.';
    tellProblem(req, res, { type: 'about:blank', title: 'Not let in', status: 401, detail });
  };
}
