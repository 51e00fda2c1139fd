import type { INestApplicationContext } from '@nestjs/common';
import { BINDERY } from '../../demo/bindery.js';
import { PRINT_SHED } from '../../demo/print-shed.js';
import { ProjectsService } from './projects.service.js';

/** The made-up projects that can be loaded, by the ids they are loaded under. */
export const DEMOS = { 'print-shed': PRINT_SHED, bindery: BINDERY } as const;
export type DemoId = keyof typeof DEMOS;
export const DEMO_IDS = Object.keys(DEMOS) as readonly DemoId[];

/** The one that a new store begins with. */
export const FIRST_DEMO: DemoId = 'print-shed';

/** Loads the print shed into a store that is empty. */
export async function loadDemo(app: INestApplicationContext): Promise<void> {
  const projects = app.get(ProjectsService);
  if (await projects.isEmpty()) await projects.read(FIRST_DEMO, DEMOS[FIRST_DEMO]);
}
