import { rmSync } from 'node:fs';
import { BEGUN, madeAt, makeFolder, startServer } from './server.js';

/** Makes the two folders that the servers of all tests begin with, and takes them away in the end. */
export default async function makeFolders(): Promise<() => void> {
  const made = (['shed', 'empty'] as const).map((begun) => ({ begun, folder: makeFolder() }));
  await Promise.all(made.map(async ({ begun, folder }) => (await startServer(folder, BEGUN[begun])).stop()));
  for (const { begun, folder } of made) process.env[madeAt(begun)] = folder;
  return () => made.forEach(({ folder }) => rmSync(folder, { recursive: true, force: true }));
}
