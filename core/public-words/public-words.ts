import type { PhaseWord } from '../moments/phases.ts';
import type { ProfileKind } from '../about/profile-kinds.ts';
import type { ResumeSection } from '../resume/sections.ts';
import type { AttachmentFault } from '../comments/attachment.ts';
import type { Extent } from '../comments/mark.ts';
import type { CommentFault, MailFault, QuoteFault } from '../comments/typed-comment.ts';
import type { MessageFault, MessageField } from '../messages/message.ts';

/**
 * What public pages say of themselves, in one language. A new language is one more file beside this one, and a line in
 * `words-for.ts`.
 */
export interface PublicWords {
  /** BCP 47, as in the file's name. */
  language: string;
  /** What dates are written by, where the language alone leaves more than one way. */
  dates: string;

  skip: string;
  menu: string;
  close: string;
  /** The menu, for people who hear the page. */
  site: string;
  /** What the menu calls pages that have no name of their own; the front page always. */
  kinds: Record<'home' | 'about' | 'resume' | 'plain' | 'group', string>;
  projects: string;
  newWindow: string;
  below: (title: string) => string;
  thisPage: string;
  untitled: string;
  tags: string;
  moreProjects: string;
  before: string;
  next: string;
  links: string;
  contact: string;
  feed: string;
  rights: (by: string) => string;

  when: string;
  role: string;
  with: string;
  madeFor: string;
  field: string;
  madeWith: string;
  materials: string;
  licence: string;
  since: (date: string) => string;
  /** A stretch of time; the two are written out, the first one without its year where both have the same. */
  span: (from: string, to: string) => string;
  /** A week, by the day it begins with. */
  weekOf: (date: string) => string;
  seasons: Record<'spring' | 'summer' | 'autumn' | 'winter', string>;
  /** A season of a year. */
  ofYear: (name: string, year: string) => string;

  /** How the work came about, from its moments. */
  process: {
    /** Over a process without a title of its own. */
    title: string;
    phases: Record<PhaseWord, string>;
    /** A phase of the maker's own without a name. */
    phase: string;
    quiet: (days: number) => string;
    later: (days: number) => string;
    moments: (count: number) => string;
    /** On a slider that goes from moment to moment. */
    walk: string;
    untitled: string;
    /** Over a table of decisions without a title of its own. */
    decisions: string;
    when: string;
    ledTo: string;
    decided: string;
    why: string;
    turnedDown: string;
    next: string;
    spent: string;
  };

  /** Over what comes next, and over what is over by now. */
  agenda: { title: string; over: string };
  /** Below words as they were at several dates. */

  changesMarked: string;

  credits: string;
  withMaker: (names: string) => string;
  makerUnknown: string;
  publicDomain: string;
  permissionGiven: string;
  allRightsReserved: string;

  evidence: string;
  what: string;
  why: string;
  shows: string;
  lookingBack: string;
  linked: string;
  total: string;
  table: string;

  /** Over the two halves of what a maker says of themselves. */
  whoIAm: string;
  whyMe: string;
  where: string;
  /** Over what somebody is free for. */
  freeFor: string;
  languages: string;
  elsewhere: string;
  fromDay: (date: string) => string;
  untilDay: (date: string) => string;
  firstLanguage: string;
  /** Around the name of a project that proves a sentence. */
  shownIn: [string, string];
  /** What can be found behind a link, as it stands after its name. */
  profiles: Record<ProfileKind, string>;

