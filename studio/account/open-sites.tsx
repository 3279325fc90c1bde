import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { listPublicSites } from '#contract/public-sites.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { SelectField } from '../ui/select.tsx';

/** So many sites are looked through by eye. */
const few = 6;

/** Sites whose makers show them here, found by words, by field and by tag. Nothing is drawn while there are none. */
export function OpenSites() {
  const [typed, setTyped] = useState('');
  const [words, setWords] = useState('');
  const [field, setField] = useState('');
  const [tag, setTag] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setWords(typed.trim()), 250);
    return () => clearTimeout(timer);
  }, [typed]);
  const list = useInfiniteQuery({
    queryKey: ['public-sites', words, field, tag],
    initialPageParam: 0,
    queryFn: ({ pageParam }) => call(listPublicSites, { body: { from: pageParam, words, field, tag } }),
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  });
  const [first] = list.data?.pages ?? [];
  const sites = list.data?.pages.flatMap((page) => page.sites) ?? [];
  const asked = words !== '' || field !== '' || tag !== '';
  if (!first || (sites.length === 0 && !asked)) return null;
  const options = (all: string, facets: (typeof first)['fields']) => [
    { value: '', name: all },
    ...facets.map(({ name, sites: many }) => ({ value: name, name: `${name} (${many})` })),
  ];
  return (
    <section aria-labelledby="open-sites" className="grid gap-3 border-t border-line pt-5 md:col-start-1">
      <h2 id="open-sites" className="text-base">
        Sites open to everyone here
      </h2>
      {(first.found > few || asked) && (
        <div className="grid gap-3 sm:grid-cols-3" role="search">
          <label className="block">
            <span className="field-name">Find a site</span>
            <input
              type="search"
              className="input"
              value={typed}
              maxLength={200}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          {first.fields.length > 0 && (
            <SelectField
              name="Field"
              value={field}
              options={options('Any field', first.fields)}
              onChange={setField}
            />
          )}
          {first.tags.length > 0 && (
            <SelectField name="Tag" value={tag} options={options('Any tag', first.tags)} onChange={setTag} />
          )}
        </div>
      )}
      {asked && (
        <p className="note" role="status">
          {first.found === 0 ? 'No site here has all of that.' : `${plural(first.found, 'site')} found`}
        </p>
      )}
      <ul className="grid gap-2">
        {sites.map((site) => (
          <li key={site.path} className="min-w-0 break-words">
            <a className="link font-firm" href={site.path}>
              {site.title}
            </a>
            <span className="note">
              {' '}
              {[site.by, ...site.fields, ...site.tags.slice(0, 5)].filter(Boolean).join(', ')}
            </span>
          </li>
        ))}
      </ul>
      {list.hasNextPage && (
        <Button
          className="justify-self-start"
          disabled={list.isFetchingNextPage}
          onClick={() => void list.fetchNextPage()}
        >
          More sites
        </Button>
      )}
    </section>
  );
}
