import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';

/** So many wrong codes in a row, and the code is another one; then nothing is taken for a while, longer each time. */
const TRIES = 5;
const PAUSE = 30_000;
const LONGEST = 15 * 60_000;

/** Why a code was not taken. */
export type Refusal = { readonly why: 'wrong' | 'too often'; readonly wait: number };

const freshCode = () => `${randomInt(1_000_000)}`.padStart(6, '0');

/** What is kept of a token: it cannot be read back. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/**
 * The code that pairs a phone. It is another one after a phone was paired and after a few wrong tries, and each round of
 * wrong tries is followed by a pause twice as long as the one before: a thousand tries never see a thousand codes.
 */
export class Pairing {
  code = freshCode();
  private wrong = 0;
  private rounds = 0;
  private closedUntil = 0;

  constructor(private readonly now: () => number = Date.now) {}

  /** @returns a token for the phone, or why there is none */
  try(code: string): { readonly token: string } | Refusal {
    const wait = this.closedUntil - this.now();
    if (wait > 0) return { why: 'too often', wait };
    const [given, known] = [hashOf(code), hashOf(this.code)].map((h) => Buffer.from(h)) as [Buffer, Buffer];
    if (timingSafeEqual(given, known)) {
      this.wrong = 0;
      this.rounds = 0;
      this.code = freshCode();
      return { token: randomBytes(32).toString('base64url') };
    }
    this.wrong += 1;
    if (this.wrong < TRIES) return { why: 'wrong', wait: 0 };
    this.wrong = 0;
    const pause = Math.min(LONGEST, PAUSE * 2 ** this.rounds);
    this.rounds += 1;
    this.closedUntil = this.now() + pause;
    this.code = freshCode();
    return { why: 'too often', wait: pause };
  }
}
