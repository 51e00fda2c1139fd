import { ZERO } from '../../../core/length/index.js';
import type { Frame } from '../../../core/shells/index.js';
import { DECK, usualLevel } from '../levels/filling.js';
import type { Piece } from '../../../core/piece/index.js';
import { givenSize, sizes, widthFor, woodFor, type OnHand, type Use, type UsualSizes } from '../means.js';
import { usualPanels } from '../panels/usual.js';

export const POST = { use: 'post', label: 'Posts of', thick: [45, 1.5], wide: [45, 1.5] } as const satisfies Use;

/** A frame of posts with a top over them, and one space under it. */
export function newFrame(onHand: OnHand): Frame {
  const s = sizes(onHand.unit);
  const over = s(15, 1 / 2);
  const deck = { stock: woodFor(onHand, DECK), goes: 'over', gap: ZERO } as const;
  return {
    name: 'New frame',
    shell: 'frame',
    width: givenSize(s(900, 36)),
    height: givenSize(s(750, 30)),
    depth: givenSize(s(600, 24)),
    posts: { stock: woodFor(onHand, POST), wide: widthFor(onHand, POST), turned: 'across' },
    joined: 'between',
    through: 'across',
    top: { level: { ...usualLevel(onHand), deck }, over: { front: over, rear: over, left: over, right: over } },
    panels: usualPanels(onHand, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: false,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** What bears a person is of thicker wood. */
export const STURDY = {
  post: { thick: [45, 1.5], wide: [95, 3.5] },
  rail: { thick: [45, 1.5], wide: [95, 3.5] },
  deck: { thick: [18, 3 / 4] },
} as const satisfies UsualSizes;

export const noOneOn = (piece: Piece): Piece => ({ ...piece, noOneOn: true });

/** Long rails on the ends of inner posts bear a person without screws; a deck of such a depth needs none at its ends. */
export function onPosts(piece: Piece): Piece {
  const frame = piece as Frame;
  const { level } = frame.top;
  const rails = { ...level.rails, left: false, right: false };
  return { ...frame, joined: 'end-on', top: { ...frame.top, level: { ...level, rails } } };
}
