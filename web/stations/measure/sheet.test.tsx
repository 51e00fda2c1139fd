import { newOpening } from '../../data/defaults.js';
import { newCase } from '../../kinds/panel-case/begin.js';
import { means, onHand, workshopOf } from '../../test/filled.js';
import { projectOf } from '../../test/in-project.js';
import { wired } from '../../test/on-bench.js';
import { MeasureSheet } from './sheet.js';
import { MeasureStage } from './stage.js';

const PIECE = {
  ...newCase(onHand('mm')),
  opening: 'niche',
  width: { from: 'opening' },
  height: { from: 'opening' },
  depth: { from: 'opening' },
} as const;
const SHOP = { ...workshopOf('mm', means('mm', PIECE)), openings: new Map([['niche', newOpening('mm')]]) };
const PROJECT = projectOf(PIECE, SHOP);

test('each control of the worksheet of Measure changes what it says, of the piece or of its opening', async () => {
  expect(await wired(PROJECT, <MeasureSheet />)).toEqual([
    'Name of the piece → name',
    'To make → times',
    'Each side → openings.niche.slack.side',
    'Above → openings.niche.slack.above',
    'Behind → openings.niche.slack.behind',
    'Ceiling → openings.niche.ceiling',
    'Free in front → openings.niche.inFront',
    'Door, wide → openings.niche.door',
    'Door, high → openings.niche.door.height',
    'Another stud → openings.niche.studs',
    '  Stud 1 → openings.niche.studs.0',
    'Width comes from → width.from, width.size, width.of',
    '  Width, given → width.size',
    '  The width is → width.of',
    'Height comes from → height.from, height.size, height.of',
    '  Height, given → height.size',
    '  The height is → height.of',
    'Depth comes from → depth.from, depth.size, depth.of',
    '  Depth, given → depth.size',
    '  The depth is → depth.of',
    'Goes into → opening',
    'Measure another opening → openings.opening',
    'Skirting → openings.niche.obstacles.0',
    '  Wide → openings.niche.obstacles.0.width',
    '  High → openings.niche.obstacles.0.height',
    '  Deep → openings.niche.obstacles.0.depth',
    '  From left → openings.niche.obstacles.0.x',
    '  From floor → openings.niche.obstacles.0.y',
    '  Off the wall → openings.niche.obstacles.0.z',
    '  Remove Skirting → openings.niche.obstacles.0',
    'Pipe → openings.niche.obstacles.0',
    '  Remove Pipe → openings.niche.obstacles.0',
    'Beam → openings.niche.obstacles.0',
    '  Remove Beam → openings.niche.obstacles.0',
    'Something else → openings.niche.obstacles.0',
    '  Remove Something in the way → openings.niche.obstacles.0',
  ]);
}, 120_000);

test('each reading goes where the tape was held, and is no longer assumed', async () => {
  expect(await wired(PROJECT, <MeasureStage />)).toEqual([
    'Width, top → openings.niche.widths.0.value, openings.niche.widths.0.assumed',
    'Width, middle → openings.niche.widths.1.value, openings.niche.widths.1.assumed',
    'Width, bottom → openings.niche.widths.2.value, openings.niche.widths.2.assumed',
    'Height, left → openings.niche.heights.0.value, openings.niche.heights.0.assumed',
    'Height, right → openings.niche.heights.1.value, openings.niche.heights.1.assumed',
    'Depth, middle → openings.niche.depths.0.value, openings.niche.depths.0.assumed',
    'Diagonal, rising → openings.niche.diagonals',
    'Diagonal, falling → openings.niche.diagonals.falling',
  ]);
}, 120_000);
