import loadHighs from 'highs';
import wasm from 'highs/runtime?url';

/** A program to be solved, and how long may be spent on it. */
export interface Asked {
  readonly program: string;
  readonly seconds: number;
}

/** What the solver found: the values of the program's variables, or null for none, and the least that any answer could cost. */
export interface Answered {
  readonly values: Readonly<Record<string, number>> | null;
  readonly proven: boolean;
  readonly cost: number;
  readonly bound: number;
}

const ready = loadHighs({ locateFile: () => wasm });

/** Without whole numbers the program is quickly solved, and no answer is better than that. */
function relaxed(program: string): string {
  return program.replace(/Binaries\n.*\nEnd/s, 'End');
}

self.onmessage = async ({ data }: MessageEvent<Asked>) => {
  const highs = await ready;
  const bound = highs.solve(relaxed(data.program)).ObjectiveValue;
  const result = highs.solve(data.program, { time_limit: data.seconds });
  const proven = result.Status === 'Optimal';
  const found = proven || result.Status === 'Time limit reached';
  const values = found
    ? Object.fromEntries(
        Object.entries(result.Columns).map(([name, c]) => [name, 'Primal' in c ? (c as { readonly Primal: number }).Primal : 0]),
      )
    : null;
  const answer: Answered = { values, proven, cost: result.ObjectiveValue, bound };
  self.postMessage(answer);
};
