import { BoundedQueue, decodingWidth } from '../media/bounded-queue.ts';
import { type PublishDeps, tidy } from '../publish/publish.ts';
import type { RenderDeps } from '../publish/render-entrance.ts';
import { Commands } from './commands.ts';

/** What writing and publishing need where nobody is being served yet: while a demo is seeded, and in benches. */
export function outsideRequests(deps: RenderDeps): PublishDeps & { commands: Commands } {
  const publishing = { ...deps, decoding: new BoundedQueue(decodingWidth()) };
  const commands = new Commands({
    db: deps.db,
    open: { forget: async () => {} },
    tidy: async (site) => {
      await tidy(publishing, site);
    },
  });
  return { ...publishing, commands };
}
