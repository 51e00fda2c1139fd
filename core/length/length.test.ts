import fc from 'fast-check';
import {
  UNITS_PER,
  ceilTo,
  exactText,
  floorTo,
  formatLength,
  fromUnits,
  hypot,
  inch,
  mm,
  readLength,
  roundTo,
  toMm,
  writeLength,
  type LengthUnit,
} from './index.js';

const inches = (denominator: number) => ({ unit: 'in' as const, step: inch(1 / denominator) });
const metric = (step: number) => ({ unit: 'mm' as const, step: mm(step) });

test('one unit holds 1/128 inch, a thou and a micrometre exactly', () => {
  expect(inch(1 / 128)).toBe(15_875);
  expect(inch(0.001)).toBe(2_032);
  expect(mm(0.001)).toBe(80);
  expect(UNITS_PER.in).toBe(25.4 * UNITS_PER.mm);
});

describe('readings', () => {
  test.each<[string, LengthUnit, number]>([
    ['33 1/2', 'in', 33.5 * 25.4],
    ['33-1/2"', 'mm', 33.5 * 25.4],
    ['2\' 9 1/2"', 'mm', 33.5 * 25.4],
    ['2ft 9.5in', 'mm', 33.5 * 25.4],
    ["2' 9", 'mm', 33 * 25.4],
    ["2'-9 1/2", 'mm', 33.5 * 25.4],
    ["3' - 6in", 'mm', 30 * 25.4],
    ['851', 'mm', 851],
    ['851', 'in', 851 * 25.4],
    ['83.8 cm', 'in', 838],
    ['0.838 m', 'mm', 838],
    ['.5', 'mm', 0.5],
    ['1/2', 'in', 12.7],
    ['5/4', 'in', 1.25 * 25.4],
    ['½', 'in', 12.7],
    ['12⅜"', 'mm', 12.375 * 25.4],
    ['36 - 2*3/4', 'in', 34.5 * 25.4],
    ['36-2*3/4', 'in', 34.5 * 25.4],
    ['(1200 - 18) / 2', 'mm', 591],
    ['900mm - 1in', 'in', 874.6],
    ['2 x 17.6', 'mm', 35.2],
    ['1 m / 4', 'mm', 250],
    ['7 - 1/2', 'in', 6.5 * 25.4],
  ])('%s in %s is %d mm', (text, unit, expected) => {
    expect(readLength(text, { unit })).toMatchObject({ ok: true, length: mm(expected) });
  });

  test('an entry is echoed as it was understood', () => {
    expect(readLength('33 1/2', { unit: 'in' })).toMatchObject({ echo: '33 1/2 in' });
    expect(readLength('1in', { unit: 'mm' })).toMatchObject({ echo: '25.4 mm' });
  });

  test.each<[string, RegExp, number]>([
    ['', /nothing was entered/, 0],
    ['abc', /"abc" was not understood/, 0],
    ['12 apples', /"apples" was not understood/, 3],
    ['36 -', /number is missing/, 4],
    ['3/0', /divided by 0/, 0],
    ['1 m / 0', /divided by 0/, 5],
    ['2m * 3m', /not a length/, 4],
    ['12 / 3mm', /divided by a plain number/, 4],
    ['851,5', /comma/, 3],
    ['(12', /bracket/, 3],
    ['0', /size of 0/, 0],
    ['-5', /negative/, 0],
    ['2 - 5', /negative/, 0],
    ['9e9', /"e9" was not understood/, 1],
    ['999999999', /at most/, 0],
    ['99999999999999999999', /longer than anything/, 0],
  ])('%s is refused', (text, message, at) => {
    const reading = readLength(text, { unit: 'mm' });
    if (reading.ok) throw new Error('it was read');
    expect(reading.problem.message).toMatch(message);
    expect(reading.problem.at).toBe(at);
    expect(reading.problem.accepted).toContain('900 - 2*18');
  });

  test('bounds of the place are told', () => {
    expect(readLength('4', { unit: 'mm', least: mm(5) })).toMatchObject({ problem: { message: 'it must be at least 5 mm' } });
    expect(readLength('90', { unit: 'mm', greatest: mm(80) })).toMatchObject({ problem: { message: 'it must be at most 80 mm' } });
    expect(readLength('0', { unit: 'mm', least: mm(0) })).toMatchObject({ ok: true, length: 0 });
  });

  test('reading never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string(), (text) => typeof readLength(text, { unit: 'in' }).ok === 'boolean'));
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom(...'0123456789./-+*()\'" mcinft'.split('')),
        (a, b) => typeof readLength(`${a}${b}${a}`, { unit: 'mm' }).ok === 'boolean',
      ),
    );
  });
});

