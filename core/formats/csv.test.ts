import Papa from 'papaparse';
import { cellAsItWas, csvOf } from './csv.js';

/** What a spreadsheet takes for a formula: a cell whose first sign, after blanks and quotes, begins one. */
const runs = (cell: string) => /^["\s]*[=+\-@\uff1d\uff0b\uff0d\uff20]/.test(cell);

const NAMES = [
  '=1+1',
  '  =1+1',
  '\t@SUM(A1)',
  '\uff1dcmd',
  '\uff0b1',
  '\u3000=1',
  'ply;=1+1',
  'ply; +1',
  'ply\t-1',
  'two\n=1+1',
  ';";=1',
  '"=1+1"',
  '-',
  "'=1",
];

test.each([',', ';', '\t'])('no cell is run by a spreadsheet that parts them at %j', (delimiter) => {
  const text = csvOf([['name', 'count'], ...NAMES.map((name) => [name, 2])]);
  const { data } = Papa.parse<string[]>(text, { delimiter });
  expect(data.flat().filter(runs)).toEqual([]);
  // By lines too, as those do that know no quotes.
  expect(
    text
      .split(/[\r\n]+/)
      .flatMap((line) => line.split(delimiter))
      .filter(runs),
  ).toEqual([]);
});

test('what was made plain is read as it was, and numbers below nothing stay numbers', () => {
  const names = NAMES.filter((name) => name !== "'=1").map((name) => name.trim());
  const text = csvOf([['name', 'size'], ...names.map((name) => [name, -2.5])]);
  const cells = Papa.parse<string[]>(text.trim()).data.map((row) => row.map(cellAsItWas));
  expect(cells.map(([name]) => name)).toEqual(['name', ...names]);
  expect(cells[1]?.[1]).toBe('-2.5');
});
