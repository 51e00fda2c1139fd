import { expect, test } from './server.js';

const PIECES = '/p/print-shed/pieces';

// Drawn by the processor, so that this runs where there is no graphics card.
test.use({
  launchOptions: {
    executablePath: process.env['RUVOK_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'],
  },
});

test('a part clicked in space is selected in the sum and in the address', async ({ page, shed }) => {
  await page.goto(`${shed.url}${PIECES}/paper-chest/divide?view=solid`);
  const canvas = page.locator('canvas');
  await expect(canvas).toBeVisible();
  // The middle of the chest is the front of one of its drawers; it is clicked until the first frame is there.
  await expect(async () => {
    const box = await canvas.boundingBox();
    if (!box) throw new Error('the drawing in space has no size');
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    await expect(page).toHaveURL(/at=.*drawer-front/, { timeout: 1_000 });
  }).toPass();
  await expect(page.getByRole('region', { name: 'The sum of what is selected' })).toContainText('Drawer front');
});
