import { applyEdit } from '../../../core/kinds/index.js';
import type { Piece } from '../../../core/piece/index.js';
import { newFolding } from '../../kinds/folding/begin.js';
import { newInPlace } from '../../kinds/in-place/begin.js';
import { ShellForm } from '../../kinds/index.js';
import { PLACE, onHand } from '../../test/filled.js';
import { asked, onBench, projectWith, wired } from '../../test/on-bench.js';
import { DivideSheet } from './sheet.js';

const OPEN = newInPlace(onHand('mm'), PLACE);
const DIVIDED = applyEdit(OPEN, { kind: 'split', space: 'inside', axis: 'up', members: ['m'], spaces: ['lower', 'upper'] });

/** What is not worked here: the form of the shell has a test of its own, and a thing that is dragged holds all else. */
const left = async () => [...(await asked(projectWith(OPEN), <ShellForm />)), 'Drag thing', 'Drag other thing', 'Wanted space, all equal'];

const sheetOf = async (piece: Piece, at: string) => wired(projectWith(piece), <DivideSheet />, { at, known: await left(), deep: 1 });

test('each control of the worksheet of an open inside changes what it says', async () => {
  // 600 less a shelf of 18 is 582, half of it 291; 800 less a divider of 18 is 782, half of it 391.
  expect(await sheetOf(OPEN, 'divide')).toEqual([
    'How many thing → nothing',
    'How many other thing → nothing',
    'Most on one shelf, kg → nothing',
    'Bays side by side → nothing',
    'Width as built → A width of 12 mm is far from the 800 that was planned. Read the tape again, or note it: it is so',
    '  note it: it is so → nothing',
    'Height as built → A height of 12 mm is far from the 600 that was planned. Read the tape again, or note it: it is so',
    'Depth as built → A depth of 12 mm is far from the 520 that was planned. Read the tape again, or note it: it is so',
    'Load, kg per metre → interior.load',
    'thing → nothing',
    'other thing → nothing',
    'Or fill it with → nothing',
    '  Boxes of → nothing',
    '  Drawer bottoms of → nothing',
    '  Fronts of → nothing',
    '  Runners of → nothing',
    '  How many → nothing',
    '  Fill it → interior.split',
    '  Cancel → nothing',
    'A thing to put here → nothing',
    '  Put here → interior.things.0',
    'Shelf in it → interior.split',
    '  Name of this space → interior.split.spaces.0.name',
    '  Share (1x, 2x) → interior.split.spaces.0.rule.weight',
    '  At least → interior.split.spaces.0.least',
    '  At most → interior.split.spaces.0.greatest',
    '  What decides it → interior.split.spaces.0.rule.kind, interior.split.spaces.0.rule.weight, interior.split.spaces.0.rule.size',
    '  All spaces at once → nothing',
    '  space 2 equal share 291 → nothing',
    '  shelf 1 A 18 → nothing',
    '  space 1 equal share 291 → nothing',
    '  Shelf → interior.split.members.0.id, interior.split.members.1, interior.split.spaces.1.id, interior.split.spaces.2',
    '  Even → nothing',
    '  Remove all spaces → interior.split',
    '  Put 1 thing into space 1 → interior.split.spaces.0.things.0',
    '  Put 1 other thing into space 1 → interior.split.spaces.0.things.0',
    'Divider in it → interior.split',
    '  All bays at once → nothing',
    '  bay 1 equal share 391 → nothing',
    '  divider 1 A 18 → nothing',
    '  bay 2 equal share 391 → nothing',
    '  Divider → interior.split.members.0.id, interior.split.members.1, interior.split.spaces.1.id, interior.split.spaces.2',
    '  Remove all bays → interior.split',
    '  Put 1 thing into bay 1 → interior.split.spaces.0.things.0',
    '  Put 1 other thing into bay 1 → interior.split.spaces.0.things.0',
    'Propose shelves → nothing',
    '  Stop looking → nothing',
    '  Use these shelves → interior.split',
    'Put 1 thing into inside → interior.things.0',
    '  Where thing stands → interior.things.0.at',
    '  One fewer thing → interior.things.0',
    '  One more thing → interior.things.0.count',
    'Put 1 other thing into inside → interior.things.0',
    '  Where other thing stands → interior.things.0.at',
    '  One fewer other thing → interior.things.0',
    '  One more other thing → interior.things.0.count',
  ]);
}, 120_000);

