import { screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { onBench, projectWith, textOf } from '../../test/on-bench.js';
import { SHELVED } from '../../test/shelved.js';
import { PartDetail, PartsSheet, PartsStage } from './parts.js';

const open = (shown: ReactNode) => onBench(projectWith(SHELVED), { shown, at: 'parts' });

test('equal parts stand on one line, with the size that they are cut to', async () => {
  await open(<PartsStage />);
  const lines = within(screen.getByRole('grid', { name: 'Parts' }))
    .getAllByRole('row')
    .slice(1);
  expect(lines.map((line) => [...line.querySelectorAll('td, th')].slice(0, 6).map(textOf))).toEqual([
    ['A', '1', 'side, left', '1800', '300', '18'],
    ['B', '1', 'side, right', '1800', '300', '18'],
    // 900 less two sides.
    ['C', '1', 'top', '864', '300', '18'],
    ['D', '1', 'bottom', '864', '300', '18'],
    ['E', '1', 'toe board', '864', '80', '18'],
    ['F, G', '2', 'shelf', '862', '290', '18'],
  ]);
  expect(textOf(screen.getByRole('region', { name: 'To buy' }))).toContain('8 shelf pins Ø5');
});

test('what goes out of a stock is counted, measured and weighed', async () => {
  await open(<PartsSheet />);
  // 2 x 1.8 x 0.3 + 2 x 0.864 x 0.3 + 0.864 x 0.08 + 2 x 0.862 x 0.29 are 2.167 m².
  expect(textOf(document.body)).toContain('thick 7 parts, 2.17 m², 26.5 kg');
});

test('a part that is picked is drawn, with its holes and the sum behind each size', async () => {
  await open(
    <>
      <PartsStage />
      <PartDetail />
    </>,
  );
  const detail = () => textOf(screen.getByRole('region', { name: /^Part / }));
  // Three spaces share 1684 - 36: the lowest is 549 high, over the bottom's upper face at 98. Pins Ø5 lie half of that lower than 647.
  expect(detail()).toMatch(/^A: side left side\. thick, 6\.61 kg\..*hole Ø5, 10 deep, on the inside, 644\.5 from the lower end/);
  await userEvent.click(screen.getByText('F, G'));
  expect(detail()).toMatch(/^F: shelf shelf 1\. .*= 862 long/);
});
