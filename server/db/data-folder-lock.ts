import { readFileSync } from 'node:fs';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { z } from 'zod';

const ownerSchema = z.object({
  pid: z.number().int(),
  host: z.string(),
  /** When the process began, as the system counts; null where it does not say. Numbers of processes come again. */
  began: z.string().nullable(),
});
type Owner = z.infer<typeof ownerSchema>;

/** When a process began, in the system's clock ticks since it started (proc(5), field 22 of stat); null elsewhere. */
function beganAt(pid: number): string | null {
  try {
    // The name of the program stands in brackets and may hold blanks.
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

function isAlive({ pid, began }: Owner): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    // Somebody else's process is a process.
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  return began === null || beganAt(pid) === began;
}

async function ownerOf(file: string): Promise<Owner | null> {
  try {
    return ownerSchema.parse(JSON.parse(await readFile(file, 'utf8')));
  } catch {
    // Gone, or written half when the power went.
    return null;
  }
}

const inUse = (folder: string) =>
  new Error(
    `Another Kite Wall is using the data folder ${folder}. Stop it first, or set DATA_DIR to another folder.`,
  );

/**
 * Takes the data folder for this process, or says that another one has it. A process that lives keeps its folder however
 * long it stands still, since two at once would destroy what is in it; one that was killed has lost it at once.
 *
 * @returns what gives the folder back
 * @throws Error with a sentence for the person at the terminal
 */
export async function lockDataFolder(folder: string): Promise<() => Promise<void>> {
  await mkdir(folder, { recursive: true });
  const file = join(folder, 'owner.json');
  const me: Owner = { pid: process.pid, host: hostname(), began: beganAt(process.pid) };
  for (let attempt = 0; attempt < 20; attempt++) {
    try {
      await writeFile(file, JSON.stringify(me), { flag: 'wx' });
      return async () => {
        const owner = await ownerOf(file);
        if (owner?.pid === me.pid && owner.began === me.began) await rm(file, { force: true });
      };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    const owner = await ownerOf(file);
    // A process on another machine cannot be asked whether it lives.
    if (owner && owner.host !== me.host)
      throw new Error(
        `The data folder ${folder} is in use by a Kite Wall on ${owner.host}. If that one is not running any more, delete the file ${file} and start again.`,
      );
    if (owner && isAlive(owner)) throw inUse(folder);
    // Only one of several that find the dead one's mark can move it away; whose mark it was is looked at once more.
    const aside = `${file}.${process.pid}.${attempt}`;
    await rename(file, aside).catch(() => undefined);
    const moved = await ownerOf(aside);
    if (moved && moved.pid !== owner?.pid) {
      await rename(aside, file);
      throw inUse(folder);
    }
    await rm(aside, { force: true });
  }
  throw inUse(folder);
}
