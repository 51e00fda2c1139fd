import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { seeded } from '../core/cutting/index.js';
import { startServer } from './server.js';

/** What came of two tabs on one piece. */
export interface TabsTried {
  readonly tried: number;
  /** Edits that the server has not, and changes that were taken back under the name of another. */
  readonly lost: number;
  /** Askings that were told that another change comes first. */
  readonly refused: number;
}

const MM = 80_000;
const FIELDS = [
  { name: 'Width, top', of: 'widths' },
  { name: 'Depth, middle', of: 'depths' },
] as const;

/** How often it is looked, how long nothing has to be under way, and for how long it is waited for at the most, ms. */
const [LOOKS, QUIET, LONGEST] = [50, 500, 30_000];

interface Change {
  readonly change: number;
  readonly label: string;
  readonly undone: boolean;
}

/** Two tabs of one browser that edit the same opening and take back what they see as the latest, in an order by a seed. */
export async function twoTabs(rounds: number, seed: number, told: (text: string) => void): Promise<TabsTried | null> {
  const browser = await chromium
    .launch({ executablePath: process.env['RUVOK_CHROMIUM'] ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
    .catch(() => null);
  if (browser === null) return null;
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-tabs-'));
  const running = await startServer(folder);
  const path = `${running.url}/api/projects/print-shed`;
  const random = seeded(seed);
  const asked = async <T>(what: string) => (await (await fetch(`${path}/${what}`)).json()) as T;
  const valueOf = async (of: 'widths' | 'depths') =>
    ((await asked<{ data: Record<'widths' | 'depths', { value: number }[]> }>('openings/alcove')).data[of][0]?.value ?? 0) / MM;
  // What one has to choose between is shown, sooner or later: one's own is kept.
  const until = async (tab: Page, done: () => Promise<boolean>) => {
    const keep = tab.getByRole('button', { name: 'Keep mine' });
    for (let waited = 0; waited < LONGEST; waited += LOOKS) {
      if (await keep.isVisible()) await keep.click();
      if (await done()) return true;
      await tab.waitForTimeout(LOOKS);
    }
    return false;
  };
  const busy = (tab: Page) =>
    tab
      .getByRole('status')
      .filter({ hasText: /Saving|waiting/ })
      .or(tab.getByRole('button', { name: 'Keep mine' }))
      .first()
      .isVisible();
  const settled = (tab: Page) => {
    let quiet = 0;
    return until(tab, async () => {
      quiet = (await busy(tab)) ? 0 : quiet + LOOKS;
      return quiet > QUIET;
    });
  };
  let [lost, refused] = [0, 0];
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const tabs = [await context.newPage(), await context.newPage()];
    for (const tab of tabs) {
      await tab.goto(`${running.url}/p/print-shed/pieces/ink-case/measure`);
      await tab.getByRole('textbox', { name: FIELDS[0].name }).waitFor();
    }
    for (let round = 0; round < rounds; round += 1) {
      const tab = tabs[Math.floor(random() * tabs.length)] as Page;
      const undo = tab.getByRole('button', { name: /^Undo: / });
      if (random() < 0.35 && (await undo.isVisible()) && (await undo.isEnabled())) {
        const before = new Set((await asked<Change[]>('changes')).filter((c) => c.undone).map((c) => c.change));
        // What stands on it at the moment of the press: what the other tab did may arrive at any time.
        const pressed = await undo.evaluate((button) => {
          const name = button.getAttribute('aria-label') ?? '';
          (button as unknown as { click: () => void }).click();
          return name;
        });
        const shown = pressed.replace(/^Undo: /, '');
        await settled(tab);
        const taken = (await asked<Change[]>('changes')).filter((c) => c.undone && !before.has(c.change));
        if (taken.length === 0) refused += 1;
        if (taken.length > 1 || taken.some((c) => !shown.startsWith(c.label.slice(0, 40)))) {
          lost += 1;
          told(`round ${round}: “${shown}” was asked for, and taken back was ${taken.map((c) => `“${c.label}”`).join(', ')}`);
        }
        continue;
      }
      const field = FIELDS[Math.floor(random() * FIELDS.length)] as (typeof FIELDS)[number];
      const value = (field.of === 'widths' ? 1205 : 330) + (round % 17);
      const box = tab.getByRole('textbox', { name: field.name });
      await box.fill(`${value}`);
      await box.press('Enter');
      if (!(await until(tab, async () => (await valueOf(field.of)) === value))) {
        lost += 1;
        told(`round ${round}: ${field.name} was set to ${value}, and ${await valueOf(field.of)} is kept`);
      }
      await settled(tab);
    }
  } finally {
    await browser.close();
    await running.kill();
    rmSync(folder, { recursive: true, force: true });
  }
  return { tried: rounds, lost, refused };
}