describe('writing', () => {
  test.each<[number, number, string]>([
    [12.375, 32, '12 3/8'],
    [12.65, 32, '≈12 21/32'],
    [0.5, 16, '1/2'],
    [3, 64, '3'],
    [-1.25, 8, '−1 1/4'],
    [0, 8, '0'],
    [0.999, 8, '≈1'],
  ])('%d in to 1/%d is %s', (value, denominator, text) => {
    expect(formatLength(inch(value), inches(denominator))).toBe(text);
  });

  test.each<[number, number, string]>([
    [381.35, 0.5, '≈381.5'],
    [381.5, 0.5, '381.5'],
    [381.5, 1, '≈382'],
    [17.6, 0.1, '17.6'],
    [17.64, 0.1, '≈17.6'],
    [1203, 0.1, '1203'],
  ])('%d mm to %d is %s', (value, step, text) => {
    expect(formatLength(mm(value), metric(step))).toBe(text);
  });

  test('a fraction comes apart for stacking', () => {
    expect(writeLength(inch(12.375), inches(32))).toEqual({ negative: false, whole: '12', numerator: 3, denominator: 8, exact: true });
  });

  test('what is exact on the step reads back as the same length', () => {
    const whole = fc.integer({ min: 1, max: 25_000 });
    fc.assert(
      fc.property(whole, fc.constantFrom(8, 16, 32, 64), (steps, d) => {
        const length = fromUnits(steps * inch(1 / d));
        expect(readLength(formatLength(length, inches(d)), { unit: 'in' })).toMatchObject({ length });
      }),
    );
    fc.assert(
      fc.property(whole, fc.constantFrom(0.1, 0.5, 1), (steps, s) => {
        const length = mm(steps * s);
        expect(readLength(formatLength(length, metric(s)), { unit: 'mm' })).toMatchObject({ length });
      }),
    );
  });

  test('exact text has as many digits as it takes', () => {
    expect(exactText(mm(381.35), 'mm')).toBe('381.35');
    expect(exactText(inch(12.65), 'in')).toBe('12.65');
  });
});

test('steps up, down and nearest', () => {
  expect([floorTo, ceilTo, roundTo].map((f) => toMm(f(mm(381.35), mm(0.5))))).toEqual([381, 381.5, 381.5]);
});

test('a diagonal is rounded once, to the unit', () => {
  expect(hypot(mm(3), mm(4))).toBe(mm(5));
  expect(toMm(hypot(mm(2091), mm(326)))).toBeCloseTo(2116.26015, 5);
});

test('misuse is an error', () => {
  expect(() => fromUnits(Infinity)).toThrow(RangeError);
  expect(() => mm(NaN)).toThrow(RangeError);
});

test.each([
  [inch(1 / 64), '1/64'],
  [inch(33.5), '33 1/2'],
  [inch(5 / 128), '5/128'],
  [inch(-0.75), '-3/4'],
  // No rule has a tenth of an inch, nor 17.6 mm.
  [inch(0.1), '0.1'],
  [mm(17.6), '0.692913'],
])('%d units are exactly %s in', (length, expected) => {
  expect(exactText(length, 'in')).toBe(expected);
});
