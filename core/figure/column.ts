import { Figure, type Unit } from './figure.js';

/** One line of a sum as builders set it out: a sign, an amount, what it is. */
export interface SumLine {
  readonly sign: '' | '+' | '−' | '×' | '÷' | '=' | 'or' | '→';
  /** The figure of this line; its own sum can be opened where `opens` is true. */
  readonly figure: Figure<Unit>;
  readonly label: string;
  /** For a line such as "2 × 17.6": how many of what. */
  readonly times?: { readonly by: number; readonly each: Figure<Unit> };
  readonly opens: boolean;
}

function line(sign: SumLine['sign'], figure: Figure<Unit>, fallback = ''): SumLine {
  const op = figure.operation;
  const label = figure.label ?? (op.kind === 'times' ? (op.of.label ?? fallback) : fallback);
  const opens = op.kind !== 'leaf' && !(op.kind === 'times' && op.of.operation.kind === 'leaf');
  return op.kind === 'times' ? { sign, figure, label, times: { by: op.by, each: op.of }, opens } : { sign, figure, label, opens };
}

/** The lines of a chain of plus and minus, down to leaves and to figures that have a name. */
function chain(figure: Figure<Unit>, sign: '' | '+' | '−', root: boolean): SumLine[] {
  const op = figure.operation;
  const open = root || figure.label === undefined;
  if (!open || (op.kind !== 'plus' && op.kind !== 'minus')) return [line(sign, figure)];
  const right = op.kind === 'plus' ? '+' : '−';
  if (sign === '−') return [line(sign, figure)];
  return [...chain(op.left, sign, false), ...chain(op.right, right, false)];
}

function count(by: number, label: string): SumLine {
  return { sign: '÷', figure: Figure.leaf('count', by, label), label, opens: false };
}

/** The working of a figure without its answer. */
function working(figure: Figure<Unit>): SumLine[] {
  const op = figure.operation;
  switch (op.kind) {
    case 'leaf':
      return [line('', figure)];
    case 'plus':
    case 'minus': {
      // A share that something is then added to shows how it was shared, not just its amount.
      const first = firstOf(figure);
      const shared = first.label === undefined && (first.operation.kind === 'over' || first.operation.kind === 'set');
      const lines = chain(figure, '', true);
      return shared ? [...workingWithAnswer(first), ...lines.slice(1)] : lines;
    }
    case 'times':
      return [line('', op.of), { sign: '×', figure: Figure.leaf('count', op.by, op.note ?? ''), label: op.note ?? '', opens: false }];
    case 'over': {
      // What was set to the grid is shown with that step, or the sum would not close.
      if (op.of.operation.kind === 'set') {
        const whole = op.of.label === undefined ? workingWithAnswer(op.of) : [line('', op.of)];
        return [...whole, count(op.by, op.note ?? '')];
      }
      const above = working(op.of);
      const subtotal = above.length > 1 ? [line('=', op.of, 'left to share')] : [];
      return [...above, ...subtotal, count(op.by, op.note ?? '')];
    }
    case 'least':
    case 'greatest':
      return op.of.map((f, i) => line(i === 0 ? '' : 'or', f));
    case 'set': {
      const above = working(op.of);
      return [...above, ...(above.length > 1 ? [line('=', op.of, 'each, exactly')] : [])];
    }
    case 'formula':
      return op.of.map((f) => line('', f));
  }
}

/** The figure that a chain of plus and minus begins with. */
function firstOf(figure: Figure<Unit>): Figure<Unit> {
  const op = figure.operation;
  return op.kind === 'plus' || op.kind === 'minus' ? (op.left.label === undefined ? firstOf(op.left) : op.left) : figure;
}

function workingWithAnswer(figure: Figure<Unit>): SumLine[] {
  const sign = figure.operation.kind === 'set' ? '→' : '=';
  return [...working(figure), { sign, figure, label: answerLabel(figure) || 'each', opens: false }];
}

function answerLabel(figure: Figure<Unit>): string {
  const op = figure.operation;
  switch (op.kind) {
    case 'least':
      return 'the least of them';
    case 'greatest':
      return 'the greatest of them';
    case 'set':
      return op.note;
    case 'formula':
      return op.name;
    default:
      return figure.label ?? '';
  }
}

/**
 * Sets a figure out as a column sum. A figure that has a name of its own stands as one
 * line; all else is opened down to the readings.
 * @returns the lines in order; the last is the answer
 * @example columnSum(overall.minus(toe).minus(panel.times(2)))
 * // 72 overall height / − 3 toe / − 1 1/2 panel, 2 × 3/4 / = 67 1/2
 */
export function columnSum(figure: Figure<Unit>): readonly SumLine[] {
  if (figure.operation.kind === 'leaf') return [{ ...line('=', figure), opens: false }];
  const sign = figure.operation.kind === 'set' ? '→' : '=';
  return [...working(figure), { sign, figure, label: answerLabel(figure), opens: false }];
}
