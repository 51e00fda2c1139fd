/** @jest-environment node */
import { applyEdit } from '../../../core/kinds/index.js';
import { toMm } from '../../../core/length/index.js';
import { newInPlace } from '../in-place/begin.js';
import { PLACE, fillEdit, means, onHand } from '../../test/filled.js';

test('compartments in a lane take its boards, as high, and go into channels of them', () => {
  const tray = newInPlace(onHand('mm'), PLACE);
  const lanes = applyEdit(tray, fillEdit(tray, 'inside', 'lanes', means('mm', tray)));
  const [lane] = lanes.interior.split?.spaces ?? [];
  const edit = fillEdit(lanes, lane?.id as string, 'compartments', means('mm', lanes));
  const [outer, inner] = [lanes.interior.split?.making, edit.kind === 'fill' ? edit.split?.making : undefined];
  if (outer?.kind !== 'boards' || inner?.kind !== 'boards') throw new Error('both are of boards');
  expect([outer.ends, inner.ends, inner.high === outer.high, toMm(inner.fit)]).toEqual([true, false, true, 0]);
  // A quarter of boards of 12.
  expect([toMm(outer.channel), toMm(inner.channel)]).toEqual([0, 3]);
});
