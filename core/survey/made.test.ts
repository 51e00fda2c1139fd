import { readFileSync } from 'node:fs';
import { mm } from '../length/index.js';
import { PROGRAM, madeOf, type MadePart } from './made.js';

test('the version that is noted with what was cut is the one of the package', () => {
  expect((JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }).version).toBe(PROGRAM);
});

test('the last note of a part counts; spoiled, or planned after all, it is not cut', () => {
  const sizes = { length: mm(500), width: mm(300), thickness: mm(18) };
  const fact = (part: string, is: MadePart['is'], piece = 'case'): MadePart => ({
    piece,
    part,
    is,
    ...sizes,
    planned: sizes,
    at: '2026-05-04T18:00:00Z',
  });
  const facts = [
    fact('a', 'cut'),
    fact('b', 'cut'),
    fact('b', 'spoiled'),
    fact('c', 'spoiled'),
    fact('c', 'fitted'),
    fact('d', 'cut', 'other'),
  ];
  expect([...madeOf(facts, 'case').keys()]).toEqual(['a', 'c']);
});
