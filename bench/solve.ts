import { workshopOf } from '../core/formats/index.js';
import type { Piece } from '../core/piece/index.js';
import { solve } from '../core/solution/index.js';
import { mm } from '../core/length/index.js';
import { propose, type Wanted } from '../core/proposal/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { largeCase } from './cases.js';
import { ms, print, timed } from './figures.js';

const workshop = workshopOf(PRINT_SHED);

export function benchSolve(): void {
  const ink = (PRINT_SHED.pieces['ink-case'] as { piece: Piece }).piece;
  const { letters } = solve(ink, workshop, {});
  print('ink case, median', ms(timed(() => solve(ink, workshop, letters), 300).median), 'under 2 ms');

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
    const first = solve(piece, workshop, {});
    const { median } = timed(() => solve(piece, workshop, first.letters), rounds);
    const each = median / first.parts.length;
    const ratio = perPart === null ? '' : `${(each / perPart).toFixed(2)} x the time per part of the first`;
    perPart ??= each;
    print(`${bays * spaces} spaces, ${first.parts.length} parts, median`, ms(median), target.get(bays) ?? ratio);
  }

  for (const count of [12, 40]) {
    const list = Array.from({ length: count }, (_, i): Wanted => ({
      id: `t${i}`,
      count: 1 + (i % 5),
      thing: {
        name: `t${i}`,
        shape: { kind: 'box', width: mm(60 + ((i * 37) % 240)), height: mm(80 + ((i * 53) % 320)), depth: mm(150 + ((i * 29) % 140)) },
        mass: 1 + (i % 7),
        count: 1 + (i % 5),
        clearance: mm(20),
        wayUp: 'upright',
        stack: 1 + (i % 3),
      },
    }));
    const room = { width: mm(900), depth: mm(320), shelf: mm(18), foot: mm(80) };
    print(`shelves for ${count} things, first answer, median`, ms(timed(() => propose(list, room), 30).median), 'under 100 ms');
  }
  const chest = (PRINT_SHED.pieces['paper-chest'] as { piece: Piece }).piece;
  print('the paper chest, 51 parts, median', ms(timed(() => solve(chest, workshop, {}), 100).median), '');
  const rack = (PRINT_SHED.pieces['tube-rack'] as { piece: Piece }).piece;
  print('the tube rack, 337 parts, median', ms(timed(() => solve(rack, workshop, {}), 40).median), '');
}
