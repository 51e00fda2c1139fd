import type { Shape } from './shape.js';

/** Whether a piece is built and stands on no feet of its own: it hangs on a wall. @example hangs(SOLVED.shape) // false */
export const hangs = ({ outside }: Pick<Shape, 'outside'>): boolean => outside.is === 'built' && outside.foot === null;