test('each control of the worksheet of a run changes what it says of the shelf and the spaces in it', async () => {
  // A rail 40 high leaves 560, a shelf of 12 leaves 588, and two of 18 leave 564; held 1 higher it leaves 292 and 290.
  expect(await sheetOf(DIVIDED, 'divide?at=m/shelf/1')).toEqual([
    'Its own depth → interior.split.members.0.deep',
    'Underside from the floor → interior.split.members.0.at',
    '  space 2 equal share 290 → nothing',
    '  shelf 1 A · held 18 → nothing',
    '  Let it go → interior.split.members.0.at',
    '  space 1 equal share 292 → nothing',
    'It is → interior.split.members.0.rail',
    '  Rail high → interior.split.members.0.rail',
    '  space 2 equal share 280 → nothing',
    '  shelf 1 A 40 → nothing',
    '  space 1 equal share 280 → nothing',
    'Fixed how → interior.split.members.0.fix',
    'Made of → interior.split.members.0.stock',
    '  space 2 equal share 294 → nothing',
    '  shelf 1 A 12 → nothing',
    '  space 1 equal share 294 → nothing',
    'Stiffened by → interior.split.members.0.strip',
    '  Strip high → interior.split.members.0.strip.high',
    '  Strip of → interior.split.members.0.strip.stock',
    '  It lies → interior.split.members.0.strip.top',
    '  Held → interior.split.members.0.strip.held',
    'All spaces at once → nothing',
    '  Width as built → A width of 12 mm is far from the 800 that was planned. Read the tape again, or note it: it is so',
    '  Height as built → A height of 12 mm is far from the 600 that was planned. Read the tape again, or note it: it is so',
    '  Depth as built → A depth of 12 mm is far from the 520 that was planned. Read the tape again, or note it: it is so',
    'space 2 equal share 291 → nothing',
    '  Name of this space → interior.split.spaces.1.name',
    '  Share (1x, 2x) → interior.split.spaces.1.rule.weight',
    '  At least → interior.split.spaces.1.least',
    '  At most → interior.split.spaces.1.greatest',
    '  How many thing → nothing',
    '  How many other thing → nothing',
    '  Most on one shelf, kg → nothing',
    '  Bays side by side → nothing',
    '  Load, kg per metre → interior.split.spaces.1.load',
    '  thing → nothing',
    '  other thing → nothing',
    '  What decides it → interior.split.spaces.1.rule.kind, interior.split.spaces.1.rule.weight, interior.split.spaces.1.rule.size',
    '  Or fill it with → nothing',
    '  A thing to put here → nothing',
    '  Shelf in it → interior.split.spaces.1.split',
    '  Divider in it → interior.split.spaces.1.split',
    '  Propose shelves → nothing',
    '  Put 1 thing into space 2 → interior.split.spaces.1.things.0',
    '  Put 1 other thing into space 2 → interior.split.spaces.1.things.0',
    'shelf 1 A 18 → nothing',
    'Remove it → interior.split',
    '  Put 1 thing into inside → interior.things.0',
    '  Put 1 other thing into inside → interior.things.0',
    'space 1 equal share 291 → nothing',
    'Shelf → interior.split.members.0.id, interior.split.members.1, interior.split.spaces.1.id, interior.split.spaces.2',
    '  space 3 equal share 188 → nothing',
    '  shelf 2 B 18 → nothing',
    '  space 2 equal share 188 → nothing',
    '  space 1 equal share 188 → nothing',
    'Even → nothing',
    'Remove all spaces → interior.split',
    'Put 1 thing into space 1 → interior.split.spaces.0.things.0',
    'Put 1 other thing into space 1 → interior.split.spaces.0.things.0',
  ]);
}, 120_000);

test('in the room that legs fold through nothing is offered, and it is said why; what stands there is asked', async () => {
  const project = projectWith(newFolding(onHand('mm')));
  const known = await asked(project, <ShellForm />);
  expect((await asked(project, <DivideSheet />)).filter((label) => !known.includes(label))).toEqual([
    'Width as built',
    'Height as built',
    'Depth as built',
    'A thing to put here',
    'Drag thing',
    'Put 1 thing into inside',
    'Drag other thing',
    'Put 1 other thing into inside',
  ]);
  await onBench(project, { shown: <DivideSheet />, at: 'divide' });
  expect(document.body.textContent).toContain('Its legs fold through the room under the top: nothing can be built there.');
  expect(document.body.textContent).not.toContain('Divide it');
});
