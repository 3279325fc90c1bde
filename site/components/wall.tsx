import { type ReactNode, useContext } from 'react';
import { directionOf } from '#core/language/language.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { WallLabels } from '#core/sites/wall-labels.ts';
import { nameVeil } from '#core/look/words-over.ts';
import { useProperties } from '../render/declarations.ts';
import { LookContext } from '../render/worn.ts';
import { veilProperties } from '../render/veil-properties.ts';
import type { Card, PageInput, WallGroup } from '../render/page-input.ts';
import { useSpoken } from '../render/words.ts';
import { focusAt, PictureView } from './picture-view.tsx';
import { Rows } from './rows.tsx';

type PartOfWall = Pick<PageInput, 'cards' | 'toRoot'> & {
  /** No picture stands above it: its first one is the first that a reader sees. */
  opens: boolean;
  labels: WallLabels;
  /** Headings stand one level lower, below the name of a group. */
  below?: boolean;
};

function Name({
  card,
  toRoot,
  below = false,
  over = false,
}: {
  card: Card;
  toRoot: string;
  below?: boolean;
  /** It lies over its picture. */
  over?: boolean;
}) {
  const attach = useProperties();
  const look = useContext(LookContext);
  const Heading = below ? 'h3' : 'h2';
  const { lang } = useSpoken();
  const own = card.language === null ? {} : { lang: card.language, dir: directionOf(card.language) };
  const more = [card.when, ...card.tags].filter(Boolean).join(' · ');
  return (
    <div
      {...(over && card.picture
        ? attach(veilProperties([nameVeil(card.picture, look)]), 'title')
        : { className: card.picture ? 'title' : 'title bare' })}
    >
      <Heading {...own}>
        <a href={toRoot + card.path}>{card.title}</a>
      </Heading>
      {card.summary && (
        <p className="meta" {...own}>
          {card.summary}
        </p>
      )}
      {more && (
        <p className="meta more" {...(card.tags.length === 0 ? lang : {})}>
          {more}
        </p>
      )}
    </div>
  );
}

/** A picture on the wall, and its name as the wall has it: with it, or nowhere near it. */
function Hung({
  card,
  toRoot,
  labels,
  below = false,
  children,
}: Pick<PartOfWall, 'toRoot' | 'labels' | 'below'> & { card: Card; children: ReactNode }) {
  if (labels === 'outside')
    return (
      <div className="frame">
        {/* Its name in the list leads there too, and is what is heard and reached by keys. */}
        <a href={toRoot + card.path} tabIndex={-1} aria-hidden="true">
          {children}
        </a>
      </div>
    );
  return (
    <>
      {card.picture && <div className="frame">{children}</div>}
      <Name card={card} toRoot={toRoot} below={below} over={labels === 'over'} />
    </>
  );
}

/** Rows of natural proportions: nothing is cut. */
const InRows = ({ cards, toRoot, opens, labels, below = false }: PartOfWall) => (
  <Rows items={cards} pictureOf={(card) => card.picture} as="article">
    {(card, sizes, ratio, at) => (
      <Hung card={card} toRoot={toRoot} labels={labels} below={below}>
        {card.picture && (
          <PictureView
            picture={card.picture}
            toRoot={toRoot}
            sizes={sizes}
            first={opens && at === 0}
            properties={ratio}
            decorative
          />
        )}
      </Hung>
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
function OneLarge({ cards, toRoot, opens, labels }: PartOfWall) {
  const attach = useProperties();
  const places = largeFirst(cards.length);
  return (
    <div className="one-large">
      {cards.map((card, at) => {
        const { columns, rows } = places[at] ?? { columns: 1, rows: 1 };
        return (
          <article key={card.id} {...attach({ '--columns': columns, '--rows': rows }, 'card')}>
            <Hung card={card} toRoot={toRoot} labels={labels}>
              {card.picture && (
                <PictureView
                  picture={card.picture}
                  toRoot={toRoot}
                  sizes={`(min-width: 48rem) ${columns * 33}vw, 100vw`}
                  first={opens && at === 0}
                  properties={{ '--focus-at': focusAt(card.picture) }}
                  decorative
                />
              )}
            </Hung>
          </article>
        );
      })}
    </div>
  );
}

/** One under the other, the words first. */
const AsList = ({ cards, toRoot, opens }: Omit<PartOfWall, 'labels'>) => (
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

const ByGroups = ({
  cards,
  groups,
  toRoot,
  opens,
  labels,
}: PartOfWall & { groups: readonly WallGroup[] }) => {
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
        labels={labels}
        below={title !== null}
      />
    </section>
  ));
};

/** The names of what hangs, beside the wall and numbered as it is. */
const Names = ({ cards, toRoot }: Pick<PartOfWall, 'cards' | 'toRoot'>) => (
  <ol className="names">
    {cards.map((card) => (
      <li key={card.id}>
        <Name card={card} toRoot={toRoot} />
      </li>
    ))}
  </ol>
);

/** The work that hangs on a page, arranged as its maker wants it. */
export function Wall({ input, label }: { input: PageInput; label: string }) {
  const { cards, wall: arrangement, wallGroups, toRoot, labels, page, welcome } = input;
  if (cards.length === 0) return null;
  const isWelcomed = welcome || !rulesOfPage(page).isFront;
  const opens = page.parts.length === 0 && (!isWelcomed || page.opening.pictures.length === 0);
  const isOutside = labels === 'outside' && arrangement !== 'list' && arrangement !== 'groups';
  const wall = {
    // What has no picture has only its name, which stands with the others.
    ...{ cards: isOutside ? cards.filter(({ picture }) => picture) : cards, toRoot, opens },
    labels: labels === 'outside' && !isOutside ? ('below' as const) : labels,
  };
  const hung =
    arrangement === 'one' ? (
      <OneLarge {...wall} />
    ) : arrangement === 'list' ? (
      <AsList {...wall} />
    ) : arrangement === 'groups' ? (
      <ByGroups {...wall} groups={wallGroups} />
    ) : (
      <InRows {...wall} />
    );
  return (
    <section className={`wall labels-${wall.labels}`} aria-label={label}>
      {isOutside ? (
        <div className="on-grid">
          <Names cards={cards} toRoot={toRoot} />
          <div className="hung">{hung}</div>
        </div>
      ) : (
        <div className="wrap">{hung}</div>
      )}
    </section>
  );
}
