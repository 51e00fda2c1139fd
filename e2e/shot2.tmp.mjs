import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'],
});
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
await p.goto('http://127.0.0.1:4299/p/print-shed/pieces/ink-case/divide?at=bottles');
await p.waitForTimeout(1500);
console.log((await p.getByRole('button').evaluateAll((l) => l.map((e) => e.getAttribute('aria-label') || e.textContent))).join(' | '));
console.log(await p.locator('aside').first().ariaSnapshot());
await b.close();
