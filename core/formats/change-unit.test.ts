import { DEFAULT_STEP, inch, mm } from '../length/index.js';
import { CASE, SHOP } from '../testing/examples.js';
import { pieceInUnit, settingsIn } from './change-unit.js';

const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;

describe('a project that is to work in inches', () => {
  test('it is written and rounded to 1/32, and all else stays', () => {
    const grid = inch(1 / 32);
    const { settings } = SHOP;
    expect(settingsIn(settings, 'in')).toEqual({ ...settings, unit: 'in', step: grid, rounding: { ...settings.rounding, grid } });
  });

  test('sizes are kept, or those from 25 mm on set: 998 is 39 9/32, and what is let in stays', () => {
    const piece = { ...CASE, width: given(998) };
    expect(pieceInUnit(piece, 'in', 'kept')).toBe(piece);
    const set = pieceInUnit(piece, 'in', 'set');
    // 998 / 25.4 is 39.2913, and 0.2913 × 32 is 9.32.
    expect(set.width).toEqual({ from: 'given', size: inch(39 + 9 / 32), of: 'overall' });
    expect(set.panels).toEqual(piece.panels);
    expect(pieceInUnit(set, 'in', 'set')).toBe(set);
  });

  test('a piece that is rounded by its own grid gets the usual one of the unit', () => {
    const rounding = { grid: mm(0.5), set: 'exact', leftover: 'last' } as const;
    expect(pieceInUnit({ ...CASE, rounding }, 'in', 'kept').rounding).toEqual({ ...rounding, grid: DEFAULT_STEP.in });
  });
});
