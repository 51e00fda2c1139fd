import QRCode from 'qrcode';
import { alikeParts, timeText, waitText, type Building, type Step } from '../core/build/index.js';
import { writeSentence } from '../core/figure/index.js';
import { pictorialOf } from '../core/drawing/index.js';
import { formatLength, mm, type Length, type Precision } from '../core/length/index.js';
import { doneText, lettersText, rowsOf } from '../core/parts/index.js';
import { boughtFor, type Solution } from '../core/solution/index.js';
import { boughtText } from '../core/formats/bought-text.js';
import { drawPart, drawPictorial } from './drawings.js';
import { layoutsOn, type LaidStock } from './layouts.js';
import { PT, Paper } from './page.js';

/** What is printed of a piece. */
export interface ToPrint {
  readonly solution: Solution;
  readonly building: Building;
  readonly steps: readonly Step[];
  /** Its parts laid out on stock, with what is cut together with it. */
  readonly laid: readonly LaidStock[];
  /** Where a step is opened on a phone; none where there is no such place. */
  readonly address?: string;
}

type Done = (part: number) => void;

function firstPage(paper: Paper, { solution }: ToPrint, precision: Precision): void {
  const { piece, shape, checks, parts } = solution;
  const write = (l: Length) => formatLength(l, precision);
  paper.page();
  paper.heading(piece.name, 22);
  const { width, height, depth } = shape.overall;
  paper.text(
    `${[width, height, depth].map((f) => write(f.value)).join(' × ')} ${precision.unit}: wide, high, deep. All sizes in ${precision.unit}.`,
    { bold: true },
  );
  const stops = checks.filter((c) => c.severity === 'stop');
  if (stops.length > 0) {
    paper.text(
      `${stops.length} ${stops.length === 1 ? 'check stops' : 'checks stop'} the build. Settle ${stops.length === 1 ? 'it' : 'them'} before you cut:`,
      { bold: true },
    );
    stops.forEach((c) => paper.text(writeSentence(c.sentence, precision), { indent: 4, size: 10 }));
  } else paper.text('No check stops the build.');
  paper.space(3);
  drawPictorial(paper, pictorialOf(parts.map((p) => p.member)), new Map(parts.map((p) => [p.id, p.letter])), 130);
}

function partsTable(paper: Paper, { solution }: ToPrint, precision: Precision): void {
  const write = (l: Length) => formatLength(l, precision);
  paper.heading('Parts');
  paper.table(
    [
      ['Letter', 3],
      ['Qty', 1.3],
      ['Part', 3],
      ['Length', 2],
      ['Width', 2],
      ['Thick', 1.6],
      ['Stock', 4],
      ['Edges and machining', 5],
    ],
    rowsOf(solution.parts).map((row) => [
      lettersText(row.parts.map((p) => p.letter)),
      `${row.count}${row.spares > 0 ? ` + ${row.spares}` : ''}`,
      `${row.first.member.role}${row.hand ? `, ${row.hand}` : ''}`,
      write(row.first.cut.length.set),
      write(row.first.cut.width.set),
      write(row.first.thickness.value),
      row.first.member.stock.name,
      doneText(row.first, precision),
    ]),
  );
  const bought = boughtFor(solution);
  if (bought.length === 0) return;
  paper.heading('Besides wood');
  bought.forEach((b) => paper.text(boughtText(b, precision).join(' '), { box: true }));
}

