import { declarations } from './laid.js';

test('what is said of a part is its style, numbers in px; what is else said of it is not', () => {
  const props = { $above: 8, $pad: '4px 0', $most: 520, $spread: true, children: 'text', onClick: () => {} };
  expect(declarations(props)).toBe('margin-top: 8px;padding: 4px 0;max-width: 520px;justify-content: space-between;');
});

test.each([
  [{ $spread: false }, ''],
  [{ $wrap: false }, 'flex-wrap: nowrap;'],
  [{ $wrap: true }, 'flex-wrap: wrap;'],
  [{ $flex: '1 1 360px' }, 'flex: 1 1 360px;'],
  [{ $across: true, $size: 13 }, 'grid-column: 1 / -1;font-size: 13px;'],
  [{ $above: 0 }, 'margin-top: 0px;'],
  [{}, ''],
])('%j', (said, style) => {
  expect(declarations(said)).toBe(style);
});
