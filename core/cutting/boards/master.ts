import { costOfMissing, type Packing, type Pattern } from './problem.js';

/** What is in the basis: a pattern by its number, a length that is left out, or what is over of a row. */
type Column =
  | { readonly kind: 'pattern'; readonly pattern: number }
  | { readonly kind: 'missing'; readonly row: number }
  | { readonly kind: 'over'; readonly row: number; readonly sign: 1 | -1 };

/** The rows that a column is in, and how much of it. */
type Entries = readonly (readonly [row: number, by: number])[];

const SMALL = 1e-9;
/** Every so many pivots the inverse is worked out anew from its columns, so that errors do not add up. */
const AFRESH = 120;
/** What is wanted is made a very little uneven, since many ratios that are equal make a simplex stand still. */
const UNEVEN = 1e-7;

/** All patterns that were found for a packing, with the rows they are in: what every state of the program draws from. */
export class Pool {
  readonly lengths: readonly number[];
  readonly limited: readonly number[];
  readonly patterns: Pattern[] = [];
  readonly entries: Entries[] = [];
  readonly costs: number[] = [];
  private readonly known = new Set<string>();

  constructor(readonly packing: Packing) {
    this.lengths = packing.sizes.map((_, i) => i).filter((i) => (packing.demand[i] as number) > 0);
    this.limited = packing.boards.map((_, b) => b).filter((b) => Number.isFinite(packing.boards[b]?.count ?? 0));
  }

  /** Puts a pattern to the others. @returns its number, or -1 where it is known */
  add(pattern: Pattern): number {
    const key = `${pattern.board} ${pattern.takes.join()}`;
    if (this.known.has(key)) return -1;
    this.known.add(key);
    const entries: [number, number][] = [];
    this.lengths.forEach((i, row) => (pattern.takes[i] ?? 0) > 0 && entries.push([row, pattern.takes[i] as number]));
    const limit = this.limited.indexOf(pattern.board);
    if (limit >= 0) entries.push([this.lengths.length + limit, 1]);
    this.entries.push(entries);
    this.costs.push(this.packing.boards[pattern.board]?.cost ?? 0);
    return this.patterns.push(pattern) - 1;
  }
}

/**
 * The linear program over patterns, held by the inverse of its basis (revised simplex). Its rows are the
 * lengths that are wanted, at least so many of each, and the boards of which there are only so many.
 */
export class Master {
  private readonly rows: number;
  private pivots = 0;

  private constructor(
    readonly pool: Pool,
    readonly wanted: Float64Array,
    private readonly basis: Column[],
    private readonly inverse: Float64Array[],
    private amounts: Float64Array,
    /** The patterns that take no more than is wanted. Another that is in the basis yet costs as much as what is missing, so that it goes out. */
    readonly fits: Set<number>,
  ) {
    this.rows = wanted.length;
  }

  /** Nothing is sawn yet: every length is missing. */
  static of(pool: Pool): Master {
    const { packing, lengths, limited } = pool;
    const wanted = Float64Array.from([
      ...lengths.map((i) => packing.demand[i] as number),
      ...limited.map((b) => Math.max(0, packing.boards[b]?.count ?? 0)),
    ]);
    const basis = Array.from(wanted, (_, row): Column =>
      row < lengths.length ? { kind: 'missing', row } : { kind: 'over', row, sign: 1 },
    );
    const inverse = Array.from(wanted, (_, row) => Float64Array.from(wanted, (__, at) => (row === at ? 1 : 0)));
    return new Master(pool, wanted, basis, inverse, unevenly(wanted), new Set(pool.patterns.keys()));
  }

  /** The same program once a pattern was taken so many times: what it makes is wanted no more. Dual pivots set right what went under zero by it. */
  after(pattern: number, times: number): Master {
    const wanted = Float64Array.from(this.wanted);
    for (const [row, by] of this.pool.entries[pattern] as Entries) wanted[row] = Math.max(0, (wanted[row] as number) - by * times);
    const inverse = this.inverse.map((row) => Float64Array.from(row));
    const next = new Master(this.pool, wanted, [...this.basis], inverse, this.amounts, new Set(this.fits));
    next.amounts = next.solvedFor(unevenly(wanted));
    next.setRight();
    for (const i of next.fits) if ((this.pool.entries[i] as Entries).some(([row, by]) => by > (wanted[row] as number))) next.fits.delete(i);
    return next;
  }

