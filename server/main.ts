import { join, resolve } from 'node:path';
import { newPasswordOnce } from './accounts/new-password-once.ts';
import { backUp, restore } from './backup/backup.ts';
import { readConfig } from './config.ts';
import { sweepOnce } from './media/sweep-once.ts';
import { open, placesIn } from './start.ts';

// From source this file is server/main.ts, built it is dist/server.js: one level below the project either way.
const root = join(import.meta.dirname, '..');

/** The folder that a command was given. */
function folderIn([folder]: readonly string[]): string {
  if (!folder) throw new Error('Name a folder, for example: npm run backup -- /somewhere/else/kite-wall');
  return resolve(folder);
}

try {
  const config = readConfig(process.env, root);
  const [, , command, ...rest] = process.argv;
  // These take the data folder by themselves.
  const beforehand = {
    backup: () => backUp(config.dataDir, folderIn(rest)),
    restore: () => restore(folderIn(rest), config.dataDir),
  };
  if (command !== undefined && Object.hasOwn(beforehand, command)) {
    process.stdout.write(`${await beforehand[command as keyof typeof beforehand]()}\n`);
    process.exit(0);
  }
  const running = await open(config, placesIn(root, import.meta.filename));
  const once = {
    sweep: () => sweepOnce(running, config, rest.includes('--dry-run')),
    'new-password': () => newPasswordOnce(running, rest[0] ?? ''),
  };
  if (command !== undefined && Object.hasOwn(once, command)) {
    process.stdout.write(`${await once[command as keyof typeof once]()}\n`);
    await running.stop();
    process.exit(0);
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void running.stop().then(() => process.exit(0)));
  const address = await running.listen().catch(async (error: unknown) => {
    await running.stop();
    throw error;
  });
  process.stdout.write(`Kite Wall is open at ${address}/\n`);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
