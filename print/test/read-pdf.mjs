// Reads a PDF with another library than the one that wrote it, and prints what is on each page: its size, its texts, and the
// straight lines of its paths in the place where they are drawn, all in points.
import { readFileSync } from 'node:fs';
import { OPS, getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const by = ([a, b, c, d, e, f], [g, h, i, j, k, l]) => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
];
const at = ([a, b, c, d, e, f], x, y) => [a * x + c * y + e, b * x + d * y + f];

function linesOf({ fnArray, argsArray }) {
  const lines = [];
  const stack = [];
  let now = [1, 0, 0, 1, 0, 0];
  fnArray.forEach((fn, i) => {
    if (fn === OPS.save) stack.push(now);
    else if (fn === OPS.restore) now = stack.pop() ?? now;
    else if (fn === OPS.transform) now = by(now, argsArray[i]);
    else if (fn === OPS.constructPath) {
      const [ops, numbers] = argsArray[i];
      let n = 0;
      let [from, start] = [null, null];
      for (const op of ops) {
        if (op === OPS.moveTo) from = start = at(now, numbers[n++], numbers[n++]);
        else if (op === OPS.lineTo) {
          const to = at(now, numbers[n++], numbers[n++]);
          lines.push([...from, ...to]);
          from = to;
        } else if (op === OPS.closePath && start) lines.push([...from, ...start]);
        else if (op === OPS.rectangle) n += 4;
        else if (op === OPS.curveTo) {
          n += 4;
          from = at(now, numbers[n++], numbers[n++]);
        }
      }
    }
  });
  return lines;
}

const document = await getDocument({ data: new Uint8Array(readFileSync(process.argv[2])), verbosity: 0, isEvalSupported: false }).promise;
const pages = [];
for (let n = 1; n <= document.numPages; n += 1) {
  const page = await document.getPage(n);
  const { width, height } = page.getViewport({ scale: 1 });
  const { items } = await page.getTextContent();
  pages.push({ width, height, texts: items.map((item) => item.str).filter(Boolean), lines: linesOf(await page.getOperatorList()) });
}
process.stdout.write(JSON.stringify(pages));
