import { PRINT_SHED } from '../demo/print-shed.js';
import { faultOfFile, fileOf, fileOfOne, tryFile } from './files.js';

test('the pieces of the shed, each in a file of its own, are read and worked out', () => {
  expect(Object.keys(PRINT_SHED.pieces).flatMap((id) => faultOfFile(fileOfOne(id)) ?? [])).toEqual([]);
}, 180_000);

test('a hundred files changed at random are refused in words or worked out, none with a crash', () => {
  const came = Array.from({ length: 100 }, (_, i) => tryFile(400_000 + i));
  expect(came.flatMap(({ seed, crashed }) => (crashed === null ? [] : [`${seed}: ${crashed}`]))).toEqual([]);
  // Some of each, or nothing was tried.
  expect(came.filter((c) => c.read).length).toBeGreaterThan(10);
  expect(came.filter((c) => !c.read).length).toBeGreaterThan(10);
}, 180_000);

test('the same seed changes the same', () => {
  expect(fileOf(7)).toEqual(fileOf(7));
  expect(fileOf(7)).not.toEqual(fileOf(8));
});
