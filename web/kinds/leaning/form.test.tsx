import { newLeaning } from './begin.js';
import { formWired } from '../../test/on-bench.js';
import { onHand } from '../../test/filled.js';

test('each control of a leaning rack changes what it says', async () => {
  expect(await formWired(newLeaning(onHand('mm')))).toEqual([
    'Off plumb, degrees → sides.lean.degrees',
    'Sides long, along → sides.lean.along',
    'Sides wide → sides.wide',
    'Head cut plumb at the wall, high → sides.flat',
    'Screws through the sides, under plugs → plugs',
    '  Plugs across → plugs.across',
    '  Holes for plugs deep → plugs.deep',
    'Free of the wall, on rear legs and feet → legs',
    '  Rear legs and feet wide → legs.wide',
    '  Rear legs and feet of → legs.stock',
    'A brace over the rear edges → brace',
    '  Brace wide → brace.wide',
    '  Brace in → brace.space',
    '  Brace of → brace.stock',
    'What is given of the sides → height.size, sides.lean.along',
    'Sides of → sides.stock',
    'Free of the wall, on rear legs and feet: what it costs → nothing',
    'A brace over the rear edges: what it costs → nothing',
  ]);
}, 120_000);
