import { PRINT_SHED } from '../../demo/print-shed.js';
import { workshopOf } from '../formats/index.js';
import { solve } from '../solution/index.js';
import { writeExactly } from '../figure/index.js';
import { buildingOf, stepsOf, timeText } from './index.js';
test('x', () => {
  const file = PRINT_SHED as any;
  const shop = workshopOf(file);
  for (const [id, kept] of Object.entries(file.pieces) as any) {
    const s = solve(kept.piece, shop, kept.letters);
    void s.checks;
    stepsOf(s, buildingOf(id));
    const t = performance.now();
    const steps = stepsOf(s, buildingOf(id));
    const ms = performance.now() - t;
    let out = `== ${id} ${s.parts.length} parts ${ms.toFixed(1)} ms, ${timeText(steps.reduce((a, b) => a + b.minutes, 0))}\n`;
    for (const st of steps) out += `${st.title} [${st.parts.length} p, ${st.works.length} w, ${timeText(st.minutes)}] needs ${st.needs.length}\n`;
    process.stdout.write(out);
    if (process.env.PIECE === id) for (const st of steps) process.stdout.write(`--- ${st.title}\n${st.setups.map((x) => '   * ' + writeExactly(x.says)).join('\n')}\n${st.says.map((x) => '   ' + writeExactly(x)).join('\n')}\n`);
  }
});
