import { seeded } from '../core/cutting/index.js';
import { endsOf, faultOfNumber, numberFields } from './ends.js';

/** So many sorts of number are tried; by `npm run test:long` all of them. */
const MANY = process.env['RUVOK_LONG'] ? Infinity : 4;

const SEED = Number(process.env['RUVOK_SEED'] ?? Math.floor(Math.random() * 2 ** 31));

test(`${MANY === Infinity ? 'all' : MANY} sorts of number of records, each at the ends of what is taken and meant and past them: opened and worked out, or refused where they stand`, () => {
  const random = seeded(SEED);
  const fields = numberFields()
    .map((field) => ({ field, rank: random() }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MANY)
    .map(({ field }) => field);
  const faults = fields.flatMap((field) =>
    endsOf(field).flatMap((value) => {
      const fault = faultOfNumber(field, value);
      return fault === null ? [] : [`${field.piece} ${field.path.join('/')} = ${value}: ${fault}`];
    }),
  );
  expect([SEED, faults]).toEqual([SEED, []]);
  expect(numberFields().length).toBeGreaterThan(300);
}, 1_800_000);
