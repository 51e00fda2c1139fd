import { runs } from '../core/testing/runs.js';
import { fileOf, tryFile } from './files.js';

test(`${runs(20)} files changed at random are refused in words or worked out, none with a crash`, () => {
  const came = Array.from({ length: runs(20) }, (_, i) => tryFile(400_000 + i));
  expect(came.flatMap(({ seed, crashed }) => (crashed === null ? [] : [`${seed}: ${crashed}`]))).toEqual([]);
  // Some of each, or nothing was tried.
  expect(came.filter((c) => c.read).length).toBeGreaterThan(runs(2));
  expect(came.filter((c) => !c.read).length).toBeGreaterThan(runs(2));
}, 600_000);

test('the same seed changes the same', () => {
  expect(fileOf(7)).toEqual(fileOf(7));
  expect(fileOf(7)).not.toEqual(fileOf(8));
});
