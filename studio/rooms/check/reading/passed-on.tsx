import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Page } from '#core/pages/page.ts';
import { inManner } from '#core/preview/manner.ts';
import { useSite } from '../../../api/site-context.tsx';
import { pagePath } from '../../../pages/page-path.ts';
import { saidOfItself } from './said-of-itself.ts';
import { type Seen, seenAt } from './use-seen.ts';

/** Lists of what was found cut a name and a description about there. Common practice; they measure in pixels. */
const cutAfter = { title: 60, description: 155 } as const;

/** A page as it is previewed for a reader, read as text; null where the reader gets none. */
const useSaid = (src: string, revision: number) =>
  useQuery({
    queryKey: ['said of itself', src, revision],
    queryFn: async () => saidOfItself(await (await fetch(src)).text()),
  });

const Long = ({ text, most, what }: { text: string; most: number; what: string }) =>
  text.length > most ? (
    <p className="text-s text-ink-2">
      {what} is {text.length} letters long; lists cut it after about {most}.
    </p>
  ) : null;

function inWords(reader: string, pictured: boolean): string {
  if (reader === 'maker') return 'Nobody but you has a link to this view; a card of it would say this.';
  if (pictured) return 'Programs that show a link as a card take these words and this picture.';
  return reader === 'link'
    ? 'Programs that show a link as a card take these words; pictures of secret links are left out.'
    : 'Programs that show a link as a card take these words; the link of a pass brings no picture.';
}

/** What a search engine gets of the page, and how a link to it looks where it is passed on. */
export function PassedOn({ seen, page }: { seen: Seen; page: Page | null }) {
  const { state } = useSite();
  const { site, revision } = state;
  const found = useSaid(seenAt(site.id, { ...seen, reader: 'stranger' }, { framed: true }), revision);
  const passed = useSaid(seenAt(site.id, seen, { framed: true }), revision);
  // A link that is secret brings a picture only where its maker lets it; a pass never does.
  const pictured = seen.reader === 'stranger' || (seen.reader === 'link' && site.linkPictures);
  const picture =
    page === null || !pictured
      ? null
      : `/studio/share-picture/${site.id}/${inManner(seen.reader, {})}/${page.id}`;
  const [unpictured, setUnpictured] = useState<string | null>(null);
  const share = (
    <Link className="link" to={`/${site.id}/share`}>
      Share
    </Link>
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-10 min-[1100px]:grid-cols-2">
      <section aria-labelledby="found" className="grid grid-cols-[minmax(0,1fr)] gap-3">
        <h2 id="found" className="text-l">
          In a search engine
        </h2>
        {found.data === undefined ? (
          <p className="text-base text-ink-2">The page is being read.</p>
        ) : found.data === null ? (
          <p className="text-base text-ink-2">
            Search engines get what strangers get, and strangers get nothing of this page.
          </p>
        ) : (
          <>
            <div className="rounded-m border border-line bg-raised p-4 text-base leading-6">
              <p className="text-s break-all text-ink-3">
                {site.address !== null && page
                  ? `${window.location.origin}${pagePath(state, page)}`
                  : 'The site has no address yet.'}
              </p>
              <p className="text-l text-[#1f4f8f]">{found.data.title}</p>
              <p className="text-ink-2">
                {found.data.description || 'It says nothing of itself: this page has no summary.'}
              </p>
            </div>
            <Long text={found.data.title} most={cutAfter.title} what="Its name" />
            <Long text={found.data.description} most={cutAfter.description} what="Its summary" />
            <p className="text-s leading-5 text-ink-2">
              {site.searchEngines ? (
                <>Search engines may list the site. {share} changes that.</>
              ) : (
                <>Search engines are asked to leave the site out of their lists. {share} changes that.</>
              )}
            </p>
          </>
        )}
      </section>
      <section aria-labelledby="passed-on" className="grid grid-cols-[minmax(0,1fr)] gap-3">
        <h2 id="passed-on" className="text-l">
          Where its link is passed on
        </h2>
        {passed.data === undefined ? (
          <p className="text-base text-ink-2">The page is being read.</p>
        ) : passed.data === null ? (
          <p className="text-base text-ink-2">This reader gets nothing of this page.</p>
        ) : (
          <div className="max-w-lg overflow-hidden rounded-m border border-line bg-raised text-base leading-6">
            {picture !== null && picture !== unpictured && (
              <img
                key={`${picture} ${revision}`}
                src={`${picture}?draft=${revision}`}
                alt="What a card of it shows"
                width={1200}
                height={630}
                className="block h-auto w-full bg-sunk"
                onError={() => setUnpictured(picture)}
              />
            )}
            <div className="p-4">
              <p className="text-s text-ink-3">{passed.data.siteName}</p>
              <p className="font-[650]">{passed.data.name}</p>
              {passed.data.description !== '' && <p className="text-ink-2">{passed.data.description}</p>}
            </div>
          </div>
        )}
        <p className="text-s leading-5 text-ink-2">
          {inWords(seen.reader, pictured)} {seen.reader === 'link' && <>{share} changes that.</>}
        </p>
      </section>
    </div>
  );
}
