import type { FullSize } from '../core/drawing/index.js';
import { PAPER, PT, Paper } from './page.js';

/** What printers leave white at the edge, and what of two pages lies on each other, mm. */
const EDGE = 12;
const OVERLAP = 10;
/** The line that is measured with a ruler before anything is cut, mm. */
export const CHECK = 100;

const TILE = { width: PAPER.width - 2 * EDGE, height: PAPER.height - 2 * EDGE - 14 } as const;
const STEP = { width: TILE.width - OVERLAP, height: TILE.height - OVERLAP } as const;

/** In how many pages across and down a drawing is printed. */
export function tilesFor({ width, height }: Pick<FullSize, 'width' | 'height'>): { readonly across: number; readonly down: number } {
  const count = (size: number, tile: number, step: number) => (size <= tile ? 1 : 1 + Math.ceil((size - tile) / step));
  return { across: count(width, TILE.width, STEP.width), down: count(height, TILE.height, STEP.height) };
}

/** A small map of the pages, this one filled. */
function drawMap(paper: Paper, across: number, down: number, column: number, row: number): void {
  const size = Math.min(4, 30 / across, 10 / down);
  const [left, top] = [PAPER.width - EDGE - across * size, PAPER.height - EDGE - 12];
  for (let c = 0; c < across; c += 1)
    for (let r = 0; r < down; r += 1) {
      const box = paper.pdf.lineWidth(0.4).rect((left + c * size) * PT, (top + r * size) * PT, size * PT, size * PT);
      if (c === column && r === row) box.fillAndStroke('black', 'black');
      else box.stroke('black');
    }
}

/** A window on a page that shows a part of a drawing: where it is on the page, and what of the drawing is at its corner. All mm. */
interface Window {
  readonly top: number;
  readonly height: number;
  readonly from: readonly [x: number, y: number];
  readonly column: number;
  readonly row: number;
}

/** Crosses in the corners of a window, which lie on those of the next one. */
function drawRegistration(paper: Paper, { top, height }: Window): void {
  const { pdf } = paper;
  const half = Math.min(OVERLAP, height) / 2;
  for (const x of [EDGE + OVERLAP / 2, EDGE + TILE.width - OVERLAP / 2])
    for (const y of [top + half, top + height - half])
      pdf
        .lineWidth(0.3)
        .moveTo((x - 4) * PT, y * PT)
        .lineTo((x + 4) * PT, y * PT)
        .moveTo(x * PT, (y - 4) * PT)
        .lineTo(x * PT, (y + 4) * PT)
        .stroke('black');
}

function drawCheck(paper: Paper): void {
  const [left, y] = [EDGE, PAPER.height - EDGE - 4];
  paper.pdf
    .lineWidth(0.5)
    .moveTo(left * PT, y * PT)
    .lineTo((left + CHECK) * PT, y * PT)
    .moveTo(left * PT, (y - 2) * PT)
    .lineTo(left * PT, (y + 2) * PT)
    .moveTo((left + CHECK) * PT, (y - 2) * PT)
    .lineTo((left + CHECK) * PT, (y + 2) * PT)
    .stroke('black');
  paper
    .at('plain', 8)
    .text(`Measure this line: ${CHECK} mm. If it is not, print again at 100 %, without fitting to the page.`, left * PT, (y - 6) * PT, {
      lineBreak: false,
    });
}

/** Between two strips on one page, mm. */
const STRIPS = 14;

/** The pages of a drawing, each with its windows: one to a page, or for what is no higher than a lath, one under the other. */
function pagesOf(drawing: FullSize): readonly (readonly Window[])[] {
  const { across, down } = tilesFor(drawing);
  const columns = Array.from({ length: across }, (_, column) => column);
  const perPage = down > 1 ? 1 : Math.max(1, Math.floor((TILE.height + STRIPS) / (drawing.height + STRIPS)));
  if (perPage === 1) {
    return Array.from({ length: down }, (_, row) =>
      columns.map((column): Window[] => [{ top: EDGE, height: TILE.height, from: [column * STEP.width, row * STEP.height], column, row }]),
    ).flat();
  }
  const pages: Window[][] = [];
  for (const column of columns) {
    const nth = column % perPage;
    if (nth === 0) pages.push([]);
    pages
      .at(-1)
      ?.push({ top: EDGE + nth * (drawing.height + STRIPS), height: drawing.height, from: [column * STEP.width, 0], column, row: 0 });
  }
  return pages;
}

/** What of a drawing is seen through a window. */
function drawWindow(paper: Paper, drawing: FullSize, { top, height, from }: Window): void {
  const { pdf } = paper;
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    (EDGE + x - from[0]) * PT,
    (top + drawing.height - y - from[1]) * PT,
  ];
  pdf.save();
  pdf.rect(EDGE * PT, (top - 0.5) * PT, TILE.width * PT, (height + 1) * PT).clip();
  for (const { use, points, closed } of drawing.lines) {
    if (use === 'far') pdf.dash(6, { space: 4 });
    const [first, ...rest] = points.map(at) as [[number, number], ...[number, number][]];
    pdf.lineWidth(use === 'cut' ? 0.9 : 0.5).moveTo(...first);
    rest.forEach((p) => pdf.lineTo(...p));
    if (closed) pdf.closePath();
    pdf.stroke('black').undash();
  }
  for (const { use, at: middle, across: wide } of drawing.circles) {
    if (use === 'far') pdf.dash(3, { space: 2 });
    pdf
      .lineWidth(0.5)
      .circle(...at(middle), (wide / 2) * PT)
      .stroke('black')
      .undash();
  }
  for (const t of drawing.texts) {
    const [x, y] = at(t.at);
    paper.at('plain', t.size * PT * 0.7).text(t.text, x, y - t.size * PT * 0.7, { lineBreak: false });
  }
  pdf.restore();
}

/** One drawing over as many pages as it takes. */
function drawTiles(paper: Paper, drawing: FullSize): void {
  const { across, down } = tilesFor(drawing);
  for (const windows of pagesOf(drawing)) {
    paper.page();
    for (const window of windows) {
      drawWindow(paper, drawing, window);
      drawRegistration(paper, window);
      const place = `column ${window.column + 1} of ${across}${down > 1 ? `, row ${window.row + 1} of ${down}` : ''}`;
      paper.at('bold', 8).text(`${drawing.name}: ${place}`, EDGE * PT, (window.top - 6) * PT, { lineBreak: false });
    }
    drawCheck(paper);
    const [first] = windows;
    if (first && windows.length === 1) drawMap(paper, across, down, first.column, first.row);
  }
}

/** Drawings at full size on pages that overlap, with crosses to lay them on each other, a map, and a line to measure. */
export function fullSizePages(title: string, drawings: readonly FullSize[]): Promise<Buffer> {
  const paper = new Paper(title);
  for (const drawing of drawings) drawTiles(paper, drawing);
  return paper.end();
}
