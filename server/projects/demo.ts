import type { INestApplicationContext } from '@nestjs/common';
import { PRINT_SHED } from '../../demo/print-shed.js';
import { ProjectsService } from './projects.service.js';

/** The id under which the demo is loaded. */
export const DEMO_ID = 'print-shed';

/** Loads the print shed into a store that is empty. */
export async function loadDemo(app: INestApplicationContext): Promise<void> {
  const projects = app.get(ProjectsService);
  if (await projects.isEmpty()) await projects.read(DEMO_ID, PRINT_SHED);
}