  /** What holders of a pass say of a page, and the form by which they say it. */
  comments: {
    title: string;
    /** Before the name of the part that is spoken of. */
    on: string;
    /** Over what the maker says to it. */
    answer: string;
    /** The maker has done what it asks for, and thanks for it. */
    resolved: string;
    thanked: string;
    waiting: string;
    kept: string;
    refused: string;
    write: string;
    /** Over what the maker would like to hear. */
    asks: string;
    /** Where they asked for nothing. */
    prompts: string;
    about: string;
    wholePage: string;
    /** Over the field for words of the page, which can stay empty. */
    quote: string;
    /** What it quotes does not stand there any more; the picture it is about is another one, or is gone. */
    changed: Record<'words' | 'picture', string>;
    /** What lets somebody point at a picture, what they do then, and the way back. */
    point: string;
    pointing: string;
    back: string;
    /** A picture without alt text. */
    picture: (number: number) => string;
    /** Over what of a picture is spoken of. */
    where: string;
    extents: Record<Extent, string>;
    /** Lets a picture out of a comment again. */
    without: string;
    words: string;
    /** Over the field for an e-mail address, which can stay empty; and what becomes of it. */
    to: string;
    toWhy: string;
    send: string;
    why: string;
    faults: Record<'name' | 'words', Record<CommentFault, string>> & {
      quote: Record<QuoteFault, string>;
      to: Record<MailFault, string>;
    };
    tooMany: string;
    full: string;
    blocked: string;
    /** How a file is put to what a reader has said. */
    attach: {
      add: string;
      file: string;
      why: string;
      send: string;
      /** Names of files. */
      attached: (names: string) => string;
      faults: Record<AttachmentFault, string>;
    };
  };

  /** Around a draft that somebody looks at for its maker, and on the list they tick. */
  secondLook: {
    /** Above it. Both as they stand there: a name, a day. */
    draft: (who: string, until: string) => string;
    toList: string;
    title: (who: string) => string;
    why: string;
    yes: string;
    unsure: string;
    words: string;
    /** Before the part that is asked about. */
    where: string;
    here: string;
    save: string;
    kept: (answered: number, of: number) => string;
    tooLong: string;
    tooMany: string;
    /** Where there is no list. */
    nothing: string;
  };

  /** On the form by which readers write to the maker. */
  write: {
    /** Where a form would stand, in a copy of the site that lies on a disk. */
    copy: string;
    /** The link from there to the same page on the server. */
    online: string;
    /** Above the page with the form. */
    to: (maker: string) => string;
    name: string;
    from: string;
    /** Below their address. */
    why: string;
    words: string;
    /** Beside a field that only programs see. */
    trap: string;
    /** The button that shows what will be sent. */
    over: string;
    /** Above it, shown once more. */
    look: string;
    /** Below it. */
    answerGoes: string;
    send: string;
    change: string;
    sent: string;
    /** What is known of what was sent, and what is not. */
    sentMore: string;
    /** Above a form that cannot be sent yet. */
    notYet: string;
    faults: Record<MessageField, Record<MessageFault, string>>;
    trapped: string;
    stale: string;
    tooMany: string;
    full: string;
    /** Leads to a vCard. */
    card: string;
  };

  resume: {
    sections: Record<ResumeSection, string>;
    /** What proves something, for people who hear the page. */
    proofs: string;
    /** At the foot of the file, before the address of its page. */
    newest: string;
    /** Leads to the file. */
    pdf: string;
  };

  openLarge: string;
  leadsTo: (host: string) => string;
  gallery: string;
  pictures: (count: number) => string;

  sound: string;
  clip: string;
  captions: string;
  said: string;
  saidAndShown: string;

  document: string;
  wordDocument: string;
  openDocument: string;
  plainText: string;
  slides: (format: string) => string;
  pages: (count: number) => string;
  toDownload: string;
  download: string;
  otherPages: (count: number) => string;
  wordsOfPage: string;

  playFrom: (host: string) => string;
  showFrom: (host: string) => string;
  /** Before and after the name of the host that something comes from. */
  comesFrom: readonly [before: string, after: string];

  play: string;
  stop: string;
  previousPicture: string;
  nextPicture: string;
  zoom: string;
  turn: string;
  /** Which of how many: 1 and 4 stand for the numbers. */
  of: string;
}
