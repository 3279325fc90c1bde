import type { Config } from '../config.ts';
import type { Database } from '../db/connect.ts';
import type { Mailing } from '../mail/mailing.ts';
import type { PublicSites } from '../serve/public-sites.ts';

/** What everything about accounts stands on. */
export interface AccountDeps {
  db: Database;
  config: Config;
  mailing: Mailing;
  open: Pick<PublicSites, 'forget'>;
  now: () => Date;
}
