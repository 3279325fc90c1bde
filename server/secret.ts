import { randomBytes } from 'node:crypto';
import { open, readFile, rename } from 'node:fs/promises';
import { join } from 'node:path';

const bytes = 32;

/**
 * The secret of this server, made at the first start and kept beside its data, readable by its own user alone. The links of passes come
 * of it: whoever has the database and not this file can open none, and whoever restores one without it can show none again.
 *
 * @throws where there is a file that holds something else
 */
export async function secretIn(folder: string): Promise<Buffer> {
  const path = join(folder, 'secret');
  const known = await readFile(path).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null;
    throw error;
  });
  if (known) {
    if (known.byteLength !== bytes)
      throw new Error(`${path} is not a secret of this server. Put back the one from your backup.`);
    return known;
  }
  const made = randomBytes(bytes);
  // Under another name until it is whole: half of it would be worse than none.
  const file = await open(`${path}.new`, 'w', 0o600);
  try {
    await file.writeFile(made);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(`${path}.new`, path);
  return made;
}
