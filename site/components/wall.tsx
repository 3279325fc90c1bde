import { useProperties } from '../render/declarations.ts';
import type { Card, WallGroup } from '../render/page-input.ts';
import type { WallArrangement } from '#core/sites/wall-arrangement.ts';
import { focusAt, PictureView } from './picture-view.tsx';
import { Rows } from './rows.tsx';

interface WallProps {
  cards: readonly Card[];
  arrangement: WallArrangement;
  /** The cards by group, in order; where they hang by groups. */
  groups: readonly WallGroup[];
  toRoot: string;
  label: string;
  /** No picture stands above it: its first one is the first that a reader sees. */
  opens: boolean;
}

function Name({ card, toRoot, below = false }: { card: Card; toRoot: string; below?: boolean }) {
  const Heading = below ? 'h3' : 'h2';
  return (
    <div className={card.picture ? 'title' : 'title bare'}>
      <Heading>
        <a href={toRoot + card.path}>{card.title}</a>
      </Heading>
      {card.summary && <p className="meta">{card.summary}</p>}
    </div>
  );
}

type PartOfWall = Pick<WallProps, 'cards' | 'toRoot' | 'opens'> & { below?: boolean };

/** Rows of natural proportions: nothing is cut. */
const InRows = ({ cards, toRoot, opens, below = false }: PartOfWall) => (
  <Rows items={cards} pictureOf={(card) => card.picture} as="article">
    {(card, sizes, ratio, at) => (
      <>
        {card.picture && (
          <div className="frame">
            <PictureView
              picture={card.picture}
              toRoot={toRoot}
              sizes={sizes}
              first={opens && at === 0}
              properties={ratio}
              decorative
            />
          </div>
        )}
        <Name card={card} toRoot={toRoot} below={below} />
      </>
    )}
  </Rows>
);

/**
 * How many of three columns each card takes where the first is large: the first two and two rows of them, so that two stand
 * beside it; those that would leave a gap at the end are wider.
 */
export function largeFirst(count: number): { columns: number; rows: number }[] {
  const one = { columns: 1, rows: 1 };
  if (count === 0) return [];
  if (count === 1) return [{ columns: 3, rows: 2 }];
  if (count === 2)
    return [
      { columns: 2, rows: 2 },
      { columns: 1, rows: 2 },
    ];
  const rest = count - 3;
  const last = rest % 3;
  const ends = last === 1 ? [{ columns: 3, rows: 1 }] : last === 2 ? [{ columns: 2, rows: 1 }, one] : [];
  return [{ columns: 2, rows: 2 }, one, one, ...Array.from({ length: rest - last }, () => one), ...ends];
}

/** The first one large, the others around it; covers are cropped about their focus. */
function OneLarge({ cards, toRoot, opens }: PartOfWall) {
  const attach = useProperties();
  const places = largeFirst(cards.length);
  return (
    <div className="one-large">
      {cards.map((card, at) => {
        const { columns, rows } = places[at] ?? { columns: 1, rows: 1 };
        return (
          <article key={card.id} {...attach({ '--columns': columns, '--rows': rows }, 'card')}>
            {card.picture && (
              <div className="frame">
                <PictureView
                  picture={card.picture}
                  toRoot={toRoot}
                  sizes={`(min-width: 48rem) ${columns * 33}vw, 100vw`}
                  first={opens && at === 0}
                  properties={{ '--focus-at': focusAt(card.picture) }}
                  decorative
                />
              </div>
            )}
            <Name card={card} toRoot={toRoot} />
          </article>
        );
      })}
    </div>
  );
}

/** One under the other, the words first. */
const AsList = ({ cards, toRoot, opens }: PartOfWall) => (
  <div className="wall-list">
    {cards.map((card, at) => (
      <article key={card.id} className="card">
        <Name card={card} toRoot={toRoot} />
        {card.picture && (
          <div className="frame">
            <PictureView
              picture={card.picture}
              toRoot={toRoot}
              sizes="(min-width: 48rem) 12rem, 28vw"
              first={opens && at === 0}
              properties={{ '--focus-at': focusAt(card.picture) }}
              decorative
            />
          </div>
        )}
      </article>
    ))}
  </div>
);

const ByGroups = ({ cards, groups, toRoot, opens }: PartOfWall & Pick<WallProps, 'groups'>) => {
  const byId = new Map(cards.map((card) => [card.id, card]));
  return groups.map(({ title, path, summary, cards: ids }, at) => (
    <section key={ids[0]} className="wall-group" aria-label={title ?? undefined}>
      {title !== null && (
        <header>
          <h2>{path === null ? title : <a href={toRoot + path}>{title}</a>}</h2>
          {summary && <p className="meta">{summary}</p>}
        </header>
      )}
      <InRows
        cards={ids.flatMap((id) => byId.get(id) ?? [])}
        toRoot={toRoot}
        opens={opens && at === 0}
        below={title !== null}
      />
    </section>
  ));
};

/** The work that hangs on a page, arranged as its maker wants it. */
export function Wall({ arrangement, groups, label, ...wall }: WallProps) {
  if (wall.cards.length === 0) return null;
  return (
    <section className="wall" aria-label={label}>
      <div className="wrap">
        {arrangement === 'one' ? (
          <OneLarge {...wall} />
        ) : arrangement === 'list' ? (
          <AsList {...wall} />
        ) : arrangement === 'groups' ? (
          <ByGroups {...wall} groups={groups} />
        ) : (
          <InRows {...wall} />
        )}
      </div>
    </section>
  );
}
