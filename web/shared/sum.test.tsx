import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { size } from '../../core/figure/index.js';
import { inch, mm } from '../../core/length/index.js';
import { LengthText } from './length-text.js';
import { Sum } from './sum.js';

const imperial = { unit: 'in' as const, step: inch(1 / 32) };
const metric = { unit: 'mm' as const, step: mm(0.5) };

const opening = size('least height', inch(73))
  .minus(size('slack', inch(1)))
  .named('overall height');
const space = opening
  .minus(size('toe', inch(3)))
  .minus(size('ply', inch(0.75)).times(2).named('top and bottom'))
  .over(3, 'equal spaces');

const rows = () =>
  screen.getAllByRole('row').map((row) =>
    within(row)
      .getAllByRole('cell')
      .map((cell) => cell.textContent?.trim())
      .join(' '),
  );

test('a sum is set out line by line, with how many of what', () => {
  render(<Sum figure={space} precision={imperial} answer="high, clear" />);
  expect(rows()).toEqual([
    ' 72 overall height',
    '− 3 toe',
    '− 1 1/2112 top and bottom 2 × 3/4',
    '= 67 1/26712 left to share',
    '÷ 3 equal spaces',
    '= 22 1/22212 high, clear',
  ]);
});

test('a line is followed to its own sum, and back', async () => {
  render(<Sum figure={space} precision={imperial} answer="high, clear" />);
  await userEvent.click(screen.getByRole('button', { name: 'Follow overall height' }));
  expect(rows()).toEqual([' 73 least height', '− 1 slack', '= 72 overall height']);
  await userEvent.click(screen.getByRole('button', { name: /^Back to/ }));
  expect(rows()).toHaveLength(6);
});

test('what is not exact at the precision stands exactly in a sum', () => {
  render(<Sum figure={size('left', mm(1525.4)).over(4, 'equal spaces')} precision={metric} answer="each" />);
  expect(rows().at(-1)).toBe('= 381.35 each');
});

test.each([
  ['exact', mm(381.5), metric, '381.5', null],
  ['not exact', mm(381.35), metric, '≈381.5', 'exactly 381.35 mm'],
  ['inches', inch(12.375), imperial, '12 3/8', null],
] as const)('a length, %s', (_, value, precision, text, title) => {
  const { container } = render(<LengthText value={value} precision={precision} />);
  expect(container.textContent).toBe(text);
  expect(container.firstElementChild?.getAttribute('title')).toBe(title);
});

test('a stacked fraction is read out as one', () => {
  const { container } = render(<LengthText value={inch(-0.5)} precision={imperial} stacked unit />);
  expect(container.querySelector('.visually-hidden')?.textContent).toBe('−1/2');
  expect(container.querySelector('[aria-hidden]')?.textContent).toBe('−12');
});
