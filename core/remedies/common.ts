import { creepOf, wouldBe, type BendingAnswer, type Creep } from '../carry/index.js';
import { len, say, type Sentence } from '../figure/index.js';
import { inch, mm, sub, type Length } from '../length/index.js';
import { findSpace, type PieceEdit } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { propertiesOf, type Stock } from '../stock/index.js';
import { howMany } from '../things/index.js';
import type { Asked, Candidate } from './candidate.js';
import { freshIds, takenIds } from './ids.js';

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
export function otherStock({ workshop, carried, member }: Asked, now: string, edit: (id: string) => PieceEdit | null): Candidate[] {
  const answer = carried.members.get(member.id)?.bending ?? null;
  const used = workshop.stock.get(now);
  return [...workshop.stock].flatMap(([id, stock]): Candidate[] => {
    const change = id === now || !used || !might(answer, workshop, used, stock) ? null : edit(id);
    return change && used ? [{ label: say`Use ${stock.name}`, edit: change, looks: looksOf(used, stock) }] : [];
  });
}

/** Sizes that are tried come in whole steps of these: fine ones for joints, coarse ones for boards, and what is usual between supports. */
export const STEPS = {
  mm: { fine: mm(0.5), coarse: mm(25), apart: [mm(400), mm(300), mm(200)] },
  in: { fine: inch(1 / 16), coarse: inch(1), apart: [inch(16), inch(12), inch(8)] },
} as const;

/** A size as a whole number of fine steps of the project's unit, down. @example fineStep(SHOP, mm(6.7)) // mm(6.5) */
export function fineStep({ settings }: Pick<Workshop, 'settings'>, size: number): Length {
  const { fine } = STEPS[settings.unit];
  return (Math.floor(size / fine) * fine) as Length;
}

/** An upright in the middle of the widest space under a member, so that it spans half as far. */
export function uprightUnder({ piece, shape, member }: Asked): Candidate[] {
  const under = [...shape.spaces.values()].filter((s) => s.neighbours.above === member.id && !s.space.split && !s.space.filling);
  const [widest] = under.sort((a, b) => b.clear.width.value - a.clear.width.value);
  if (!widest || !findSpace(piece.interior, widest.id)) return [];
  const taken = takenIds(piece);
  const spaces = freshIds(taken, `${widest.id}-part`, 2);
  const members = freshIds(taken, `${widest.id}-divider`, 1);
  return [
    {
      label: say`Put an upright in the middle of the space under it`,
      edit: { kind: 'split', space: widest.id, axis: 'across', members, spaces },
      looks: say`an upright stands in the space under it, which is then two`,
    },
  ];
}

/** Other places that are tried for what loads a member, at most. */
const PLACES = 3;

/**
 * Moving the heaviest of what stands on a member to a space where it goes in, the lowest ones first.
 * @example moveLoad({ shape: SOLVED.shape, carried: SOLVED.carried, member: MEMBERS.get('in-m1/shelf/1') }).map((c) => c.edit.kind) // ['move']
 */
export function moveLoad({ shape, carried, member }: Asked): Candidate[] {
  const from = (carried.members.get(member.id)?.standing ?? []).flatMap((s) => shape.spaces.get(s.space) ?? []);
  const heaviest = from
    .flatMap((space) => space.blocks.map((block) => ({ space, block, kg: (block.thing.mass ?? 0) * block.count })))
    .sort((a, b) => b.kg - a.kg)[0];
  if (!heaviest || heaviest.kg <= 0) return [];
  const { space, block } = heaviest;
  const open = [...shape.spaces.values()]
    .filter((s) => !s.space.split && !s.space.filling && s.id !== space.id && !from.includes(s))
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
