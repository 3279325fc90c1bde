import { Command } from 'cmdk';
import { type ComponentProps, type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import type { Material } from '#core/materials/material.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { type Page, shownOn } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import type { Moment } from '#core/parts/moment.ts';
import { findNamed, type Names } from '#core/words/find-named.ts';
import { useSite } from '../../api/site-context.tsx';
import { DialogFrame, UnseenTitle } from '../dialog.tsx';
import { kindNames } from '../kind-names.ts';
import { materialName } from '../material-picture.tsx';
import { desks, rooms } from '../rooms.ts';
import type { Action } from './actions-context.tsx';

interface FinderProps {
  actions: readonly Action[];
  onClose: () => void;
}

/** So many of one kind are shown; whoever looks for another types more of its name. */
const most = 8;

const label = 'Find a page, a material or something to do';

const known = new WeakMap<object, Names>();
/** The names of a thing, read from it once. */
const once = <T extends object>(namesOf: (thing: T) => Names) => {
  return (thing: T): Names => {
    const names = known.get(thing) ?? namesOf(thing);
    known.set(thing, names);
    return names;
  };
};
const ofAction = once(({ name, also = '' }: Action) => ({ name, also }));
const ofPage = once((page: Page) => ({ name: pageName(page), also: shownOn(page).summary }));
const ofMoment = once(({ title, date, ...said }: Moment) => ({
  name: title || roughDateForReaders(date, 'en'),
  also: [roughDateForReaders(date, 'en'), said.happened, said.decided, said.turnedDown, said.with].join(' '),
}));
const ofRoom = once(({ name }: (typeof rooms)[number]) => ({ name, also: '' }));
const ofMaterial = once((material: Material) => ({
  name: materialName(material),
  also: [material.caption, material.fileName, ...material.tags].join(' '),
}));

/** One of them, to go to or to do. */
const Line = (line: ComponentProps<typeof Command.Item>) => (
  <Command.Item
    className="flex min-h-9 cursor-pointer items-center gap-2 rounded-m px-2.5 py-1 data-[selected=true]:bg-sunk data-[selected=true]:shadow-[inset_3px_0_0_var(--vermilion)]"
    {...line}
  />
);

/** One kind of what was found; nothing where none was. */
function Group<T>({
  heading,
  found,
  children,
}: {
  heading: string;
  found: readonly T[];
  children: (thing: T, at: number) => ReactNode;
}) {
  if (found.length === 0) return null;
  return (
    <Command.Group
      className="[&_[cmdk-group-heading]]:px-2.5 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-ink-3"
      heading={found.length > most ? `${heading}, the first ${most} of ${found.length}` : heading}
    >
      {found.slice(0, most).map(children)}
    </Command.Group>
  );
}

/** Finds any page, material, room or action by typing a piece of its name. */
export function Finder({ actions, onClose }: FinderProps) {
  const { state } = useSite();
  const [query, setQuery] = useState('');
  const navigate = useNavigate();
  const base = `/${state.site.id}`;
  const go = (to: string) => {
    onClose();
    void navigate(`${base}/${to}`);
  };
  const pages = state.pages.filter((page) => rulesOfPage(page).opens);
  const { materials } = state;
  const moments = query === '' ? [] : pages.flatMap((page) => momentsOf(shownOn(page).parts));
  const pageOf = (moment: Moment) => pages.find((page) => shownOn(page).parts.includes(moment));
  // Read before the first letter is typed, so that it does not wait for thousands of names.
  useEffect(() => {
    const timer = setTimeout(() => findNamed(materials, 'a', ofMaterial));
    return () => clearTimeout(timer);
  }, [materials]);
  return (
    <DialogFrame className="top-[12vh] -translate-y-0 p-3" onClose={onClose}>
      <UnseenTitle>{label}</UnseenTitle>
      <Command label={label} shouldFilter={false}>
        <Command.Input
          className="input"
          placeholder="A page, a picture, a room, something to do"
          value={query}
          onValueChange={setQuery}
        />
        <Command.List className="mt-2 max-h-[min(60vh,420px)] overflow-auto">
          <Command.Empty className="px-2.5 py-4 text-ink-2">Nothing here is called that.</Command.Empty>
          <Group heading="To do here" found={findNamed(actions, query, ofAction)}>
            {(action, at) => (
              <Line
                key={`${action.name} ${at}`}
                value={`to do ${at} ${action.name}`}
                onSelect={() => {
                  onClose();
                  action.run();
                }}
              >
                {action.name}
              </Line>
            )}
          </Group>
          <Group heading="Pages" found={findNamed(pages, query, ofPage)}>
            {(page) => (
              <Line key={page.id} value={page.id} onSelect={() => go(`projects/${page.id}`)}>
                {pageName(page)}
                {page.archived && <small className="ml-auto text-ink-3">put away</small>}
              </Line>
            )}
          </Group>
          <Group heading="Moments" found={findNamed(moments, query, ofMoment)}>
            {(moment) => {
              const page = pageOf(moment);
              return (
                page && (
                  <Line
                    key={moment.id}
                    value={moment.id}
                    onSelect={() => go(`projects/${page.id}/moments?moment=${moment.id}`)}
                  >
                    {ofMoment(moment).name}
                    <small className="ml-auto text-ink-3">{pageName(page)}</small>
                  </Line>
                )
              );
            }}
          </Group>
          <Group
            heading="Rooms"
            found={findNamed(query === '' ? rooms : [...rooms, ...desks], query, ofRoom)}
          >
            {({ path, name, icon: Icon }) => (
              <Line key={path} value={`room ${path}`} onSelect={() => go(path)}>
                <Icon size={16} aria-hidden="true" />
                {name}
              </Line>
            )}
          </Group>
          <Group heading="Gathered" found={findNamed(materials, query, ofMaterial)}>
            {(material) => (
              <Line key={material.id} value={material.id} onSelect={() => go(`gather?look=${material.id}`)}>
                {materialName(material)}
                <small className="ml-auto text-ink-3">{kindNames[material.kind]}</small>
              </Line>
            )}
          </Group>
        </Command.List>
      </Command>
    </DialogFrame>
  );
}
