import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { seamsOf } from '../interiors/levels/index.js';
import type { Level, Levels } from '../interiors/index.js';
import type { Frame } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import { panels, space, stock, thing, workshop } from './samples.js';

const length = (least: number, most: number) => fc.integer({ min: least * 10, max: most * 10 }).map((n) => mm(n / 10));

const rails: fc.Arbitrary<Level['rails']> = fc
  .record({ wide: length(40, 90), flat: fc.nat(3).map((n) => n === 0), left: fc.boolean(), right: fc.boolean() })
  .map(({ flat, ...rest }) => ({ stock: 'rail', front: true, rear: true, ...rest, ...(flat ? { flat } : {}) }));

const level = (over: boolean): fc.Arbitrary<Level> =>
  fc
    .record({
      rails,
      deck: fc.option(
        fc.record({
          goes: fc.constantFrom('round' as const, over ? ('over' as const) : ('round' as const)),
          gap: fc.constantFrom(ZERO, mm(1)),
        }),
      ),
      cross: fc.option(length(200, 500)),
    })
    .map(({ rails: r, deck, cross }) => ({
      rails: r,
      ...(deck ? { deck: { stock: 'deck', ...deck } } : {}),
      ...(cross ? { cross: { most: cross } } : {}),
    }));

const overhang = fc.constantFrom(ZERO, mm(15), mm(60));

/** A frame with some levels, decks and things on them; rails of one thickness, as a ring has it. */
export const anyFrame: fc.Arbitrary<{ readonly piece: Frame; readonly shop: Workshop }> = fc
  .record({
    width: length(600, 1600),
    height: length(500, 1600),
    depth: length(350, 700),
    wide: length(40, 100),
    turned: fc.constantFrom('across' as const, 'deep' as const),
    joined: fc.constantFrom('between' as const, 'lapped' as const, 'end-on' as const),
    through: fc.constantFrom('across' as const, 'deep' as const),
    levels: fc.array(fc.boolean(), { maxLength: 3 }),
    made: level(false),
    top: level(true),
    over: fc.record({ front: overhang, rear: overhang, left: overhang, right: overhang }),
    middle: fc.boolean(),
    board: fc.option(length(700, 1200)),
    sheets: fc.constantFrom<Frame['sheets']>(undefined, { rear: { stock: 'deck' } }, { rear: { stock: 'deck' }, ends: { stock: 'deck' } }),
    post: length(40, 50),
    rail: length(18, 24),
    onTop: fc.boolean(),
  })
  .map(({ levels, made, top, over, middle, board, sheets, post, rail, onTop, ...c }) => {
    const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
    const spaces = [
      space('foot'),
      ...levels.map((full, i): Space => space(`s${i + 1}`, { things: full && made.deck ? [{ thing: 'tin', count: 2 }] : [] })),
    ];
    const making: Levels = { kind: 'levels', level: made };
    const shop = workshop({
      stock: {
        post: stock({ name: 'post', form: 'board', material: 'sitka-spruce', thickness: post, width: mm(120), length: mm(3000) }),
        rail: stock({ name: 'rail', form: 'board', material: 'sitka-spruce', thickness: rail, width: mm(95), length: board ?? mm(3000) }),
        deck: stock({ name: 'deck', thickness: mm(12), length: mm(2500), width: mm(1250) }),
      },
      things: { tin: thing() },
    });
    // Where boards are short, posts stand under their seams, counted from either end.
    const across = c.turned === 'across' ? c.wide : post;
    const seams =
      board && c.joined !== 'between' && c.through === 'across' ? [false, true].flatMap((right) => seamsOf(c.width, board, right)) : [];
    const under = [...new Set(seams)].map((x) => (x - Math.round(across / 2)) as Length);
    const middles = under.length > 0 ? under : middle ? [mm(Math.round(c.width / mm(2.2)))] : [];
    const piece: Frame = {
      name: 'frame',
      shell: 'frame',
      width: given(c.width),
      height: given(c.height),
      depth: given(c.depth),
      panels: panels(),
      edges: { front: 'square', banding: ZERO },
      fixedToWall: true,
      posts: { stock: 'post', wide: c.wide, turned: c.turned, ...(middles.length > 0 ? { middles } : {}) },
      joined: c.joined,
      through: c.through,
      top: {
        level: { ...top, rails: { ...top.rails, flat: made.rails.flat } as Level['rails'] },
        over,
        ...(onTop ? { things: [{ thing: 'tin', count: 3 }] } : {}),
      },
      ...(sheets ? { sheets } : {}),
      interior: space('in', { split: { axis: 'up', making, members: levels.map((_, i) => ({ id: `l${i + 1}` })), spaces } }),
    };
    return { piece, shop };
  });
