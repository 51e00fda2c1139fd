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

/** Crosses in the corners of what a page shows, which lie on those of the next page. */
function drawRegistration(paper: Paper): void {
  const { pdf } = paper;
  const half = OVERLAP / 2;
  for (const x of [EDGE + half, EDGE + TILE.width - half])
    for (const y of [EDGE + half, EDGE + TILE.height - half])
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

/** One drawing over as many pages as it takes. */
function drawTiles(paper: Paper, drawing: FullSize): void {
  const { across, down } = tilesFor(drawing);
  const { pdf } = paper;
  for (let row = 0; row < down; row += 1)
    for (let column = 0; column < across; column += 1) {
      paper.page();
      const [x0, y0] = [column * STEP.width, row * STEP.height];
      const at = ([x, y]: readonly [number, number]): [number, number] => [(EDGE + x - x0) * PT, (EDGE + drawing.height - y - y0) * PT];
      pdf.save();
      pdf.rect(EDGE * PT, EDGE * PT, TILE.width * PT, TILE.height * PT).clip();
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
      drawRegistration(paper);
      drawCheck(paper);
      paper
        .at('bold', 9)
        .text(`${drawing.name}: column ${column + 1} of ${across}, row ${row + 1} of ${down}`, EDGE * PT, 4 * PT, { lineBreak: false });
      drawMap(paper, across, down, column, row);
    }
}

/** Drawings at full size on pages that overlap, with crosses to lay them on each other, a map, and a line to measure. */
export function fullSizePages(title: string, drawings: readonly FullSize[]): Promise<Buffer> {
  const paper = new Paper(title);
  for (const drawing of drawings) drawTiles(paper, drawing);
  return paper.end();
}
