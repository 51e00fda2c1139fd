import { cuttingOf } from '../../../core/layout/spec.js';
import { newCase } from '../../kinds/panel-case/begin.js';
import { projectWith, wired } from '../../test/on-bench.js';
import { StockSheet } from './sheet.js';
import { onHand } from '../../test/filled.js';

const CASE = newCase(onHand('mm'));

/** A project with two cases, of which one is cut. */
function twoCases() {
  const project = projectWith(CASE);
  const other = { id: 'other', version: 1, data: { piece: { ...CASE, name: 'Other case' }, letters: {} } };
  const cut = { id: 'cut', version: 1, data: cuttingOf({ id: 'it', name: 'Case' }) };
  return { ...project, records: { ...project.records, pieces: [...project.records.pieces, other], cuttings: [cut] } };
}

test('each control of the worksheet of Stock changes what it says of what is cut together', async () => {
  // Top, bottom, two sides and a toe board; of two cases twice as many.
  expect(await wired(twoCases(), <StockSheet />)).toEqual([
    'Budget → cuttings.cut.budget',
    'A test piece of each stock, this long → cuttings.cut.testLong',
    'Fronts from one strip, the grain running on → cuttings.cut.matched',
    'Other case → cuttings.cut.pieces.1',
    '  thick 10 parts: laying out → nothing',
    'First cuts of sheets → cuttings.cut.first',
    'thick 5 parts: laying out → nothing',
  ]);
}, 120_000);
