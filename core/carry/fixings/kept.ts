import { inch, mm, toMm, type Length, type LengthUnit } from '../../length/index.js';
import { propertiesOf } from '../../stock/index.js';
import { LETS_GO, type Keep, type Member } from '../../piece/index.js';
import type { Carried } from '../carry.js';
import { dot } from '../../solid/index.js';
import { contactOf, depthFrom, inRebate, reachAlong, type Contact } from './contact.js';
import { SOLD, mostAcross, rowBetween, type NoRow, type Row } from './driven.js';
import { leastOf, WHY } from './ends.js';
import { placedRow, type PlacedRow } from './placed.js';

/** How two members are kept as they lie, or touch. */
export interface Kept {
  readonly keep: Keep;
  readonly held: Member;
  readonly by: Member;
  readonly way: 'screws' | 'plates' | 'brackets' | 'glue' | 'rests';
  readonly placed?: PlacedRow;
  /** How many brackets or plates. */
  readonly count?: number;
  /** Why it is not screwed, where screws were asked for. */
  readonly why?: string;
}

/** What is screwed through is no thinner, and no thicker, mm: else another way is shorter. */
const THROUGH = [4, 45] as const;
/** A screw that only keeps something is so many times as long as what it goes through, and goes on by so much at least, mm. */
const TIMES = 2.5;
const ON = 20;
/** A face is square to a screw where its head begins no further from the outside than this, mm. */
const FLUSH = 0.01;
/** Where others are in the way, it starts so much further in from both ends, mm. */
const INSETS = [0, 30, 60, 100] as const;
/** What the short screws of a bracket need of wood, mm. */
const FOR_BRACKET = 18;
/** There is a bracket so often, two at least where there is room for two, mm. */
const BRACKET = { every: 600, two: 120 } as const;

/** A bracket as it is sold, by the length of its legs, and the screws that it takes. @example bracketScrew('mm').count // 4 */
export function bracketScrew(unit: LengthUnit): {
  readonly leg: Length;
  readonly name: string;
  readonly length: Length;
  readonly count: number;
} {
  return { leg: unit === 'mm' ? mm(40) : inch(1.5), name: 'No. 8', length: unit === 'mm' ? mm(16) : inch(5 / 8), count: 4 };
}

const membersOf = ({ held, by }: Keep, members: ReadonlyMap<string, Member>) =>
  [members.get(held) as Member, members.get(by) as Member] as const;

/** Rows never change, so that what would keep something in their place is worked out once. */
const keepers = new WeakMap<Row, readonly Row[]>();

/** Rows that keep something by shorter screws: where it would usually go, and further in. */
function keepersOf(row: Row, unit: LengthUnit): readonly Row[] {
  let found = keepers.get(row);
  if (!found) {
    const side = row.joint.side.thickness + (row.gap ?? 0);
    const length = SOLD[unit].find((l) => l >= Math.max(TIMES * side, side + ON)) ?? row.length;
    const by = Math.min(0, length - row.length);
    const short = {
      ...row,
      length: row.length + by,
      inside: row.inside + by,
      left: row.left - by,
      joint: { ...row.joint, length: row.joint.length + by },
    };
    const [low, high] = row.room;
    found = INSETS.flatMap((inset) =>
      inset === 0 || mostAcross(high - low - 2 * inset, row.screw) > 0 ? [{ ...short, room: [low + inset, high - inset] as const }] : [],
    );
    keepers.set(row, found);
  }
  return found;
}

/** Whether one would screw there: from a face that is square to it, not through a lip, a slope or more than a screw is worth. */
function isUsual({ through, into, contact, joint }: Row): boolean {
  const { thickness } = joint.side;
  if (inRebate(through, into) || inRebate(into, through) || thickness < THROUGH[0] || thickness > THROUGH[1]) return false;
  return Math.abs(reachAlong(through, contact.normal)[0] - (contact.plane - thickness)) < FLUSH;
}

/** So wide a panel of solid wood moves more across its grain than screws give, mm. */
const MOVES = 200;

const isSolidWood = ({ stock }: Member) => propertiesOf(stock).material.form === 'solid';

