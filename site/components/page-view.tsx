import { Fragment, type ReactNode, useContext, useMemo } from 'react';
import type { SeenPart } from '#core/access/seen-by.ts';
import { figureNumbers } from '#core/composition/figure-numbers.ts';
import { runsOnGrounds } from '#core/composition/runs-on-grounds.ts';
import { drawnWith, placedParts } from '#core/composition/placed-parts.ts';
import type { Space } from '#core/composition/space-between.ts';
import type { Id } from '#core/id.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import { directionOf } from '#core/language/language.ts';
import { factsLine } from '#core/pages/facts-line.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { PageInput, Card } from '../render/page-input.ts';
import { CreditsView } from './credits-view.tsx';
import { OpeningView } from './opening-view.tsx';
import { PageEnd } from './page-end.tsx';
import { Band, PageGround } from './grounds.tsx';
import { Pair } from './pair.tsx';
import type { PartViewProps } from '../parts/part-drawing.ts';
import { PartView } from '../parts/part-view.tsx';
import { useProperties } from '../render/declarations.ts';
import { focusAt, PictureView } from './picture-view.tsx';
import { PagesBelow, SectionLine, SiteMenu } from './site-menu.tsx';
import { LanguageContext, SpokenContext, spokenIn, useSpoken } from '../render/words.ts';
import { FiguresContext } from '../render/figures.ts';
import { themes } from '../themes/themes.ts';
import { LookContext, WornContext } from '../render/worn.ts';
import { useSlots } from './slots.ts';
import { Resume } from './resume.tsx';
import { Wall } from './wall.tsx';
import { Who } from './who.tsx';
import { WaysContext } from '../render/ways.ts';

/** Each tag leads to its page, where this reader has one. */
function TagLinks({ input: { page, tags, toRoot } }: { input: PageInput }) {
  const paths = new Map(tags.map(({ name, path }) => [name, path]));
  return page.facts.tags.map((tag, at) => (
    <Fragment key={tag}>
      {at > 0 && ', '}
      {paths.has(tag) ? <a href={toRoot + (paths.get(tag) ?? '')}>{tag}</a> : tag}
    </Fragment>
  ));
}

function Facts({ input }: { input: PageInput }) {
  const slots = useSlots();
  const { lang } = useSpoken();
  const facts = factsLine(input.page.facts, input.page.language);
  const shown =
    facts.length > 0 ? (
      <div className="on-grid facts-band">
        <dl className="facts">
          {facts.map(({ kind, name, value, url }) => (
            <div key={kind}>
              <dt {...lang}>{name}</dt>
              <dd>
                {kind === 'tags' ? (
                  <TagLinks input={input} />
                ) : url ? (
                  <a href={url} rel="license">
                    {value}
                  </a>
                ) : (
                  value
                )}
              </dd>
            </div>
          ))}
        </dl>
      </div>
    ) : null;
  return slots.facts ? slots.facts(shown) : shown;
}

/** Of a part that is words and pictures; always the same, so that it is not drawn again for it. */
const nothing: PartViewProps['media'] = {};

/** One part, and around it what the studio puts there. */
function PlacedPart({ part, at, input }: { part: SeenPart; at: number; input: PageInput }) {
  const slots = useSlots();
  const { pictures, toRoot } = input;
  const media = input.media[part.id] ?? nothing;
  const shown = useMemo(
    () => <PartView part={part} pictures={pictures} media={media} toRoot={toRoot} />,
    [part, pictures, media, toRoot],
  );
  return slots.part ? slots.part(part, shown, at) : shown;
}

/** A place on the page, which a proof may lead to, as far below what stands above it as the two kinds ask for. */
function Place({ id, space, children }: { id: Id; space: Space; children: ReactNode }) {
  const attach = useProperties();
  return (
    <section
      id={partAnchor(id)}
      {...(space === 'gutter' ? { className: 'place joined' } : attach({ '--before': space }, 'place'))}
    >
      {children}
    </section>
  );
}

const notNumbered: ReadonlyMap<Id, number> = new Map();

/** The same object as long as nothing in it changes, so that captions are not drawn again for each letter typed. */
function useFigures({ page, pictures, look }: PageInput): ReadonlyMap<Id, number> {
  const numbers = themes[look.theme].numbersFigures
    ? figureNumbers(page.parts, (id) => Boolean(pictures[id]?.caption))
    : notNumbered;
  const key = JSON.stringify([...numbers]);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the key says all that is in it
  return useMemo(() => numbers, [key]);
}

