import type { Page } from '@playwright/test';
import type { Hands } from './hands.js';
import { expect, test, type Running } from './server.js';

/** A project of its own, whatever the others of this file left: one is in its shed. */
export async function begin(page: Page, hands: Hands, empty: Running) {
  const name = test
    .info()
    .title.replaceAll(/[^\w ]/g, '')
    .slice(0, 60);
  await page.goto(`${empty.url}/?all`);
  await hands.fill('Project name', name);
  await hands.choose('Stockroom begins with', 'one sheet');
  await hands.press('button', 'Start the project');
  return name;
}

/** A case in an opening that is measured next. */
export async function caseInOpening(hands: Hands) {
  await hands.press('button', /^Case\b/);
  for (const reach of ['Width', 'Height', 'Depth']) await hands.choose(`${reach} from`, 'an opening I measure');
  await hands.press('button', 'Start the case');
}

/** Stock that is not on hand yet, added where it is chosen. */
export async function addStock(hands: Hands, label: string, name: string, thick: string) {
  await hands.choose(label, 'Another stock…');
  await hands.fill('Sold as', name);
  await hands.fill('Measured thickness', thick);
  await hands.press('button', 'Save');
}

/** Presses a button until a count that is shown reaches what is wanted. */
export async function until(page: Page, hands: Hands, button: string, count: RegExp, wanted: number) {
  for (let now = 0; now !== wanted;) {
    now = Number((await page.getByText(count).textContent())?.split(' ')[0]);
    if (now < wanted) await hands.press('button', button);
    expect(now).toBeLessThanOrEqual(wanted);
  }
}

/** A new project with a piece of a kind begun in it. */
export async function start(page: Page, hands: Hands, empty: Running, kind: RegExp) {
  await begin(page, hands, empty);
  await hands.press('button', kind);
  await hands.press('button', /^Start the/);
  await hands.station('Measure');
}

/** A thing more in the list that is open, with what is filled in and ticked of it, and which way up it is; round where it has a diameter. */
export async function listThing(
  page: Page,
  hands: Hands,
  name: string,
  fields: Readonly<Record<string, string>>,
  ticks: readonly string[] = [],
  wayUp: string | null = null,
) {
  await hands.press('button', 'A thing');
  await hands.fill('What it is', name);
  if ('Diameter' in fields) await hands.choose('Shape', 'A cylinder');
  for (const [label, text] of Object.entries(fields)) await hands.fill(label, text);
  if (wayUp !== null) await hands.choose('Which way up', wayUp);
  for (const tick of ticks) await hands.tick(tick);
  await hands.press('button', 'Save');
  await expect(page.getByRole('row', { name: new RegExp(name) })).toBeVisible();
}
