import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'],
});
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
await p.goto('http://127.0.0.1:4299/');
await p.getByRole('button', { name: /Start a drawers/ }).click();
await p.getByRole('button', { name: 'Start the drawers' }).click();
await p.waitForTimeout(1500);
await p.screenshot({ path: '/tmp/a1.png' });
await p
  .getByRole('navigation', { name: 'Stations' })
  .getByRole('link', { name: /Measure/ })
  .click();
await p.waitForTimeout(700);
await p.screenshot({ path: '/tmp/a2.png' });
await b.close();
