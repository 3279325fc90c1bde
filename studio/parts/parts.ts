import {
  AudioLines,
  BadgeCheck,
  CalendarClock,
  CircleHelp,
  CircleUserRound,
  Columns2,
  Copyright,
  FileText,
  FileUser,
  IdCard,
  CalendarDays,
  History,
  Image,
  Images,
  Languages,
  Link2,
  Mail,
  MapPin,
  MessageCircleQuestion,
  MessageSquareQuote,
  Pilcrow,
  Scale,
  ScrollText,
  Table2,
  Undo2,
  Video,
  Waypoints,
} from 'lucide-react';
import { allBlank } from '#core/parts/part-rules.ts';
import { isKnownPart, type Part, type PartKind, rulesOf } from '#core/parts/parts.ts';
import { countWords } from '#core/words/rich-text.ts';
import { plural } from '#core/words/plural.ts';
import { fetched } from '../ui/fetched.tsx';
import type { PartSettings } from './part-settings.ts';

/** A kind without tools or an editor of its own in the page, as most are. */
/** What is written in another room. */
const atTheDesk = fetched(() => import('./resume/at-the-desk.tsx').then(({ AtTheDesk }) => AtTheDesk));
const inPanel = { Tools: null, InPlace: null };
const filled = (...answers: string[]) => answers.filter((answer) => !allBlank(answer)).length;
const line = fetched(() => import('./person/line-panel.tsx').then(({ LinePanel }) => LinePanel));
const medium = () => import('./medium-panel.tsx').then(({ MediumPanel }) => MediumPanel);

