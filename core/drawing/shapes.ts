/** A view of a piece: from the front, a section seen from the left, or a section seen from above. */
export type View = 'front' | 'side' | 'top';

/** What a shape stands for, so that it can be picked. */
export interface ShapeOf {
  readonly kind: 'member' | 'space' | 'thing' | 'opening' | 'obstacle' | 'person';
  readonly id: string;
  readonly label: string;
}

interface Common {
  readonly of: ShapeOf;
  /** Behind something in this view, so drawn dashed. */
  readonly hidden: boolean;
}

/**
 * A plain shape in mm, with x to the right and y up. Front: x across, y up. Side: x out
 * from the back, y up. Top: x across, y out from the back downwards on the page.
 */
export type PlainShape =
  | (Common & { readonly kind: 'rect'; readonly x: number; readonly y: number; readonly width: number; readonly height: number })
  | (Common & { readonly kind: 'circle'; readonly cx: number; readonly cy: number; readonly r: number });

/** A drawing: shapes in the order they are painted, and the box they lie in, which begins at `left` of the datum where something stands out there. */
export interface Drawing {
  readonly view: View;
  readonly shapes: readonly PlainShape[];
  /** mm from the datum to the left edge: zero or less. */
  readonly left: number;
  readonly width: number;
  readonly height: number;
}
