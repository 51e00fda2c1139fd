import { say, type Sentence } from '../figure/index.js';
import type { State } from '../carry/index.js';
import { applyEdit, findMember, findSpace, type Letters, type Member, type PanelCase, type Piece, type PieceEdit } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { CASE } from '../shells/index.js';
import { compare, type Moved } from './compare.js';
import { freshIds, takenIds } from './ids.js';
import { solve, type Solution } from './solve.js';

/** A change that makes a member pass, tried in the solver. */
export interface Remedy {
  readonly label: Sentence;
  readonly edit: PieceEdit;
  /** Sag of the worst part of the member after it, mm; null where it no longer bends. */
  readonly today: number | null;
  readonly later: number | null;
  readonly state: State;
  /** By how much the piece gets heavier, kg. */
  readonly addedKg: number;
  readonly moved: readonly Moved[];
  /** Members that fail after it and did not before. */
  readonly newlyFailing: readonly string[];
}

interface Candidate {
  readonly label: Sentence;
  readonly edit: PieceEdit;
}

/** Stock on hand that could take the member's place, the one in use left out. */
function otherStock(workshop: Workshop, now: string, edit: (id: string) => PieceEdit | null): Candidate[] {
  const used = workshop.stock.get(now);
  return [...workshop.stock].flatMap(([id, stock]): Candidate[] => {
    const change = id === now || !used || stock.thickness * 2 < used.thickness ? null : edit(id);
    return change ? [{ label: say`Use ${stock.name}`, edit: change }] : [];
  });
}

function forDividing(piece: Piece, workshop: Workshop, node: string): Candidate[] {
  const found = findMember(piece.interior, node);
  if (!found?.owner.split) return [];
  if (found.owner.split.making) return [];
  const up = found.owner.split.axis === 'up';
  const stock = found.member.stock ?? (up ? piece.stock.shelves : piece.stock.dividers);
  const candidates = otherStock(workshop, stock, (id) => ({ kind: 'member', member: node, patch: { stock: id } }));
  if (!up) return candidates;
  const below = found.owner.split.spaces[found.index];
  const taken = takenIds(piece);
  if (below && !below.split) {
    const spaces = freshIds(taken, `${below.id}-part`, 2);
    const members = freshIds(taken, `${below.id}-divider`, 1);
    candidates.push({
      label: say`Put an upright in the middle of the space under it`,
      edit: { kind: 'split', space: below.id, axis: 'across', members, spaces },
    });
  }
  const column = findSpace(piece.interior, found.owner.id);
  if (column?.parent?.axis === 'across') {
    const [member] = freshIds(taken, 'divider', 1);
    const [beyond] = freshIds(taken, 'bay', 1);
    if (member && beyond)
      candidates.push({
        label: say`One more divider, so that every bay is narrower`,
        edit: { kind: 'add', space: column.space.id, member, beyond },
      });
  }
  return candidates;
}

function forCase(piece: PanelCase, workshop: Workshop, memberId: string): Candidate[] {
  const candidates = otherStock(workshop, piece.stock.sides, (id) => ({
    kind: 'piece',
    patch: { stock: { ...piece.stock, sides: id } },
  })).map((c) => ({
    ...c,
    label: say`${c.label} for the whole case`,
  }));
  if (memberId !== CASE.bottom || piece.base.kind === 'none') return candidates;
  const { base } = piece;
  if (!base.bearers)
    candidates.unshift({
      label: say`Put a bearer under each divider, down to the floor`,
      edit: { kind: 'piece', patch: { base: { ...base, bearers: true } } },
    });
  if (base.kind === 'toe')
    candidates.push({
      label: say`Stand the case on a loose plinth`,
      edit: { kind: 'piece', patch: { base: { ...base, kind: 'plinth' } } },
    });
  return candidates;
}

/** What is made with others of its kind, such as the bottoms of all drawers of a bank: other stock for all of them. */
function forMade(piece: Piece, workshop: Workshop, member: Member): Candidate[] {
  return otherStock(workshop, member.stockId, (id) => stockEdit(piece, member, id)).map((c) => ({
    ...c,
    label: say`${c.label} for every ${member.role}`,
  }));
}

function failing(solution: Solution): ReadonlySet<string> {
  return new Set([...solution.carried.members.values()].filter((c) => c.state === 'fails').map((c) => c.member.id));
}

