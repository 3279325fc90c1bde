import { memo } from 'react';
import type { Gets } from '#core/access/who-gets-what.ts';
import type { Column } from './columns.ts';

interface WhoCellProps {
  gets: Gets;
  column: Column;
  /** What the row is, for people who hear the table. */
  of: string;
  /** Where the page is shown to its maker as this reader gets it. */
  href: string | null;
}

const mark = { yes: 'can open', no: 'cannot open', 'by-its-own-link': 'by its own link' } as const;

const Diamond = ({ hollow }: { hollow: boolean }) => (
  <svg width="14" height="18" viewBox="0 0 14 18" aria-hidden="true">
    <path
      d="M7 1l5.5 7L7 17 1.5 8z"
      fill={hollow ? 'none' : 'currentColor'}
      stroke="currentColor"
      strokeWidth="1.5"
      strokeDasharray={hollow ? '2.5 2' : undefined}
    />
  </svg>
);

/**
 * Whether one kind of reader gets something. Drawn once, however often columns beside it come into sight; it is named by an attribute and
 * not by hidden words, of which each would be a piece of its own to the browser.
 */
export const WhoCell = memo(function WhoCell({ gets, column, of, href }: WhoCellProps) {
  const { name, shut } = column;
  const said = `${name} ${mark[gets]}: ${of}`;
  if (gets === 'no')
    return (
      <span className="text-ink-3" role="img" aria-label={said}>
        –
      </span>
    );
  const sign = <Diamond hollow={shut || gets === 'by-its-own-link'} />;
  return href === null ? (
    <span className={`inline-grid ${shut ? 'text-ink-3' : ''}`} role="img" aria-label={said}>
      {sign}
    </span>
  ) : (
    <a
      className={`inline-grid min-h-8 min-w-8 place-items-center rounded-[4px] hover:bg-sky-wash ${shut ? 'text-ink-3' : 'text-dusk'}`}
      href={href}
      target="_blank"
      rel="noreferrer"
      aria-label={said}
      title={`${of}, as ${name} gets it`}
    >
      {sign}
    </a>
  );
});
