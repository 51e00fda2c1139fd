import { len, say } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { slopeOf, type ShapeProblem } from '../../piece/index.js';
import { levelWidth } from './sides.js';
import type { Leaning } from './spec.js';
import type { Stance } from './stance.js';

/** What its inside is divided by that makes no sense between sides that lean. */
function noShelves({ interior }: Leaning): ShapeProblem[] {
  const { split, filling } = interior;
  if (split && split.axis === 'up' && !split.making) return [];
  if (!split && !filling) return [];
  return [
    {
      id: 'leaning-inside',
      about: 'inside',
      stops: true,
      sentence: say`Between sides that lean only shelves one over the other make sense, which are level: put what is wanted into the space over one of them.`,
      fixes: [{ label: say`Empty it`, edit: { kind: 'clear', space: interior.id } }],
    },
  ];
}

/** Shelves on pins: deeper than the sides are wide, they tip off them to the rear. */
function onPins(piece: Leaning): ShapeProblem[] {
  const members = piece.interior.split?.members ?? [];
  const loose = members.filter((m) => m.room === undefined && (m.fix ?? piece.panels.shelves.fix) === 'loose');
  if (loose.length === 0) return [];
  const { panels } = piece;
  return [
    {
      id: 'leaning-pins',
      about: 'shelves',
      stops: true,
      sentence: say`Shelves that stand out behind the sides tip off loose pins: house them, or screw them.`,
      fixes: (['housed', 'butted'] as const).map((fix) => ({
        label: fix === 'housed' ? say`House them` : say`Screw them between the sides`,
        edit: { kind: 'piece', patch: { panels: { ...panels, shelves: { ...panels.shelves, fix } } } },
      })),
    },
  ];
}

/** A corner that is cut off further than the side is wide. */
function flatTooHigh(piece: Leaning, { degrees }: Stance): ShapeProblem[] {
  const { sides } = piece;
  if (!sides.flat) return [];
  const most = (0.75 * toMm(levelWidth(sides.wide, { degrees }).value)) / slopeOf({ degrees });
  if (toMm(sides.flat) <= most) return [];
  const { flat, ...others } = sides;
  return [
    {
      id: 'leaning-flat',
      about: 'sides',
      stops: true,
      sentence: say`Cut off plumb over ${len(flat)} the head of a side ${len(sides.wide)} wide is gone: it may be ${len(mm(most))} at most.`,
      fixes: [{ label: say`Leave the corner`, edit: { kind: 'piece', patch: { sides: others } } }],
    },
  ];
}

/** Wood that is left under the head of a screw that is sunk for a plug. */
export const LEAST_UNDER_PLUG = 5;
const LEAST_PLUG = 4;

/** Plugs so deep that the screws under them hold in nothing, or so thin that they fall out. */
function plugProblems(piece: Leaning, thick: number): ShapeProblem[] {
  const { plugs, panels } = piece;
  if (!plugs) return [];
  const housed = panels.shelves.fix === 'housed' ? toMm(panels.shelves.housing) : 0;
  const deep = toMm(plugs.deep);
  const left = thick - housed - deep;
  const most = thick - housed - LEAST_UNDER_PLUG;
  const to = (mmDeep: number) => ({
    label: say`${len(mm(mmDeep))} deep`,
    edit: { kind: 'piece', patch: { plugs: { ...plugs, deep: mm(mmDeep) } } } as const,
  });
  const told = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes']): ShapeProblem[] => [
    { id, about: 'plugs', stops: left <= ZERO, sentence, fixes },
  ];
  if (left < LEAST_UNDER_PLUG)
    return told(
      'plug-deep',
      say`A hole ${len(plugs.deep)} deep for a plug leaves ${len(mm(Math.max(0, left)))} of the side under the head of the screw: ${LEAST_UNDER_PLUG} at least.`,
      most >= LEAST_PLUG ? [to(most)] : [],
    );
  if (deep < LEAST_PLUG)
    return told('plug-thin', say`A plug ${len(plugs.deep)} thick is sanded through or falls out: ${LEAST_PLUG} at least.`, [
      to(LEAST_PLUG),
    ]);
  return [];
}

/** What keeps a leaning piece from being made so. */
export function leaningProblems(piece: Leaning, stance: Stance, thick: number): readonly ShapeProblem[] {
  return [...noShelves(piece), ...onPins(piece), ...flatTooHigh(piece, stance), ...plugProblems(piece, thick)];
}
