import type { PublishDeps } from '../publish/made-files.ts';
import { tidy } from '../publish/tidy.ts';
import { Commands } from './commands.ts';

/** What writing and publishing need where nobody is being served yet: while a demo is seeded, and in benches. */
export function outsideRequests(publishing: PublishDeps): PublishDeps & { commands: Commands } {
  const commands = new Commands({
    db: publishing.db,
    open: { forget: async () => {} },
    tidying: {
      run: async (site) => {
        await tidy(publishing, site);
      },
      // Other sites are made tidy once somebody asks for them.
      later: () => undefined,
    },
  });
  return { ...publishing, commands };
}
