import { expect, test } from './server.js';

const STATIONS = ['measure', 'divide', 'carry', 'parts', 'stock', 'build', 'log'];
const PAGES = ['', '/stock', '/things', '/people', '/handbook', '/settings'];

/** Figures in the units of those who work otherwise; what is sold in millimetres keeps its name, as pins do. */
const METRIC = /\b\d[\d.,]* ?(mm|cm|m²|l|kg|N|MPa|GPa|°C)(?![\w/])/g;
const INCH = /\b\d[\d./ ]* ?(in(?=[.,;)]|$)|ft|sq ft|qt|lb|lbf|psi|°F)(?![\w/])/g;
const SOLD = /^(5|10) mm$/;

/** Words of the trade of those who work otherwise; a setting of the project offers both. */
const BRITISH = /\b(housings?|housed?|rebate[ds]?|castors?|toe boards?|colours?|metres?)\b/gi;
const AMERICAN = /\b(dado\w*|rabbet\w*|casters?|toe kicks?|colors?|meters?)\b/gi;
const CHOICES = ['housing, rebate, toe board', 'dado, rabbet, toe kick'];

for (const [id, foreign, words] of [
  ['bindery', METRIC, BRITISH],
  ['print-shed', INCH, AMERICAN],
] as const) {
  test(`every page of the ${id} is in the units and words it works in`, { tag: '@long' }, async ({ page, own: shed }) => {
    test.setTimeout(900_000);
    if (id === 'bindery') await page.request.post(`${shed.url}/api/projects/demo?of=bindery`);
    const file = (await (await page.request.get(`${shed.url}/api/projects/${id}/file`)).json()) as { pieces: object };
    const found: string[] = [];
    const read = async (where: string) => {
      await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
      const text = await page.evaluate(() => document.body.innerText);
      for (const line of text.split('\n'))
        for (const figure of [...(line.match(foreign) ?? []), ...(CHOICES.some((c) => line.includes(c)) ? [] : (line.match(words) ?? []))])
          if (!SOLD.test(figure)) found.push(`${where}: ${line.slice(0, 160)}`);
    };
    for (const at of [...PAGES, ...Object.keys(file.pieces).flatMap((p) => STATIONS.map((s) => `/pieces/${p}/${s}`))]) {
      await page.goto(`${shed.url}/p/${id}${at}`);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      await read(at);
      if (at === '/handbook')
        for (const link of await page.getByRole('navigation', { name: 'Pages of the handbook' }).getByRole('link').all()) {
          await link.click();
          await expect(page.getByRole('heading', { level: 1 })).toHaveText((await link.textContent()) ?? '');
          await read(`${at}, ${await link.textContent()}`);
        }
      if (!at.endsWith('/build')) continue;
      for (const step of await page.getByRole('list', { name: 'Steps' }).getByRole('button').all()) {
        await step.click();
        await read(at);
      }
    }
    expect([...new Set(found)]).toEqual([]);
  });
}
