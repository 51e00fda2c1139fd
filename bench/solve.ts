import { workshopOf } from '../core/formats/index.js';
import type { Piece } from '../core/piece/index.js';
import { solve } from '../core/solution/index.js';
import { mm } from '../core/length/index.js';
import { propose, type Wanted } from '../core/proposal/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { largeCase } from './cases.js';
import { ms, print, timed } from './figures.js';
import { asKg } from '../core/measures/index.js';

const workshop = workshopOf(PRINT_SHED);

/** The medians of a piece solved so that it can be drawn, and with its loads and checks too. */
function printSolved(name: string, piece: Piece, rounds: number, target: string): number {
  const { letters } = solve(piece, workshop, {});
  print(`${name}, to be drawn, median`, ms(timed(() => solve(piece, workshop, letters), rounds).median), '');
  const { median } = timed(() => solve(piece, workshop, letters).checks, rounds);
  print(`${name}, with loads and checks, median`, ms(median), target);
  return median;
}

export function benchSolve(): void {
  printSolved('ink case', (PRINT_SHED.pieces['ink-case'] as { piece: Piece }).piece, 300, 'under 2 ms');

  const target = new Map([[10, 'under 10 ms']]);
  let perPart: number | null = null;
  for (const [bays, spaces, rounds] of [
    [4, 10, 100],
    [10, 11, 60],
    [20, 12, 30],
    [40, 12, 20],
    [60, 16, 12],
  ] as const) {
    const piece = largeCase(bays, spaces);
    const { parts } = solve(piece, workshop, {});
    const median = printSolved(`${bays * spaces} spaces, ${parts.length} parts`, piece, rounds, target.get(bays) ?? '');
    const each = median / parts.length;
    if (perPart !== null) print('the time per part beside the first', `${(each / perPart).toFixed(2)} x`, '');
    perPart ??= each;
  }

  for (const count of [12, 40]) {
    const list = Array.from({ length: count }, (_, i): Wanted => ({
      id: `t${i}`,
      count: 1 + (i % 5),
      thing: {
        name: `t${i}`,
        shape: { kind: 'box', width: mm(60 + ((i * 37) % 240)), height: mm(80 + ((i * 53) % 320)), depth: mm(150 + ((i * 29) % 140)) },
        mass: asKg(1 + (i % 7)),
        count: 1 + (i % 5),
        clearance: mm(20),
        wayUp: 'upright',
        stack: 1 + (i % 3),
      },
    }));
    const room = { width: mm(900), depth: mm(320), shelf: mm(18), foot: mm(80) };
    print(`shelves for ${count} things, first answer, median`, ms(timed(() => propose(list, room), 30).median), 'under 100 ms');
  }
  printSolved('the paper chest, 51 parts', (PRINT_SHED.pieces['paper-chest'] as { piece: Piece }).piece, 100, '');
  printSolved('the tube rack, 337 parts', (PRINT_SHED.pieces['tube-rack'] as { piece: Piece }).piece, 40, '');
}
