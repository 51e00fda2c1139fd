import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the product: the nearest above this file, source or built, that has a package.json. */
function productFolder(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'package.json'))) {
    const above = dirname(folder);
    if (above === folder) throw new Error(`there is no package.json above ${fileURLToPath(import.meta.url)}`);
    folder = above;
  }
  return folder;
}

const PRODUCT = productFolder();

/** The steps that bring a database up to date. */
export const MIGRATIONS = join(PRODUCT, 'server/data/migrations');

/** A fresh database, made once by the build, so that a first start need not make its own. */
export const SEED = join(PRODUCT, 'build/seed');

/** What does heavy work on threads of its own, once it is built. */
export const WORKER = join(PRODUCT, 'build/server/worker.js');

/** The built page. */
export const PAGE = join(PRODUCT, 'build/web');
