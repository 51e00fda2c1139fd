import { flawsOn, leftOn, partsOn, type LaidSheet } from '../core/cutting/laid.js';
import { cutsOf, inOrder } from '../core/cutting/cuts.js';
import { writeMoney } from '../core/figure/index.js';
import { fallsText, shopMoney, toolFor } from '../core/layout/index.js';
import type { Tools } from '../core/project/index.js';
import type { Stock } from '../core/stock/index.js';
import { formatLength, toMm, type Length, type Precision } from '../core/length/index.js';
import { PT, Paper } from './page.js';

/** One stock with its sheets laid out, to print. */
export interface LaidStock {
  readonly name: string;
  readonly sheets: readonly LaidSheet[];
  readonly form: Stock['form'];
  /** What is written on each part. */
  readonly marks: ReadonlyMap<string, string>;
  /** What each sheet that is an offcut is called, by the id of the sheet. */
  readonly offcuts?: ReadonlyMap<string, string>;
  /** What is done before a cut, by the key of the cut. */
  readonly before?: ReadonlyMap<string, string>;
}

/** What lengths are written with, and what there is to saw with. */
export interface PrintedWith {
  readonly precision: Precision;
  readonly tools?: Tools | undefined;
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
    const [long, wide] = [toMm(rest.length), toMm(rest.width)];
    box(toMm(rest.x), toMm(rest.y), long, wide).lineWidth(0.4).stroke('black').undash();
    paper.at('plain', 7);
    const text = `${write(rest.length)} × ${write(rest.width)}`;
    if (pdf.widthOfString(text) > long * scale * PT - 4 || wide * scale * PT < 10) continue;
    pdf.text(text, (left + toMm(rest.x) * scale) * PT, (top + (toMm(rest.y) + wide / 2) * scale) * PT - 4, {
      width: long * scale * PT,
      align: 'center',
      lineBreak: false,
    });
  }
  for (const { x, y, length, width } of flawsOn(sheet)) {
    const [a, b] = [left + toMm(x) * scale, top + toMm(y) * scale];
    const [c, d] = [a + toMm(length) * scale, b + toMm(width) * scale];
    pdf
      .moveTo(a * PT, b * PT)
      .lineTo(c * PT, d * PT)
      .moveTo(c * PT, b * PT)
      .lineTo(a * PT, d * PT)
      .lineWidth(0.6)
      .stroke('black');
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

/** Layouts with the order of their cuts, a box before each to tick; what the shop is to cut stands on a page of its own before all. */
export function layoutPages(title: string, stocks: readonly LaidStock[], by: PrintedWith): Promise<Buffer> {
  const paper = new Paper(title);
  shopPage(paper, stocks, by);
  layoutsOn(paper, stocks, by);
  return paper.end();
}

/** The cuts that are asked of the shop that sells the sheets, to be handed over there. */
function shopPage(paper: Paper, stocks: readonly LaidStock[], { precision, tools }: PrintedWith): void {
  const write = (x: Length) => `${formatLength(x, precision)} ${precision.unit}`;
  const asked = stocks.flatMap(({ name, form, sheets }) => {
    const cuts = inOrder(cutsOf(sheets))
      .flatMap((s) => s.cuts)
      .filter((c) => toolFor(c, tools, form).by === 'shop');
    return cuts.length > 0 ? [{ name, sheets, cuts }] : [];
  });
  if (asked.length === 0) return;
  paper.page();
  paper.heading('For the saw of the shop');
  const count = asked.reduce((sum, a) => sum + a.cuts.length, 0);
  const money = shopMoney(count, tools);
  paper.text(
    `${count} ${count === 1 ? 'cut' : 'cuts'}${money > 0 ? `, for ${writeMoney(money, precision)} more` : ', in the price'}. Each figure is what the first piece keeps.`,
  );
  for (const { name, sheets, cuts } of asked) {
    paper.heading(name, 13);
    cuts.forEach(({ way, at, of, sheet }, i) => {
      const nth = sheets.indexOf(sheet) + 1;
      const how = way === 'rip' ? 'along its length, keeping a width of' : 'across, keeping a length of';
      paper.text(
        `${i + 1}. sheet ${nth}, from the piece of ${formatLength(of.length, precision)} × ${write(of.width)}: ${how} ${write(at)}`,
        { box: true, size: 10 },
      );
    });
  }
}

/** The same on pages of a paper that has others too; each stock begins a page. */
export function layoutsOn(paper: Paper, stocks: readonly LaidStock[], { precision, tools }: PrintedWith): void {
  const write = (x: Length) => formatLength(x, precision);
  for (const { name, form, sheets, marks, before, offcuts } of stocks) {
    if (sheets.length === 0) continue;
    paper.page();
    paper.heading(name);
    sheets.forEach((sheet, i) => {
      paper.room(30);
      const offcut = offcuts?.get(sheet.sheet);
      const size = `${write(sheet.length)} × ${write(sheet.width)} ${precision.unit}`;
      paper.text(`${form === 'sheet' ? 'Sheet' : 'Board'} ${i + 1}${offcut ? `, ${offcut}` : ''}: ${size}`, { bold: true });
      drawSheet(paper, sheet, marks, precision);
    });
    paper.heading('Order of cuts', 13);
    let nth = 0;
    const numbers = new Map<string, number>();
    for (const setting of inOrder(cutsOf(sheets))) {
      paper.text(`${setting.way === 'rip' ? 'Rip, fence at' : 'Crosscut, stop at'} ${write(setting.at)}`, { bold: true });
      for (const cut of setting.cuts) {
        nth += 1;
        numbers.set(cut.key, nth);
        const first = before?.get(cut.key);
        if (first) paper.text(first, { box: true, size: 10 });
        const { by } = toolFor(cut, tools, form);
        const from = sheets.findIndex((s) => s.sheet === cut.sheet.sheet && s.copy === cut.sheet.copy) + 1;
        const saw = by === 'unknown' ? '' : by === 'none' ? ', by no saw there is' : `, ${SAWS[by]}`;
        const piece = cut.after === null ? '' : `, of cut ${numbers.get(cut.after) ?? '?'}`;
        const falls = [cut.of.near, cut.of.far].map((sawn) => fallsText(sawn, marks, write));
        paper.text(`${nth}. from ${from}${piece}: ${falls.join(' and ')}${saw}`, { box: true, size: 10 });
      }
    }
  }
}

const SAWS = { 'table saw': 'table saw', 'mitre saw': 'mitre saw', guide: 'along a guide', shop: 'at the shop' } as const;
