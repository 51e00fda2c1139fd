import { applyEdit } from '../../../core/kinds/index.js';
import { newCase } from '../panel-case/begin.js';
import { fillEdit, means, onHand } from '../../test/filled.js';
import { insideWired } from '../../test/on-bench.js';

/** Grooves in a case, with a shelf in two of them. */
function grooved() {
  const piece = newCase(onHand('mm'));
  const edit = fillEdit(piece, 'inside', 'grooves', means('mm', piece));
  if (edit.kind !== 'fill' || edit.filling?.kind !== 'grooves') throw new Error('not filled with grooves');
  return applyEdit(piece, { ...edit, filling: { ...edit.filling, shelves: [2, 6] } });
}

test('each control of grooves changes what it says', async () => {
  expect(await insideWired(grooved())).toEqual([
    'Grooves wide → wide',
    'Grooves deep → deep',
    'First groove, from below → first',
    'One every → pitch',
    'Left over the last, at least → last',
    'Shelves cut short by → slack',
    'Highest shelf in groove → shelves.1',
    'Shelf 2 from the top in groove → shelves.0',
    'A notch for fingers in the front of each → fingers',
    '  Notch wide → fingers.wide',
    '  Notch deep → fingers.deep',
    'Loose uprights between shelves, in grooves across them → uprights',
    '  Their grooves deep → uprights.deep',
    '  A groove for them every → uprights.pitch',
    '  Uprights over groove 2, in → uprights.over.0',
    '  Uprights of → uprights.stock',
    'Loose shelves of → stock',
    'On each lies one → thing',
    'Take the shelf out of groove 6 → shelves.1',
    'Take the shelf out of groove 2 → shelves.0, shelves.1',
    'A shelf → shelves.2',
    '  Shelf 3 from the top in groove → shelves.0',
    '  Take the shelf out of groove 7 → shelves.2',
  ]);
}, 120_000);
