import type { Config } from '../config.ts';
import { vacuum } from '../db/vacuum.ts';
import type { Running } from '../start.ts';
import { sweep } from './sweep.ts';

/**
 * Sweeps the data folder of a server that does not run.
 *
 * @param dryRun only says what would go
 * @returns what was done, in a sentence
 */
export async function sweepOnce(
  { publishing: { db, blobs, assets } }: Pick<Running, 'publishing'>,
  limits: Pick<Config, 'maxTotalBytes'>,
  dryRun: boolean,
): Promise<string> {
  const { files, bytes } = await sweep({ db, blobs, assets, limits }, { dryRun });
  if (!dryRun) await vacuum(db);
  const amount = `${files} ${files === 1 ? 'file' : 'files'} (${(bytes / 1e6).toFixed(1)} MB) that nothing names`;
  return dryRun ? `${amount} would be taken away; nothing was.` : `${amount} taken away.`;
}
