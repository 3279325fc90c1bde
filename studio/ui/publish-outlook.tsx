import type { Outlook } from '#contract/publishing.ts';
import { plural } from '#core/words/plural.ts';

const names = {
  stranger: 'Strangers',
  link: 'Whoever has the link to the site',
  'any-pass': 'Whoever holds a pass to the whole site',
} as const;

/** What one kind of reader gains and loses, by titles. */
interface Change {
  reader: keyof typeof names | { pass: string };
  gains: string[];
  loses: string[];
}

/** Titles in a line: the first few by name. */
function some(titles: readonly string[]): string {
  const first = titles.slice(0, 4).join(', ');
  return titles.length > 4 ? `${first} and ${titles.length - 4} more` : first;
}

/** Who could open more, and who less. */
export function WhoGainsAndLoses({ readers }: { readers: readonly Change[] }) {
  if (readers.length === 0) return null;
  return (
    <div>
      <p className="field-name">Who gains, who loses</p>
      <ul className="grid gap-1">
        {readers.map(({ reader, gains, loses }) => {
          const name = typeof reader === 'string' ? names[reader] : `Whoever holds the pass “${reader.pass}”`;
          return (
            <li key={name} className="text-s">
              <b>{name}</b>
              {gains.length > 0 && (
                <span className="block">
                  {plural(gains.length, 'page')} more: {some(gains)}
                </span>
              )}
              {loses.length > 0 && (
                <span className="block text-clay">
                  {plural(loses.length, 'page')} less: {some(loses)}
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** What a page needs, as it is told of it. */
function inWords({ kind, count }: Outlook['needed'][number]['needs'][number]): string {
  switch (kind) {
    case 'alt':
      return `${plural(count, 'picture')} without alt text`;
    case 'transcript':
      return `${plural(count, 'recording')} without a transcript`;
    case 'credit':
      return `${plural(count, 'work')} of others without a source or licence`;
    case 'link':
      return `${plural(count, 'link')} to what is gone`;
    case 'secret-link':
      return `${plural(count, 'secret link')} in it`;
    case 'outline':
      return `${plural(count, 'part')} of its outline still empty, which stays out`;
    case 'title':
      return 'no title';
    case 'facts':
      return 'others named, and not what you did';
    case 'licence':
      return `${plural(count, 'work')} of others changed against its licence`;
    case 'left-over':
      return 'words that were meant to be replaced';
    case 'availability':
      return 'free until a day that has passed';
    case 'personal':
      return `${plural(count, 'thing')} that somebody can be found by`;
    case 'inside':
      return `${plural(count, 'thing')} that somebody can be found by inside documents and pictures`;
    case 'faces':
      return `${plural(count, 'picture')} with faces`;
  }
}

/** What is Needed on the pages that go. It holds nobody up. */
export function Needed({ needed }: { needed: Outlook['needed'] }) {
  if (needed.length === 0) return null;
  return (
    <div role="note" className="border-l-4 border-clay pl-3">
      <p className="field-name">Needed</p>
      <ul className="grid gap-1 text-s">
        {needed.map(({ page, title, needs }) => (
          <li key={page}>
            <b>{title}</b>: {needs.map(inWords).join('; ')}
          </li>
        ))}
      </ul>
      <p className="note mt-1">Check leads to each of it. You can publish without it, too.</p>
    </div>
  );
}
