import { newCase } from '../panel-case/begin.js';
import { filledWith, insideWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

const CASE = newCase(onHand('mm'));

test('each control of slats changes what it says', async () => {
  expect(await insideWired(filledWith(CASE, 'slats'))).toEqual([
    'Slats wide → wide',
    'Slats cut long by → trim',
    'Supports under them → supports.count',
    'Supports high → supports.wide',
    'In from the ends → supports.inset',
    'Cut over, to trim → supports.trim',
    'Wanted gap → nothing',
    '  Use 5 → interior.split.members.2, interior.split.spaces.3',
    '  Use 6 → interior.split.members.2, interior.split.members.3, interior.split.spaces.3, interior.split.spaces.4',
    'Some slats slide out → deal',
    '  Pattern, f fixed, s slides → nothing',
    '  They come out → deal.stroke',
    '  Sliding ones shorter → deal.shorter',
    '  A frame of rails under the sliding ones → deal.frame',
    '    Their rails high → deal.frame.wide',
    '    Their rails of → deal.frame.stock',
    'Slats of → stock',
    'Supports of → supports.stock',
    'At both ends → ends',
  ]);
}, 120_000);
