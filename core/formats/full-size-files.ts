import type { FullSize, LineUse } from '../drawing/index.js';
import { dxfCircle, dxfFile, dxfLines, dxfText } from './dxf.js';

const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
const LAYERS: Readonly<Record<LineUse, string>> = { cut: 'CUT', mark: 'MARK', far: 'FAR' };

/** A full-size drawing as SVG: one user unit is one millimetre. Classes tell what is cut, marked, and on the far face. */
export function fullSizeSvg({ name, width, height, lines, circles, texts }: FullSize): string {
  const up = (y: number) => height - y;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `<title>${escaped(name)}</title>`,
    '<style>polyline,polygon,circle{fill:none;stroke:black;stroke-width:.3}.mark{stroke-width:.2}.far{stroke-dasharray:3 2}text{font-family:sans-serif}</style>',
    ...lines.map(
      (l) => `<${l.closed ? 'polygon' : 'polyline'} class="${l.use}" points="${l.points.map(([x, y]) => `${x},${up(y)}`).join(' ')}"/>`,
    ),
    ...circles.map((c) => `<circle class="${c.use}" cx="${c.at[0]}" cy="${up(c.at[1])}" r="${c.across / 2}"/>`),
    ...texts.map((t) => `<text x="${t.at[0]}" y="${up(t.at[1])}" font-size="${t.size}">${escaped(t.text)}</text>`),
    '</svg>',
    '',
  ].join('\n');
}

/** Full-size drawings as DXF in millimetres on the layers CUT, MARK, FAR and TEXT, each with a colour, one over the other. */
export function fullSizeDxf(all: readonly FullSize[]): string {
  let foot = 0;
  return dxfFile(
    all.flatMap(({ height, lines, circles, texts }) => {
      const at = foot;
      foot += height + 60;
      const moved = ([x, y]: readonly [number, number]) => [x, y + at] as const;
      return [
        ...lines.map((l) => dxfLines(LAYERS[l.use], l.points.map(moved), l.closed)),
        ...circles.map((c) => dxfCircle(LAYERS[c.use], moved(c.at), c.across / 2)),
        ...texts.map((t) => dxfText('TEXT', moved(t.at), t.size, t.text)),
      ];
    }),
    { CUT: 'red', MARK: 'blue', FAR: 'grey', TEXT: 'plain' },
  );
}