/**
 * Changes that make a member pass in the long term, found by trying them in the solver; a
 * remedy that adds a support counts only if its load reaches the floor without a new
 * failure that is worse than what it mends. Least change first: fewest sizes moved, then least weight.
 */
export function remediesFor(before: Solution, workshop: Workshop, ledger: Letters, memberId: string): readonly Remedy[] {
  const { piece } = before;
  const carried = before.carried.members.get(memberId);
  if (!carried) return [];
  const { node } = carried.member;
  const divides = findMember(piece.interior, node);
  const candidates =
    memberId.startsWith('case/') && piece.shell === 'panel-case'
      ? forCase(piece, workshop, memberId)
      : divides && !divides.owner.split?.making
        ? forDividing(piece, workshop, node)
        : forMade(piece, workshop, carried.member);
  const failedBefore = failing(before);
  const remedies = candidates.flatMap(({ label, edit }): Remedy[] => {
    const after = solve(applyEdit(piece, edit), workshop, ledger);
    const member = after.carried.members.get(memberId);
    if (!member || after.shape.runs.size < before.shape.runs.size) return [];
    const passes = member.state === 'fine' || member.state === 'close';
    const stops = after.checks.some(
      (c) => c.severity === 'stop' && c.state === 'fails' && !before.checks.some((b) => b.id === c.id) && !c.id.startsWith('sag-'),
    );
    if (!passes || stops) return [];
    return [
      {
        label,
        edit,
        today: member.bending?.verdict.today.mm ?? null,
        later: member.bending?.verdict.later?.mm ?? null,
        state: member.state,
        addedKg: after.carried.massKg - before.carried.massKg,
        moved: compare(before, after),
        newlyFailing: [...failing(after)].filter((id) => !failedBefore.has(id)),
      },
    ];
  });
  return remedies.sort((a, b) => a.newlyFailing.length - b.newlyFailing.length || a.moved.length - b.moved.length || a.addedKg - b.addedKg);
}

/** The edit that makes a member, or all that are made with it, of another stock; null for what belongs to the case. */
function stockEdit(piece: Piece, member: Member, stock: string): PieceEdit | null {
  if (findMember(piece.interior, member.node)) return { kind: 'member', member: member.node, patch: { stock } };
  const path = findSpace(piece.interior, member.node);
  const owner = path?.space.split?.making ? path.space : path?.parent?.space;
  const making = owner?.split?.making;
  if (!owner || !making) return null;
  switch (making.kind) {
    case 'drawers': {
      const use = member.role === 'drawer bottom' ? 'bottom' : member.role === 'drawer front' ? 'front' : 'box';
      return { kind: 'making', space: owner.id, making: { ...making, stock: { ...making.stock, [use]: stock } } };
    }
    case 'slats':
      if (member.role === 'slat support')
        return { kind: 'making', space: owner.id, making: { ...making, supports: { ...making.supports, stock } } };
      return { kind: 'making', space: owner.id, making: { ...making, stock } };
    case 'boards':
      return { kind: 'making', space: owner.id, making: { ...making, stock } };
  }
}

/** The same member in another stock: what it would sag, weigh and cost. */
export interface StockChoice {
  readonly stockId: string;
  readonly today: number;
  readonly later: number | null;
  readonly state: State;
  readonly kg: number;
  readonly thickness: number;
  readonly edit: PieceEdit;
  readonly current: boolean;
}

/** One shelf or divider in every stock there is, side by side, the same load on each. */
export function stockChoices(before: Solution, workshop: Workshop, ledger: Letters, memberId: string): readonly StockChoice[] {
  const now = before.carried.members.get(memberId);
  if (!now) return [];
  return [...workshop.stock.keys()].flatMap((stockId): StockChoice[] => {
    const edit = stockEdit(before.piece, now.member, stockId);
    if (!edit) return [];
    const after = solve(applyEdit(before.piece, edit), workshop, ledger).carried.members.get(memberId);
    if (!after?.bending) return [];
    const { verdict } = after.bending;
    return [
      {
        stockId,
        today: verdict.today.mm,
        later: verdict.later?.mm ?? null,
        state: after.state,
        kg: after.selfKg,
        thickness: after.member.thickness.value,
        edit,
        current: stockId === now.member.stockId,
      },
    ];
  });
}
