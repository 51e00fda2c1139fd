import { mm } from '../length/index.js';
import { pocketScrewLength } from './index.js';

test.each([
  [9, null],
  [12, 25],
  [15, 25],
  [18, 32],
  [19, 32],
  [25, 38],
  [38, 64],
  [50, null],
])('stock of %d takes pocket screws of %s', (thickness, length) => {
  expect(pocketScrewLength(mm(thickness), 'mm')).toBe(length === null ? null : mm(length));
});
