import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

/** An item of a résumé in JSON Resume, as far as it is used here. */
interface Item {
  name?: string;
  position?: string;
  organization?: string;
  institution?: string;
  area?: string;
  studyType?: string;
  title?: string;
  awarder?: string;
  issuer?: string;
  publisher?: string;
  releaseDate?: string;
  date?: string;
  startDate?: string;
  endDate?: string;
  summary?: string;
  description?: string;
  entity?: string;
  highlights?: string[];
  courses?: string[];
  level?: string;
  keywords?: string[];
  language?: string;
  fluency?: string;
  reference?: string;
}
type Lists = Partial<
  Record<
    | 'work'
    | 'volunteer'
    | 'projects'
    | 'education'
    | 'awards'
    | 'certificates'
    | 'publications'
    | 'skills'
    | 'languages'
    | 'interests'
    | 'references',
    Item[]
  >
>;
export interface SampleResume extends Lists {
  basics: { name: string; email?: string; phone?: string; label?: string; summary?: string };
}

/** What an entry of a sample says, to be found again. */
export interface TrueEntry {
  section: string;
  title: string;
  place: string;
  from: string | null;
  to: string | null;
}

const require = createRequire(import.meta.url);
const read = (name: string): SampleResume =>
  JSON.parse(readFileSync(require.resolve(`@jsonresume/schema/${name}`), 'utf8')) as SampleResume;

/** The sample résumés that come with the schema of JSON Resume 1.0 (npm, @jsonresume/schema). */
export const people: Record<string, SampleResume> = {
  sample: read('sample.resume.json'),
  'new-grad': read('examples/new-grad.resume.json'),
  'career-changer': read('examples/career-changer.resume.json'),
  'senior-engineer': read('examples/senior-engineer.resume.json'),
};
/** Those that the rules were written with; the others were only measured. */
export const writtenWith: readonly string[] = ['sample', 'new-grad'];

/** The entries of a sample, as they should be found. */
export function trueEntries(of: SampleResume): TrueEntry[] {
  const month = (date: string | undefined) => date?.slice(0, 7) ?? null;
  const timed = (section: string, items: Item[] | undefined, title: keyof Item, place: keyof Item) =>
    (items ?? []).map((item) => ({
      section,
      title: String(item[title] ?? ''),
      place: String(item[place] ?? ''),
      from: month(item.startDate),
      to: item.startDate ? (month(item.endDate) ?? 'now') : null,
    }));
  const dated = (section: string, items: Item[] | undefined, title: 'title' | 'name', place: keyof Item) =>
    (items ?? []).map((item) => ({
      section,
      title: item[title] ?? '',
      place: String(item[place] ?? ''),
      from: month(item.date ?? item.releaseDate),
      to: null,
    }));
  const named = (section: string, items: Item[] | undefined, title: 'name' | 'language') =>
    (items ?? []).map((item) => ({ section, title: item[title] ?? '', place: '', from: null, to: null }));
  return [
    ...timed('work', of.work, 'position', 'name'),
    ...timed('volunteering', of.volunteer, 'position', 'organization'),
    ...timed('projects', of.projects, 'name', 'entity'),
    ...timed('education', of.education, 'area', 'institution'),
    ...dated('awards', of.awards, 'title', 'awarder'),
    ...dated('certificates', of.certificates, 'name', 'issuer'),
    ...dated('publications', of.publications, 'name', 'publisher'),
    ...named('skills', of.skills, 'name'),
    ...named('languages', of.languages, 'language'),
    ...named('interests', of.interests, 'name'),
    ...named('references', of.references, 'name'),
  ];
}

type WriteDate = (date: string | undefined) => string;
const inWords: WriteDate = (date) =>
  date
    ? new Date(`${date.slice(0, 7)}-15`).toLocaleDateString('en', { month: 'short', year: 'numeric' })
    : 'Present';
const inNumbers: WriteDate = (date) => (date ? `${date.slice(5, 7)}/${date.slice(0, 4)}` : 'present');
const inIso: WriteDate = (date) => date?.slice(0, 7) ?? 'present';
const span = ({ startDate, endDate }: Item, write: WriteDate): string =>
  startDate ? `${write(startDate)} – ${write(endDate)}` : '';
const list = (lines: readonly string[] | undefined): string =>
  (lines ?? []).length > 0 ? `\n${(lines ?? []).map((line) => `- ${line}`).join('\n')}\n` : '';
