import type { AccountLetterAbout } from './letter-about.ts';
import { tokenLives } from './token-lives.ts';

/** A mail, ready to be sent. */
export interface Letter {
  subject: string;
  text: string;
  /** Whom an answer goes to; nobody where it is left out. */
  replyTo?: { name: string; address: string };
  /** Where such mails are ended, by whoever gets them without having an account. */
  stops?: string;
}

export interface LetterFacts {
  /** What the maker goes by. */
  name: string;
  /** Origin of the server, without a slash at its end. */
  origin: string;
  /** Proves that its reader has this mail; needed where it is to be confirmed or a password set. */
  token?: string;
}

const foot = (origin: string) => `\n\n-- \nKite Wall at ${origin}\n`;
/** Behind `#`, so that it is sent to no server and stands in no log. */
const linkTo = (page: string, { origin, token = '' }: LetterFacts) => `${origin}/studio/${page}#${token}`;

/** The words of a mail about an account. */
export function accountLetter(about: AccountLetterAbout, facts: LetterFacts): Letter {
  const { name, origin } = facts;
  const letter = (subject: string, ...paragraphs: string[]): Letter => ({
    subject,
    text: [`Hello ${name},`, ...paragraphs].join('\n\n') + foot(origin),
  });
  switch (about.kind) {
    case 'confirm':
      return letter(
        'Is this your address?',
        'somebody made an account on Kite Wall with this address. If that was you, open this and press the button there:',
        linkTo('confirm', facts),
        `It works once, for ${tokenLives.confirm.words}. If it was not you, do nothing.`,
      );
    case 'confirm-new':
      return letter(
        'Is this your new address?',
        'your account is to go by this address from now on. If that is right, open this and press the button there:',
        linkTo('confirm', facts),
        `It works once, for ${tokenLives.confirm.words}. Until then the address before it stays. If you know nothing of this, do nothing.`,
      );
    case 'address-in-use':
      return letter(
        'Somebody wanted this address for another account',
        'somebody with another account wanted it to go by your address. It has an account already, so nothing was changed. If that was you, sign in with this address; should you not know the password any more, the door of the studio helps.',
      );
    case 'address-changed':
      return letter(
        'Your account goes by another address',
        `from now on your account goes by ${about.now}. If you did not do that, ask whoever runs this server at once.`,
      );
    case 'reset':
      return letter(
        'A new password',
        'somebody asked for a new password for your account. If that was you, open this and choose one:',
        linkTo('new-password', facts),
        `It works once, for ${tokenLives.reset.words}. If it was not you, do nothing: your password stays.`,
      );
    case 'password-changed':
      return letter(
        'Your password was changed',
        'your account has a new password, and is signed out wherever it was open. If you did not do that, choose another one at the door of the studio: “Forgotten the password”.',
      );
    case 'leaving':
      return letter(
        'Your account is going to be deleted',
        `as you wanted, your account and all of it goes on ${about.at.slice(0, 10)}. Your links are closed already. Should you think otherwise until then, sign in and keep it.`,
      );
  }
}