  private solvedFor(wanted: Float64Array): Float64Array {
    return Float64Array.from(this.inverse, (row) => row.reduce((sum, by, at) => sum + by * (wanted[at] as number), 0));
  }

  /** Dual simplex: what is under zero goes out for what raises the cost least, until nothing is. */
  private setRight(): void {
    for (let n = 0; n < 20 * this.rows; n += 1) {
      let out = 0;
      for (let row = 1; row < this.rows; row += 1) if ((this.amounts[row] as number) < (this.amounts[out] as number)) out = row;
      if ((this.amounts[out] as number) >= -UNEVEN / 100) return;
      const column = this.cheapestFor(out);
      if (!column) return;
      this.swap(out, column, this.columnOf(column));
    }
  }

  /** What can come in for a row under zero at the least cost. */
  private cheapestFor(out: number): Column | null {
    const along = this.inverse[out] as Float64Array;
    const prices = this.prices();
    let best: Column | null = null;
    let least = Infinity;
    const offer = (by: number, cost: number, column: () => Column) => {
      if (by >= -1e-7) return;
      const ratio = Math.max(0, cost) / -by;
      if (ratio < least) [best, least] = [column(), ratio];
    };
    this.fits.forEach((pattern) => {
      let by = 0;
      for (const [row, takes] of this.pool.entries[pattern] as Entries) by += takes * (along[row] as number);
      if (by < -1e-7) offer(by, this.reducedCost(pattern, prices), () => ({ kind: 'pattern', pattern }));
    });
    for (let row = 0; row < this.rows; row += 1) {
      const [by, price] = [along[row] as number, prices[row] as number];
      const isLength = row < this.pool.lengths.length;
      const sign = isLength ? -1 : 1;
      offer(sign * by, -sign * price, () => ({ kind: 'over', row, sign }));
      if (isLength) offer(by, costOfMissing(this.pool.packing) - price, () => ({ kind: 'missing', row }));
    }
    return best;
  }

  private entries(column: Column): Entries {
    if (column.kind === 'missing') return [[column.row, 1]];
    if (column.kind === 'over') return [[column.row, column.sign]];
    return this.pool.entries[column.pattern] as Entries;
  }

  private cost(column: Column): number {
    if (column.kind === 'missing') return costOfMissing(this.pool.packing);
    if (column.kind === 'over') return 0;
    return this.fits.has(column.pattern) ? (this.pool.costs[column.pattern] as number) : costOfMissing(this.pool.packing);
  }

  /** Takes a new pattern into account. */
  admit(pattern: number): void {
    this.fits.add(pattern);
  }

  /** The price of each row: what one more of it would cost. */
  prices(): Float64Array {
    const prices = new Float64Array(this.rows);
    this.basis.forEach((column, row) => {
      const cost = this.cost(column);
      if (cost === 0) return;
      const inverse = this.inverse[row] as Float64Array;
      for (let at = 0; at < this.rows; at += 1) prices[at] = (prices[at] as number) + cost * (inverse[at] as number);
    });
    return prices;
  }

  /** What a pattern costs less what it is worth at these prices; under zero where taking it makes all cheaper. */
  reducedCost(pattern: number, prices: Float64Array): number {
    let cost = this.pool.costs[pattern] as number;
    for (const [row, by] of this.pool.entries[pattern] as Entries) cost -= by * (prices[row] as number);
    return cost;
  }

  /** The price of having one board more of a kind; 0 where there are as many as one likes. */
  priceOfBoard(board: number, prices: Float64Array): number {
    const limit = this.pool.limited.indexOf(board);
    return limit < 0 ? 0 : (prices[this.pool.lengths.length + limit] as number);
  }

