import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { isIPv6 } from 'node:net';

/** A code that was asked for is good for so long, ms, or until a phone was paired by it. */
const LIVES = 10 * 60_000;
/** So many wrong codes of one address in a row, and no code is taken from there for a while, longer each time, ms. */
const TRIES = 5;
const PAUSE = 30_000;
const LONGEST = 15 * 60_000;
/** An address that gave no wrong code for so long is as one that never did, ms. */
const FORGOTTEN = 60 * 60_000;
/** So many wrong codes of all addresses together, and the code is good no more: one in 10,000 is found by then. */
const MOST_WRONG = 100;
/** So many addresses are counted; of more, those are left out that were wrong longest ago. */
const MOST_ADDRESSES = 10_000;

/** Why a code was not taken, and for how long none is taken from there, ms. */
export type Refusal = { readonly why: 'wrong' | 'too often' | 'no code'; readonly wait: number };

/** A code, and until when it is good, ms since 1970. */
export interface Code {
  readonly code: string;
  readonly until: number;
}

/** Wrong codes that came from one address: how many within the last hour, and when the last did, ms since 1970. */
export interface Wrong {
  readonly address: string;
  readonly count: number;
  readonly at: number;
}

interface Tries extends Wrong {
  readonly inRow: number;
  readonly rounds: number;
  readonly closedUntil: number;
}

/** What is kept of a token: it cannot be read back. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Whether two secrets are the same, in a time that says nothing of where they differ. */
export const isSame = (a: string, b: string): boolean => timingSafeEqual(Buffer.from(hashOf(a)), Buffer.from(hashOf(b)));

/** Whose an address is: of IPv6 the network, in which one machine has as many addresses as it likes. */
export function ownerOf(address: string): string {
  const plain = address.replace(/^::ffff:(?=\d+\.)/i, '');
  if (!isIPv6(plain)) return plain;
  const [first = [], last = []] = plain.split('::').map((part) => part.split(':').filter((group) => group !== ''));
  const groups = [...first, ...Array.from({ length: 8 - first.length - last.length }, () => '0'), ...last];
  return `${groups.slice(0, 4).join(':')}::/64`;
}

/**
 * The code that pairs a phone: made when the desk asks for it, good for ten minutes and one phone. Wrong ones are counted by
 * the address that they come from, so that nobody closes the door for another; one address never sees a thousand codes tried,
 * and all together a hundred on one code.
 */
export class Pairing {
  private made: (Code & { readonly wrong: number }) | null = null;
  private readonly tries = new Map<string, Tries>();

  constructor(private readonly now: () => number = Date.now) {}

  /** The code that is good now; null where none is. */
  get live(): Code | null {
    return this.made !== null && this.made.until > this.now() ? { code: this.made.code, until: this.made.until } : null;
  }

  /** Makes another code, in place of the one that there was. */
  make(): Code {
    const code = `${randomInt(1_000_000)}`.padStart(6, '0');
    const until = this.now() + LIVES;
    this.made = { code, until, wrong: 0 };
    return { code, until };
  }

  /** From where wrong codes came within the last hour, the latest first. */
  get wrong(): readonly Wrong[] {
    this.forget();
    return [...this.tries.values()].map(({ address, count, at }) => ({ address, count, at })).sort((a, b) => b.at - a.at);
  }

  /** @returns a token for the phone, or why there is none */
  try(code: string, from: string): { readonly token: string } | Refusal {
    this.forget();
    const address = ownerOf(from);
    const before = this.tries.get(address);
    const wait = (before?.closedUntil ?? 0) - this.now();
    if (wait > 0) return { why: 'too often', wait };
    const { live } = this;
    if (live === null) return { why: 'no code', wait: 0 };
    if (isSame(code, live.code)) {
      this.tries.delete(address);
      this.made = null;
      return { token: randomBytes(32).toString('base64url') };
    }
    return this.wasWrong(before ?? { address, count: 0, at: 0, inRow: 0, rounds: 0, closedUntil: 0 });
  }

  private wasWrong(before: Tries): Refusal {
    const now = this.now();
    if (this.made) this.made = { ...this.made, wrong: this.made.wrong + 1 };
    if (this.made && this.made.wrong >= MOST_WRONG) this.made = null;
    const isLast = before.inRow + 1 >= TRIES;
    const wait = isLast ? Math.min(LONGEST, PAUSE * 2 ** before.rounds) : 0;
    // Taken out first, so that the map stays in the order of the last try.
    this.tries.delete(before.address);
    this.tries.set(before.address, {
      address: before.address,
      count: before.count + 1,
      at: now,
      inRow: isLast ? 0 : before.inRow + 1,
      rounds: before.rounds + (isLast ? 1 : 0),
      closedUntil: now + wait,
    });
    return { why: isLast ? 'too often' : 'wrong', wait };
  }

  private forget(): void {
    for (const { address, at } of this.tries.values()) {
      if (this.tries.size <= MOST_ADDRESSES && at + FORGOTTEN > this.now()) return;
      this.tries.delete(address);
    }
  }
}
