import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'],
});
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
p.on('pageerror', (e) => console.log('ERR', e.message));
const u = 'http://127.0.0.1:4299';
const shots = [
  ['mat-stand/divide?at=mat-drawer', 'a1'],
  ['trolley-stand/divide', 'a2'],
  ['press-stand/divide?view=solid', 'a3'],
  ['trolley-stand/carry', 'a4'],
];
for (const [path, n] of shots) {
  await p.goto(`${u}/p/print-shed/pieces/${path}`);
  await p.waitForTimeout(2500);
  await p.screenshot({ path: `/tmp/${n}.png` });
}
await b.close();
