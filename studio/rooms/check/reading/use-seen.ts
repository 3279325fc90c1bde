import { useSearchParams } from 'react-router';
import type { Scheme } from '#core/look/theme-colours.ts';
import { inManner, type Manner } from '#core/preview/manner.ts';

export const sights = ['widths', 'paper', 'aloud', 'passed-on', 'ten-seconds'] as const;
export type Sight = (typeof sights)[number];

/** What is looked at, as whom, and how: all of it in the address, so that it can be reloaded and sent to another tab. */
export interface Seen {
  /** As in the addresses of previews: `stranger`, `pass-…`. */
  reader: string;
  /** A page of the site; null for wherever the reader comes in. */
  page: string | null;
  sight: Sight;
  width: string;
  scheme: Scheme | null;
  pictures: boolean;
  script: boolean;
}

const schemes: Readonly<Record<string, Scheme>> = { light: 'light', dark: 'dark' };

export function useSeen(): [Seen, (change: Partial<Seen>) => void] {
  const [asked, setAsked] = useSearchParams();
  const seen: Seen = {
    reader: asked.get('as') ?? 'stranger',
    page: asked.get('page'),
    sight: sights.find((one) => one === asked.get('sight')) ?? 'widths',
    width: asked.get('width') ?? 'all',
    scheme: schemes[asked.get('light') ?? ''] ?? null,
    pictures: asked.get('pictures') !== 'none',
    script: asked.get('script') !== 'none',
  };
  const change = (part: Partial<Seen>) => {
    const next = { ...seen, ...part };
    setAsked(
      {
        as: next.reader,
        sight: next.sight,
        ...(next.page !== null && { page: next.page }),
        ...(next.width !== 'all' && { width: next.width }),
        ...(next.scheme && { light: next.scheme }),
        ...(!next.pictures && { pictures: 'none' }),
        ...(!next.script && { script: 'none' }),
      },
      { replace: true },
    );
  };
  return [seen, change];
}

/** Where a page is previewed for a reader, in a manner. */
export const seenAt = (site: string, { reader, page }: Seen, manner: Partial<Manner>): string =>
  `/studio/see/${site}/${inManner(reader, manner)}/${page === null ? '' : `?page=${page}`}`;
