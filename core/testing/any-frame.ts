import fc from 'fast-check';
import { ZERO, mm, type Length } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { seamsOf } from '../interiors/levels/index.js';
import type { Level, Levels } from '../interiors/index.js';
import type { Frame } from '../shells/index.js';
import type { Workshop } from '../project/index.js';
import { panels, space, stock, thing, workshop } from './samples.js';
import { asDegrees, asKg } from '../measures/index.js';

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
    feet: fc.constantFrom<Frame['feet']>(undefined, { are: 'feet', high: mm(20) }, { are: 'castors', high: mm(60), rated: asKg(40) }),
    held: fc.constantFrom<Frame['held']>(undefined, 'bolts'),
    braced: fc.option(
      fc.record({
        at: fc.constantFrom('ends' as const, 'rear' as const),
        is: fc.constantFrom('diagonal' as const, 'cross' as const, 'gusset' as const),
      }),
    ),
    bar: fc.boolean(),
    splice: fc.boolean(),
    slats: fc.option(fc.integer({ min: 3, max: 11 })),
    pullOut: fc.option(
      fc.record({
        overlap: length(120, 200),
        guides: fc.nat(2),
        legs: fc.integer({ min: 2, max: 4 }),
        hand: fc.boolean(),
        opens: fc.option(fc.integer({ min: 10, max: 100 })),
      }),
    ),
    people: fc.nat(2),
    letIn: fc.option(length(4, 12)),
    corners: fc.boolean(),
  })
  .map(({ levels, made, top, over, middle, board, sheets, post, rail, onTop, feet, held, braced, ...c }) => {
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
        bar: stock({ name: 'bar', form: 'board', material: 'steel', thickness: mm(4), width: mm(40), length: mm(3000) }),
      },
      things: { tin: thing() },
    });
    // Where boards are short, posts stand under their seams, counted from either end.
    const across = c.turned === 'across' ? c.wide : post;
    const seams =
      board && c.joined !== 'between' && c.through === 'across' ? [false, true].flatMap((right) => seamsOf(c.width, board, right)) : [];
    const under = [...new Set(seams)].map((x) => (x - Math.round(across / 2)) as Length);
    const middles = under.length > 0 ? under : middle ? [mm(Math.round(c.width / mm(2.2)))] : [];
    const flat = made.rails.flat;
    const rails = { ...top.rails, flat } as Level['rails'];
    const highest: Level = {
      ...top,
      rails: c.bar && c.joined === 'between' && !flat ? { ...rails, bar: { stock: 'bar', high: mm(30) } } : rails,
      ...(c.splice ? { splice: { stock: 'deck', long: mm(200) } } : {}),
      ...(c.corners && c.joined === 'between' && !flat && !c.bar && (top.rails.left || top.rails.right)
        ? { corners: { stock: 'rail' } }
        : {}),
    };
    // Slats as wide as leaves a tenth of the deck between them.
    const wide = c.slats ? ((Math.floor((0.9 * c.width) / c.slats / mm(0.5)) * mm(0.5)) as Length) : ZERO;
    const slatted: Level = c.slats
      ? { ...highest, deck: { stock: 'rail', goes: 'over', gap: ZERO, slats: { wide, count: c.slats } } }
      : highest;
    const drawn = c.slats && c.pullOut && c.joined === 'between' && !flat ? c.pullOut : null;
    const piece: Frame = {
      name: 'frame',
      shell: 'frame',
      width: given(c.width),
      height: given(c.height),
      depth: given(c.depth),
      panels: panels(),
      edges: { front: 'square', banding: ZERO },
      fixedToWall: true,
      posts: {
        stock: 'post',
        wide: c.wide,
        turned: c.turned,
        ...(middles.length > 0 ? { middles } : {}),
        ...(c.letIn ? { letIn: c.letIn } : {}),
      },
      joined: c.joined,
      through: c.through,
      top: {
        level: slatted,
        over,
        ...(onTop ? { things: [{ thing: 'tin', count: 3 }] } : {}),
        ...(c.people > 0 ? { people: c.people } : {}),
      },
      ...(feet ? { feet } : {}),
      ...(held ? { held } : {}),
      ...(braced ? { braces: [{ ...braced, space: 'foot', stock: 'rail', wide: mm(40) }] } : {}),
      ...(drawn
        ? {
            pullOut: {
              board: { stock: 'deck', wide: mm(95) },
              legs: { stock: 'rail', wide: mm(60), count: drawn.legs },
              overlap: drawn.overlap,
              behind: mm(20),
              guides: { count: drawn.guides, gap: mm(1) },
              ...(drawn.hand ? { handHold: true } : {}),
              ...(drawn.opens === null ? {} : { hinged: { opens: asDegrees(drawn.opens) } }),
            },
          }
        : {}),
      ...(sheets ? { sheets } : {}),
      interior: space('in', { split: { axis: 'up', making, members: levels.map((_, i) => ({ id: `l${i + 1}` })), spaces } }),
    };
    return { piece, shop };
  });
