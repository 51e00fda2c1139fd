import { newCase } from '../panel-case/begin.js';
import { filledWith, insideWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

const CASE = newCase(onHand('mm'));

test('each control of pigeon-holes changes what it says', async () => {
  expect(await insideWired(filledWith(CASE, 'pigeon-holes'))).toEqual([
    'Free round it → free',
    'Each holds one → thing',
    'Boards of → make.stock',
    'Something in the way → blocked.0',
    '  From the left → blocked.0.x',
    '  From the floor → blocked.0.y',
    '  Wide → blocked.0.width',
    '  High → blocked.0.height',
    '  Take Box 1 away → blocked.0',
  ]);
}, 120_000);

test('each control of a rack of cells changes what it says', async () => {
  expect(await insideWired(filledWith(CASE, 'rack'))).toEqual([
    'Free round it → free',
    'Uprights deep → make.upright.deep',
    'Supports long → make.support.long',
    'Supports wide → make.support.wide',
    'Spare supports → make.support.spares',
    'Built in sections → make.sections',
    'Uprights at the front and at the rear → make.upright.deep, make.upright.pair',
    'Supports as long as what lies on them → make.support.asThing',
    'Each holds one → thing',
    'Uprights of → make.upright.stock',
    'Supports of → make.support.stock',
    'Something in the way → blocked.0',
    '  From the left → blocked.0.x',
    '  From the floor → blocked.0.y',
    '  Wide → blocked.0.width',
    '  High → blocked.0.height',
    '  Take Box 1 away → blocked.0',
    'Tilt a row → features.0',
    '  Row from below → features.0.row',
    '  Degrees from level → features.0.tilt',
    '  Things long → features.0.long',
    '  Lay row 2 level → features.0',
    'Tilt a column → features.0',
    '  Column from the left → features.0.column',
    '  Lay column 1 level → features.0',
  ]);
}, 120_000);
