import { networkInterfaces } from 'node:os';
import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Request } from 'express';
import { CONFIG, type Config } from '../config.js';
import { DATABASE, type Database } from '../data/database.js';
import { phones } from '../data/schema.js';
import { ProblemException, notFound } from '../problems/problem.js';
import { deskToken } from './desk.js';
import { Pairing, hashOf, type Code, type Refusal, type Wrong } from './pairing.js';

/** What was read of the phones counts for so long, ms: one that is let go elsewhere is refused after that. */
const FRESH = 2000;

/** A phone that did not come for so long has to be paired anew, ms. */
const UNUSED = 30 * 24 * 3600 * 1000;

/** When a phone came last is written down again after so long, ms. */
const NOTED = 3600 * 1000;

/** A phone that was let in, and when it came last. */
export interface Phone {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
  readonly usedAt: string;
}

/** Under which addresses others in the same network reach this machine. */
export function addressesHere(): readonly string[] {
  return Object.values(networkInterfaces())
    .flat()
    .flatMap((n) => (n && !n.internal && n.family === 'IPv4' ? [n.address] : []));
}

function notPaired({ why, wait }: Refusal): ProblemException {
  const where = 'It stands on the page of the desk, under Settings.';
  switch (why) {
    case 'wrong':
      return new ProblemException({
        type: 'urn:ruvok:problem:wrong-code',
        title: 'Wrong code',
        status: 403,
        detail: `That is not the code. ${where}`,
      });
    case 'no code':
      return new ProblemException({
        type: 'urn:ruvok:problem:no-code',
        title: 'No code',
        status: 403,
        detail: 'There is no code now: one is good for ten minutes and one phone. Ask for another on the page of the desk, under Settings.',
      });
    case 'too often': {
      const seconds = Math.ceil(wait / 1000);
      return new ProblemException({
        type: 'urn:ruvok:problem:too-often',
        title: 'Too often',
        status: 429,
        detail: `Too many wrong codes from here: no code is taken for ${seconds} seconds.`,
      });
    }
  }
}

/** Which phones are let in, and the code that lets one in. */
@Injectable()
export class ShopService implements OnModuleInit {
  private readonly pairing = new Pairing();
  private known: ReadonlyMap<string, Phone> = new Map();
  private readAt = 0;
  /** What the desk is known by. */
  readonly deskToken: string;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(DATABASE) private readonly db: Database,
  ) {
    this.deskToken = this.isOpen ? deskToken(config.dataFolder) : '';
  }

  async onModuleInit(): Promise<void> {
    await this.read();
  }

  private async read(): Promise<void> {
    const rows = await this.db.select().from(phones);
    this.known = new Map(
      rows.map((p) => [p.hash, { id: p.id, name: p.name, pairedAt: p.pairedAt.toISOString(), usedAt: p.usedAt.toISOString() }]),
    );
    this.readAt = Date.now();
  }

  /** Looks again which phones there are, where another process may have let one in or go since. */
  private async fresh(): Promise<void> {
    if (this.config.databaseUrl !== null && Date.now() - this.readAt > FRESH) await this.read();
  }

  /** Whether others than this machine may reach it: then who is let in has to be told. */
  get isOpen(): boolean {
    return this.config.shop || this.config.hosts.size > 0;
  }

  /** The code that is good now; null where none was asked for. */
  get code(): Code | null {
    return this.pairing.live;
  }

  makeCode(): Code {
    return this.pairing.make();
  }

  /** From where wrong codes came of late. */
  get wrong(): readonly Wrong[] {
    return this.pairing.wrong;
  }

  /** The phone that a token was given to; undefined for one that is not let in, or did not come for long. */
  async phoneOf(token: string | undefined): Promise<Phone | undefined> {
    if (token === undefined) return undefined;
    await this.fresh();
    const phone = this.known.get(hashOf(token));
    if (!phone) return undefined;
    const now = Date.now();
    const since = now - Date.parse(phone.usedAt);
    if (since > UNUSED) {
      await this.letGo(phone.id);
      return undefined;
    }
    if (since > NOTED) {
      await this.db
        .update(phones)
        .set({ usedAt: new Date(now) })
        .where(eq(phones.id, phone.id));
      await this.read();
    }
    return phone;
  }

  /** Under which addresses phones reach this server: as the desk itself does, where that is not this machine's own, and those of its networks. */
  addresses(req: Request): readonly string[] {
    const own = `${req.protocol}://${req.headers.host}`;
    const isFromOutside = !/^https?:\/\/(localhost|127\.|\[::1\])/.test(own);
    const there = this.config.shop ? addressesHere().map((a) => `http://${a}:${req.socket.localPort}`) : [];
    return [...new Set([...(isFromOutside ? [own] : []), ...there])];
  }

  async all(): Promise<readonly Phone[]> {
    await this.fresh();
    return [...this.known.values()];
  }

  /** @param from the address that asks. @throws ProblemException 403 for a wrong code or where there is none, 429 when codes were tried too often */
  async pair(code: string, name: string, from: string): Promise<{ readonly token: string; readonly phone: Phone }> {
    const tried = this.pairing.try(code, from);
    if ('why' in tried) throw notPaired(tried);
    const hash = hashOf(tried.token);
    const id = hash.slice(0, 12);
    const [row] = await this.db.insert(phones).values({ id, hash, name }).returning();
    const at = (row?.pairedAt ?? new Date()).toISOString();
    const phone: Phone = { id, name, pairedAt: at, usedAt: at };
    await this.read();
    return { token: tried.token, phone };
  }

  /** @throws ProblemException 404 when there is no such phone */
  async letGo(id: string): Promise<void> {
    const gone = await this.db.delete(phones).where(eq(phones.id, id)).returning({ id: phones.id });
    if (gone.length === 0) throw notFound(`phone ${id}`);
    await this.read();
  }
}
