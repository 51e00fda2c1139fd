import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import { layOut, type Standing, type ToLay } from '../../../core/layout/plan.js';
import type { ProgramSolver, Solved } from '../../../core/cutting/program.js';

/** The solver is large: it is loaded only for what lies along boards. */
async function solver(): Promise<ProgramSolver> {
  const highs = await loadHighs({ locateFile: () => wasm });
  return (program, nodes = 0) => highs.solve(program, nodes > 0 ? { mip_max_nodes: nodes } : {}) as unknown as Solved;
}

/** So often at most it is said how the search stands, ms. */
const EVERY = 120;

self.onmessage = async ({ data }: MessageEvent<ToLay>) => {
  const solve: ProgramSolver = data.along
    ? await solver()
    : () => {
        throw new Error('sheets are laid out without programs');
      };
  let said = 0;
  let last: Standing | null = null;
  for (const standing of layOut(data, solve)) {
    last = standing;
    const now = Date.now();
    if (said > 0 && now - said < EVERY) continue;
    said = now;
    self.postMessage(standing);
  }
  self.postMessage({ ...last, done: 1 });
};
