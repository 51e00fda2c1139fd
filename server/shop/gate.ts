import type { NextFunction, Request, Response } from 'express';
import { tellProblem } from '../problems/problem.js';
import { asDevice } from '../records/device.js';
import { cookieOf, isDesk, madeDesk } from './desk.js';
import { fromPhone } from './rights.js';
import type { ShopService } from './shop.service.js';

/** The cookie that a phone is known by. */
export const COOKIE = 'ruvok_phone';

/** What one needs to be let in, and nothing else: the page that asks for the code, and what it is made of. */
function isDoor(req: Request): boolean {
  if (req.method === 'POST') return req.path === '/api/shop/pair';
  return req.method === 'GET' && (req.path === '/pair' || /^\/(assets\/[\w.-]+|[\w-]+\.(svg|png|ico|webmanifest))$/.test(req.path));
}

/**
 * Lets in the desk, which is whoever has its token, and the phones that were paired; everything else is refused. A server that
 * this machine alone reaches, by no name of its own, lets everything pass. What is let in is done under the name of its device.
 * @param desk what this machine is called
 */
export function gate(shop: ShopService, desk: string) {
  return async (req: Request, res: Response, next: NextFunction): Promise<void> => {
    if (!shop.isOpen || isDesk(req, shop.deskToken)) return asDevice(desk, next);
    if (madeDesk(req, res, shop.deskToken)) return;
    if (isDoor(req)) return next();
    const phone = await shop.phoneOf(cookieOf(req, COOKIE));
    if (phone) {
      // What of it all a phone may ask is told by what answers.
      fromPhone(req);
      return asDevice(phone.name, next);
    }
    if (req.method === 'GET' && !req.path.toLowerCase().startsWith('/api')) return res.redirect(302, '/pair');
    const detail =
      'This phone is not paired. Open /pair and give a code from the page of the desk. The desk itself opens the address that Ruvok printed when it was started.';
    tellProblem(req, res, { type: 'about:blank', title: 'Not let in', status: 401, detail });
  };
}
