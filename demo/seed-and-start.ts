import { join } from 'node:path';
import { readConfig } from '#server/config.ts';
import { BoundedQueue, decodingWidth } from '#server/media/bounded-queue.ts';
import { open, placesIn } from '#server/start.ts';
import { seedDemo } from './seed.ts';

// From source demo/seed-and-start.ts, built dist/demo.js: one level below the project either way.
const root = join(import.meta.dirname, '..');
const say = (line: string) => process.stdout.write(`${line}\n`);

try {
  const config = readConfig({ DATA_DIR: 'data/demo', ...process.env, DEMO: '1' }, root);
  const places = placesIn(root, join(root, 'dist/server.js'));
  const running = await open(config, places, { fresh: process.argv.includes('--fresh') });
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void running.stop().then(() => process.exit(0)));
  try {
    const seeded = await seedDemo(
      { ...running.publishing, limits: config, decoding: new BoundedQueue(decodingWidth()) },
      join(root, 'demo/pictures'),
      say,
    );
    if (!seeded) say('The demo data is here already. Start over with: npm run demo -- --fresh');
    const address = await running.listen();
    say(
      `\nKite Wall is open.\n  The studio, as the demo maker or with an account of your own: ${address}/\n  The demo site as readers see it: ${address}/wren-makes/\nStop it with Ctrl-C.`,
    );
  } catch (error) {
    await running.stop();
    throw error;
  }
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
