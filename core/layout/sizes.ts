import { EditError, applyEdit } from '../kinds/index.js';
import { layBoards } from '../cutting/boards/index.js';
import { SheetSearch } from '../cutting/sheets/index.js';
import { formatLength, roundTo, toMm, type Length } from '../length/index.js';
import { sawStep } from '../parts/index.js';
import { spacesOf, type Letters, type Piece, type PieceEdit, type Space } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { solve, type Solution } from '../solution/index.js';
import { blanksOf, type PieceToCut } from './blanks.js';
import { wholeIds } from './flaws.js';
import { askedOf, boardsOf, type ToLay } from './plan.js';
import type { Cutting } from './spec.js';

/** An overall size of a piece. */
export type Reach = 'width' | 'height' | 'depth';

/** What of a piece is changed: an overall size, or how many shelves there are in one of its spaces. */
export type Measure = Reach | { readonly shelves: string };

/** A piece as it can be given to a worker. */
export interface PieceGiven {
  readonly id: string;
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly letters: Letters;
}

/** What one size comes to. */
export interface SizeTried {
  /** As large, in units of length; or so many shelves. */
  readonly size: number;
  /** So many sheets and boards are opened, and so many of them bought for so much. */
  readonly opened: number;
  readonly bought: number;
  readonly money: number;
  /** Parts that have no place. */
  readonly missing: number;
  /** Checks that stop the build, and those to look at. */
  readonly stops: number;
  readonly looks: number;
  /** The clear room in its spaces, litres. */
  readonly room: number;
  /** How far the worst of its shelves sags in the long term, as a part of what is allowed; 0 where none is judged. */
  readonly sag: number;
  /** What its front is like: height over width. */
  readonly front: number;
}

/** What a piece is like at a size: the room in it, how its shelves do, and how its front looks. */
function likenessOf({ shape, carried }: Solution): Pick<SizeTried, 'room' | 'sag' | 'front'> {
  const open = [...shape.spaces.values()].filter((s) => !s.space.split);
  const room = open.reduce(
    (sum, { clear }) => sum + (toMm(clear.width.value) * toMm(clear.height.value) * toMm(clear.depth.value)) / 1e6,
    0,
  );
  const sags = [...carried.members.values()].flatMap(({ bending }) => {
    const verdict = bending?.verdict;
    return verdict && verdict.allowed > 0 ? [(verdict.later ?? verdict.today).mm / verdict.allowed] : [];
  });
  const { width, height } = shape.overall;
  return { room, sag: Math.max(0, ...sags), front: height.value / width.value };
}

/** So many sizes are tried, from this part of the present one to that. */
const [STEPS, LEAST, GREATEST] = [30, 0.8, 1.06];

/** So many steps of the search are enough to tell sizes apart. */
const QUICK = 300;

/** How many sheets of each kind a quick layout opens, by their ids. */
function openedIn({ problem, along, flawed }: ToLay): { readonly sheets: readonly string[]; readonly missing: number } {
  if (along) {
    const { sawn, missing } = layBoards(boardsOf(problem));
    return {
      sheets: wholeIds(
        sawn.map((s) => s.board.id),
        flawed,
      ),
      missing: missing.length,
    };
  }
  const search = new SheetSearch(problem);
  if (!search.proven) search.go(QUICK);
  const { laid, missing } = search.answer();
  const ids = laid.map((l) => l.sheet);
  return { sheets: wholeIds(ids, flawed), missing: missing.length };
}

function tried(size: number, pieces: readonly PieceToCut[], cutting: Cutting, about: string): SizeTried {
  let [opened, bought, money, lost] = [0, 0, 0, 0];
  const settings = (pieces[0] as PieceToCut).solution.workshop.settings;
  for (const [stockId, blanks] of blanksOf(pieces, cutting.testLong)) {
    const stock = (blanks[0] as (typeof blanks)[number]).part.member.stock;
    // What lies somewhere lies there at the present size: sizes are compared without it.
    const asked = askedOf(stockId, stock, blanks, { ...cutting, pins: [], begun: [] }, settings);
    const { sheets, missing } = openedIn(asked);
    lost += missing;
    opened += sheets.length;
    for (const id of sheets) {
      const source = asked.sources.find((s) => s.sheet.id === id);
      if (source?.from !== 'to buy') continue;
      bought += 1;
      money += source.price ?? 0;
    }
  }
  const { solution } = pieces.find((p) => p.id === about) as PieceToCut;
  const { checks } = solution;
  const count = (severity: string) => checks.filter((c) => c.severity === severity).length;
  return { size, opened, bought, money, missing: lost, stops: count('stop'), looks: count('look'), ...likenessOf(solution) };
}

/** So many shelves fewer and more are tried. */
const SHELVES_EACH_WAY = 4;

/** The spaces of a piece that shelves divide, each with how many there are. @example shelvedIn(CASE).map((s) => s.shelves) // [1] */
export function shelvedIn(piece: Piece): readonly { readonly space: Space; readonly shelves: number }[] {
  return [...spacesOf(piece.interior)].flatMap(({ space }) => {
    const { split } = space;
    const are = split?.axis === 'up' && !split.making && split.members.every((m) => m.rail === undefined && m.room === undefined);
    return are && split.members.length > 0 ? [{ space, shelves: split.members.length }] : [];
  });
}

/**
 * The edit that makes one size of a piece another: an overall size, or so many shelves that share the height evenly.
 * @example sizeEdit(CASE, 'depth', mm(250)).kind // 'piece'
 */
