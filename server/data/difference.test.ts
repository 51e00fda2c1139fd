import { PRINT_SHED } from '../../demo/print-shed.js';
import { acrossChange, sidesOf } from './difference.js';

const wren = { name: 'Wren', height: 168 };

test('of an edit only what it changed is kept, and it is walked either way', () => {
  const taller = { ...wren, height: 170 };
  const sides = sidesOf('people', wren, taller);
  expect(sides).toEqual({ before: null, after: null, delta: { height: [168, 170] } });
  expect(acrossChange('people', sides, taller, false)).toEqual(wren);
  expect(acrossChange('people', sides, wren, true)).toEqual(taller);
});

test('an edit that changes nothing is walked as one', () => {
  const sides = sidesOf('people', wren, { ...wren });
  expect(acrossChange('people', sides, wren, false)).toEqual(wren);
});

test('what was made or taken out is kept whole', () => {
  expect(sidesOf('people', null, wren)).toEqual({ before: null, after: wren, delta: null });
  const gone = sidesOf('people', wren, null);
  expect(acrossChange('people', gone, null, false)).toEqual(wren);
  expect(acrossChange('people', gone, wren, true)).toBeNull();
});

test('where everything is another, both documents are kept, and not their difference', () => {
  const [a, b] = [{ list: [1, 2, 3] }, { list: [7, 8, 9] }];
  const sides = sidesOf('people', a, b);
  expect(sides).toEqual({ before: a, after: b, delta: null });
  expect(acrossChange('people', sides, b, false)).toEqual(a);
});

test('letters that were given since stay, whichever way a piece is walked', () => {
  const kept = PRINT_SHED.pieces['paper-chest'];
  if (!kept) throw new Error('no paper chest');
  const renamed = { ...kept, piece: { ...kept.piece, name: 'Paper chest for the sill' } };
  const sides = sidesOf('pieces', kept, renamed);
  expect(JSON.stringify(sides.delta)).toBe('{"piece":{"name":["Paper chest","Paper chest for the sill"]}}');
  expect(acrossChange('pieces', sides, { ...renamed, letters: { other: 'Z' } }, false)).toEqual({ piece: kept.piece });
});

test('moves, takings out and additions among members are exact', () => {
  const kept = PRINT_SHED.pieces['drying-deck'];
  if (!kept) throw new Error('no drying deck');
  const { piece } = kept;
  const turned = structuredClone(piece) as unknown as { interior: { split?: { spaces: unknown[]; members: unknown[] } } };
  const { split } = turned.interior;
  if (!split || split.spaces.length < 3) throw new Error('the deck has no spaces to move');
  split.spaces.reverse();
  split.members.splice(0, 1);
  split.spaces.splice(1, 1);
  const sides = sidesOf('pieces', kept, { ...kept, piece: turned });
  expect(sides.delta).not.toBeNull();
  expect(acrossChange('pieces', sides, { ...kept, piece: turned }, false)).toMatchObject({ piece });
  expect(acrossChange('pieces', sides, kept, true)).toMatchObject({ piece: turned });
});
