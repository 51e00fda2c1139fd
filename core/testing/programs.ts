import * as highsModule from 'highs';
import type { ProgramSolver, Solved } from '../cutting/program.js';

interface Highs {
  solve(program: string, options: object): unknown;
}

const load = ((highsModule as { default?: unknown }).default ?? highsModule) as () => Promise<Highs>;

/** The solver of programs that tests lay boards out with. */
export async function programSolver(): Promise<ProgramSolver> {
  const highs = await load();
  return (program, nodes = 0) => highs.solve(program, nodes > 0 ? { mip_max_nodes: nodes } : {}) as Solved;
}
