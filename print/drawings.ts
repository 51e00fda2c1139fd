import { apart, flatOutline, type Pictorial } from '../core/drawing/index.js';
import type { Hole } from '../core/build/index.js';
import { recessCorners } from '../core/joints/index.js';
import { formatLength, toMm, type Precision } from '../core/length/index.js';
import type { Part } from '../core/parts/index.js';
import { PT, type Paper } from './page.js';

/** A piece at an angle, its faces white to grey, with the letters of its parts; as large as the room allows. */
export function drawPictorial(
  paper: Paper,
  drawn: Pictorial,
  letters: ReadonlyMap<string, string>,
  high: number,
  fresh: ReadonlySet<string> | null = null,
): void {
  if (drawn.faces.length === 0) return;
  paper.room(high + 4);
  const scale = Math.min(high / drawn.height, paper.width / drawn.width);
  const [left, top] = [paper.left + (paper.width - drawn.width * scale) / 2, paper.y];
  const at = ([x, y]: readonly [number, number]): [number, number] => [(left + x * scale) * PT, (top + y * scale) * PT];
  for (const { points, light, member } of drawn.faces) {
    const grey = fresh && !fresh.has(member) ? 252 : Math.round(205 + 50 * light);
    paper.pdf
      .lineWidth(fresh && !fresh.has(member) ? 0.3 : 0.7)
      .polygon(...points.map(at))
      .fillAndStroke([grey, grey, grey], fresh && !fresh.has(member) ? '#888888' : 'black');
  }
  const shown = [...letters].filter(([id]) => !fresh || fresh.has(id));
  paper.at('bold', 9);
  const words = shown.flatMap(([id, letter]) => {
    const mark = drawn.marks.get(id);
    if (!mark) return [];
    const [x, y] = at(mark);
    return [{ letter, x, y, wide: paper.pdf.widthOfString(letter) + 3, high: 11 }];
  });
  if (shown.length <= 80)
    for (const [i, [x, y]] of apart(words).entries()) {
      const { letter, wide } = words[i] as (typeof words)[number];
      paper.pdf.rect(x - wide / 2, y - 5.5, wide, 11).fill('white');
      paper.at('bold', 9).text(letter, x - wide / 2 + 1.5, y - 4.5, { lineBreak: false });
    }
  paper.y += drawn.height * scale + 4;
}

/** A part laid flat with what is cut into it: solid on its upper face, dashed on the other. @returns how high it is drawn, mm */
export function drawPart(
  paper: Paper,
  part: Part,
  holes: readonly Hole[],
  precision: Precision,
  box: { width: number; height: number },
): number {
  const [l, w] = [toMm(part.length.value), toMm(part.width.value)];
  const scale = Math.min((box.width - 14) / l, (box.height - 8) / w, 1);
  const [left, top] = [paper.left + 12, paper.y + 6];
  const at = ([u, v]: readonly [number, number]): [number, number] => [(left + u * scale) * PT, (top + (w - v) * scale) * PT];
  const { pdf } = paper;
  for (const loop of flatOutline(part.member))
    pdf
      .lineWidth(1)
      .polygon(...loop.map(at))
      .stroke('black');
  for (const f of part.features) {
    if (f.kind === 'hole') continue;
    if (f.face === 'down') pdf.dash(2, { space: 1.5 });
    pdf
      .lineWidth(0.5)
      .polygon(...recessCorners(f).map(at))
      .stroke('black')
      .undash();
  }
  for (const h of holes) {
    const edge: readonly [number, number] | null =
      h.on === 'u0' ? [0, h.along] : h.on === 'u1' ? [l, h.along] : h.on === 'v0' ? [h.along, 0] : h.on === 'v1' ? [h.along, w] : null;
    const [x, y] = at(edge ?? [h.along, h.across]);
    const r = Math.max(0.8, (h.diameter / 2) * scale) * PT;
    if (h.on === 'down') pdf.dash(1, { space: 1 });
    pdf.lineWidth(0.5).circle(x, y, r).stroke('black').undash();
  }
  paper.at('bold', 9).text(formatLength(part.length.value, precision), left * PT, (top - 5) * PT, {
    width: l * scale * PT,
    align: 'center',
    lineBreak: false,
  });
  paper.at('bold', 9).text(formatLength(part.width.value, precision), paper.left * PT, (top + (w * scale) / 2 - 1.5) * PT, {
    width: 11 * PT,
    align: 'right',
    lineBreak: false,
  });
  return w * scale + 8;
}
