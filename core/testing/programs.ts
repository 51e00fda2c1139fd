import * as highsModule from 'highs';
import { solverOf, type Highs, type ProgramSolver } from '../cutting/program.js';

const load = ((highsModule as { default?: unknown }).default ?? highsModule) as () => Promise<Highs>;

/** The solver of programs that tests lay boards out with. */
export const programSolver = async (): Promise<ProgramSolver> => solverOf(await load());
