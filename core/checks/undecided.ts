import { len, say, type Sentence } from '../figure/index.js';
import type { Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { listed } from './names.js';

/** What has to be done before a size is decided. */
function first(piece: Piece, reaches: Shape['assumed'], workshop: Workshop): string {
  const from = new Set(reaches.map((reach) => piece[reach].from));
  if (!from.has('opening')) return `Say what it must hold: nothing with a size stands in it yet, so nothing decides the ${listed(reaches)}`;
  if (!piece.opening || !workshop.openings.has(piece.opening))
    return `The ${listed(reaches)} should come from an opening, but none is chosen`;
  return `Measure the ${listed(reaches)} of the opening`;
}

/**
 * The one check of a piece whose outside is not decided yet: what to do first, and what is assumed until then.
 * @example undecided(CASE, SOLVED.shape, SHOP).about.kind // 'piece'
 */
export function undecided(piece: Piece, shape: Shape, workshop: Workshop): Check {
  const sizes = shape.assumed.flatMap((reach, i): Sentence => [...(i === 0 ? [] : [' by ']), len(shape.overall[reach].value)]);
  const openings = [...workshop.openings].slice(0, 3);
  const lacking = shape.assumed.some((reach) => piece[reach].from === 'opening') && !workshop.openings.has(piece.opening ?? '');
  return {
    id: 'undecided',
    severity: 'look',
    state: 'not checked',
    about: { kind: 'piece' },
    sentence: say`${first(piece, shape.assumed, workshop)}. Until then ${sizes} ${shape.assumed.length > 1 ? 'are' : 'is'} assumed, and nothing is checked.`,
    fixes: lacking ? openings.map(([id, o]) => pieceFix(say`Use ${o.name}`, { kind: 'piece', patch: { opening: id } })) : [],
  };
}
