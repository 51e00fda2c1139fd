import { build } from './build/index.js';
import { carry } from './carry/index.js';
import { divide } from './divide/index.js';
import { log } from './log/index.js';
import { measure } from './measure/index.js';
import { parts } from './parts/index.js';
import { stock } from './stock/index.js';
import type { Station } from './station.js';

/** The stations of a piece, in the order of the work. */
export const STATIONS: readonly Station[] = [measure, divide, carry, parts, stock, build, log];

/** Begins to fetch what a station shows before there is a piece to show there. Nothing for an id that no station has. */
export function stationAhead(id: string | undefined): void {
  const station = STATIONS.find((s) => s.id === id);
  for (const part of station ? [station.Sheet, station.Stage, station.Answers] : []) part.ahead();
}
