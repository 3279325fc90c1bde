import { instantInWords } from '../dates/local-time-in-words.ts';
import type { Letter } from './account-letter.ts';

export interface PassLetterFacts {
  /** What the maker goes by, and the address an answer goes to. */
  maker: { name: string; email: string };
  /** Title of the site. */
  site: string;
  /** The link in full. */
  url: string;
  opensAt: Date | null;
  closesAt: Date | null;
  timeZone: string;
  hasPassword: boolean;
  /** What the maker adds; empty: nothing. */
  note: string;
  /** It was sent before, and closes soon. */
  closing: boolean;
}

/** The mail by which the link of a pass goes to somebody, or says that it closes soon. Its password stands in no mail. */
export function passLetter(facts: PassLetterFacts): Letter {
  const { maker, site, url, opensAt, closesAt, timeZone, hasPassword, note, closing } = facts;
  const inWords = (at: Date) => `${instantInWords(at, timeZone)} (${timeZone})`;
  const when = [
    opensAt && !closing ? `It opens on ${inWords(opensAt)}.` : '',
    closesAt ? `It closes on ${inWords(closesAt)}.` : '',
    hasPassword ? `It asks for a password, which ${maker.name} tells you in another way.` : '',
  ].filter(Boolean);
  return {
    subject: closing
      ? `${site} closes soon`
      : `${maker.name} sends you ${site === maker.name ? 'a site' : site}`,
    text: `${[
      'Hello,',
      closing
        ? `this is still open to you, and closes soon:`
        : `${maker.name} made this and wants you to see it:`,
      url,
      when.join(' '),
      note.trim(),
    ]
      .filter(Boolean)
      .join(
        '\n\n',
      )}\n\n-- \nSent by ${maker.name} with Kite Wall. An answer goes to ${maker.email}. The link is meant for you: whoever has it can open it.\n`,
  };
}
