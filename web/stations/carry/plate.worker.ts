import { sagOfPanel, type PanelSpec } from '../../../core/carry/index.js';

/** A panel solved as a plate: its sag, and the deflection at so many places across and along, mm. */
export interface PlateAnswer {
  readonly mm: number;
  readonly front: number;
  readonly back: number;
  readonly meshError: number;
  /** Rows from the front to the back. */
  readonly grid: readonly (readonly number[])[];
  readonly took: number;
}

export type PlateReply = { readonly answer: PlateAnswer } | { readonly error: string };

const COLUMNS = 25;
const ROWS = 9;

self.onmessage = ({ data }: MessageEvent<PanelSpec>) => {
  const start = performance.now();
  let reply: PlateReply;
  try {
    const { mm, front, back, result } = sagOfPanel(data);
    const places = data.beam.supports.map((s) => s.x);
    const a = Math.max(...places) - Math.min(...places);
    const grid = Array.from({ length: ROWS }, (_, j) =>
      Array.from({ length: COLUMNS }, (__, i) => result.at((a * i) / (COLUMNS - 1), (data.section.width * j) / (ROWS - 1))),
    );
    reply = { answer: { mm, front, back, meshError: result.meshError(), grid, took: performance.now() - start } };
  } catch (error) {
    reply = { error: error instanceof Error ? error.message : 'it could not be solved' };
  }
  self.postMessage(reply);
};