/** How each kind of part is named and set, in the order in which they are offered. */
export const partSettings: { [K in PartKind]: PartSettings<K> } = {
  words: {
    name: 'Words',
    icon: Pilcrow,
    empty: 'Write here. How did it come about, and what did you find out?',
    detail: ({ text }) => plural(countWords(text), 'word'),
    Panel: null,
    Tools: null,
    InPlace: fetched(
      () => import('./words/words-in-place.tsx').then(({ WordsInPlace }) => WordsInPlace),
      ({ children }) => children(null, null),
    ),
  },
  picture: {
    ...inPanel,
    name: 'Picture',
    icon: Image,
    empty: 'A picture goes here.',
    detail: ({ width }) =>
      ({ full: 'full width', text: 'in the text', wide: 'wide', window: 'window' })[width],
    Panel: fetched(() => import('./picture/picture-panel.tsx').then(({ PicturePanel }) => PicturePanel)),
  },
  gallery: {
    ...inPanel,
    name: 'Gallery',
    icon: Images,
    empty: 'A gallery goes here. Four to eight pictures is a good number.',
    detail: ({ pictures }) => plural(pictures.length, 'picture'),
    Panel: fetched(() => import('./gallery/gallery-panel.tsx').then(({ GalleryPanel }) => GalleryPanel)),
    Tools: fetched(() => import('./gallery/gallery-hint.tsx').then(({ GalleryHint }) => GalleryHint)),
  },
  evidence: {
    ...inPanel,
    name: 'Evidence',
    icon: BadgeCheck,
    empty: 'One thing that proves what you can do goes here, with three short answers.',
    detail: ({ what, why, shows }) => plural(filled(what, why, shows), 'answer'),
    Panel: fetched(() => import('./evidence/evidence-panel.tsx').then(({ EvidencePanel }) => EvidencePanel)),
  },
  reflection: {
    ...inPanel,
    name: 'Reflection',
    icon: Undo2,
    empty: 'What you think of it now goes here. Pick questions to guide you; readers never see them.',
    detail: ({ answers }) => plural(filled(...answers.map(({ text }) => text)), 'answer'),
    Panel: fetched(() =>
      import('./reflection/reflection-panel.tsx').then(({ ReflectionPanel }) => ReflectionPanel),
    ),
  },
  quote: {
    ...inPanel,
    name: 'Quote',
    icon: MessageSquareQuote,
    empty: 'What somebody said about it goes here.',
    detail: ({ by }) => by,
    Panel: fetched(() => import('./quote/quote-panel.tsx').then(({ QuotePanel }) => QuotePanel)),
  },
  compare: {
    ...inPanel,
    name: 'Before and after',
    icon: Columns2,
    empty: 'Two pictures of one thing go here: how it was, and how it is.',
    detail: ({ before, after }) => (before !== null && after !== null ? 'two pictures' : ''),
    Panel: fetched(() => import('./compare/compare-panel.tsx').then(({ ComparePanel }) => ComparePanel)),
  },
  agenda: {
    ...inPanel,
    name: 'Agenda',
    icon: CalendarDays,
    empty: 'What comes next stands here: tasks of this page with their days, and dates from a calendar.',
    detail: ({ entries }) => (entries.length === 1 ? '1 entry' : `${entries.length} entries`),
    Panel: fetched(() => import('./agenda/agenda-panel.tsx').then(({ AgendaPanel }) => AgendaPanel)),
  },
  'early-late': {
    ...inPanel,
    name: 'Early and late',
    icon: History,
    empty: 'The same thing at two dates or more goes here: pictures, sounds, or words with what changed.',
    detail: ({ states }) => plural(states.length, 'date'),
    Panel: fetched(() =>
      import('./early-late/early-late-panel.tsx').then(({ EarlyLatePanel }) => EarlyLatePanel),
    ),
  },
  table: {
    ...inPanel,
    name: 'Table',
    icon: Table2,
    empty: 'Rows and columns go here: what it is made of, what it cost, how long it took.',
    detail: ({ rows }) => plural(rows.length, 'row'),
    Panel: fetched(() => import('./table/table-panel.tsx').then(({ TablePanel }) => TablePanel)),
  },
  document: {
    ...inPanel,
    name: 'Document',
    icon: FileText,
    empty: 'A document goes here. Readers see its pages or words in place.',
    detail: ({ download }) => (download ? 'may be downloaded' : 'in place'),
    Panel: fetched(medium),
  },
  clip: {
    ...inPanel,
    name: 'Clip',
    icon: Video,
    empty: 'A clip goes here.',
    detail: ({ material }) => (material === null ? '' : 'to play'),
    Panel: fetched(medium),
  },
  sound: {
    ...inPanel,
    name: 'Sound',
    icon: AudioLines,
    empty: 'A sound goes here.',
    detail: ({ material }) => (material === null ? '' : 'to play'),
    Panel: fetched(medium),
  },
  link: {
    ...inPanel,
    name: 'Link',
    icon: Link2,
    empty: 'A link goes here: a page, or a clip at its host.',
    detail: ({ form }) => ({ 'in-place': 'opened in place', card: 'card', button: 'button' })[form],
    Panel: fetched(() => import('./link/link-panel.tsx').then(({ LinkPanel }) => LinkPanel)),
  },
  credits: {
    ...inPanel,
    name: 'Credits',
    icon: Copyright,
    empty: 'Everything on this page is your own work, so there is nobody to credit.',
    detail: () => 'by themselves',
    Panel: fetched(() => import('./credits/credits-panel.tsx').then(({ CreditsPanel }) => CreditsPanel)),
  },
  contact: {
    ...inPanel,
    name: 'Contact',
    icon: Mail,
    empty: 'How to reach you goes here.',
    detail: ({ form, card, link }) =>
      [form && 'a form', card && 'a card', link && 'a link'].filter(Boolean).join(', '),
    Panel: fetched(() => import('./contact/contact-panel.tsx').then(({ ContactPanel }) => ContactPanel)),
  },
  portrait: {
    ...inPanel,
    name: 'Portrait',
    icon: CircleUserRound,
    empty: 'A portrait goes here: a picture, one cut from paper, or the first letters of your name.',
    detail: ({ form }) =>
      ({ photo: 'a picture', drawn: 'cut from paper', letters: 'letters', none: 'none' })[form],
    Panel: fetched(() => import('./person/portrait-panel.tsx').then(({ PortraitPanel }) => PortraitPanel)),
  },
  'full-name': {
    ...inPanel,
    name: 'Full name',
    icon: IdCard,
    empty: 'Your full name goes here.',
    detail: ({ text }) => text,
    Panel: line,
  },
  headline: {
    ...inPanel,
    name: 'Headline',
    icon: IdCard,
    empty: 'What you do goes here, in a few words.',
    detail: ({ text }) => text,
    Panel: line,
  },
  pronouns: {
    ...inPanel,
    name: 'Pronouns',
    icon: IdCard,
    empty: 'Your pronouns go here, if you like.',
    detail: ({ text }) => text,
    Panel: line,
  },
  place: {
    ...inPanel,
    name: 'Place',
    icon: MapPin,
    empty: 'Where you are goes here, as exactly as you like.',
    detail: ({ text }) => text,
    Panel: fetched(() => import('./person/place-panel.tsx').then(({ PlacePanel }) => PlacePanel)),
  },
  availability: {
    ...inPanel,
    name: 'Free for',
    icon: CalendarClock,
    empty: 'What you are free for goes here, and when.',
    detail: ({ text }) => text,
    Panel: fetched(() =>
      import('./person/availability-panel.tsx').then(({ AvailabilityPanel }) => AvailabilityPanel),
    ),
  },
  languages: {
    ...inPanel,
    name: 'Languages',
    icon: Languages,
    empty: 'Languages you speak go here.',
    detail: ({ list }) => plural(list.length, 'language'),
    Panel: fetched(() => import('./person/languages-panel.tsx').then(({ LanguagesPanel }) => LanguagesPanel)),
  },
  profiles: {
    ...inPanel,
    name: 'Links',
    icon: Link2,
    empty: 'Where else you are goes here.',
    detail: ({ list }) => plural(list.length, 'link'),
    Panel: fetched(() => import('./person/profiles-panel.tsx').then(({ ProfilesPanel }) => ProfilesPanel)),
  },
  telling: {
    ...inPanel,
    name: 'In your words',
    icon: MessageCircleQuestion,
    empty: 'What you say of yourself goes here. Each answer is a sentence; readers never see the questions.',
    detail: ({ answers }) => plural(filled(...answers.map(({ text }) => text)), 'answer'),
    Panel: fetched(() => import('./person/telling-panel.tsx').then(({ TellingPanel }) => TellingPanel)),
  },
  process: {
    ...inPanel,
    name: 'Process',
    icon: Waypoints,
    empty: 'Moments stand here in time, once there are any: how the work came about.',
    detail: ({ form }) => ({ line: 'on a line', columns: 'by phase', story: 'as a story' })[form],
    Panel: fetched(() => import('./process/process-panel.tsx').then(({ ProcessPanel }) => ProcessPanel)),
  },
  decisions: {
    ...inPanel,
    name: 'Decisions',
    icon: Scale,
    empty:
      'What you decided in moments stands here as a table, once there is any: what, why and what you turned down.',
    detail: ({ title }) => title,
    Panel: fetched(() =>
      import('./process/decisions-panel.tsx').then(({ DecisionsPanel }) => DecisionsPanel),
    ),
  },
  version: {
    ...inPanel,
    name: 'Version of the résumé',
    icon: FileUser,
    empty: 'A version of the résumé stands here once it has entries.',
    detail: ({ name, entries }) => name || `${entries.length} of them`,
    Panel: atTheDesk,
  },
  entry: {
    ...inPanel,
    name: 'Entry of the résumé',
    icon: ScrollText,
    empty:
      'An entry of the résumé. Readers get it once it says something, or once they can open its project.',
    detail: ({ title }) => title,
    Panel: atTheDesk,
  },
  moment: {
    ...inPanel,
    name: 'Moment',
    icon: Waypoints,
    empty: 'A moment is drawn by the process of a page.',
    detail: ({ title }) => title,
    Panel: null,
  },
};

/** In the order in which they are offered. What tells of the maker is tied in the room About you. */
export const offeredKinds = (Object.keys(partSettings) as PartKind[]).filter(
  (kind) => rulesOf({ kind }).tiedIn === undefined,
);

/** Fetches what parts are edited with in the page, where a first letter may come at once. */
export const fetchInPlace = async (): Promise<void> => {
  await Promise.all(Object.values(partSettings).flatMap(({ InPlace }) => InPlace?.fetch() ?? []));
};

/** A kind that only a newer version knows: kept, and not to be set here. */
const unknownKind: PartSettings<PartKind> = {
  ...inPanel,
  name: 'Unknown part',
  icon: CircleHelp,
  empty: 'A newer version made this part. It stays here as it is, and readers do not get it.',
  detail: () => 'made by a newer version',
  Panel: null,
};

/** How a part is named and set, whatever its kind. */
export const settingsOf = (part: Pick<Part, 'kind'>): PartSettings<PartKind> =>
  isKnownPart(part) ? (partSettings[part.kind] as unknown as PartSettings<PartKind>) : unknownKind;
