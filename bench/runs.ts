import { Constraint, Expression, Operator, Solver, Strength, Variable } from '@lume/kiwi';
import { size } from '../core/figure/index.js';
import { mm, toMm } from '../core/length/index.js';
import { solveRun, sumOfLines, type RunLine, type RunSpec } from '../core/run/index.js';
import { ms, print, timed } from './figures.js';

const WOOD = 18;

/** What decides the nth gap of a run: most share, one in three is given, one in seven weighs double. */
function gapOf(n: number): { readonly fixed: number } | { readonly weight: number } {
  if (n % 3 === 1) return { fixed: 200 + (n % 5) * 12.5 };
  return { weight: n % 7 === 0 ? 2 : 1 };
}

/** A run of so many gaps with wood between them, long enough for about 260 each. */
function runOf(gaps: number): RunSpec {
  const lines = Array.from({ length: gaps }, (_, n): readonly RunLine[] => {
    const of = gapOf(n);
    const rule = 'fixed' in of ? { kind: 'fixed' as const, size: mm(of.fixed) } : { kind: 'share' as const, weight: of.weight };
    const gap: RunLine = { kind: 'gap', id: `g${n}`, label: `gap ${n}`, rule };
    const wood: RunLine = { kind: 'member', id: `m${n}`, label: `shelf ${n}`, plural: 'shelves', extent: size('ply', mm(WOOD)) };
    return n === 0 ? [gap] : [wood, gap];
  });
  return {
    lines: lines.flat(),
    total: { kind: 'given', figure: size('inside', mm(totalOf(gaps))) },
    rounding: { grid: mm(0.5), set: 'exact', leftover: 'spread' },
  };
}

const totalOf = (gaps: number) => gaps * 260 + (gaps - 1) * WOOD;

/** The same run put to a general constraint solver: an edge at each end of each line, and all in one system. @returns the sizes of its gaps, mm */
function byConstraints(gaps: number): readonly number[] {
  const solver = new Solver();
  const required = (left: Expression, right: Expression) =>
    solver.addConstraint(new Constraint(left, Operator.Eq, right, Strength.required));
  const unit = new Variable('unit');
  const edges = Array.from({ length: 2 * gaps }, (_, i) => new Variable(`e${i}`));
  const edge = (i: number) => edges[i] as Variable;
  required(new Expression(edge(0)), new Expression(0));
  required(new Expression(edge(2 * gaps - 1)), new Expression(totalOf(gaps)));
  for (let n = 0; n < gaps; n += 1) {
    const [near, far] = [edge(2 * n), edge(2 * n + 1)];
    const of = gapOf(n);
    required(new Expression(far), 'fixed' in of ? new Expression(near, of.fixed) : new Expression(near, [of.weight, unit]));
    if (n > 0) required(new Expression(near), new Expression(edge(2 * n - 1), WOOD));
  }
  solver.updateVariables();
  return Array.from({ length: gaps }, (_, n) => edge(2 * n + 1).value() - edge(2 * n).value());
}

/** The run solver beside a general constraint solver on the same runs; first whether both say the same. */
export function benchRuns(): void {
  for (const [gaps, rounds, each] of [
    [5, 200, 100],
    [50, 80, 10],
    [500, 6, 1],
  ] as const) {
    const spec = runOf(gaps);
    const own = solveRun(spec);
    const sizes = own.lines.filter((l) => l.line.kind === 'gap').map((l) => toMm(l.exact.value));
    const apart = byConstraints(gaps).reduce((most, other, n) => Math.max(most, Math.abs(other - (sizes[n] as number))), 0);
    const exact = sumOfLines(own) === own.total.value;
    const median = (work: () => void) => timed(work, rounds, rounds, each).median;
    const [mine, theirs] = [median(() => solveRun(spec)), median(() => byConstraints(gaps))];
    const lines = 2 * gaps - 1;
    print(`run of ${lines} lines, median`, ms(mine), exact ? 'exact' : 'NOT EXACT');
    print(`  by a general constraint solver, median`, ms(theirs), `apart by ${apart.toExponential(1)} mm at most`);
    print(`  times as fast`, `${(theirs / mine).toFixed(0)} x`, 'at least 20 x');
  }
}
