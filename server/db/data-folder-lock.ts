import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import lockfile from 'proper-lockfile';

/**
 * Takes the data folder for this process, or says that another one has it. A lock left by a process that died
 * is taken over after ten seconds.
 *
 * @returns what gives the folder back
 * @throws Error with a sentence for the person at the terminal
 */
export async function lockDataFolder(folder: string): Promise<() => Promise<void>> {
  await mkdir(folder, { recursive: true });
  const file = join(folder, 'in-use');
  await writeFile(file, `${process.pid}\n`, { flag: 'a' });
  try {
    return await lockfile.lock(file, {
      stale: 10_000,
      update: 3_000,
      retries: { retries: 3, minTimeout: 4_000, maxTimeout: 4_000 },
    });
  } catch {
    throw new Error(
      `Another Kite Wall is using the data folder ${folder}. Stop it first, or set DATA_DIR to another folder.`,
    );
  }
}
