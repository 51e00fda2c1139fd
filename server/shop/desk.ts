import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Request, Response } from 'express';
import { isSame } from './pairing.js';

/** The cookie that the desk is known by. */
const COOKIE = 'ruvok_desk';

/** A browser stays the desk for as long as browsers keep a cookie, ms. */
const KEPT = 400 * 24 * 3600 * 1000;

/** The value of a cookie that a request carries, if any. */
export function cookieOf(req: Request, name: string): string | undefined {
  const found = (req.headers.cookie ?? '').split(';').map((c) => c.trim().split('='));
  return found.find(([key]) => key === name)?.[1];
}

/** How a cookie is set that no script reads and no other place sends; over TLS alone where it came by that. */
export const cookieFor = (req: Request, maxAge: number) =>
  ({ httpOnly: true, sameSite: 'strict', secure: req.secure, maxAge, path: '/' }) as const;

/** The token of the desk, which is kept in a file that its owner alone reads, and made where there is none. */
export function deskToken(dataFolder: string): string {
  const file = join(dataFolder, 'desk-token');
  if (existsSync(file)) {
    const kept = readFileSync(file, 'utf8').trim();
    if (/^[\w-]{32,}$/.test(kept)) return kept;
  }
  mkdirSync(dataFolder, { recursive: true });
  const token = randomBytes(24).toString('base64url');
  writeFileSync(file, `${token}\n`, { mode: 0o600 });
  return token;
}

/** Where a browser is made the desk: who has this address may do everything. */
export const deskPath = (token: string): string => `/desk/${token}`;

/** Whether a request comes from a browser that was made the desk. */
export function isDesk(req: Request, token: string): boolean {
  const given = cookieOf(req, COOKIE);
  return given !== undefined && isSame(given, token);
}

/** Makes the browser the desk that asks for the desk's own address. @returns whether it did */
export function madeDesk(req: Request, res: Response, token: string): boolean {
  const given = /^\/desk\/([\w-]+)$/.exec(req.path)?.[1];
  if (req.method !== 'GET' || given === undefined || !isSame(given, token)) return false;
  res.cookie(COOKIE, token, cookieFor(req, KEPT)).redirect(302, '/');
  return true;
}
