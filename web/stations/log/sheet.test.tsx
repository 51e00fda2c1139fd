import { newCase } from '../../kinds/panel-case/begin.js';
import { projectWith, wired } from '../../test/on-bench.js';
import { LogSheet } from './sheet.js';
import { onHand } from '../../test/filled.js';

test('an entry is begun in the worksheet of Log, and is in the log once it is added', async () => {
  expect(await wired(projectWith(newCase(onHand('mm'))), <LogSheet />)).toEqual([
    'Day → nothing',
    'In words → nothing',
    '  Add to the log → log.log-2026-12-24-note',
    'What → nothing',
    '  What was decided, and why → nothing',
  ]);
}, 120_000);
