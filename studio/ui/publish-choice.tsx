import type { Live } from '#contract/site-state.ts';
import { BeforeAfter } from './before-after.tsx';
import { DifferenceWords } from './difference-list.tsx';

interface PublishChoiceProps {
  site: string;
  list: Live['waiting'];
  staying: ReadonlySet<string>;
  onChoose: (page: string, goes: boolean) => void;
}

/** What publishing would change, a line for each page, to be ticked or left as readers have it. */
export function PublishChoice({ site, list, staying, onChoose }: PublishChoiceProps) {
  return (
    <ul className="divide-y divide-line">
      {list.map((one) => {
        const { page, kind, title } = one;
        if (page === null)
          return (
            <li key="site" className="py-2 pl-8">
              <DifferenceWords of={one} />
              <span className="note block">Settings of the site always go along.</span>
            </li>
          );
        const stays = staying.has(page);
        return (
          <li key={`${page} ${kind}`} className="py-2">
            <label className="flex items-start gap-3">
              <input
                type="checkbox"
                className="h-5 w-5 flex-none accent-[var(--ink)]"
                checked={!stays}
                aria-label={`Publish ${title}`}
                onChange={(event) => onChoose(page, event.target.checked)}
              />
              <span className={stays ? 'text-ink-3' : ''}>
                <DifferenceWords of={one} />
                {stays && (
                  <em className="block">{kind === 'added' ? 'not yet' : 'stays as readers have it'}</em>
                )}
              </span>
            </label>
            <div className="pl-8">
              <BeforeAfter {...{ site, page, title, kind }} />
            </div>
          </li>
        );
      })}
    </ul>
  );
}
