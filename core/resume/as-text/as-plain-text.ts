import type { ContentEntry, ResumeContent } from '../layout/resume-content.ts';

function entryAsText({ title, level, place, when, lines }: ContentEntry): string {
  const head = [title, level, place].filter(Boolean).join(', ');
  return [when ? `${head} (${when})` : head, ...lines.map(({ text }) => `- ${text}`)].join('\n');
}

/** A résumé as plain text, for fields of forms: no marks but line ends and hyphens, nothing that is set by spaces. */
export function asPlainText({ name, headline, contact, sections }: ResumeContent): string {
  const head = [name, headline, contact.map(({ text }) => text).join(', ')].filter(Boolean).join('\n');
  const rest = sections.map(({ label, entries }) =>
    [label.toUpperCase(), ...entries.map(entryAsText)].join('\n'),
  );
  return `${[head, ...rest].join('\n\n')}\n`;
}
