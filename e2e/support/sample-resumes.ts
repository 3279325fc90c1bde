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

const what = (item: Item) => item.position ?? joined(item.studyType, item.area) ?? '';
const called = (item: Item) => what(item) || (item.name ?? '');
const where = (item: Item) =>
  item.organization ?? item.institution ?? (item.position ? item.name : item.entity) ?? '';
const said = (item: Item) => item.summary ?? item.description ?? '';

interface Layout {
  format: 'markdown' | 'html';
  write: (of: SampleResume) => string;
}

/** The same résumé as people set it: what stands where is common practice. */
export const layouts: Record<string, Layout> = {
  headings: {
    format: 'markdown',
    write: (of) => `# ${of.basics.name}

${[of.basics.email, of.basics.phone].filter(Boolean).join(' · ')}

${of.basics.summary ?? ''}

${timedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `## ${{ work: 'Work', volunteer: 'Volunteering', projects: 'Projects', education: 'Education' }[key]}

${(of[key] ?? [])
  .map(
    (item) =>
      `### ${joined(called(item), where(item))}\n\n*${span(item, inWords)}*\n\n${said(item)}\n${list(item.highlights ?? item.courses)}`,
  )
  .join('\n')}`,
  )
  .join('\n')}
${datedLists
  .filter((key) => of[key]?.length)
  .map(
    (key) => `## ${{ awards: 'Awards', certificates: 'Certificates', publications: 'Publications' }[key]}

${(of[key] ?? [])
  .map(
    (item) =>
      `**${joined(item.title ?? item.name)}**, ${joined(item.awarder ?? item.issuer ?? item.publisher, inWords(item.date ?? item.releaseDate))}\n\n${item.summary ?? ''}`,
  )
  .join('\n\n')}`,
  )
  .join('\n\n')}

${namedLists
  .filter((key) => of[key]?.length)
  .map(
    (key) => `## ${{ skills: 'Skills', languages: 'Languages', interests: 'Interests' }[key]}

${(of[key] ?? [])
  .map((item) =>
    key === 'languages'
      ? `- ${item.language} (${item.fluency})`
      : `- **${item.name}**${item.level ? ` (${item.level})` : ''}${item.keywords?.length ? `: ${item.keywords.join(', ')}` : ''}`,
  )
  .join('\n')}`,
  )
  .join('\n\n')}

${of.references?.length ? `## References\n\n${of.references.map((one) => `“${one.reference}” — ${one.name}`).join('\n\n')}` : ''}
`,
  },
  lines: {
    format: 'markdown',
    write: (of) => `**${of.basics.name}**\\
${of.basics.label ?? ''}\\
${[of.basics.email, of.basics.phone].filter(Boolean).join(' | ')}

**PROFILE**

${of.basics.summary ?? ''}

${timedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `**${{ work: 'PROFESSIONAL EXPERIENCE', volunteer: 'VOLUNTEER WORK', projects: 'PERSONAL PROJECTS', education: 'EDUCATION' }[key]}**

${(of[key] ?? [])
  .map(
    (item) =>
      `**${where(item) || called(item)}**${where(item) ? ` — ${called(item)}` : ''} (${span(item, inIso)})\n\n${said(item)}\n${list(item.highlights ?? item.courses)}`,
  )
  .join('\n')}`,
  )
  .join('\n')}
${datedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `**${{ awards: 'HONORS AND AWARDS', certificates: 'CERTIFICATIONS', publications: 'PUBLICATIONS' }[key]}**

${(of[key] ?? [])
  .map(
    (item) =>
      `- ${item.title ?? item.name} — ${item.awarder ?? item.issuer ?? item.publisher} (${inIso(item.date ?? item.releaseDate)})`,
  )
  .join('\n')}`,
  )
  .join('\n\n')}

${namedLists
  .filter((key) => of[key]?.length)
  .map(
    (key) => `**${{ skills: 'TECHNICAL SKILLS', languages: 'LANGUAGES', interests: 'HOBBIES' }[key]}**

${
  key === 'languages'
    ? (of[key] ?? []).map((item) => `${item.language} – ${item.fluency}`).join('\\\n')
    : key === 'interests'
      ? (of[key] ?? []).map((item) => item.name).join(', ')
      : (of[key] ?? []).map((item) => `${item.name}: ${item.keywords?.join(', ')}`).join('\\\n')
}`,
  )
  .join('\n\n')}

