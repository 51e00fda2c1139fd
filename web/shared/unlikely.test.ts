import { mm } from '../../core/length/index.js';
import { isUnlikely } from './unlikely.js';

test.each([
  [561.5, 566, false],
  [5615, 566, true],
  [56.6, 566, true],
  [849, 566, false],
  [849.1, 566, true],
])('%d where %d was planned: asked back %s', (measured, planned, asked) => {
  expect(isUnlikely(mm(measured), mm(planned))).toBe(asked);
});
