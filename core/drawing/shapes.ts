/** A view of a piece: from the front, a section seen from the left, or a section seen from above. */
export type View = 'front' | 'side' | 'top';

/** What a shape stands for, so that it can be picked. */
export interface ShapeOf {
  readonly kind: 'member' | 'space' | 'thing' | 'opening' | 'obstacle' | 'person' | 'fitting';
  readonly id: string;
  readonly label: string;
  /** Of a thing, the space it stands in. */
  readonly space?: string;
}

interface Common {
  readonly of: ShapeOf;
  /** Behind something in this view, so drawn dashed. */
  readonly hidden: boolean;
}

/**
 * A plain shape in mm, with x to the right and y up. Front: x across, y up. Side: x out
 * from the rear, y up. Top: x across, the front at the foot of the page and the rear above it, as one looks down on it.
 */
export type PlainShape =
  | (Common & { readonly kind: 'rect'; readonly x: number; readonly y: number; readonly width: number; readonly height: number })
  | (Common & { readonly kind: 'circle'; readonly cx: number; readonly cy: number; readonly r: number })
  /** Loops of straight lines; what lies in two of them is a hole. */
  | (Common & { readonly kind: 'polygon'; readonly loops: readonly (readonly (readonly [x: number, y: number])[])[] });

/** The least box round a plain shape, mm. @example extentOf({ kind: 'circle', cx: 5, cy: 9, r: 2 }) // { x0: 3, x1: 7, y0: 7, y1: 11 } */
export function extentOf(shape: PlainShape): { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number } {
  switch (shape.kind) {
    case 'rect':
      return { x0: shape.x, x1: shape.x + shape.width, y0: shape.y, y1: shape.y + shape.height };
    case 'circle':
      return { x0: shape.cx - shape.r, x1: shape.cx + shape.r, y0: shape.cy - shape.r, y1: shape.cy + shape.r };
    case 'polygon': {
      const [xs, ys] = [0, 1].map((k) => shape.loops.flatMap((loop) => loop.map((p) => p[k] as number))) as [number[], number[]];
      return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
    }
  }
}

/** A drawing: shapes in the order they are painted, and the box they lie in, which begins at `left` of the datum where something stands out there. */
export interface Drawing {
  readonly view: View;
  readonly shapes: readonly PlainShape[];
  /** mm from the datum to the left edge: zero or less. */
  readonly left: number;
  readonly width: number;
  readonly height: number;
  /** Where the upright tape begins: mm up from the foot of the drawing. */
  readonly datum: number;
}
