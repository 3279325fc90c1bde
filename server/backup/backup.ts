import { cp, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { lockDataFolder } from '../db/data-folder-lock.ts';

/** What of a data folder is more than a trace of the process that uses it. */
const kept = ['database', 'blobs', 'secret'] as const;

const isThere = (path: string): Promise<boolean> =>
  stat(path).then(
    () => true,
    () => false,
  );

/** Copies what there is of these parts; under another name until all of it is there. */
async function copyParts(from: string, to: string): Promise<void> {
  const making = `${to}-making`;
  await rm(making, { recursive: true, force: true });
  await mkdir(making, { recursive: true, mode: 0o700 });
  for (const part of kept)
    if (await isThere(join(from, part)))
      await cp(join(from, part), join(making, part), { recursive: true, preserveTimestamps: true });
  await rename(making, to);
}

/**
 * Copies the data of a server that does not run.
 *
 * @param to a folder that is not there yet
 * @returns what was done, in a sentence
 * @throws where a server uses the data, where there is none, or where the copy would lie on something
 */
export async function backUp(dataDir: string, to: string): Promise<string> {
  if (!(await isThere(join(dataDir, 'blobs'))))
    throw new Error(`There is no data of Kite Wall in ${dataDir}.`);
  if (await isThere(to)) throw new Error(`${to} is there already. Name a folder that is not.`);
  const unlock = await lockDataFolder(dataDir);
  try {
    await copyParts(dataDir, to);
  } finally {
    await unlock();
  }
  return `The data in ${dataDir} is copied to ${to}. Keep it where the server is not, and to yourself: it holds everything.`;
}

/**
 * Puts a copy in the place of the data of a server that does not run. What was there is kept beside it.
 *
 * @param from a folder that `backUp` made
 * @returns what was done, in a sentence
 * @throws where a server uses the data, or where there is no copy
 */
export async function restore(from: string, dataDir: string): Promise<string> {
  const parts = await readdir(from).catch(() => [] as string[]);
  if (!parts.includes('blobs') || !parts.includes('secret'))
    throw new Error(`There is no copy of Kite Wall's data in ${from}.`);
  if (!(await isThere(dataDir))) {
    await copyParts(from, dataDir);
    return `The copy in ${from} is the data in ${dataDir} now.`;
  }
  const unlock = await lockDataFolder(dataDir);
  const before = `${dataDir}-before-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  try {
    await mkdir(before, { mode: 0o700 });
    for (const part of kept)
      if (await isThere(join(dataDir, part))) await rename(join(dataDir, part), join(before, part));
    for (const part of kept)
      if (await isThere(join(from, part)))
        await cp(join(from, part), join(dataDir, part), { recursive: true, preserveTimestamps: true });
  } finally {
    await unlock();
  }
  return `The copy in ${from} is the data in ${dataDir} now. What was there before is in ${before}.`;
}
