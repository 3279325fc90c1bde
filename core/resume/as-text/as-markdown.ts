import type { ContentEntry, ProofLink, ResumeContent } from '../layout/resume-content.ts';

/** What Markdown would read as more than words (CommonMark 0.31, 2.4). */
const escaped = (text: string): string =>
  text
    .replace(/[\\`*_[\]<>#|~]/g, '\\$&')
    .replace(/^(\d+)([.)])/, '$1\\$2')
    .replace(/^([-+])(?=\s)/, '\\$1');
const link = ({ title, to }: ProofLink): string =>
  `[${escaped(title)}](<${to.replace(/[<>]/g, encodeURIComponent)}>)`;

function entryAsMarkdown({ title, link: own, level, place, when, lines, proofs }: ContentEntry): string {
  const name = own === null ? escaped(title) : link({ title, to: own });
  const more = [level, place].filter(Boolean).map((one) => `, ${escaped(one)}`);
  const shown = proofs.length > 0 ? ` (${proofs.map(link).join(', ')})` : '';
  const head = `**${name}**${more.join('')}${shown}${when ? `  \n${escaped(when)}` : ''}`;
  const list = lines.map(({ text, proof }) => `- ${escaped(text)}${proof ? ` (${link(proof)})` : ''}`);
  return [head, ...(list.length > 0 ? [list.join('\n')] : [])].join('\n\n');
}

/** A résumé as Markdown (CommonMark): headings, lists, and links to what proves it. */
export function asMarkdown({ name, headline, contact, sections, newest }: ResumeContent): string {
  const where = contact
    .map(({ text, to }) => (to === null ? escaped(text) : link({ title: text, to })))
    .join(' · ');
  const all = [
    `# ${escaped(name)}`,
    ...(headline ? [escaped(headline)] : []),
    ...(where ? [where] : []),
    ...sections.flatMap(({ label, entries }) => [`## ${escaped(label)}`, ...entries.map(entryAsMarkdown)]),
    ...(newest ? [link({ title: newest.text, to: newest.to })] : []),
  ];
  return `${all.join('\n\n')}\n`;
}
