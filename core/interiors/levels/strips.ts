import { len, say } from '../../figure/index.js';
import { USUAL_KERF, piecesFrom } from '../../joints/index.js';
import { add, fromUnits, mm, sub, type Length } from '../../length/index.js';
import type { Fact, ShapeProblem } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import type { Rails } from './level.js';

/** So little narrower a strip may be made for one more of them to come from a sheet. */
const NARROWER = mm(5);

/**
 * How many strips as wide come from the breadth of a sheet, and how wide they may be at most then, and for one more.
 * @example stripsFrom(mm(1250), mm(414), mm(3.2)).count // 3
 */
export function stripsFrom(sheet: Length, strip: Length, kerf: Length) {
  const widest = (count: number): Length => fromUnits(Math.floor((sheet - (count - 1) * kerf) / count));
  const count = piecesFrom(sheet, strip, kerf);
  return { count, most: widest(Math.max(1, count)), next: widest(count + 1) };
}

/** A deck as a strip of its sheet; null for boards, slats and decks over posts. */
function stripOf({ at }: Pick<Rails, 'at'>) {
  const { deck } = at.level;
  if (!deck || deck.slats || deck.goes === 'over') return null;
  const { stock } = woodOf(at.workshop, deck.stock);
  if (stock.form !== 'sheet') return null;
  const strip = deck.wide ?? at.posts.ring.depth.value;
  return { strip, stock, deck, ...stripsFrom(stock.width, strip, at.workshop.settings.kerf ?? USUAL_KERF) };
}

/** How many strips of a deck come from a sheet. */
export function stripFacts(rails: Pick<Rails, 'at'>): readonly Fact[] {
  const found = stripOf(rails);
  if (!found || found.count < 1) return [];
  const { strip, stock, count, most } = found;
  return [
    {
      name: 'strips',
      remark: say`${count} of ${len(strip)} come from the breadth of ${stock.name}; they may be ${len(most)} at most for that.`,
    },
  ];
}

/** A deck that is wider than its frame, or hardly too wide for one more strip from a sheet. */
export function stripProblems(rails: Pick<Rails, 'at'>): ShapeProblem[] {
  const { at } = rails;
  const found = stripOf(rails);
  const depth = at.posts.ring.depth.value;
  const { deck } = at.level;
  const problem = (id: string, stops: boolean, sentence: ShapeProblem['sentence']): ShapeProblem[] => [
    { id: `${id}-${at.node}`, about: at.node, stops, sentence, fixes: [] },
  ];
  if (deck?.wide !== undefined && deck.goes === 'round' && deck.wide > depth)
    return problem(
      'strip-wide',
      true,
      say`The deck of ${at.label} is ${len(deck.wide)} and its frame ${len(depth)} deep: it stands out over it.`,
    );
  if (deck?.wide !== undefined && deck.goes === 'round' && sub(depth, deck.wide) > at.posts.rail.value)
    return problem(
      'strip-narrow',
      true,
      say`The deck of ${at.label} is ${len(deck.wide)}, and lies on hardly half of its rails in a frame ${len(depth)} deep.`,
    );
  // Levels are mostly alike: it is said once, of the highest.
  if (!found || at.above !== null || add(found.next, NARROWER) < found.strip) return [];
  return problem(
    'strips',
    false,
    say`${found.count} strips of ${len(found.strip)} for ${at.label} come from the breadth of ${found.stock.name}; of ${len(found.next)} there would be ${found.count + 1}. Make decks that wide, on the same frame.`,
  );
}
