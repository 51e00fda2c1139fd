import type { PlainShape } from '../../core/drawing/index.js';
import { asBefore } from '../../core/figure/index.js';

/** Where a drawing lies on the stage. */
export interface Placing {
  readonly scale: number;
  readonly left: number;
  /** The foot of the drawing, px. */
  readonly foot: number;
}

const pathAsBefore = asBefore<PlainShape, string>(1);

/** The outline of a shape on the stage, as the path of an SVG, px; kept for as long as the shape lies where it did. */
export const outline = (shape: PlainShape, at: Placing): string =>
  pathAsBefore(shape, { same: [at.scale, at.left, at.foot], alike: null }, () => pathOf(shape, at));

function pathOf(shape: PlainShape, { left, foot, scale }: Placing): string {
  const at = (n: number) => n.toFixed(2);
  if (shape.kind === 'circle') {
    const r = at(shape.r * scale);
    return `M${at(left + (shape.cx - shape.r) * scale)} ${at(foot - shape.cy * scale)}a${r} ${r} 0 1 0 ${at(2 * shape.r * scale)} 0a${r} ${r} 0 1 0 ${at(-2 * shape.r * scale)} 0z`;
  }
  if (shape.kind === 'polygon') {
    const point = ([x, y]: readonly [number, number]) => `${at(left + x * scale)} ${at(foot - y * scale)}`;
    return shape.loops.map((loop) => `M${loop.map(point).join('L')}z`).join('');
  }
  const [x, y] = [left + shape.x * scale, foot - (shape.y + shape.height) * scale];
  return `M${at(x)} ${at(y)}H${at(x + shape.width * scale)}V${at(y + shape.height * scale)}H${at(x)}z`;
}
