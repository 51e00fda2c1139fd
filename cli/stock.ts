import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  cutsCsv,
  cuttingsOf,
  fittingsFor,
  layCutting,
  layoutDxf,
  layoutSvg,
  othersIn,
  reportCutting,
  solvedIn,
  toBuyCsv,
  type ProjectFile,
  type StockLaid,
} from '../core/formats/index.js';
import { fileName } from '../core/formats/file-name.js';
import { woodToBuy, type Cutting, type PieceToCut } from '../core/layout/index.js';
import { laidStock, programs } from '../print/laid.js';

/** The files of one cutting: each stock at full size as SVG and DXF with its order of cuts, all of it as PDF, and what to buy. */
async function writeFiles(
  folder: string,
  cutting: Cutting,
  pieces: readonly PieceToCut[],
  stocks: readonly StockLaid[],
  file: ProjectFile,
): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const precision = file.project.settings;
  const put = (name: string, text: string) => writeFileSync(join(folder, name), text);
  for (const { stock, sheets, marks } of stocks) {
    const base = fileName(`${cutting.name} ${stock.name}`);
    put(`${base}.svg`, layoutSvg(sheets, marks));
    put(`${base}.dxf`, layoutDxf(sheets, marks));
    put(`${base}-cuts.csv`, cutsCsv(sheets, marks, precision));
  }
  const { layoutPages } = await import('../print/layouts.js');
  writeFileSync(
    join(folder, `${fileName(cutting.name)}-layouts.pdf`),
    await layoutPages(
      cutting.name,
      stocks.map((s) => laidStock(s, precision)),
      { precision, tools: precision.tools },
    ),
  );
  const lines = fittingsFor(pieces, {
    buildings: Object.values(file.buildings ?? {}),
    hardware: Object.values(file.hardware ?? {}),
    slides: Object.values(file.slides ?? {}),
  });
  put(`${fileName(cutting.name)}-to-buy.csv`, toBuyCsv(woodToBuy(stocks), lines, precision));
}

/**
 * Lays out the parts of a file on its stock and writes that as JSON, and as files where a folder is named.
 * @returns 0 when every part has a place, 1 when some have none
 */
export async function layOutFile(
  file: ProjectFile,
  asked: { readonly piece: string | undefined; readonly together: boolean; readonly out: string | undefined },
  write: (text: string) => unknown,
): Promise<number> {
  const programSolver = await programs();
  const pieceOf = (id: string): PieceToCut[] => {
    const solution = solvedIn(file, id);
    return solution ? [{ id, solution }] : [];
  };
  let lost = 0;
  const cuttings: object[] = [];
  for (const cutting of cuttingsOf(file, asked.piece, asked.together)) {
    const pieces = cutting.pieces.flatMap(pieceOf);
    const stocks = layCutting(cutting, pieces, file.project.settings, programSolver, othersIn(file, cutting));
    lost += stocks.reduce((n, s) => n + s.answer.missing.length, 0);
    if (asked.out !== undefined) await writeFiles(asked.out, cutting, pieces, stocks, file);
    cuttings.push(reportCutting(cutting, stocks));
  }
  write(`${JSON.stringify({ project: file.project.name, cuttings }, null, 2)}\n`);
  return lost > 0 ? 1 : 0;
}
