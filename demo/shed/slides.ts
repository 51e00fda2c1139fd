import type { ProjectFile } from '../../core/formats/project-file.js';
import { mm } from '../../core/length/index.js';
import { asKg } from '../../core/measures/index.js';

const lengths = [250, 300, 350, 400, 450, 500, 550, 600].map((l) => mm(l));

/** Drawer slides: full extension, and an older pair that measures more than it should. */
export const SLIDES: NonNullable<ProjectFile['slides']> = {
  'slide-heavy': {
    name: 'Heavy slide 76',
    lengths: [mm(600), mm(700), mm(800)],
    side: mm(12.7),
    height: mm(76),
    setback: mm(3),
    rating: asKg(150),
    extension: 1,
    price: 96,
  },
  'slide-45': { name: 'Ball slide 45', lengths, side: mm(12.7), height: mm(45), setback: mm(3), rating: asKg(35), extension: 1, price: 19 },
  'slide-45-old': {
    name: 'Ball slide 45, old stock',
    lengths,
    side: mm(13.2),
    height: mm(45),
    setback: mm(3),
    rating: asKg(30),
    extension: 1,
    price: 12,
  },
};
