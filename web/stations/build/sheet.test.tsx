import { buildingOf, usualHours } from '../../../core/build/index.js';
import { newCase } from '../../kinds/panel-case/begin.js';
import { dayText } from '../../shared/clock.js';
import { means, onHand, workshopOf } from '../../test/filled.js';
import { projectOf } from '../../test/in-project.js';
import { asked, wired } from '../../test/on-bench.js';
import { BuildSheet } from './sheet.js';

const CASE = newCase(onHand('mm'));
const BUILDING = { ...buildingOf('it'), finish: 'oil' as const, hours: usualHours('2026-11-23') };
const PROJECT = projectOf(CASE, workshopOf('mm', means('mm', CASE)), { buildings: [{ id: 'it', version: 1, data: BUILDING }] });

test('each control of the worksheet of Build changes what it says of how it is built; the steps are looked at', async () => {
  const told = await wired(PROJECT, <BuildSheet />, { deep: 0 });
  const [steps, rest] = [told.filter((line) => /^\d/.test(line)), told.filter((line) => !/^\d/.test(line))];
  expect(rest).toEqual([
    'Coats → buildings.it.coats',
    'It is glued and dries at, °C → buildings.it.celsius',
    'Monday from → buildings.it.hours.week.0.0.from',
    'Monday to → buildings.it.hours.week.0.0.to',
    'Tuesday from → buildings.it.hours.week.1.0.from',
    'Tuesday to → buildings.it.hours.week.1.0.to',
    'Wednesday from → buildings.it.hours.week.2.0.from',
    'Wednesday to → buildings.it.hours.week.2.0.to',
    'Thursday from → buildings.it.hours.week.3.0.from',
    'Thursday to → buildings.it.hours.week.3.0.to',
    'Friday from → buildings.it.hours.week.4.0',
    'Friday to → buildings.it.hours.week.4.0.to',
    'Saturday from → buildings.it.hours.week.5.0.from',
    'Saturday to → buildings.it.hours.week.5.0.to',
    'Sunday from → buildings.it.hours.week.6.0',
    'Sunday to → buildings.it.hours.week.6.0.to',
    'A day off → nothing',
    'Parts are cut → buildings.it.cut',
    'It is built → buildings.it.order',
    'While it is put together it stands → buildings.it.stands',
    'Glue → buildings.it.glue',
    'Finish → buildings.it.finish',
  ]);
  expect(steps.length).toBeGreaterThan(5);
  expect(steps.filter((line) => !line.endsWith(' → nothing'))).toEqual([]);
}, 120_000);

test('a day off is kept free', async () => {
  const known = (await asked(PROJECT, <BuildSheet />)).filter((label) => label !== 'A day off');
  expect(await wired(PROJECT, <BuildSheet />, { known })).toEqual([
    'A day off → nothing',
    '  Keep it free → buildings.it.hours.off.0',
    `    Remove the day off, ${dayText('2026-12-24')} → buildings.it.hours.off.0`,
  ]);
});
