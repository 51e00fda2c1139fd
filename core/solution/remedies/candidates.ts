import { creepOf, wouldBe, type BendingAnswer, type Creep } from '../../carry/index.js';
import { len, say, type Sentence } from '../../figure/index.js';
import { sub } from '../../length/index.js';
import { findMember, findSpace, type DividingMember, type Member, type PanelCase, type Piece, type PieceEdit } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { CASE, backCounts } from '../../shells/index.js';
import { propertiesOf, type Stock } from '../../stock/index.js';
import { freshIds, takenIds } from '../ids.js';
import type { Solution } from '../solve.js';
import type { Candidate } from './candidate.js';
import { stiffeners } from './stiffeners.js';

/** What one sees of another stock. */
function looksOf(used: Stock, stock: Stock): Sentence {
  const thicker =
    stock.thickness > used.thickness ? say`edges ${len(sub(stock.thickness, used.thickness))} thicker` : say`edges as thick or thinner`;
  return stock.material === used.material ? thicker : say`${thicker}, another wood`;
}

/** A little over the limit, a change is still tried: what it does to the rest may bring it under. */
const NEARLY = 1.2;

/** Whether another stock might do in place of one, by its thickness, stiffness and creep alone. */
function might(answer: BendingAnswer | null, workshop: Workshop, used: Stock, stock: Stock): boolean {
  if (!answer) return true;
  const [now, then] = [propertiesOf(used), propertiesOf(stock)];
  const creep = [now, then].map((p) => creepOf(p.material, workshop.settings)) as [Creep, Creep];
  const { mm: sag, allowed } = wouldBe(answer, workshop.settings, {
    thickness: stock.thickness / used.thickness,
    elastic: then.elastic / now.elastic,
    creep: creep[0].judged && creep[1].judged ? creep[1].factor / creep[0].factor : 1,
  });
  return sag <= allowed * NEARLY;
}

/** Stock on hand that could take the member's place, the one in use left out. */
function otherStock(workshop: Workshop, now: string, answer: BendingAnswer | null, edit: (id: string) => PieceEdit | null): Candidate[] {
  const used = workshop.stock.get(now);
  return [...workshop.stock].flatMap(([id, stock]): Candidate[] => {
    const change = id === now || !used || !might(answer, workshop, used, stock) ? null : edit(id);
    return change && used ? [{ label: say`Use ${stock.name}`, edit: change, looks: looksOf(used, stock) }] : [];
  });
}

/** Holding a shelf to the back, where that counts: glued to a thick one, or screwed through it into studs. */
function toBack({ piece, shape }: Solution, spec: DividingMember): Candidate[] {
  const back = shape.members.find((m) => m.id === CASE.back);
  if (!back || spec.toBack !== undefined) return [];
  const held = (['glued', 'screwed'] as const).find((how) => backCounts(how, back.thickness.value, piece.fixedToWall));
  if (!held) return [];
  return [
    {
      label: held === 'glued' ? say`Glue it to the back along its rear edge` : say`Screw it through the back into the studs`,
      edit: { kind: 'to-back', member: spec.id, held },
      looks: say`nothing, but it can no longer move`,
    },
  ];
}

function forDividing(solution: Solution, workshop: Workshop, node: string, memberId: string): Candidate[] {
  const answer = solution.carried.members.get(memberId)?.bending ?? null;
  const { piece } = solution;
  const found = findMember(piece.interior, node);
  if (!found?.owner.split) return [];
  if (found.owner.split.making) return [];
  const up = found.owner.split.axis === 'up';
  const stock = found.member.stock ?? (up ? piece.stock.shelves : piece.stock.dividers);
  const candidates = otherStock(workshop, stock, answer, (id) => ({ kind: 'member', member: node, patch: { stock: id } }));
  if (!up) return candidates;
  candidates.push(...toBack(solution, found.member));
  candidates.push(...stiffeners(solution, workshop, found.member, memberId));
  const below = found.owner.split.spaces[found.index];
  const taken = takenIds(piece);
  if (below && !below.split) {
    const spaces = freshIds(taken, `${below.id}-part`, 2);
    const members = freshIds(taken, `${below.id}-divider`, 1);
    candidates.push({
      label: say`Put an upright in the middle of the space under it`,
      edit: { kind: 'split', space: below.id, axis: 'across', members, spaces },
      looks: say`an upright stands in the space under it, which is then two`,
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
        looks: say`one bay more, each narrower`,
      });
  }
  return candidates;
}

function forCase(piece: PanelCase, { carried }: Solution, workshop: Workshop, member: Member): Candidate[] {
  const answer = carried.members.get(member.id)?.bending ?? null;
  const candidates = otherStock(workshop, member.stockId, answer, (id) => stockEdit(piece, member, id)).map((c) => ({
    ...c,
    label: say`${c.label} for the whole case`,
  }));
  if (member.id !== CASE.bottom || piece.base.kind === 'none') return candidates;
  const { base } = piece;
  if (!base.bearers)
    candidates.unshift({
      label: say`Put a bearer under each divider, down to the floor`,
      edit: { kind: 'piece', patch: { base: { ...base, bearers: true } } },
      looks: say`hidden behind the toe board`,
    });
  if (base.kind === 'toe')
    candidates.push({
      label: say`Stand the case on a loose plinth`,
      edit: { kind: 'piece', patch: { base: { ...base, kind: 'plinth' } } },
      looks: say`the sides no longer run to the floor`,
    });
  return candidates;
}

/** What is made with others of its kind, such as the bottoms of all drawers of a bank: other stock for all of them. */
function forMade({ piece, carried }: Solution, workshop: Workshop, member: Member): Candidate[] {
  const answer = carried.members.get(member.id)?.bending ?? null;
  return otherStock(workshop, member.stockId, answer, (id) => stockEdit(piece, member, id)).map((c) => ({
    ...c,
    label: say`${c.label} for every ${member.role}`,
  }));
}

/** The edit that makes a member, or all that are made with it, of another stock; null for what is made of no stock of its own. */
export function stockEdit(piece: Piece, member: Member, stock: string): PieceEdit | null {
  if (piece.shell === 'panel-case' && member.id.startsWith('case/')) {
    const use = member.id === CASE.back ? 'back' : 'sides';
    return { kind: 'piece', patch: { stock: { ...piece.stock, [use]: stock } } };
  }
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

/** Every change that might make a member pass. */
export function candidatesFor(solution: Solution, workshop: Workshop, member: Member): readonly Candidate[] {
  const { piece } = solution;
  if (member.id.startsWith('case/') && piece.shell === 'panel-case') return forCase(piece, solution, workshop, member);
  const divides = findMember(piece.interior, member.node);
  return divides && !divides.owner.split?.making
    ? forDividing(solution, workshop, member.node, member.id)
    : forMade(solution, workshop, member);
}
