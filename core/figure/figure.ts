import { fromUnits, type Length } from '../length/index.js';

/** What a figure counts. Lengths are in 1/80 µm, mass in kg, force in N, angles in degrees. */
export type Unit = 'length' | 'mass' | 'force' | 'angle' | 'count' | 'money';

/**
 * The field that a leaf figure comes from, so that one can walk back to it and change it: of the piece itself, of what decides its
 * outside, of how a space is made or filled, of a space or a member of the piece, or of a record. `field` is its path there, such as `base.height` or `widths.1`.
 */
export type Source =
  | { readonly in: 'piece' | 'overall' | 'making'; readonly field: string }
  | { readonly in: 'space' | 'member' | 'opening' | 'stock' | 'slide' | 'thing'; readonly id: string; readonly field: string };

/** One word for a source: equal for the same field. @example sourceKey({ in: 'space', id: 'in-1', field: 'rule.size' }) // 'space in-1 rule.size' */
export const sourceKey = (source: Source): string =>
  'id' in source ? `${source.in} ${source.id} ${source.field}` : `${source.in} ${source.field}`;

type AnyFigure = Figure<Unit>;

/** How a figure came about from others. */
export type Operation =
  | { readonly kind: 'leaf'; readonly source?: Source }
  | { readonly kind: 'plus' | 'minus'; readonly left: AnyFigure; readonly right: AnyFigure }
  | { readonly kind: 'times' | 'over'; readonly of: AnyFigure; readonly by: number; readonly note?: string }
  | { readonly kind: 'least' | 'greatest'; readonly of: readonly AnyFigure[] }
  | { readonly kind: 'set'; readonly of: AnyFigure; readonly note: string }
  | { readonly kind: 'formula'; readonly name: string; readonly of: readonly AnyFigure[] };

/**
 * A value and how it came about. Figures are built by the arithmetic itself, so what is
 * shown as the sum behind a size is the sum that gave it.
 *
 * @example
 * const between = size('opening', mm(1203)).minus(size('side', mm(17.6)).times(2));
 * toMm(between.value); // 1167.8
 */
export class Figure<U extends Unit = 'length'> {
  private constructor(
    readonly unit: U,
    /** In the unit of the figure; for a length the integer count of 1/80 µm. */
    readonly amount: number,
    readonly operation: Operation,
    readonly label: string | undefined,
  ) {}

  /** A figure that rests on nothing but its source. */
  static leaf<U extends Unit>(unit: U, amount: number, label: string, source?: Source): Figure<U> {
    return new Figure(unit, amount, source ? { kind: 'leaf', source } : { kind: 'leaf' }, label);
  }

  /** The sum of figures. @throws RangeError for none at all */
  static sum<U extends Unit>(figures: readonly Figure<U>[]): Figure<U> {
    return Figure.some(figures).reduce((sum, figure) => sum.plus(figure));
  }

  /** The least of some figures. @throws RangeError for none at all */
  static least<U extends Unit>(figures: readonly Figure<U>[]): Figure<U> {
    return Figure.pick('least', figures, Math.min);
  }

  /** The greatest of some figures. @throws RangeError for none at all */
  static greatest<U extends Unit>(figures: readonly Figure<U>[]): Figure<U> {
    return Figure.pick('greatest', figures, Math.max);
  }

  /** A figure that a named formula gave from others; the amount is worked out by the caller. */
  static formula<U extends Unit>(unit: U, name: string, of: readonly AnyFigure[], amount: number): Figure<U> {
    return new Figure(unit, amount, { kind: 'formula', name, of }, undefined);
  }

  private static some<U extends Unit>(figures: readonly Figure<U>[]): readonly [Figure<U>, ...Figure<U>[]] {
    const [first, ...rest] = figures;
    if (!first) throw new RangeError('a figure needs at least one figure to rest on');
    return [first, ...rest];
  }

  private static pick<U extends Unit>(
    kind: 'least' | 'greatest',
    figures: readonly Figure<U>[],
    choose: (...amounts: number[]) => number,
  ): Figure<U> {
    const [first, ...rest] = Figure.some(figures);
    if (rest.length === 0) return first;
    return new Figure(first.unit, choose(...figures.map((f) => f.amount)), { kind, of: figures }, undefined);
  }

  plus(right: Figure<U>): Figure<U> {
    return new Figure(this.unit, this.amount + right.amount, { kind: 'plus', left: this, right }, undefined);
  }

  minus(right: Figure<U>): Figure<U> {
    return new Figure(this.unit, this.amount - right.amount, { kind: 'minus', left: this, right }, undefined);
  }

  /** The figure so many times over; lengths round to the unit. */
  times(by: number): Figure<U> {
    return new Figure(this.unit, this.whole(this.amount * by), { kind: 'times', of: this, by }, undefined);
  }

  /** The figure shared into `by` parts; lengths round to the unit. `note` says what the parts are. */
  over(by: number, note?: string): Figure<U> {
    const operation: Operation = note ? { kind: 'over', of: this, by, note } : { kind: 'over', of: this, by };
    return new Figure(this.unit, this.whole(this.amount / by), operation, undefined);
  }

  /** The figure brought to a chosen amount near it (a grid, a series), with the reason. */
  setTo(amount: number, note: string): Figure<U> {
    return new Figure(this.unit, this.whole(amount), { kind: 'set', of: this, note }, undefined);
  }

  /** The same figure under a name; where it is used in another sum it shows as one line. */
  named(label: string): Figure<U> {
    return new Figure(this.unit, this.amount, this.operation, label);
  }

  private whole(amount: number): number {
    return this.unit === 'length' ? fromUnits(amount) : amount;
  }

  /** The amount as a length. @throws TypeError when the figure counts something else */
  get value(): Length {
    if (this.unit !== 'length') throw new TypeError(`a figure in ${this.unit} is not a length`);
    return this.amount as Length;
  }
}

/** A length figure that is a leaf. @example size('shelf', mm(300)).value // mm(300) */
export function size(label: string, length: Length, source?: Source): Figure {
  return Figure.leaf('length', length, label, source);
}

/** The figures that a figure was made from directly. @example termsOf(SHELF.length.plus(RAIL.width)).length // 2 */
export function termsOf(figure: Figure<Unit>): readonly Figure<Unit>[] {
  const op = figure.operation;
  switch (op.kind) {
    case 'leaf':
      return [];
    case 'plus':
    case 'minus':
      return [op.left, op.right];
    case 'times':
    case 'over':
    case 'set':
      return [op.of];
    default:
      return op.of;
  }
}

/**
 * Every reading, stock record, rule and choice that a figure rests on, each once.
 * @example sourcesOf(size('shelf', mm(300), { in: 'piece', field: 'depth' }).times(2)) // [{ in: 'piece', field: 'depth' }]
 */
export function sourcesOf(figure: Figure<Unit>): readonly Source[] {
  const seen = new Set<Figure<Unit>>();
  const sources = new Map<string, Source>();
  const visit = (f: Figure<Unit>): void => {
    if (seen.has(f)) return;
    seen.add(f);
    if (f.operation.kind === 'leaf' && f.operation.source) sources.set(sourceKey(f.operation.source), f.operation.source);
    termsOf(f).forEach(visit);
  };
  visit(figure);
  return [...sources.values()];
}
