import { LONGEST, UNITS_PER, ZERO, fromUnits, type Length, type LengthUnit } from './length.js';
import { DEFAULT_STEP, exactText, formatLength } from './format.js';

/** Why an entry was refused, where in it, and what would have been taken. */
export interface LengthProblem {
  readonly message: string;
  /** Index into the text where the reader gave up. */
  readonly at: number;
  readonly accepted: string;
}

/** An entry as it was understood, or why it was not. */
export type LengthReading =
  { readonly ok: true; readonly length: Length; readonly echo: string } | { readonly ok: false; readonly problem: LengthProblem };

/** What a reader takes a bare number for, and the bounds of what makes sense in the place. */
export interface ReadingOptions {
  readonly unit: LengthUnit;
  /** The least that is taken, itself included; when left out, more than zero is asked for. */
  readonly least?: Length;
  readonly greatest?: Length;
}

const ACCEPTED: Readonly<Record<LengthUnit, string>> = {
  mm: '851, 83.8 cm, 0.838 m, 33 1/2 in, or a sum such as 900 - 2*18',
  in: '33 1/2, 33.5, 2\' 9 1/2", 851 mm, or a sum such as 36 - 2*3/4',
};

const UNIT_NAMES: Readonly<Record<string, number>> = {
  mm: UNITS_PER.mm,
  cm: UNITS_PER.cm,
  m: UNITS_PER.m,
  in: UNITS_PER.in,
  inch: UNITS_PER.in,
  inches: UNITS_PER.in,
  '"': UNITS_PER.in,
  ft: UNITS_PER.ft,
  foot: UNITS_PER.ft,
  feet: UNITS_PER.ft,
  "'": UNITS_PER.ft,
};

/** A value while an entry is read: a bare number, or a count of length units. */
interface Value {
  readonly amount: number;
  readonly bare: boolean;
}

class Refusal extends Error {
  constructor(
    message: string,
    readonly at: number,
  ) {
    super(message);
  }
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Brings marks that keyboards vary to one form, so that each kept index still points at its place. */
function plain(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/[′’]/g, "'")
    .replace(/[″”]/g, '"')
    .replace(/''/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/[×]/g, '*')
    .toLowerCase();
}

class Reader {
  private at = 0;

  constructor(
    private readonly text: string,
    private readonly unit: LengthUnit,
  ) {}

  read(): Length {
    if (this.text.trim() === '') throw new Refusal('nothing was entered', 0);
    const value = this.sum();
    this.space();
    if (this.at < this.text.length) throw new Refusal(this.notUnderstood(), this.at);
    return fromUnits(this.asLength(value));
  }

  private notUnderstood(): string {
    return `"${this.text.slice(this.at).trim()}" was not understood`;
  }

  private asLength(value: Value): number {
    return value.bare ? value.amount * UNITS_PER[this.unit] : value.amount;
  }

  private space(): void {
    while (this.text[this.at] === ' ') this.at += 1;
  }

  private take(pattern: RegExp): RegExpExecArray | null {
    const sticky = new RegExp(pattern.source, 'y');
    sticky.lastIndex = this.at;
    const match = sticky.exec(this.text);
    if (match) this.at = sticky.lastIndex;
    return match;
  }

  private sum(): Value {
    let left = this.product();
    for (let sign = this.take(/\s*([+-])/); sign; sign = this.take(/\s*([+-])/)) {
      const right = this.product();
      const direction = sign[1] === '+' ? 1 : -1;
      left =
        left.bare && right.bare
          ? { amount: left.amount + direction * right.amount, bare: true }
          : { amount: this.asLength(left) + direction * this.asLength(right), bare: false };
    }
    return left;
  }

  private product(): Value {
    let left = this.factor();
    for (let sign = this.take(/\s*([*/x])/); sign; sign = this.take(/\s*([*/x])/)) {
      const start = this.at;
      const right = this.factor();
      if (sign[1] === '/') {
        if (!right.bare) throw new Refusal('a length can only be divided by a plain number', start);
        if (right.amount === 0) throw new Refusal('nothing can be divided by 0', start);
        left = { amount: left.amount / right.amount, bare: left.bare };
      } else {
        if (!left.bare && !right.bare) throw new Refusal('a length times a length is not a length', start);
        left = { amount: left.amount * right.amount, bare: left.bare && right.bare };
      }
    }
    return left;
  }

