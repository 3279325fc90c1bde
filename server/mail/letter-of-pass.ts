import { passLetter } from '#core/letters/pass-letter.ts';
import type { Letter } from '#core/letters/account-letter.ts';
import type { LetterAbout } from '#core/letters/letter-about.ts';
import { passState } from '#core/passes/pass-state.ts';
import { passOf, type PassWithSite } from '../passes/pass-rows.ts';

/** What mails are written with. */
export interface LetterContext {
  /** Where what is in a mail leads to. */
  origin: string;
  /** Of the server: keys of passes come of it. */
  secret: Buffer;
  now: Date;
}

/** How a pass's link goes to somebody. @returns null where it opens nothing any more, or its key cannot be told */
export function letterOfPass(
  { row, site }: PassWithSite,
  maker: { name: string; email: string },
  about: Extract<LetterAbout, { kind: 'pass' | 'pass-closing' }>,
  { origin, secret, now }: LetterContext,
): Letter | null {
  const { link, hasPassword } = passOf(row, secret);
  const { opensAt, closesAt, timeZone } = row;
  const state = passState({ opensAt, closesAt, on: row.on }, now);
  if (link === null || state === 'over' || state === 'off') return null;
  const closing = about.kind === 'pass-closing';
  // Its maker has taken the end away since.
  if (closing && closesAt === null) return null;
  return {
    ...passLetter({
      ...{
        maker: { name: maker.name, email: maker.email },
        site,
        url: origin + link,
        opensAt,
        closesAt,
        timeZone,
      },
      ...{ hasPassword, closing, note: about.kind === 'pass' ? about.note : '' },
    }),
    replyTo: { name: maker.name, address: maker.email },
  };
}
