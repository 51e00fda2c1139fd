import { allScrews, type Carried, type PlacedRow } from '../carry/index.js';
import { say } from '../figure/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { toMm } from '../length/index.js';
import { boxOf, type Letters, type Piece, type Shape } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { capital, nameOf } from './names.js';
import { otherWays } from './screws.js';

/** A head so near to the outside of a piece is on it, mm. */
const ON = 1;

/** Where the outside of a piece is that is seen: its left, right, front and top. */
interface Outside {
  readonly left: number;
  readonly right: number;
  readonly front: number;
  readonly top: number;
}

function outsideOf({ members, outside }: Shape): Outside {
  const boxes = members.filter((m) => !outside.behind.has(m.id)).map(boxOf);
  return {
    left: Math.min(...boxes.map((b) => toMm(b.x0))),
    right: Math.max(...boxes.map((b) => toMm(b.x1))),
    front: Math.max(...boxes.map((b) => toMm(b.z1))),
    top: Math.max(...boxes.map((b) => toMm(b.y1))),
  };
}

/** Whether the heads of a row are on the outside, driven in from there, and no plugs go over them. */
function isSeen({ row, screws }: PlacedRow, { left, right, front, top }: Outside): boolean {
  if (row.through.features.some((f) => f.kind === 'hole' && f.plugged && f.mate === row.into.id)) return false;
  return screws.some(({ head: [x, y, z], way }) => {
    const [inX, inY, inZ] = way.map((w) => Math.sign(Math.round(w * 100)));
    return (
      (inX === 1 && x <= left + ON) || (inX === -1 && x >= right - ON) || (inZ === -1 && z >= front - ON) || (inY === -1 && y >= top - ON)
    );
  });
}

/** Screws whose heads are seen from outside, where none is to be: by the member that they go through. */
export function seenScrewChecks(piece: Piece, shape: Shape, carried: Carried, letters: Letters, settings: Settings): readonly Check[] {
  if (!piece.noHeads) return [];
  const outside = outsideOf(shape);
  const seen = allScrews(carried).filter((row) => isSeen(row, outside));
  const through = [...new Set(seen.map((r) => r.row.through.id))];
  return through.map((id): Check => {
    const rows = seen.filter((r) => r.row.through.id === id);
    const held = [...new Set(rows.map((r) => (r.row.into.id === id ? r.holds : r.row.into.id)))];
    const name = (of: string) => {
      const member = shape.members.find((m) => m.id === of);
      return member ? nameOf(member, letters) : of;
    };
    const names = held.map(name);
    const list = names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join('');
    return {
      id: `heads-${id}`,
      joint: 'screws',
      severity: 'look',
      state: 'fails',
      about: { kind: 'member', id },
      sentence: say`${capital(name(id))} is screwed from outside to ${list}: the heads are seen there. House what can be housed, or put plugs over them.`,
      fixes: [
        ...held.flatMap((of) => otherWays(piece, carried, of, letters, settings)),
        pieceFix(say`They may be seen`, { kind: 'piece', patch: { noHeads: false } }),
      ],
    };
  });
}
