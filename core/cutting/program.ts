/** What a linear or integer program came to. */
export interface Solved {
  readonly Status: string;
  readonly ObjectiveValue: number;
  readonly Columns: Readonly<Record<string, { readonly Primal?: number }>>;
}

/**
 * Solves a program in the LP format of CPLEX; whoever calls the core brings it, since it is loaded in another way in a page, a worker and a terminal.
 * @param nodes the most nodes that are branched to; the same number gives the same answer, which a limit of time does not
 */
export type ProgramSolver = (program: string, nodes?: number) => Solved;

/** The solver HiGHS, however it was loaded. */
export interface Highs {
  solve(program: string, options: object): unknown;
}

/** Solves programs with HiGHS, up to a number of nodes. */
export function solverOf(highs: Highs): ProgramSolver {
  return (program, nodes = 0) => highs.solve(program, nodes > 0 ? { mip_max_nodes: nodes } : {}) as Solved;
}

/**
 * A sum as the LP format has it, broken into lines that are not too long; "0 x" for an empty one.
 * @example sumText([[2, 'a'], [-1, 'b']]) // '+ 2 a - 1 b'
 */
export function sumText(terms: readonly (readonly [number, string])[]): string {
  if (terms.length === 0) return '0 x0';
  return terms.map(([by, name], i) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${name}${i % 8 === 7 ? '\n' : ''}`).join(' ');
}
