import { creepOf, wouldBe, type BendingAnswer, type Creep } from '../../carry/index.js';
import { len, say, type Sentence } from '../../figure/index.js';
import { mm, sub, type Length } from '../../length/index.js';
import {
  boxOf,
  findMember,
  findSpace,
  type DividingMember,
  type Member,
  type PanelCase,
  type Piece,
  type PieceEdit,
} from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { CASE, backCounts, studsBehind, studsThatHold } from '../../shells/index.js';
import { propertiesOf, type Stock } from '../../stock/index.js';
import { howMany } from '../../things/index.js';
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
function toBack({ piece, shape, workshop }: Solution, spec: DividingMember): Candidate[] {
  const back = shape.members.find((m) => m.id === CASE.back);
  if (!back || spec.toBack !== undefined) return [];
  const shelf = shape.members.find((m) => m.id === `${spec.id}/shelf/1`);
  if (piece.shell !== 'panel-case' || !shelf) return [];
  const { x0, x1 } = boxOf(shelf);
  const studs = studsThatHold(studsBehind(piece, workshop), x0, x1);
  const held = (['glued', 'screwed'] as const).find((how) => backCounts(how, back.thickness.value, piece, studs));
  if (!held) return [];
  return [
    {
      label: held === 'glued' ? say`Glue it to the back along its rear edge` : say`Screw it through the back into the studs`,
      edit: { kind: 'to-back', member: spec.id, held },
      looks: say`nothing, but it can no longer move`,
    },
  ];
}

const HELD = { butted: 'Screw its ends', housed: 'House its ends', loose: 'Put it on pins' } as const;

/** The other ways of holding its ends; screws are as many as its load takes and go in. */
function heldOtherwise(piece: Piece, spec: DividingMember, up: boolean): Candidate[] {
  const now = spec.fix ?? (up ? piece.shelves.fix : piece.dividers.fix);
  const ways = up ? (['butted', 'housed', 'loose'] as const) : (['butted', 'housed'] as const);
  return ways
    .filter((fix) => fix !== now)
    .map((fix) => ({
      label: say`${HELD[fix]}`,
      edit: { kind: 'member', member: spec.id, patch: { fix } },
      looks:
        fix === 'butted'
          ? say`screws through the sides`
          : fix === 'loose'
            ? say`it can be lifted out`
            : say`nothing, but it can no longer move`,
    }));
}

/** Other places that are tried for what loads a member, at most. */
const PLACES = 3;

/** Moving the heaviest of what stands on a member to a space where it goes in, the lowest ones first. */
function moveLoad({ shape, carried }: Solution, memberId: string): Candidate[] {
  const from = (carried.members.get(memberId)?.standing ?? []).flatMap((s) => shape.spaces.get(s.space) ?? []);
  const heaviest = from
    .flatMap((space) => space.blocks.map((block) => ({ space, block, kg: (block.thing.mass ?? 0) * block.count })))
    .sort((a, b) => b.kg - a.kg)[0];
  if (!heaviest || heaviest.kg <= 0) return [];
  const { space, block } = heaviest;
  const open = [...shape.spaces.values()]
    .filter((s) => !s.space.split && !s.space.cells && s.id !== space.id && !from.includes(s))
    .sort((a, b) => a.box.y0 - b.box.y0);
  const fits = open.filter((s) => {
    const used = s.blocks.reduce((sum, b) => sum + b.width, 0);
    const room = {
      width: sub(s.clear.width.value, used as Length),
      height: s.clear.height.value,
      depth: sub(s.clear.depth.value, s.setback),
    };
    return room.width > 0 && howMany(block.thing, room).count >= block.count;
  });
  return fits.slice(0, PLACES).map((to) => ({
    label: say`Move ${block.count} ${block.thing.name} to ${to.label}`,
    edit: { kind: 'move', thing: block.thingId, from: space.id, to: to.id },
    looks: say`it stands in ${to.label}`,
  }));
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
  candidates.push(...heldOtherwise(piece, found.member, up));
  if (!up) return candidates;
  candidates.push(...moveLoad(solution, memberId));
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

function forCase(piece: PanelCase, solution: Solution, workshop: Workshop, member: Member): Candidate[] {
  const answer = solution.carried.members.get(member.id)?.bending ?? null;
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
  if (base.kind === 'toe' && !base.rear)
    candidates.push({
      label: say`Put a bearer along the rear under it, down to the floor`,
      edit: { kind: 'piece', patch: { base: { ...base, rear: true } } },
      looks: say`nothing: it is behind the toe board`,
    });
  if (piece.back.kind === 'applied' && !piece.back.allRound && piece.bottom === 'between')
    candidates.push({
      label: say`Screw the back to its rear edge`,
      edit: { kind: 'piece', patch: { back: { ...piece.back, allRound: true } } },
      looks: say`nothing: the screws are at the back`,
    });
  candidates.push(...moveLoad(solution, member.id));
  if (base.kind === 'toe')
    candidates.push({
      label: say`Stand the case on a loose plinth`,
      edit: { kind: 'piece', patch: { base: { ...base, kind: 'plinth' } } },
      looks: say`the sides no longer run to the floor`,
    });
  return candidates;
}

/** What is made with others of its kind, such as the bottoms of all drawers of a bank: other stock for all of them. */
function forMade(solution: Solution, workshop: Workshop, member: Member): Candidate[] {
  const { piece, carried } = solution;
  const answer = carried.members.get(member.id)?.bending ?? null;
  const other = otherStock(workshop, member.stockId, answer, (id) => stockEdit(piece, member, id)).map((c) => ({
    ...c,
    label: say`${c.label} for every ${member.role}`,
  }));
  return [...other, ...muntin(piece, member), ...moveLoad(solution, member.id)];
}

/** How wide a muntin usually is. */
const MUNTIN_WIDE = mm(80);

/** A strip under the middle of every bottom of a bank, in grooves or rebates. */
function muntin(piece: Piece, member: Member): Candidate[] {
  const bank = findSpace(piece.interior, member.node)?.parent?.space;
  const making = bank?.split?.making;
  if (member.role !== 'drawer bottom' || !bank || making?.kind !== 'drawers' || making.box.muntin) return [];
  if (making.box.bottom.kind === 'applied' || making.box.bottom.kind === 'tray') return [];
  const box = { ...making.box, muntin: { stock: making.stock.box, wide: MUNTIN_WIDE } };
  return [
    {
      label: say`Put a muntin under the middle of every bottom`,
      edit: { kind: 'making', space: bank.id, making: { ...making, box } },
      looks: say`nothing from above`,
    },
  ];
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
      if (member.role === 'muntin' && making.box.muntin)
        return { kind: 'making', space: owner.id, making: { ...making, box: { ...making.box, muntin: { ...making.box.muntin, stock } } } };
      if (member.role === 'runner' && making.runner.kind === 'wooden')
        return { kind: 'making', space: owner.id, making: { ...making, runner: { ...making.runner, stock } } };
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
