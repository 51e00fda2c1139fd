import { kindList, type Piece } from '../../core/piece/index.js';
import { boardsPage } from './boards/index.js';
import { cellsPage } from './cells/index.js';
import { drawersPage } from './drawers/index.js';
import { equipmentPage } from './equipment/index.js';
import { foldingPage } from './folding/index.js';
import { framePage } from './frame/index.js';
import { groovesPage } from './grooves/index.js';
import { inPlacePage } from './in-place/index.js';
import { leaningPage } from './leaning/index.js';
import { levelsPage } from './levels/index.js';
import type { InteriorPage, ShellPage } from './page.js';
import { panelCasePage } from './panel-case/index.js';
import { panelsPage } from './panels/index.js';
import { slatsPage } from './slats/index.js';
import { wallBoardPage } from './wall-board/index.js';

/** The shells that the page shows. */
export const SHELL_PAGES = kindList<ShellPage>([panelCasePage, framePage, leaningPage, foldingPage, wallBoardPage, inPlacePage]);

/** The interiors that the page shows. */
export const INTERIOR_PAGES = kindList<InteriorPage>([
  panelsPage,
  drawersPage,
  cellsPage,
  groovesPage,
  equipmentPage,
  boardsPage,
  slatsPage,
  levelsPage,
]);

/** Every way of filling an open space. */
export const fillings = () => INTERIOR_PAGES.all.flatMap((page) => page.fillings);

/** Everything that a piece can be begun from. */
export const cards = () => [...SHELL_PAGES.all, ...INTERIOR_PAGES.all].flatMap((page) => page.cards);

export const shellPage = ({ shell }: Piece) => SHELL_PAGES.of(shell);