function Parts({ input }: { input: PageInput }) {
  const slots = useSlots();
  const isCaptioned = (id: Id) => Boolean(input.pictures[id]?.caption);
  const numbers = useFigures(input);
  const drawn = (part: SeenPart, at: number) => <PlacedPart part={part} at={at} input={input} />;
  return (
    <FiguresContext value={numbers}>
      {runsOnGrounds(placedParts(input.page.parts, isCaptioned)).map(({ ground, parts }) => {
        const places = parts.map(({ at, part, beside, more, space }) => (
          <Place key={part.id} id={part.id} space={space}>
            {slots.before && <div className="wrap">{slots.before(at)}</div>}
            {drawnWith(part) === 'facts' ? (
              <Who input={input} facts={[{ at, part }, ...more]} drawn={drawn} />
            ) : drawnWith(part) === 'resume' ? (
              <Resume input={input} parts={[{ at, part }, ...more]} drawn={drawn} />
            ) : beside ? (
              <Pair share={beside.share} second={beside.part.id}>
                {drawn(part, at)}
                {drawn(beside.part, at + 1)}
              </Pair>
            ) : (
              drawn(part, at)
            )}
          </Place>
        ));
        const [first] = parts;
        if (!ground || !first) return places;
        const space = typeof first.space === 'number' ? first.space : 2.5;
        return (
          // While it is being made, a page stands still.
          <Band key={first.part.id} {...{ ground, input, space }} passes={!slots.part}>
            {places}
          </Band>
        );
      })}
      {slots.end}
    </FiguresContext>
  );
}

function Next({ input }: { input: PageInput }) {
  const { words, lang } = useSpoken();
  const { before, after, toRoot } = input;
  if (!before && !after) return null;
  const link = (card: Card, side: 'before' | 'after') => (
    <a key={side} className={side} href={toRoot + card.path}>
      {card.picture && (
        <PictureView
          picture={card.picture}
          toRoot={toRoot}
          sizes="(min-width: 56rem) 24vw, 45vw"
          properties={{ '--focus-at': focusAt(card.picture) }}
          decorative
        />
      )}
      <span>
        <span className="meta" {...lang}>
          {side === 'before' ? words.before : words.next}
        </span>
        <b {...(card.language !== null && { lang: card.language, dir: directionOf(card.language) })}>
          {card.title}
        </b>
      </span>
    </a>
  );
  return (
    <nav className="on-grid next" aria-label={words.moreProjects}>
      {before && link(before, 'before')}
      {after && link(after, 'after')}
    </nav>
  );
}

/** Whether the top of the front page says or shows anything that the site's head above it does not. */
const welcomesInWords = ({ page, siteTitle }: PageInput): boolean =>
  page.summary !== '' || page.opening.pictures.length > 0 || page.title.trim() !== siteTitle.trim();

/**
 * A whole public page below `<body>`, the same in the studio and in a release.
 *
 * @param within the page stands inside another document, which has a main landmark of its own
 */
export function PageView({ input, within = false }: { input: PageInput; within?: boolean }) {
  const Main = within ? 'div' : 'main';
  const slots = useSlots();
  const worn = useContext(WornContext);
  const { page, siteLanguage } = input;
  const { isWork, isFront } = rulesOfPage(page);
  const opening = <OpeningView input={input} />;
  const ofPage = spokenIn(page.language);
  // A page in a language of its own stands in the frame of a site in another one.
  const ofSite = spokenIn(siteLanguage, page.language);
  const { words } = ofPage;
  return (
    <LookContext value={input.look}>
      <div
        className="site"
        data-theme={input.look.theme}
        style={worn?.style}
        {...(within && { lang: page.language, dir: directionOf(page.language) })}
      >
        <div
          className="sheet"
          data-menu={input.manner}
          data-page={isFront ? 'front' : isWork ? 'work' : 'plain'}
        >
          <PageGround input={input} />
          <SpokenContext value={ofSite}>
            <SiteMenu input={input} within={within} />
          </SpokenContext>
          <div className="leaf">
            <SpokenContext value={ofSite}>
              <SectionLine input={input} />
            </SpokenContext>
            <SpokenContext value={ofPage}>
              <LanguageContext value={page.language}>
                <Main id={within ? undefined : 'main'}>
                  {isFront && !within && !(input.welcome && welcomesInWords(input)) ? (
                    <h1 className="unseen">{page.title || input.siteTitle}</h1>
                  ) : slots.opening ? (
                    slots.opening(opening)
                  ) : (
                    opening
                  )}
                  <PagesBelow input={input} />
                  {isWork && <Facts input={input} />}
                  <WaysContext value={input.ways}>
                    <Parts input={input} />
                  </WaysContext>
                  {page.credits.length > 0 && (
                    <Place id="credits" space={4}>
                      <CreditsView credits={page.credits} />
                    </Place>
                  )}
                  <Wall input={input} label={words.projects} />
                </Main>
                {isWork && <Next input={input} />}
              </LanguageContext>
            </SpokenContext>
            <SpokenContext value={ofSite}>
              <PageEnd input={input} />
            </SpokenContext>
          </div>
        </div>
      </div>
    </LookContext>
  );
}
