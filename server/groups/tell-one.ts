import type { LetterAbout } from '#core/letters/letter-about.ts';
import type { Database } from '../db/connect.ts';
import { putOnItsWay } from '../mail/letter-rows.ts';
import { makerToTell, soonMs } from '../mail/maker-to-tell.ts';
import type { Mailing } from '../mail/mailing.ts';

/**
 * Puts a mail on its way that says what a class asks or gives back, if the maker wants mails of what readers say. It is written when it
 * is sent, so what is done by then is not in it; none goes to an address that nobody has shown to be theirs.
 */
export async function tellOne(
  db: Database,
  mailing: Pick<Mailing, 'sends' | 'look'>,
  site: string,
  { entry, says }: Omit<Extract<LetterAbout, { kind: 'class' }>, 'kind'>,
  now: Date,
): Promise<void> {
  if (!mailing.sends) return;
  const maker = await makerToTell(db, site);
  if (!maker) return;
  const about = { kind: 'class', entry, says } as const;
  await putOnItsWay(db, maker.id, maker.email, about, now, new Date(now.getTime() + soonMs));
  mailing.look();
}