  /** A column in terms of the basis. */
  private columnOf(column: Column): Float64Array {
    const entries = this.entries(column);
    return Float64Array.from(this.inverse, (inverse) => {
      let sum = 0;
      for (const [at, by] of entries) sum += by * (inverse[at] as number);
      return sum;
    });
  }

  /** Takes a column in, and out what it brings to nothing first. */
  enter(column: Column): void {
    const into = this.columnOf(column);
    let out = -1;
    let least = Infinity;
    for (let row = 0; row < this.rows; row += 1) {
      const by = into[row] as number;
      if (by <= 1e-7) continue;
      const ratio = Math.max(0, this.amounts[row] as number) / by;
      if (ratio < least - 1e-12 || (ratio < least + 1e-12 && by > (into[out] as number))) [least, out] = [ratio, row];
    }
    if (out >= 0) this.swap(out, column, into);
  }

  private swap(out: number, column: Column, into: Float64Array): void {
    this.pivot(out, into);
    this.basis[out] = column;
    this.pivots += 1;
    if (this.pivots % AFRESH === 0) this.afresh();
  }

  private pivot(out: number, into: Float64Array): void {
    const pivotRow = this.inverse[out] as Float64Array;
    const by = into[out] as number;
    for (let at = 0; at < this.rows; at += 1) pivotRow[at] = (pivotRow[at] as number) / by;
    this.amounts[out] = (this.amounts[out] as number) / by;
    for (let row = 0; row < this.rows; row += 1) {
      const factor = into[row] as number;
      if (row === out || Math.abs(factor) < 1e-12) continue;
      const inverse = this.inverse[row] as Float64Array;
      for (let at = 0; at < this.rows; at += 1) inverse[at] = (inverse[at] as number) - factor * (pivotRow[at] as number);
      this.amounts[row] = (this.amounts[row] as number) - factor * this.amounts[out];
    }
  }

  /** The inverse from the columns of the basis (Gauss and Jordan, the largest pivot of each column). */
  private afresh(): void {
    const columns = [...this.basis];
    for (let row = 0; row < this.rows; row += 1) (this.inverse[row] as Float64Array).fill(0)[row] = 1;
    this.amounts = unevenly(this.wanted);
    const free = new Set(columns.keys());
    for (const column of columns) {
      const into = this.columnOf(column);
      const out = [...free].reduce((a, b) => (Math.abs(into[b] as number) > Math.abs(into[a] as number) ? b : a));
      free.delete(out);
      this.pivot(out, into);
      this.basis[out] = column;
    }
  }

  /** What it would pay to have over: more of a length than is wanted, or a board that is not used. */
  surplus(prices: Float64Array): Column | null {
    for (let row = 0; row < this.rows; row += 1) {
      const sign = row < this.pool.lengths.length ? -1 : 1;
      if (sign * (prices[row] as number) > SMALL) return { kind: 'over', row, sign };
    }
    return null;
  }

  /** How often each pattern is taken, of what is really wanted. */
  times(): number[] {
    const times = this.pool.patterns.map(() => 0);
    const amounts = this.solvedFor(this.wanted);
    this.basis.forEach((column, row) => {
      if (column.kind === 'pattern') times[column.pattern] = Math.max(0, amounts[row] as number);
    });
    return times;
  }

  /** What is still wanted of each length of the packing, and how many boards there are of each. */
  rest(): Packing {
    const { packing, lengths, limited } = this.pool;
    const demand = packing.sizes.map(() => 0);
    lengths.forEach((i, row) => (demand[i] = Math.round(this.wanted[row] as number)));
    const boards = packing.boards.map((board, b) => {
      const limit = limited.indexOf(b);
      return limit < 0 ? board : { ...board, count: Math.round(this.wanted[lengths.length + limit] as number) };
    });
    return { sizes: packing.sizes, demand, boards };
  }
}

/** What is wanted, and of each row a repeatable little more that no two rows share. */
function unevenly(wanted: Float64Array): Float64Array {
  return wanted.map((w, i) => w + UNEVEN * (1 + ((i * 0.6180339887) % 1)));
}
