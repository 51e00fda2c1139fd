import type { QuickCheck } from '../core/formats/index.js';

/** The quick check of project files, put in here ready made when the command is built; none when it runs from its sources. */
export const projectCheck: QuickCheck | null = null;