/** Whether a member moves across its grain, along the face that another meets it with, where that one does not move with it. */
function movesAgainst(member: Member, other: Member, { normal }: Contact): boolean {
  const { v } = member.frame;
  if (!isSolidWood(member) || toMm(member.width.value) <= MOVES || Math.abs(dot(v, normal)) > Math.SQRT1_2) return false;
  return !isSolidWood(other) || Math.abs(dot(other.frame.v, v)) < Math.SQRT1_2;
}

/** The plates between two members of which one moves against the other, and is not to be screwed fast; null for others. */
function platesBetween(held: Member, by: Member): number | null {
  const met = contactOf(by, held);
  return met && (movesAgainst(held, by, met) || movesAgainst(by, held, met)) ? bracketsBetween(held, by) : null;
}

function rowsOf(keep: Keep, members: ReadonlyMap<string, Member>, { unit }: Carried): readonly PlacedRow[] | NoRow['why'] | null {
  if (keep.way !== 'usual' && keep.way !== 'screws') return null;
  const [held, by] = membersOf(keep, members);
  const row = rowBetween(by, held, unit);
  if ('why' in row) return row.why;
  if (keep.way === 'usual' && (!isUsual(row) || platesBetween(held, by) !== null)) return null;
  return keepersOf(row, unit).map((r) => placedRow(held.id, r, leastOf(r)));
}

/** The rows of screws that would keep members where they lie, for each the one that is usual first. */
export function keptRows(carried: Carried, members: ReadonlyMap<string, Member>): ReadonlyMap<Keep, readonly PlacedRow[]> {
  return new Map(
    carried.keeps.flatMap((keep) => {
      const rows = rowsOf(keep, members, carried);
      return rows !== null && typeof rows !== 'string' ? [[keep, rows] as const] : [];
    }),
  );
}

/** The brackets between two members, or null where there is too little wood for their screws. */
function bracketsBetween(held: Member, by: Member): number | null {
  const met = contactOf(by, held);
  if (!met || Math.min(depthFrom(by, met, -1), depthFrom(held, met, 1)) < FOR_BRACKET) return null;
  const [low, high] = met.over[0];
  return high - low < BRACKET.two ? 1 : Math.max(2, 1 + Math.floor((high - low) / BRACKET.every));
}

/**
 * What keeps each: screws where they were placed, else, unless the rest of the piece holds the two together, brackets where there is wood
 * for them, and glue.
 */
export function keptBy(carried: Carried, members: ReadonlyMap<string, Member>, driven: ReadonlyMap<Keep, PlacedRow>): readonly Kept[] {
  const roots = new Map<string, string>();
  const rootOf = (id: string): string => {
    const root = roots.get(id);
    return root === undefined || root === id ? id : rootOf(root);
  };
  for (const { carried: a, carrier: b, how } of carried.joints) if (!LETS_GO.has(how) && members.has(b)) roots.set(rootOf(a), rootOf(b));
  for (const { held, by } of driven.keys()) roots.set(rootOf(held), rootOf(by));
  return carried.keeps.map((keep): Kept => {
    const [held, by] = membersOf(keep, members);
    const placed = driven.get(keep);
    if (placed) return { keep, held, by, way: 'screws', placed };
    if (keep.way === 'rests') return { keep, held, by, way: 'rests' };
    const apart = rootOf(held.id) !== rootOf(by.id);
    const plated = keep.way === 'plates' || (keep.way === 'usual' && platesBetween(held, by) !== null);
    if (keep.way === 'usual' && !apart && !plated) return { keep, held, by, way: 'rests' };
    roots.set(rootOf(held.id), rootOf(by.id));
    const count = plated || keep.way === 'usual' || keep.way === 'brackets' ? bracketsBetween(held, by) : null;
    if (count !== null) return { keep, held, by, way: plated ? 'plates' : 'brackets', count };
    const none = keep.way === 'screws' ? rowsOf(keep, members, carried) : null;
    return { keep, held, by, way: 'glue', ...(keep.way === 'screws' ? { why: typeof none === 'string' ? WHY[none] : CLASHES } : {}) };
  });
}

const CLASHES = 'they would meet other screws';
