import type { Shape } from './shape.js';

/** Whether a piece is built and stands on no feet of its own: it hangs on a wall. */
export const hangs = ({ outside }: Pick<Shape, 'outside'>): boolean => outside.is === 'built' && outside.foot === null;
