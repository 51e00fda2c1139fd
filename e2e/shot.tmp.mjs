import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'],
});
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
const shot = (n) => p.screenshot({ path: `/tmp/s-${n}.png` });
await p.goto('http://127.0.0.1:4298/');
await p.waitForTimeout(600);
await shot('a1');
await p.getByRole('button', { name: 'Measure an opening' }).click();
await p.waitForTimeout(1500);
await shot('a2');
await p.getByRole('textbox', { name: 'Width, top' }).fill('1212');
await p.keyboard.press('Tab');
await p.keyboard.type('1209');
await p.keyboard.press('Tab');
await p.waitForTimeout(800);
await shot('a3');
await p.goto('http://127.0.0.1:4298/');
await p.waitForTimeout(800);
await shot('a4');
await p.getByRole('button', { name: 'From things it must hold' }).click();
await p.waitForTimeout(1000);
await shot('a5');
await p.goto('http://127.0.0.1:4299/p/print-shed/pieces/ink-case/parts?at=case/side/left');
await p.waitForTimeout(1200);
await shot('a6');
await p.goto('http://127.0.0.1:4299/p/print-shed/pieces/ink-case/carry?at=right-2/shelf/1');
await p.waitForTimeout(1500);
await shot('a7');
await b.close();
