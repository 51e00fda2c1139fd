/** @jest-environment node */
import { PRINT_SHED } from '../../demo/print-shed.js';
import { waitingIn } from './waiting.js';

const things = Object.entries(PRINT_SHED.things).map(([id, data]) => ({ id, data }));
const pieces = Object.values(PRINT_SHED.pieces).map((p) => p.piece);
const without = (id: string) => Object.entries(PRINT_SHED.pieces).flatMap(([key, p]) => (key === id ? [] : [p.piece]));

test('what stands in a space or on a top is placed, the rest of it waits', () => {
  const all = waitingIn(pieces, things);
  expect(all.get('nipping-press')).toBe(0);
  expect(waitingIn(without('press-stand'), things).get('nipping-press')).toBe(1);
  expect(waitingIn([], things).get('bottle')).toBe(PRINT_SHED.things['bottle']?.count);
});

test('what cells or grooves are for lies in them', () => {
  const all = waitingIn(pieces, things);
  expect([all.get('silk-screen'), all.get('proof-tube')]).toEqual([0, 0]);
  expect(waitingIn(without('screen-cabinet'), things).get('silk-screen')).toBe(8);
});
