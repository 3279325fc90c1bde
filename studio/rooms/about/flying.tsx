import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import { flushSync } from 'react-dom';
import { isOfPerson } from '#core/about/person-parts.ts';
import { type Height, reaches } from '#core/access/height.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { holderName } from '../../ui/height-control.tsx';
import { fromTheTop, heightMeanings, heightNames } from '../../ui/height-names.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { itemName } from './item-name.ts';
import type { PersonSteps } from './use-person.ts';

/**
 * Everything about the maker, hung at the height that was chosen for it; arrow keys let it up and down. Where the page or the
 * site holds it lower, its tag is only outlined, and the level says so.
 */
export function Flying({ page, steps }: { page: ShownPage; steps: PersonSteps }) {
  const { state } = useSite();
  const [held, setHeld] = useState<string | null>(null);
  /** Where a tag hangs already that has only just been moved, so that whoever moves it by keys goes with it at once. */
  const [ahead, setAhead] = useState<{ id: string; height: Height } | null>(null);
  const [known, setKnown] = useState(page.parts);
  if (known !== page.parts) {
    setKnown(page.parts);
    // Once it hangs there, whatever is done to it elsewhere counts.
    if (page.parts.some(({ id, height }) => id === ahead?.id && height === ahead.height)) setAhead(null);
  }
  const items = page.parts
    .filter((part) => isOfPerson(part) && !isEmptyPart(part))
    .map((part): Part => (part.id === ahead?.id ? { ...part, height: ahead.height } : part));
  const taken = items.find(({ id }) => id === held);
  const ofPage = effectiveHeight(state, { page: page.id });
  const holder = ofPage.heldBy ? holderName(ofPage) : page.title || 'this page';
  const move = (part: Part, by: 1 | -1) => {
    const height = fromTheTop[fromTheTop.indexOf(part.height) - by];
    if (!height) return;
    flushSync(() => setAhead({ id: part.id, height }));
    steps.change({ ...part, height });
  };
  return (
    <section className="grid content-start gap-3" aria-labelledby="about-flying">
      <h2 id="about-flying" className="text-l">
        How high each thing flies
      </h2>
      <div className="about-sky">
        {fromTheTop.map((height) => (
          <div key={height} className="about-level" data-held={!reaches(ofPage.height, height)}>
            <h3>
              {heightNames[height]}{' '}
              <small>
                {reaches(ofPage.height, height)
                  ? heightMeanings[height]
                  : `held at ${heightNames[ofPage.height]} by ${holder}`}
              </small>
            </h3>
            <ul>
              {items
                .filter((part) => part.height === height)
                .map((part) => (
                  <li key={part.id}>
                    <button
                      type="button"
                      className="about-tag"
                      aria-pressed={part.id === held}
                      onClick={() => setHeld(part.id === held ? null : part.id)}
                      onKeyDown={(event) => {
                        const by = { ArrowUp: 1, ArrowDown: -1 }[event.key] as 1 | -1 | undefined;
                        if (by === undefined) return;
                        event.preventDefault();
                        setHeld(part.id);
                        move(part, by);
                        document.getElementById(`tag-${part.id}`)?.focus();
                      }}
                      id={`tag-${part.id}`}
                    >
                      {itemName(part)}
                    </button>
                  </li>
                ))}
            </ul>
            {height === 'public' && (
              <p className="about-ceiling" data-on={state.site.underAge}>
                under 18: nothing of the site above here
              </p>
            )}
          </div>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <p className="note mr-auto" role="status">
          {taken
            ? `${itemName(taken)}: ${heightNames[taken.height]}, ${heightMeanings[taken.height]}.`
            : 'Choose a tag, and let it up or down: here, or with the arrow keys.'}
        </p>
        {taken && (
          <>
            <IconButton
              label={`Let ${itemName(taken)} up`}
              disabled={taken.height === 'public'}
              onClick={() => move(taken, 1)}
            >
              <ArrowUp size={17} aria-hidden="true" />
            </IconButton>
            <IconButton
              label={`Take ${itemName(taken)} down`}
              disabled={taken.height === 'private'}
              onClick={() => move(taken, -1)}
            >
              <ArrowDown size={17} aria-hidden="true" />
            </IconButton>
          </>
        )}
      </div>
      <p className="note">
        What you take down is closed at once. What you let up waits for your next publish.
      </p>
    </section>
  );
}
