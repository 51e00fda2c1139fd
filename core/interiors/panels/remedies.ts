import { len, say } from '../../figure/index.js';
import { least, mm } from '../../length/index.js';
import { boxOf, findMember, findSpace, isBack, type DividingMember, type Piece, type PieceEdit } from '../../piece/index.js';
import { fineStep, freshIds, moveLoad, otherStock, takenIds, uprightUnder, type Asked, type Candidate } from '../../remedies/index.js';
import { dividingMemberId } from '../ids.js';
import { withPanels } from './spec.js';
import { stiffeners } from './strip-remedies.js';
import { backCounts, studsThatHold } from './to-back.js';

/** Holding a shelf to the back, where that counts: glued to a thick one, or screwed through it into studs. */
function toBack({ piece, shape }: Asked, spec: DividingMember): Candidate[] {
  const back = shape.members.find(isBack);
  const shelf = shape.members.find((m) => m.id === dividingMemberId(spec.id, 'shelf'));
  if (!back || !shelf || spec.toBack !== undefined) return [];
  const { x0, x1 } = boxOf(shelf);
  const studs = studsThatHold(shape.outside.studs ?? [], x0, x1);
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

/** Housings of so much of what they are cut into, the shallower first; for all shelves that are housed. */
const DEEP = [1 / 3, 1 / 2];

function deeperHousings({ piece, workshop, shape, carried, member }: Asked, spec: DividingMember): Candidate[] {
  const { shelves } = piece.panels;
  const into = (carried.members.get(member.id)?.supports ?? []).flatMap((s) => shape.members.filter((m) => m.id === s.carrier));
  const sides = least([mm(100), ...into.map((m) => m.thickness.value)]);
  const now = spec.fix ?? shelves.fix;
  return DEEP.map((part) => fineStep(workshop, sides * part))
    .filter((deep) => deep > shelves.housing)
    .map((housing) => {
      const deeper: PieceEdit = { kind: 'piece', patch: withPanels(piece, { shelves: { ...shelves, housing } }) };
      const own: PieceEdit = { kind: 'member', member: spec.id, patch: { fix: 'housed' } };
      return {
        label: now === 'housed' ? say`House the shelves ${len(housing)} deep` : say`House its ends, ${len(housing)} deep`,
        edit: now === 'housed' ? deeper : { kind: 'several', edits: [own, deeper] },
        looks: say`less is left of what they are let into`,
        sort: 'deeper housings',
      };
    });
}

/** The other ways of holding its ends; screws are as many as its load takes and go in. */
function heldOtherwise(piece: Piece, spec: DividingMember, up: boolean): Candidate[] {
  const now = spec.fix ?? (up ? piece.panels.shelves.fix : piece.panels.dividers.fix);
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

/** What might make a shelf, a divider or a partition pass. */
export function panelRemedies(asked: Asked): readonly Candidate[] {
  const {
    piece,
    member: { node },
  } = asked;
  const found = findMember(piece.interior, node);
  if (!found?.owner.split) return [];
  const up = found.owner.split.axis === 'up';
  const stock = found.member.stock ?? (up ? piece.panels.stock.shelves : piece.panels.stock.dividers);
  const candidates = otherStock(asked, stock, (id) => ({ kind: 'member', member: node, patch: { stock: id } }));
  candidates.push(...heldOtherwise(piece, found.member, up));
  if (!up) return candidates;
  candidates.push(...deeperHousings(asked, found.member));
  candidates.push(...moveLoad(asked));
  candidates.push(...toBack(asked, found.member));
  candidates.push(...stiffeners(asked, found.member));
  candidates.push(...uprightUnder(asked));
  const taken = takenIds(piece);
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
