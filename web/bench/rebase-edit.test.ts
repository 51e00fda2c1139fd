import { mm } from '../../core/length/index.js';
import { withPanels } from '../../core/interiors/index.js';
import { type PieceEdit } from '../../core/piece/index.js';
import { applyEdit } from '../../core/kinds/index.js';
import { chest, drawers } from '../../core/testing/chest.js';
import { rebaseEdit } from './rebase-edit.js';

const seen = chest(drawers()).piece;
const late = (first: PieceEdit, second: PieceEdit) => {
  const now = applyEdit(seen, first);
  return applyEdit(now, rebaseEdit(second, seen, now));
};

test('two fields of one part of the piece, left one right after the other, both arrive', () => {
  const { shelves } = seen.panels;
  const patch = (of: Partial<typeof shelves>): PieceEdit => ({
    kind: 'piece',
    patch: withPanels(seen, { shelves: { ...shelves, ...of } }),
  });
  const after = late(patch({ setback: mm(12) }), patch({ looseEnd: mm(2) }));
  expect(after.panels.shelves).toEqual({ ...shelves, setback: mm(12), looseEnd: mm(2) });
});

test('so do two fields of how drawers are made', () => {
  const made = late(
    { kind: 'making', space: 'in', making: drawers({ less: mm(30) }) },
    { kind: 'making', space: 'in', making: drawers({ behind: mm(25) }) },
  );
  expect(made.interior.split?.making).toEqual(drawers({ less: mm(30), behind: mm(25) }));
});

test('an edit of one node is applied as it is', () => {
  const edit: PieceEdit = { kind: 'drop-part', space: 'd2' };
  expect(rebaseEdit(edit, seen, applyEdit(seen, { kind: 'name', space: 'd1', name: 'Papers' }))).toBe(edit);
});
