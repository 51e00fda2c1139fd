import { without } from './without.js';

test('a field is left out, not set to nothing, and what it was taken from stays as it was', () => {
  const box: { join: string; muntin?: number } = { join: 'pocket', muntin: 80 };
  const rest = without(box, 'muntin');
  expect(Object.keys(rest)).toEqual(['join']);
  expect(box.muntin).toBe(80);
});