const joined = (...parts: (string | undefined)[]): string => parts.filter(Boolean).join(', ');
const escaped = (html: string) => html.replace(/&/g, '&amp;').replace(/</g, '&lt;');

const timedLists = ['work', 'volunteer', 'projects', 'education'] as const;
const datedLists = ['awards', 'certificates', 'publications'] as const;
const namedLists = ['skills', 'languages', 'interests'] as const;
type Timed = (typeof timedLists)[number];
type Dated = (typeof datedLists)[number];
type Named = (typeof namedLists)[number];

const called = (item: Item) =>
  (item.position ?? joined(item.studyType, item.area)) || (item.name ?? item.title ?? '');
const where = (item: Item) =>
  item.organization ?? item.institution ?? (item.position ? item.name : item.entity) ?? '';
const givenBy = (item: Item) => item.awarder ?? item.issuer ?? item.publisher ?? '';
const dateOf = (item: Item) => item.date ?? item.releaseDate;
const said = (item: Item) => item.summary ?? item.description ?? '';
const lines = (item: Item) => item.highlights ?? item.courses ?? [];

/** A way in which people set a résumé. */
interface Setting {
  format: 'markdown' | 'html';
  /** What its sections are called. */
  names: Record<Timed | Dated | Named | 'references', string>;
  top: (of: SampleResume) => string;
  heading: (name: string) => string;
  timed: (item: Item) => string;
  /** All of a list, from its first item to its last. */
  dated: (items: readonly Item[]) => string;
  named: (items: readonly Item[], key: Named) => string;
  reference: (item: Item) => string;
}

const ways = ({ basics }: SampleResume, between: string) =>
  [basics.email, basics.phone].filter(Boolean).join(between);

