import { wordsFor } from './words-for.ts';

/** What is said at the door of a pass. It names nobody and nothing that lies behind. */
export interface DoorWords {
  language: string;
  asks: string;
  password: string;
  open: string;
  /** Whom to ask for it. */
  whom: string;
  wrong: string;
  tooMany: string;
  making: string;
  wait: string;
  /** Where a code from print is typed. */
  code: string;
  codeHint: string;
  /** Where somebody who commented ends mails about that. */
  mails: string;
  mailsWhy: string;
  mailsStop: string;
  mailsStopped: string;
}

const all: Record<string, Omit<DoorWords, 'language'>> = {
  en: {
    asks: 'This link asks for a password.',
    password: 'Password',
    open: 'Open',
    whom: 'It came from whoever gave you the link.',
    wrong: 'This is not the password. Look at each letter, or ask whoever gave you the link.',
    tooMany: 'There were too many tries. Wait an hour, then try again.',
    making: 'One moment.',
    wait: 'What this link opens is being put together. This page looks again by itself.',
    code: 'Code from a card',
    codeHint: 'Letters and digits as they are printed. Small letters and spaces are fine.',
    mails: 'Mails about your comments',
    mailsWhy: 'You get one when somebody answers what you said on this site.',
    mailsStop: 'Send no more',
    mailsStopped: 'No more mails go to this address about what was said on this site.',
  },
  de: {
    asks: 'Dieser Link fragt nach einem Passwort.',
    password: 'Passwort',
    open: 'Öffnen',
    whom: 'Es kam von der Person, die dir den Link gegeben hat.',
    wrong:
      'Das ist nicht das Passwort. Prüfe jeden Buchstaben oder frage die Person, die dir den Link gegeben hat.',
    tooMany: 'Das waren zu viele Versuche. Warte eine Stunde und versuche es dann noch einmal.',
    making: 'Einen Moment.',
    wait: 'Was dieser Link öffnet, wird gerade zusammengestellt. Diese Seite schaut von selbst noch einmal nach.',
    code: 'Code von einer Karte',
    codeHint: 'Buchstaben und Ziffern wie gedruckt. Kleinbuchstaben und Leerzeichen stören nicht.',
    mails: 'Mails zu deinen Kommentaren',
    mailsWhy: 'Du bekommst eine, wenn jemand auf deine Worte auf dieser Website antwortet.',
    mailsStop: 'Keine mehr schicken',
    mailsStopped: 'An diese Adresse gehen keine Mails mehr zu dem, was auf dieser Website gesagt wurde.',
  },
  es: {
    asks: 'Este enlace pide una contraseña.',
    password: 'Contraseña',
    open: 'Abrir',
    whom: 'Te la dio quien te pasó el enlace.',
    wrong: 'Esta no es la contraseña. Mira cada letra o pregunta a quien te pasó el enlace.',
    tooMany: 'Ha habido demasiados intentos. Espera una hora y vuelve a intentarlo.',
    making: 'Un momento.',
    wait: 'Se está preparando lo que abre este enlace. Esta página vuelve a mirar por sí sola.',
    code: 'Código de una tarjeta',
    codeHint: 'Letras y cifras tal como están impresas. Da igual si son minúsculas o hay espacios.',
    mails: 'Correos sobre tus comentarios',
    mailsWhy: 'Recibes uno cuando alguien responde a lo que dijiste en este sitio.',
    mailsStop: 'No enviar más',
    mailsStopped: 'A esta dirección ya no llegan correos sobre lo dicho en este sitio.',
  },
  fr: {
    asks: 'Ce lien demande un mot de passe.',
    password: 'Mot de passe',
    open: 'Ouvrir',
    whom: 'Il vient de la personne qui vous a donné le lien.',
    wrong:
      'Ce n’est pas le mot de passe. Vérifiez chaque lettre ou demandez à la personne qui vous a donné le lien.',
    tooMany: 'Il y a eu trop d’essais. Attendez une heure, puis essayez de nouveau.',
    making: 'Un instant.',
    wait: 'Ce que ce lien ouvre est en préparation. Cette page regarde à nouveau toute seule.',
    code: 'Code d’une carte',
    codeHint: 'Lettres et chiffres tels qu’ils sont imprimés. Minuscules et espaces ne gênent pas.',
    mails: 'E-mails au sujet de vos commentaires',
    mailsWhy: 'Vous en recevez un quand quelqu’un répond à ce que vous avez dit sur ce site.',
    mailsStop: 'Ne plus en envoyer',
    mailsStopped: 'Plus aucun e-mail ne part vers cette adresse au sujet de ce site.',
  },
};

/**
 * The words at the door: in the language a reader likes best of those that there are, since that of the site would tell something of it.
 *
 * @param accepted the header `Accept-Language` (RFC 9110, 12.5.4)
 */
export function doorWords(accepted: string): DoorWords {
  const liked = accepted
    .split(',')
    .map((one) => {
      const [range = '', quality = 'q=1'] = one.split(';').map((piece) => piece.trim());
      return {
        language: range.split('-')[0]?.toLowerCase() ?? '',
        quality: Number(quality.replace(/^q=/, '')),
      };
    })
    .filter(({ language, quality }) => Object.hasOwn(all, language) && quality > 0)
    .sort((a, b) => b.quality - a.quality);
  const language = wordsFor(liked[0]?.language ?? 'en').language;
  return { language, ...(all[language] ?? all['en']) } as DoorWords;
}
