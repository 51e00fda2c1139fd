import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import { layOut, type Standing, type ToLay } from '../../../core/layout/plan.js';
import { solverOf, type ProgramSolver } from '../../../core/cutting/program.js';

/** The solver is large: it is loaded only for what lies along boards. */
async function solver(): Promise<ProgramSolver> {
  return solverOf(await loadHighs({ locateFile: () => wasm }));
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