${of.references?.length ? `**REFERENCES**\n\n${of.references.map((one) => `${one.name}: “${one.reference}”`).join('\n\n')}` : ''}
`,
  },
  'dates first': {
    format: 'markdown',
    write: (of) => `# ${of.basics.name}

Email: ${of.basics.email}

## Summary

${of.basics.summary ?? ''}

${timedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `## ${{ work: 'Employment History', volunteer: 'Community', projects: 'Selected Projects', education: 'Academic Background' }[key]}

${(of[key] ?? [])
  .map(
    (item) =>
      `${[span(item, inNumbers), called(item), where(item)].filter(Boolean).join(' | ')}\n${list([said(item), ...(item.highlights ?? item.courses ?? [])].filter(Boolean))}`,
  )
  .join('\n')}`,
  )
  .join('\n')}
${datedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `## ${{ awards: 'Honours', certificates: 'Licenses & Certifications', publications: 'Selected publications' }[key]}

${(of[key] ?? [])
  .map(
    (item) =>
      `${inNumbers(item.date ?? item.releaseDate)} | ${item.title ?? item.name} | ${item.awarder ?? item.issuer ?? item.publisher}`,
  )
  .join('\\\n')}`,
  )
  .join('\n\n')}

${namedLists
  .filter((key) => of[key]?.length)
  .map(
    (key) => `## ${{ skills: 'Skills & Tools', languages: 'Language skills', interests: 'Interests' }[key]}

${(of[key] ?? []).map((item) => (key === 'languages' ? `${item.language} (${item.fluency})` : item.name)).join(' · ')}`,
  )
  .join('\n\n')}

${of.references?.length ? `## Referees\n\n${of.references.map((one) => `**${one.name}**\n\n${one.reference}`).join('\n\n')}` : ''}
`,
  },
  'two columns': {
    format: 'html',
    write: (of) => {
      const row = (left: string, right: string) =>
        `<tr><td style="width:80%">${left}</td><td style="text-align:right;white-space:nowrap">${right}</td></tr>`;
      const items = (lines: readonly string[] | undefined) =>
        lines?.length ? `<ul>${lines.map((one) => `<li>${escaped(one)}</li>`).join('')}</ul>` : '';
      return `<h1>${escaped(of.basics.name)}</h1><p>${of.basics.email}</p><p>${escaped(of.basics.summary ?? '')}</p>
${timedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `<h2>${{ work: 'Experience', volunteer: 'Volunteer experience', projects: 'Projects', education: 'Studies' }[key]}</h2>
${(of[key] ?? [])
  .map(
    (item) =>
      `<table style="width:100%">${row(`<b>${escaped(joined(called(item), where(item)))}</b>`, span(item, inWords))}</table><p>${escaped(said(item))}</p>${items(item.highlights ?? item.courses)}`,
  )
  .join('\n')}`,
  )
  .join('\n')}
${datedLists
  .filter((key) => of[key]?.length)
  .map(
    (
      key,
    ) => `<h2>${{ awards: 'Awards', certificates: 'Certifications', publications: 'Publications' }[key]}</h2>
<table style="width:100%">${(of[key] ?? []).map((item) => row(escaped(joined(item.title ?? item.name, item.awarder ?? item.issuer ?? item.publisher)), inWords(item.date ?? item.releaseDate))).join('')}</table>`,
  )
  .join('\n')}
${namedLists
  .filter((key) => of[key]?.length)
  .map(
    (key) =>
      `<h2>${{ skills: 'Skills', languages: 'Languages', interests: 'Interests' }[key]}</h2>${items(
        (of[key] ?? []).map((item) =>
          key === 'languages' ? `${item.language}: ${item.fluency}` : (item.name ?? ''),
        ),
      )}`,
  )
  .join('\n')}
${of.references?.length ? `<h2>References</h2>${of.references.map((one) => `<p>“${escaped(one.reference ?? '')}” — ${escaped(one.name ?? '')}</p>`).join('')}` : ''}`;
    },
  },
};
