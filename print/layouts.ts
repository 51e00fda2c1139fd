import { leftOn, partsOn, type LaidSheet } from '../core/cutting/laid.js';
import { cutsOf, inOrder } from '../core/cutting/cuts.js';
import { formatLength, toMm, type Length, type Precision } from '../core/length/index.js';
import { PT, Paper } from './page.js';

/** One stock with its sheets laid out, to print. */
export interface LaidStock {
  readonly name: string;
  readonly sheets: readonly LaidSheet[];
  /** What is written on each part. */
  readonly marks: ReadonlyMap<string, string>;
}

function drawSheet(paper: Paper, sheet: LaidSheet, marks: ReadonlyMap<string, string>, precision: Precision): void {
  const [l, w] = [toMm(sheet.length), toMm(sheet.width)];
  const scale = Math.min(paper.width / l, 110 / w);
  const write = (x: Length) => formatLength(x, precision);
  paper.room(w * scale + 8);
  const { pdf } = paper;
  const [left, top] = [paper.left, paper.y];
  const box = (x: number, y: number, long: number, wide: number) =>
    pdf.rect((left + x * scale) * PT, (top + y * scale) * PT, long * scale * PT, wide * scale * PT);
  box(0, 0, l, w).lineWidth(1).stroke('black');
  for (const rest of leftOn(sheet)) {
    pdf.dash(3, { space: 2 });
    box(toMm(rest.x), toMm(rest.y), toMm(rest.length), toMm(rest.width)).lineWidth(0.4).stroke('black').undash();
  }
  for (const p of partsOn(sheet)) {
    const [x, y, long, wide] = [toMm(p.x), toMm(p.y), toMm(p.length), toMm(p.width)];
    box(x, y, long, wide).lineWidth(0.8).stroke('black');
    const size = Math.max(5, Math.min(11, wide * scale * PT * 0.5));
    const text = `${marks.get(p.id) ?? ''}  ${write(p.length)} × ${write(p.width)}`;
    paper.at('bold', size);
    const short = pdf.widthOfString(text) > long * scale * PT - 4 ? (marks.get(p.id) ?? '') : text;
    paper.at('bold', size).text(short, (left + x * scale) * PT, (top + (y + wide / 2) * scale) * PT - size / 2, {
      width: long * scale * PT,
      align: 'center',
      lineBreak: false,
    });
  }
  paper.y += w * scale + 6;
}

/** Layouts with the order of their cuts, a box before each to tick. */
export function layoutPages(title: string, stocks: readonly LaidStock[], precision: Precision): Promise<Buffer> {
  const paper = new Paper(title);
  layoutsOn(paper, stocks, precision);
  return paper.end();
}

/** The same on pages of a paper that has others too; each stock begins a page. */
export function layoutsOn(paper: Paper, stocks: readonly LaidStock[], precision: Precision): void {
  const write = (x: Length) => formatLength(x, precision);
  for (const { name, sheets, marks } of stocks) {
    if (sheets.length === 0) continue;
    paper.page();
    paper.heading(name);
    sheets.forEach((sheet, i) => {
      paper.room(30);
      paper.text(`Sheet or board ${i + 1}: ${write(sheet.length)} × ${write(sheet.width)} ${precision.unit}`, { bold: true });
      drawSheet(paper, sheet, marks, precision);
    });
    paper.heading('Order of cuts', 13);
    let nth = 0;
    for (const setting of inOrder(cutsOf(sheets))) {
      paper.text(`${setting.way === 'rip' ? 'Rip, fence at' : 'Crosscut, stop at'} ${write(setting.at)}`, { bold: true });
      for (const cut of setting.cuts) {
        nth += 1;
        const falls = cut.of.near.kind === 'part' ? (marks.get(cut.of.near.id) ?? '') : 'a piece to cut on';
        const from = sheets.findIndex((s) => s.sheet === cut.sheet.sheet && s.copy === cut.sheet.copy) + 1;
        paper.text(`${nth}. from ${from}: ${falls}, ${write(cut.of.near.length)} × ${write(cut.of.near.width)}`, { box: true, size: 10 });
      }
    }
  }
}
