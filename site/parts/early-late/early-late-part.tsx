import { useContext } from 'react';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { wordsChanges, type WordsRun } from '#core/early-late/words-changes.ts';
import type { EarlyLateState } from '#core/parts/early-late.ts';
import { LargeLink } from '../../components/large-link.tsx';
import { MediumView } from '../../components/medium-view.tsx';
import { PictureView } from '../../components/picture-view.tsx';
import { LanguageContext, useSpoken } from '../../render/words.ts';
import { ComparePart } from '../compare/compare-part.tsx';
import type { PartViewProps } from '../part-drawing.ts';

type Props = PartViewProps<'early-late'>;

const tags = { same: 'span', gone: 'del', new: 'ins' } as const;

/** Words by their paragraphs, with what went and what came since the state before. */
function Words({ runs }: { runs: readonly WordsRun[] }) {
  return (
    <p className="then">
      {runs.map(({ text, change }, at) => {
        const Tag = tags[change];
        return <Tag key={at}>{text}</Tag>;
      })}
    </p>
  );
}

/** What a state is called: by its name, its date, or both. */
function useCalled(): (state: EarlyLateState) => string {
  const language = useContext(LanguageContext);
  return ({ name, date }) =>
    [name, date === null ? '' : roughDateForReaders(date, language)].filter((said) => said !== '').join(', ');
}

/** The last words that were said before a state. */
const wordsBefore = (states: readonly EarlyLateState[], at: number): string | null =>
  states.slice(0, at).findLast(({ words }) => words !== '')?.words ?? null;

function Shown({ state, pictures, media, toRoot }: Omit<Props, 'part'> & { state: EarlyLateState }) {
  const picture = pictures[state.material ?? ''];
  const medium = media[state.material ?? ''];
  if (picture)
    return (
      <figure>
        <LargeLink picture={picture} toRoot={toRoot}>
          <PictureView picture={picture} toRoot={toRoot} sizes="(min-width: 704px) 46vw, 92vw" />
        </LargeLink>
        {picture.caption && <figcaption>{picture.caption}</figcaption>}
      </figure>
    );
  return medium ? (
    <div className="half">
      <MediumView medium={medium} toRoot={toRoot} />
    </div>
  ) : null;
}

/**
 * The same thing at several dates. Two pictures get a slider, as before and after do; all else stands side by side in time, words with
 * what changed since the ones before.
 */
export function EarlyLatePart({ part, pictures, media, toRoot }: Props) {
  const { words, lang } = useSpoken();
  const called = useCalled();
  const { states } = part;
  const [first, last] = states;
  if (
    first &&
    last &&
    states.length === 2 &&
    [first, last].every(({ material, words: said }) => pictures[material ?? ''] !== undefined && said === '')
  )
    return (
      <ComparePart
        part={{
          ...{ id: part.id, kind: 'compare', before: first.material, after: last.material },
          ...{ beforeName: called(first), afterName: called(last) },
        }}
        {...{ pictures, media, toRoot }}
      />
    );
  const marked = states.some((state, at) => state.words !== '' && wordsBefore(states, at) !== null);
  return (
    <div className="on-grid early-late">
      <ol className={states.length > 2 ? 'many' : undefined}>
        {states.map((state, at) => {
          const before = wordsBefore(states, at);
          const name = called(state);
          return (
            <li key={state.id}>
              {name && <p className="label">{name}</p>}
              <Shown {...{ state, pictures, media, toRoot }} />
              {state.words !== '' && (
                <Words
                  runs={
                    before === null
                      ? [{ text: state.words, change: 'same' }]
                      : wordsChanges(before, state.words)
                  }
                />
              )}
            </li>
          );
        })}
      </ol>
      {marked && (
        <p className="marks" {...lang}>
          {words.changesMarked}
        </p>
      )}
    </div>
  );
}
