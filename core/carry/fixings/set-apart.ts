import type { Sentence } from '../../figure/index.js';
import type { Carried } from '../carry.js';
import { comeTooNear, isClear, meetings } from './clashes.js';
import { cutsAlong } from './cuts.js';
import { setAside, type Row } from './driven.js';
import type { Fixing } from './fixing.js';
import { keptBy, keptRows, type Kept } from './kept.js';
import type { Keep, Member } from '../../piece/index.js';
import { PlacedRow, placedRow, rowsOfScrews } from './placed.js';

/** The same row set along by as little as makes it clear of what is cut there and of all others; null where there is no room for that. */
function clearOf(row: PlacedRow, others: readonly PlacedRow[]): PlacedRow | null {
  const { holds, count, places, row: own } = row;
  if (own.holes) return null;
  const first = places[0] as number;
  const cuts = cutsAlong(own);
  const by = setAside(own, places, (moved) => {
    const one = new PlacedRow(holds, own, count, row.moved + (moved[0] as number) - first);
    return cuts(moved).length === 0 && !others.some((o) => comeTooNear(one, o));
  });
  return by === null ? null : placedRow(holds, own, count, row.moved + by);
}

/** Rows that meet are set apart where one of the two has room for that; the others stay where they usually go. @example setApart([]) // [] */
export function setApart(rows: readonly PlacedRow[]): readonly PlacedRow[] {
  const meet = meetings(rows).filter((m) => m.kind === 'meets');
  if (meet.length === 0) return rows;
  const places = new Map(rows.map((row, i) => [row, i]));
  const now = [...rows];
  const inOne = (row: PlacedRow) => {
    const ids = [row.row.through.id, row.row.into.id];
    return now.filter((o) => o !== row && (ids.includes(o.row.through.id) || ids.includes(o.row.into.id)));
  };
  for (const { row, other } of meet) {
    const [first, second] = [places.get(row) as number, places.get(other) as number];
    if (!comeTooNear(now[first] as PlacedRow, now[second] as PlacedRow)) continue;
    for (const i of [second, first]) {
      const clear = clearOf(now[i] as PlacedRow, inOne(now[i] as PlacedRow));
      if (!clear) continue;
      now[i] = clear;
      break;
    }
  }
  return now;
}

/** All screws of a piece, and what keeps its members where they lie. */
interface Placed {
  readonly rows: readonly PlacedRow[];
  readonly kept: readonly Kept[];
}

/** What is carried never changes, so that its screws are placed once. */
const known = new WeakMap<Carried, Placed>();

/** Rows that hold, and those that only keep, which give way to them and to each other: further in, or not at all. */
function withKeepers(carried: Carried, holding: readonly PlacedRow[], members: ReadonlyMap<string, Member>): Placed {
  const inMember = new Map<string, PlacedRow[]>();
  const isIn = ({ row }: PlacedRow) => [row.through.id, row.into.id];
  const add = (row: PlacedRow) => isIn(row).forEach((id) => inMember.set(id, [...(inMember.get(id) ?? []), row]));
  const rows = setApart(holding);
  rows.forEach(add);
  const driven = new Map<Keep, PlacedRow>();
  for (const [keep, ways] of keptRows(carried, members)) {
    const clear = ways.find((row) =>
      isClear(
        row,
        isIn(row).flatMap((id) => inMember.get(id) ?? []),
      ),
    );
    if (!clear) continue;
    driven.set(keep, clear);
    add(clear);
  }
  return { rows: [...rows, ...driven.values()], kept: keptBy(carried, members, driven) };
}

function placedIn(carried: Carried): Placed {
  let placed = known.get(carried);
  if (!placed) {
    const members = new Map([...carried.members].map(([id, c]) => [id, c.member]));
    const holding = [...carried.members.values()].flatMap((c) => rowsOfScrews(c, members, carried.unit));
    placed = withKeepers(carried, holding, members);
    known.set(carried, placed);
  }
  return placed;
}

/** Every row of screws of a piece. @example allScrews(SOLVED.carried).length // 4 */
export const allScrews = (carried: Carried): readonly PlacedRow[] => placedIn(carried).rows;

/** What keeps the members of a piece where they lie. @example allKept(SOLVED.carried).length // 2 */
export const allKept = (carried: Carried): readonly Kept[] => placedIn(carried).kept;

/** How far the screws of a row that holds a member were set along from where they usually go, mm. @example movedBy(SOLVED.carried, 'none', {}) // 0 */
export const movedBy = (carried: Carried, holds: string, row: Row): number =>
  allScrews(carried).find((r) => r.holds === holds && r.row === row)?.moved ?? 0;

/** What is said of how a member is held, with its screws where they are. */
export const saidOfFixing = ({ sentence, screws }: Fixing, holds: string, carried: Carried): Sentence =>
  sentence(screws ? movedBy(carried, holds, screws.row) : 0);
