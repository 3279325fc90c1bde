import { join } from 'node:path';
import { readConfig } from '#server/config.ts';
import { outsideRequests } from '#server/commands/outside-requests.ts';
import { Outgoing } from '#server/links/outgoing.ts';
import { open, placesIn } from '#server/start.ts';
import { startStandIns } from '../standins/stand-ins.ts';
import { seedDemo } from './seed.ts';

// From source demo/seed-and-start.ts, built dist/demo.js: one level below the project either way.
const root = join(import.meta.dirname, '..');
const say = (line: string) => process.stdout.write(`${line}\n`);

try {
  const read = readConfig({ DATA_DIR: 'data/demo', ...process.env, DEMO: '1' }, root);
  const pictures = join(root, 'demo/pictures');
  const standIns = await startStandIns(read.standInsPort, pictures);
  const config = {
    ...read,
    standIns: [standIns.origin],
    mail: { ...read.mail, smtp: read.mail.smtp ?? standIns.mail.url },
  };
  const places = placesIn(root, join(root, 'dist/server.js'));
  const running = await open(config, places, { fresh: process.argv.includes('--fresh') });
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(
      signal,
      () => void Promise.all([running.stop(), standIns.close()]).then(() => process.exit(0)),
    );
  try {
    const outgoing = new Outgoing(config.standIns);
    const seeded = await seedDemo(
      { ...outsideRequests(running.publishing), limits: config, outgoing },
      { pictures, standIns: standIns.origin, secret: running.secret },
      say,
    );
    await outgoing.close();
    if (!seeded) say('The demo data is here already. Start over with: npm run demo -- --fresh');
    const address = await running.listen();
    say(
      `\nKite Wall is open.\n  The studio, as the demo maker or with an account of your own: ${address}/\n  The demo site as readers see it: ${address}/wren-makes/\n  Stand-ins for a clip host and web pages: ${standIns.origin}/open\n  Mails that the demo sends arrive at: ${standIns.origin}/inbox\n  A class's box for links: ${standIns.origin}/class-box\nStop it with Ctrl-C.`,
    );
  } catch (error) {
    await running.stop();
    throw error;
  }
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
