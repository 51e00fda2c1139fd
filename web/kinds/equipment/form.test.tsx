import { newCase } from '../panel-case/begin.js';
import { filledWith, insideWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

const CASE = newCase(onHand('mm'));

test('each control of equipment changes what it says', async () => {
  expect(await insideWired(filledWith(CASE, 'equipment'))).toEqual([
    'Side by side → count',
    '  Free between two → between',
    'Free at the left → free.left.size',
    'Free at the right → free.right.size',
    'Free in front → free.front.size',
    '  Free in front: why → free.front.why',
    'Free behind → free.rear.size',
    'Free above → free.above.size',
    'Free below → free.below.size',
    '  Free below: why → free.below.why',
    'Heat of one, W → heat',
    'Controls hang under what it stands on → controls',
    '  Controls hang → controls.hang',
    '  Free under them → controls.free',
    'What it is → thing',
    'Free at the left: why → free.left.why',
    'Free at the right: why → free.right.why',
    'Free behind: why → free.rear.why',
    'Free above: why → free.above.why',
  ]);
}, 120_000);
