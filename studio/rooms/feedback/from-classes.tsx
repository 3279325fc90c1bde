import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { listHandIns } from '#contract/hand-ins.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { call } from '../../api/call.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';

const inWords = (instant: string): string => instantInWords(new Date(instant), ownTimeZone());

/** What classes ask of the site's hand-ins, and what they gave back; nothing where there is neither. */
export function FromClasses({ site }: { site: string }) {
  const { data } = useQuery({
    queryKey: ['hand-ins', site, 'classes'],
    queryFn: () => call(listHandIns, { params: { site } }),
  });
  const said = (data?.handIns ?? []).flatMap(({ id, ofClass }) =>
    ofClass && (ofClass.asked || ofClass.givenBack) ? [{ id, ...ofClass }] : [],
  );
  if (said.length === 0) return null;
  return (
    <section aria-labelledby="classes-title" className="grid content-start gap-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-8 gap-y-1">
        <h2 id="classes-title" className="text-l">
          From classes
        </h2>
        <Link className="link" to={`/${site}/share/hand-ins`}>
          To your hand-ins
        </Link>
      </div>
      <ul className="grid border-t border-line">
        {said.map(({ id, name, by, asked, givenBack }) => (
          <li key={id} className="grid gap-1 border-b border-line py-3 [overflow-wrap:anywhere]">
            <b>{name}</b>
            {asked && (
              <p>
                {by} {asked.done ? 'asked, and you said that it is done' : 'asks'}: {asked.words}
              </p>
            )}
            {givenBack && (
              <p className="text-ink-2">
                {by} gave back a letter, {inWords(givenBack.at)}.
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