/** The same résumé as people set it: what stands where is common practice. */
const settings: Record<string, Setting> = {
  headings: {
    format: 'markdown',
    names: {
      ...{ work: 'Work', volunteer: 'Volunteering', projects: 'Projects', education: 'Education' },
      ...{ awards: 'Awards', certificates: 'Certificates', publications: 'Publications' },
      ...{ skills: 'Skills', languages: 'Languages', interests: 'Interests', references: 'References' },
    },
    top: (of) => `# ${of.basics.name}\n\n${ways(of, ' · ')}\n\n${of.basics.summary ?? ''}`,
    heading: (name) => `## ${name}`,
    timed: (item) =>
      `### ${joined(called(item), where(item))}\n\n*${span(item, inWords)}*\n\n${said(item)}\n${list(lines(item))}`,
    dated: (items) =>
      items
        .map(
          (item) =>
            `**${called(item)}**, ${joined(givenBy(item), inWords(dateOf(item)))}\n\n${item.summary ?? ''}`,
        )
        .join('\n\n'),
    named: (items, key) =>
      items
        .map((item) =>
          key === 'languages'
            ? `- ${item.language} (${item.fluency})`
            : `- **${item.name}**${item.level ? ` (${item.level})` : ''}${item.keywords?.length ? `: ${item.keywords.join(', ')}` : ''}`,
        )
        .join('\n'),
    reference: (item) => `“${item.reference}” — ${item.name}`,
  },
  lines: {
    format: 'markdown',
    names: {
      ...{ work: 'PROFESSIONAL EXPERIENCE', volunteer: 'VOLUNTEER WORK', projects: 'PERSONAL PROJECTS' },
      ...{ education: 'EDUCATION', awards: 'HONORS AND AWARDS', certificates: 'CERTIFICATIONS' },
      ...{ publications: 'PUBLICATIONS', skills: 'TECHNICAL SKILLS', languages: 'LANGUAGES' },
      ...{ interests: 'HOBBIES', references: 'REFERENCES' },
    },
    top: (of) =>
      `**${of.basics.name}**\\\n${of.basics.label ?? ''}\\\n${ways(of, ' | ')}\n\n**PROFILE**\n\n${of.basics.summary ?? ''}`,
    heading: (name) => `**${name}**`,
    timed: (item) =>
      `**${where(item) || called(item)}**${where(item) ? ` — ${called(item)}` : ''} (${span(item, inIso)})\n\n${said(item)}\n${list(lines(item))}`,
    dated: (items) =>
      items.map((item) => `- ${called(item)} — ${givenBy(item)} (${inIso(dateOf(item))})`).join('\n'),
    named: (items, key) =>
      key === 'languages'
        ? items.map((item) => `${item.language} – ${item.fluency}`).join('\\\n')
        : key === 'interests'
          ? items.map((item) => item.name).join(', ')
          : items.map((item) => `${item.name}: ${item.keywords?.join(', ')}`).join('\\\n'),
    reference: (item) => `${item.name}: “${item.reference}”`,
  },
  'dates first': {
    format: 'markdown',
    names: {
      ...{ work: 'Employment History', volunteer: 'Community', projects: 'Selected Projects' },
      ...{ education: 'Academic Background', awards: 'Honours', certificates: 'Licenses & Certifications' },
      ...{ publications: 'Selected publications', skills: 'Skills & Tools', languages: 'Language skills' },
      ...{ interests: 'Interests', references: 'Referees' },
    },
    top: ({ basics }) =>
      `# ${basics.name}\n\nEmail: ${basics.email}\n\n## Summary\n\n${basics.summary ?? ''}`,
    heading: (name) => `## ${name}`,
    timed: (item) =>
      `${[span(item, inNumbers), called(item), where(item)].filter(Boolean).join(' | ')}\n${list([said(item), ...lines(item)].filter(Boolean))}`,
    dated: (items) =>
      items.map((item) => `${inNumbers(dateOf(item))} | ${called(item)} | ${givenBy(item)}`).join('\\\n'),
    named: (items, key) =>
      items
        .map((item) => (key === 'languages' ? `${item.language} (${item.fluency})` : item.name))
        .join(' · '),
    reference: (item) => `**${item.name}**\n\n${item.reference}`,
  },
  'two columns': {
    format: 'html',
    names: {
      ...{
        work: 'Experience',
        volunteer: 'Volunteer experience',
        projects: 'Projects',
        education: 'Studies',
      },
      ...{ awards: 'Awards', certificates: 'Certifications', publications: 'Publications' },
      ...{ skills: 'Skills', languages: 'Languages', interests: 'Interests', references: 'References' },
    },
    top: ({ basics }) =>
      `<h1>${escaped(basics.name)}</h1><p>${basics.email}</p><p>${escaped(basics.summary ?? '')}</p>`,
    heading: (name) => `<h2>${escaped(name)}</h2>`,
    timed: (item) =>
      `${table([[`<b>${escaped(joined(called(item), where(item)))}</b>`, span(item, inWords)]])}<p>${escaped(said(item))}</p>${htmlList(lines(item))}`,
    dated: (items) =>
      table(items.map((item) => [escaped(joined(called(item), givenBy(item))), inWords(dateOf(item))])),
    named: (items, key) =>
      htmlList(
        items.map((item) => (key === 'languages' ? `${item.language}: ${item.fluency}` : (item.name ?? ''))),
      ),
    reference: (item) => `<p>“${escaped(item.reference ?? '')}” — ${escaped(item.name ?? '')}</p>`,
  },
};

function table(rows: readonly (readonly [left: string, right: string])[]): string {
  const cells = rows.map(
    ([left, right]) =>
      `<tr><td style="width:80%">${left}</td><td style="text-align:right;white-space:nowrap">${right}</td></tr>`,
  );
  return `<table style="width:100%">${cells.join('')}</table>`;
}
const htmlList = (all: readonly string[]): string =>
  all.length > 0 ? `<ul>${all.map((one) => `<li>${escaped(one)}</li>`).join('')}</ul>` : '';

function written(of: SampleResume, setting: Setting): string {
  const section = (key: keyof Setting['names'], body: string) =>
    body === '' ? [] : [setting.heading(setting.names[key]), body];
  return [
    setting.top(of),
    ...timedLists.flatMap((key) => section(key, (of[key] ?? []).map(setting.timed).join('\n'))),
    ...datedLists.flatMap((key) => (of[key]?.length ? section(key, setting.dated(of[key])) : [])),
    ...namedLists.flatMap((key) => (of[key]?.length ? section(key, setting.named(of[key], key)) : [])),
    ...section('references', (of.references ?? []).map(setting.reference).join('\n\n')),
  ].join('\n\n');
}

/** How the samples are set: in which format they are written for pandoc, and how. */
export const layouts = Object.fromEntries(
  Object.entries(settings).map(([name, setting]) => [
    name,
    { format: setting.format, write: (of: SampleResume) => written(of, setting) },
  ]),
);
