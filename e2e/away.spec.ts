import type { Page } from '@playwright/test';
import { freshFolder } from './record.js';
import { saved } from './hands.js';
import { begunFolder, expect, startServer, test, type Running } from './server.js';

const folder = freshFolder(() => begunFolder('shed'));

const depth = (page: Page) => page.getByRole('textbox', { name: 'Depth, middle' });
const awayBar = (page: Page) => page.getByRole('status').filter({ hasText: 'server does not answer' });

async function measure(page: Page, name: string, value: string): Promise<void> {
  await page.getByRole('textbox', { name }).fill(value);
  await page.getByRole('textbox', { name }).press('Enter');
}

/** What the server has of the alcove, mm. */
async function kept({ url }: Running): Promise<{ readonly width: number; readonly depth: number; readonly version: number }> {
  const { data, version } = (await (await fetch(`${url}/api/projects/print-shed/openings/alcove`)).json()) as {
    version: number;
    data: { widths: { value: number }[]; depths: { value: number }[] };
  };
  return { width: (data.widths[0]?.value ?? 0) / 80_000, depth: (data.depths[0]?.value ?? 0) / 80_000, version };
}

test('the server is killed under the page: edits wait, outlive a reload, and arrive once each when it is back', async ({ page }) => {
  test.setTimeout(240_000);
  let running = await startServer(folder());
  const { port } = new URL(running.url);
  await page.goto(`${running.url}/p/print-shed/pieces/ink-case/measure`);
  await measure(page, 'Width, top', '1214');
  await saved(page);
  const before = await kept(running);

  const killed = new Promise((resolve) => running.process.once('exit', resolve));
  running.process.kill('SIGKILL');
  await killed;
  await measure(page, 'Width, top', '1216');
  await measure(page, 'Depth, middle', '352');
  await expect(awayBar(page)).toContainText('2 edits wait');
  await expect(awayBar(page)).toContainText('kept in this browser');
  await expect(page.getByRole('alertdialog')).toHaveCount(0);

  // The page is opened anew while they wait; the server comes back at the address that it had.
  running = await startServer(folder(), [], { PORT: port });
  await page.route('**/api/projects/print-shed/openings/**', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await page.reload();
  await expect(depth(page)).toHaveValue('352');
  await expect(awayBar(page)).toContainText('2 edits wait');
  expect(await kept(running)).toEqual(before);
  await page.unroute('**/api/projects/print-shed/openings/**');
  await page.getByRole('button', { name: 'Try now' }).click();
  await saved(page);
  await expect(awayBar(page)).toHaveCount(0);
  await expect.poll(() => kept(running)).toEqual({ width: 1216, depth: 352, version: before.version + 2 });

  // Undo takes back the last of them.
  await page.getByRole('button', { name: /^Undo: Measured depth/ }).click();
  await expect.poll(async () => (await kept(running)).depth).toBe(before.depth);
  await running.stop();
});

test('a fault of the server drops nothing: what was typed waits, outlives a reload, and is sent when it is told to', async ({
  page,
  own: running,
}) => {
  await page.goto(`${running.url}/p/print-shed/people`);
  const before = await kept(running);
  const fault = { type: 'about:blank', title: 'Something went wrong', status: 500, detail: 'Something went wrong here.' };
  const fails = () =>
    page.route('**/api/projects/print-shed/**', (route) =>
      ['POST', 'PUT', 'DELETE'].includes(route.request().method())
        ? route.fulfill({ status: 500, contentType: 'application/problem+json', body: JSON.stringify(fault) })
        : route.continue(),
    );
  await fails();
  // A new person as well as a reading.
  await page.getByRole('button', { name: 'A person' }).click();
  await page.goto(`${running.url}/p/print-shed/pieces/ink-case/measure`);
  await measure(page, 'Depth, middle', '352');
  const bar = page.getByRole('alert').filter({ hasText: 'could not be kept' });
  await expect(bar).toContainText('Something went wrong here. It is kept in this browser, and so is the edit after it.');
  await page.reload();
  await expect(depth(page)).toHaveValue('352');
  await expect(bar).toBeVisible();
  expect(await kept(running)).toEqual(before);
  await page.unroute('**/api/projects/print-shed/**');
  await bar.getByRole('button', { name: 'Send it again' }).click();
  await expect(bar).toHaveCount(0);
  await saved(page);
  expect(await kept(running)).toEqual({ ...before, depth: 352, version: before.version + 1 });
  const people = (await (await fetch(`${running.url}/api/projects/print-shed/people`)).json()) as object[];
  const shed = (await (await fetch(`${running.url}/api/projects/print-shed/changes`)).json()) as { label: string }[];
  expect(people.length).toBeGreaterThan(1);
  expect(shed.slice(0, 2).map((c) => c.label)[0]).toMatch(/^Measured depth/);
});

test('an answer that is lost on its way is no second edit', async ({ page, own: running }) => {
  await page.goto(`${running.url}/p/print-shed/pieces/ink-case/measure`);
  const before = await kept(running);
  let lost = 0;
  await page.route('**/api/projects/print-shed/openings/alcove', async (route) => {
    if (route.request().method() !== 'PUT' || lost > 0) return route.continue();
    lost += 1;
    // It is taken, and the page never hears of it.
    await route.fetch();
    return route.abort();
  });
  await measure(page, 'Depth, middle', '347');
  await expect.poll(() => lost).toBe(1);
  await expect(page.getByRole('button', { name: /^Undo: Measured depth/ })).toBeVisible();
  await saved(page);
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
  expect(await kept(running)).toEqual({ ...before, depth: 347, version: before.version + 1 });
});

test('two tabs: each sees what the other saved; undo takes back nothing that came from elsewhere; a conflict shows its fields', async ({
  page,
  context,
  own: running,
}) => {
  test.setTimeout(120_000);
  const path = `${running.url}/p/print-shed/pieces/ink-case/measure`;
  const other = await context.newPage();
  await page.goto(path);
  await other.goto(path);
  await expect(depth(other)).toBeVisible();
  await measure(page, 'Depth, middle', '341');
  await saved(page);
  // Told by the tab beside it.
  await expect(depth(other)).toHaveValue('341', { timeout: 5000 });
  await expect(other.getByRole('button', { name: /^Undo: Measured depth/ })).toBeVisible();

  // One tab no longer hears of the other: it still shows the depth as what Undo takes back.
  await context.route('**/api/projects/print-shed', (route) =>
    route.request().frame().page() === other ? route.abort() : route.continue(),
  );
  await context.route('**/history?**', (route) => (route.request().frame().page() === other ? route.abort() : route.continue()));
  await measure(page, 'Width, top', '1222');
  await saved(page);
  await other.getByRole('button', { name: /^Undo: Measured depth/ }).click();
  await expect(other.getByRole('alert')).toContainText(/was done elsewhere .*meanwhile/);
  expect(await kept(running)).toMatchObject({ width: 1222, depth: 341 });

  // It changes the depth of what it last saw: both are shown, and keeping its own leaves the width.
  await measure(other, 'Depth, middle', '339');
  const dialog = other.getByRole('alertdialog');
  await expect(dialog.getByRole('row', { name: /widths, 1, value/ })).toContainText('1222 mm');
  await expect(dialog.getByRole('row', { name: /depths, 1, value/ })).toContainText('339 mm');
  await context.unroute('**/api/projects/print-shed');
  await context.unroute('**/history?**');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await saved(other);
  expect(await kept(running)).toMatchObject({ width: 1222, depth: 339 });
});