  private factor(): Value {
    this.space();
    if (this.take(/-/)) {
      const value = this.factor();
      return { amount: -value.amount, bare: value.bare };
    }
    if (this.take(/\(/)) {
      const value = this.sum();
      if (!this.take(/\s*\)/)) throw new Refusal('a bracket is not closed', this.at);
      return value;
    }
    return this.measure();
  }

  /** One measure: `33 1/2`, `33-1/2"`, `2' 9 1/2"`, `0.838 m`. */
  private measure(): Value {
    const start = this.at;
    const first = this.number();
    if (first === null) {
      throw new Refusal(this.at >= this.text.length ? 'a number is missing at the end' : this.notUnderstood(), start);
    }
    const unit = this.unitName();
    if (unit === null) return { amount: first, bare: true };
    let amount = first * unit;
    if (unit === UNITS_PER.ft) amount += this.inchesAfterFeet();
    return { amount, bare: false };
  }

  /** The inches that may follow feet, with or without their own mark. */
  private inchesAfterFeet(): number {
    const before = this.at;
    this.take(/(?:\s+|-)?(?=[\d.])/);
    const inches = this.number();
    if (inches === null) {
      this.at = before;
      return 0;
    }
    const unit = this.unitName();
    if (unit !== null && unit !== UNITS_PER.in) {
      this.at = before;
      return 0;
    }
    return inches * UNITS_PER.in;
  }

  private number(): number | null {
    this.space();
    const start = this.at;
    const mixed = this.take(/(\d+)(?:\s+|-)(\d+)\/(\d+)(?![\d.])/);
    if (mixed) return Number(mixed[1]) + this.fraction(mixed[2], mixed[3], start);
    const fraction = this.take(/(\d+)\/(\d+)(?![\d.])/);
    if (fraction) return this.fraction(fraction[1], fraction[2], start);
    const decimal = this.take(/\d+(?:\.\d+)?|\.\d+/);
    if (!decimal) return null;
    if (this.text[this.at] === ',') throw new Refusal('a comma was not understood; write a decimal point', this.at);
    return Number(decimal[0]);
  }

  private fraction(top: string | undefined, bottom: string | undefined, at: number): number {
    if (Number(bottom) === 0) throw new Refusal('nothing can be divided by 0', at);
    return Number(top) / Number(bottom);
  }

  private unitName(): number | null {
    const match = this.take(/\s*(mm|cm|m(?![a-z])|inches|inch|in|ft|feet|foot|"|')/);
    return match ? (UNIT_NAMES[match[1] ?? ''] ?? null) : null;
  }
}

function refuse(message: string, at: number, accepted: string): LengthReading {
  return { ok: false, problem: { message, at, accepted } };
}

/**
 * Reads a length the way builders write it: `33 1/2`, `33-1/2"`, `2' 9 1/2"`, `851`,
 * `83.8 cm`, `1/2`, and sums such as `36 - 2*3/4`. A hyphen without spaces before a
 * fraction is a mixed number. A bare number takes the unit of the options.
 * @returns the length with an echo of how it was understood, or the problem: what was
 *   not understood, where, and what is accepted
 * @example readLength('33-1/2"', { unit: 'mm' }).length // inch(33.5)
 */
export function readLength(text: string, options: ReadingOptions): LengthReading {
  const accepted = ACCEPTED[options.unit];
  let length: Length;
  try {
    length = new Reader(plain(text), options.unit).read();
  } catch (error) {
    if (error instanceof Refusal) return refuse(error.message, error.at, accepted);
    if (error instanceof RangeError) return refuse('that is longer than anything that can be built', 0, accepted);
    throw error;
  }
  const outside = bounds(length, options);
  if (outside) return refuse(outside, 0, accepted);
  return { ok: true, length, echo: `${exactText(length, options.unit)} ${options.unit}` };
}

/** Says in which way a length is out of the bounds of its place, or nothing. */
function bounds(length: Length, options: ReadingOptions): string | null {
  const write = (l: Length) => `${formatLength(l, { unit: options.unit, step: DEFAULT_STEP[options.unit] })} ${options.unit}`;
  const upper = options.greatest ?? LONGEST;
  if (options.least === undefined && length <= ZERO) {
    return length === ZERO ? 'a size of 0 was entered; it must be more than 0' : 'a size cannot be negative';
  }
  if (options.least !== undefined && length < options.least) return `it must be at least ${write(options.least)}`;
  if (length > upper) return `it must be at most ${write(upper)}`;
  return null;
}
