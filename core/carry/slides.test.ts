import { ZERO, mm } from '../length/index.js';
import type { Slide } from '../stock/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { thing } from '../testing/samples.js';
import { onSlides } from './index.js';
import { asKg } from '../measures/index.js';

const slide: Slide = {
  name: 'runner 250',
  lengths: [mm(250)],
  side: mm(13),
  height: mm(45),
  setback: ZERO,
  extension: 1,
};

/** A drawer on slides rated for 80 kg, two tins of so many in it. */
function drawer(each: number | undefined, rating: number | null = 80) {
  const tin = thing();
  if (each === undefined) delete tin.mass;
  else tin.mass = asKg(each);
  const run = rating === null ? slide : { ...slide, rating: asKg(rating) };
  const shop = { ...chestShop, slides: new Map([['run', run]]), things: new Map([['tin', tin]]) };
  const s = chest(drawers({ runner: { kind: 'slide', slide: 'run', length: mm(250) } }), 1, {}, shop);
  const [body] = s.shape.bodies;
  if (!body) throw new Error('there is no drawer');
  return { s, slides: onSlides(body, s.carried) };
}

test('the box and all that is in it against the rating of the pair', () => {
  const { slides } = drawer(2);
  expect(slides?.contents).toBeCloseTo(4, 9);
  expect(slides?.used).toBeCloseTo((4 + (slides?.self as number)) / 80, 9);
});

test.each([
  [1, 'fine', undefined],
  [30, 'fails', 'stop'],
] as const)('two tins of %d are %s', (each, state, severity) => {
  const { s, slides } = drawer(each);
  expect(slides?.state).toBe(state);
  expect(s.checks.find((c) => c.id === 'rating-d1')?.severity).toBe(severity);
});

test('from 80 % of the rating it is close, and told', () => {
  const bare = drawer(0).slides?.self as number;
  const { s, slides } = drawer((72 - bare) / 2);
  expect(slides?.used).toBeCloseTo(0.9, 6);
  expect(slides?.state).toBe('close');
  expect(s.checks.find((c) => c.id === 'rating-d1')).toMatchObject({ severity: 'look', state: 'close' });
});

test.each([
  ['a thing without a mass', drawer(undefined)],
  ['slides without a rating', drawer(1, null)],
])('%s: not checked', (_, { slides }) => expect([slides?.state, slides?.used]).toEqual(['not checked', null]));

test('what runs in the opening has none', () => {
  const [body] = chest(drawers(), 1).shape.bodies;
  expect(body && onSlides(body, chest(drawers(), 1).carried)).toBeNull();
});