export function sizeEdit(piece: Piece, measure: Measure, size: number): PieceEdit {
  if (typeof measure === 'string') return { kind: 'piece', patch: { [measure]: { from: 'given', size: size as Length, of: 'overall' } } };
  const taken = new Set([...spacesOf(piece.interior)].flatMap(({ space }) => [space.id, ...(space.split?.members ?? []).map((m) => m.id)]));
  const fresh = (stem: string) => {
    let n = 1;
    while (taken.has(`${stem}-${n}`)) n += 1;
    taken.add(`${stem}-${n}`);
    return `${stem}-${n}`;
  };
  const ids = (stem: string) => Array.from({ length: SHELVES_EACH_WAY }, () => fresh(stem));
  return { kind: 'even', space: measure.shelves, members: size, newMembers: ids('more-shelf'), newSpaces: ids('more-space') };
}

/**
 * A piece with one of its sizes another; null where that cannot be, such as a shelf less over a space that is divided itself.
 * @example atSize(CASE, 'depth', mm(250)).depth.size // mm(250)
 */
export function atSize(piece: Piece, measure: Measure, size: number): Piece | null {
  if (typeof measure !== 'string') {
    const { space, shelves } = shelvedIn(piece).find((s) => s.space.id === measure.shelves) ?? {};
    if (!space || shelves === undefined) return null;
    // The spaces over the last shelf that stays become one: what those are divided into would be lost.
    if (size < shelves && space.split?.spaces.slice(size).some((s) => s.split ?? s.filling)) return null;
  }
  try {
    return applyEdit(piece, sizeEdit(piece, measure, size));
  } catch (error) {
    if (error instanceof EditError) return null;
    throw error;
  }
}

/** The size of a piece as it is; null where it has no such shelves. @example presentSize(SOLVED, 'depth') // mm(300) */
export function presentSize({ piece, shape }: Solution, measure: Measure): number | null {
  if (typeof measure === 'string') return shape.overall[measure].value;
  return shelvedIn(piece).find((s) => s.space.id === measure.shelves)?.shelves ?? null;
}

/** The sizes that are tried of a piece, from the smallest; the present one is among them. */
function sizesFor({ piece, workshop }: PieceGiven, measure: Measure, present: number): readonly number[] {
  if (typeof measure !== 'string') {
    const least = Math.max(1, present - SHELVES_EACH_WAY);
    return Array.from({ length: present + SHELVES_EACH_WAY - least + 1 }, (_, n) => least + n);
  }
  const step = sawStep((piece.rounding ?? workshop.settings.rounding).grid);
  const most = piece[measure].from === 'opening' ? 1 : GREATEST;
  const sizes = new Set<number>([present]);
  for (let n = 0; n <= STEPS; n += 1) sizes.add(roundTo((present * (LEAST + ((most - LEAST) * n) / STEPS)) as Length, step));
  return [...sizes].filter((size) => most > 1 || size <= present).sort((a, b) => a - b);
}

/**
 * What sizes of a piece come to, from the smallest: each solved, checked and laid out quickly with whatever is cut together with
 * it. Sizes are on the grid that the piece is set out on; the present one is among them. A piece as large as its opening is not tried larger.
 */
export function* sizesTried(pieces: readonly PieceGiven[], about: string, measure: Measure, cutting: Cutting): Generator<SizeTried> {
  const given = pieces.find((p) => p.id === about);
  if (!given) return;
  const others = pieces.filter((p) => p !== given).map((p): PieceToCut => ({ id: p.id, solution: solve(p.piece, p.workshop, p.letters) }));
  const now = solve(given.piece, given.workshop, given.letters);
  const present = presentSize(now, measure);
  if (present === null) return;
  for (const size of sizesFor(given, measure, present)) {
    const piece = size === present ? given.piece : atSize(given.piece, measure, size);
    if (!piece) continue;
    const solution = size === present ? now : solve(piece, given.workshop, given.letters);
    yield tried(size, [{ id: about, solution }, ...others], cutting, about);
  }
}

/**
 * Sizes that cost less than the present one and pass as many checks: the nearest on either side, and the nearest that saves most.
 * @example cheaperSizes([], mm(300)) // []
 */
export function cheaperSizes(all: readonly SizeTried[], present: number): readonly SizeTried[] {
  const now = all.find((t) => t.size === present);
  if (!now) return [];
  const saves = (t: SizeTried) =>
    (t.money < now.money || (t.money === now.money && t.opened < now.opened)) && t.missing <= now.missing && t.stops <= now.stops;
  const better = all.filter(saves);
  const near = (list: readonly SizeTried[]) => [...list].sort((a, b) => Math.abs(a.size - present) - Math.abs(b.size - present))[0];
  const least = Math.min(...better.map((t) => t.money));
  const found = [
    near(better.filter((t) => t.size < present)),
    near(better.filter((t) => t.size > present)),
    near(better.filter((t) => t.money === least)),
  ];
  return [...new Set(found.flatMap((t) => (t ? [t] : [])))];
}

/** What a change to another size is called. @example sizeLabel('depth', mm(300), 'mm') // 'Made the depth 300' */
export function sizeLabel(measure: Measure, size: number, unit: 'mm' | 'in'): string {
  if (typeof measure !== 'string') return `Made it ${size} ${size === 1 ? 'shelf' : 'shelves'}`;
  return `Made the ${measure} ${formatLength(size as Length, { unit, step: 8000 as Length })}`;
}