function placesPages(paper: Paper, { solution }: ToPrint, precision: Precision): void {
  const write = (x: number) => formatLength(mm(x), precision);
  const alike = alikeParts(solution, precision);
  if (alike.length === 0) return;
  paper.heading('Parts set out: drilled and machined by this');
  for (const { parts, lines, rows, holes } of alike) {
    const [part] = parts;
    if (!part) continue;
    paper.room(60);
    paper.text(
      `${lettersText(parts.map((p) => p.letter))}: ${part.member.role}, ${formatLength(part.cut.length.set, precision)} × ${formatLength(part.cut.width.set, precision)}`,
      { bold: true, size: 12 },
    );
    paper.y += drawPart(paper, part, holes, precision, { width: paper.width, height: 46 });
    lines.forEach((line) => paper.text(line, { size: 10 }));
    if (rows.length > 0)
      paper.table(
        [
          ['Hole', 4],
          ['In the', 4],
          ['Along, from both ends', 8],
        ],
        rows.map((row) => [
          `${row.places.length > 1 ? `${row.places.length} × ` : ''}${row.text}`,
          `${row.surface}, ${write(row.aside[1])} from the ${row.aside[0]}`,
          `${row.places.map(([a]) => write(a)).join(', ')} from the ${row.from[0]}\n${row.places.map(([, b]) => write(b)).join(', ')} from the ${row.from[1]}`,
        ]),
        9,
      );
    paper.space(4);
  }
}

/** A square of a QR code, drawn as modules. */
function drawQr(paper: Paper, address: string, size: number): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
  const one = size / modules.size;
  const [left, top] = [paper.left + paper.width - size, paper.y];
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column)) paper.pdf.rect((left + column * one) * PT, (top + row * one) * PT, one * PT, one * PT).fill('black');
}

function stepPages(paper: Paper, { solution, building, steps, address }: ToPrint, precision: Precision, done: Done): void {
  paper.heading('Steps');
  const parts = new Map(solution.parts.map((p) => [p.id, p]));
  const letters = new Map(solution.parts.map((p) => [p.id, p.letter]));
  const lettersFor = (ids: readonly string[]) => lettersText(ids.flatMap((id) => letters.get(id) ?? []));
  steps.forEach((step, i) => {
    paper.room(40);
    if (address) drawQr(paper, `${address}?step=${encodeURIComponent(step.id)}`, 18);
    paper.text(`${i + 1}. ${step.title}`, { bold: true, size: 13, box: true });
    const all = step.parts.length === parts.size;
    paper.text(
      `${all ? 'All parts' : `Parts ${lettersFor(step.parts)}`}. About ${timeText(step.minutes)}${step.wait ? `, then ${waitText(step.wait.minutes)} while ${step.wait.why}` : ''}.`,
      { size: 10 },
    );
    step.cautions.forEach((c) => paper.text(c, { bold: true, size: 10 }));
    if (step.standing.length > 0 && step.works.length > 0) {
      const shown = step.standing.flatMap((id) => parts.get(id)?.member ?? []);
      drawPictorial(paper, pictorialOf(shown, step.phase === 'together' ? building.stands : 'upright'), letters, 62, new Set(step.parts));
    }
    step.says.forEach((s) => paper.text(`– ${writeSentence(s, precision)}`, { size: 10 }));
    if (step.setups.length > 0)
      paper.table(
        [
          ['Setting', 9],
          ['Parts', 4],
          ['Times', 1.4],
        ],
        step.setups.map((s) => [writeSentence(s.says, precision), lettersFor(s.parts), `${s.count}`]),
        9,
      );
    paper.space(4);
    done(0.4 + (0.6 * (i + 1)) / steps.length);
  });
}

/**
 * What a builder takes into the shop, black on white: how many checks stop the build, the whole of it with letters, the
 * parts, what is bought, the order of cuts, each part as it is set out, and the steps.
 * @param done told how much of it is drawn, from 0 to 1
 */
export function shopSheets(what: ToPrint, done: Done = () => undefined): Promise<Buffer> {
  const { piece, workshop } = what.solution;
  const paper = new Paper(piece.name);
  const precision = workshop.settings;
  firstPage(paper, what, precision);
  partsTable(paper, what, precision);
  done(0.2);
  layoutsOn(paper, what.laid, { precision, tools: what.solution.workshop.settings.tools });
  done(0.3);
  placesPages(paper, what, precision);
  done(0.4);
  stepPages(paper, what, precision, done);
  return paper.end();
}
