import { networkInterfaces } from 'node:os';
import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { CONFIG, type Config } from '../config.js';
import { DATABASE, type Database } from '../data/database.js';
import { phones } from '../data/schema.js';
import { ProblemException, notFound } from '../problems/problem.js';
import { Pairing, hashOf } from './pairing.js';

/** What was read of the phones counts for so long, ms: one that is let go elsewhere is refused after that. */
const FRESH = 2000;

/** A phone that was let in. */
export interface Phone {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
}

/** Under which addresses others in the same network reach this machine. */
export function addressesHere(): readonly string[] {
  return Object.values(networkInterfaces())
    .flat()
    .flatMap((n) => (n && !n.internal && n.family === 'IPv4' ? [n.address] : []));
}

/** Which phones are let in, and the code that lets one in. */
@Injectable()
export class ShopService implements OnModuleInit {
  private readonly pairing = new Pairing();
  private known: ReadonlyMap<string, Phone> = new Map();
  private readAt = 0;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(DATABASE) private readonly db: Database,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.read();
  }

  private async read(): Promise<void> {
    const rows = await this.db.select().from(phones);
    this.known = new Map(rows.map((p) => [p.hash, { id: p.id, name: p.name, pairedAt: p.pairedAt.toISOString() }]));
    this.readAt = Date.now();
  }

  /** Looks again which phones there are, where another process may have let one in or go since. */
  private async fresh(): Promise<void> {
    if (this.config.databaseUrl !== null && Date.now() - this.readAt > FRESH) await this.read();
  }

  get isOpen(): boolean {
    return this.config.shop;
  }

  get code(): string {
    return this.pairing.code;
  }

  /** The phone that a token was given to; undefined for one that is not let in. */
  async phoneOf(token: string | undefined): Promise<Phone | undefined> {
    if (token === undefined) return undefined;
    await this.fresh();
    return this.known.get(hashOf(token));
  }

  async all(): Promise<readonly Phone[]> {
    await this.fresh();
    return [...this.known.values()];
  }

  /** @throws ProblemException 403 for a wrong code, 429 when codes were tried too often */
  async pair(code: string, name: string): Promise<{ readonly token: string; readonly phone: Phone }> {
    const tried = this.pairing.try(code);
    if ('why' in tried) {
      const seconds = Math.ceil(tried.wait / 1000);
      throw new ProblemException(
        tried.why === 'wrong'
          ? {
              type: 'urn:ruvok:problem:wrong-code',
              title: 'Wrong code',
              status: 403,
              detail: 'That is not the code. It stands on the page of the desk, under Settings.',
            }
          : {
              type: 'urn:ruvok:problem:too-often',
              title: 'Too often',
              status: 429,
              detail: `Too many wrong codes: no code is taken for ${seconds} seconds, and there is a new one on the page of the desk.`,
            },
      );
    }
    const hash = hashOf(tried.token);
    const id = hash.slice(0, 12);
    const [row] = await this.db.insert(phones).values({ id, hash, name }).returning();
    const phone: Phone = { id, name, pairedAt: (row?.pairedAt ?? new Date()).toISOString() };
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
