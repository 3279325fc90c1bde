import { useMemo } from 'react';
import { Link } from 'react-router';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { type FontPair, fontPairs } from '#core/look/font-pairs.ts';
import { fontsOf } from '#core/look/look-rules.ts';
import { themeDefaults } from '#core/look/theme-defaults.ts';
import { openingEndangered } from '#core/look/words-over.ts';
import { isPicture } from '#core/materials/material.ts';
import { isShown } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { widthInLetters } from '#core/words/width-in-letters.ts';
import { themes } from '#site/themes/themes.ts';
import { useSite } from '../../api/site-context.tsx';
import { ratioWords } from './ratio-words.ts';

const middle = { x: 0.5, y: 0.5 };
/** A title longer than this is no longer a few words, in letters. */
const fewWords = 60;

/** The maker's own pages on which words are hardest to read, and what was done about it; and what is hard to read at any ratio. */
export function EndangeredPlaces({ lights }: { lights: ReadonlyMap<string, string> }) {
  const { state } = useSite();
  const { pages, materials, site } = state;
  const { look } = site;
  const { overPictures, label } = themes[look.theme];
  const places = useMemo(() => {
    if (!overPictures) return [];
    const found = pages.flatMap((page) => {
      if (!isShown(page) || page.archived || page.opening.layout !== 'full') return [];
      const picture = materials.find(({ id }) => id === page.opening.pictures[0]);
      if (!picture || !isPicture(picture)) return [];
      const light = lights.get(picture.id);
      const words = {
        title: widthInLetters(page.title),
        summary: widthInLetters(page.summary),
        hasKicker: page.parent !== null,
      };
      const over = {
        ...(light !== undefined && { light }),
        ...shownSize(picture.facts, picture.fixes),
        focus: picture.fixes.focus ?? middle,
      };
      const one = openingEndangered(over, words, look);
      return one ? [{ page, ...one }] : [];
    });
    return found.sort((one, other) => one.without - other.without).slice(0, 3);
  }, [overPictures, pages, materials, lights, look]);
  const pair: FontPair = fontPairs[fontsOf(look)];
  const long = pages.filter(
    (page) => isShown(page) && !page.archived && widthInLetters(page.title) > fewWords,
  );
  const texture = look.ground.texture ?? themeDefaults[look.theme].texture;
  return (
    <div className="grid gap-2">
      <h3>Where it is tightest</h3>
      {!overPictures ? (
        <p className="note">In {label}, the words of an opening never lie over its picture.</p>
      ) : places.length === 0 ? (
        <p className="note">No words lie over a picture on your pages.</p>
      ) : (
        <ul className="grid gap-1 text-s leading-s">
          {places.map(({ page, words, without, through, alpha, needs }) => (
            <li key={page.id}>
              <Link className="link" to={`/${site.id}/projects/${page.id}`}>
                {pageName(page)}
              </Link>
              : {words} words over its picture reach {ratioWords(without)} at the worst pixels,{' '}
              {alpha === 0
                ? `enough without a veil.`
                : `and ${ratioWords(through)} of the ${needs} they need through a veil of ${Math.round(alpha * 100)} %.`}
            </li>
          ))}
        </ul>
      )}
      {pair.forFewWords && long.length > 0 && (
        <p className="flag straw">
          {pair.label} is drawn for a few large words; the title of{' '}
          {pageName(long[0] ?? { kind: '', title: '' })} is long.
        </p>
      )}
      {texture !== 'none' && (look.ground.colour !== null || look.textSize < 1) && (
        <p className="flag straw">
          Small words on a texture tire the eye: plain ground, or larger words, are easier.
        </p>
      )}
    </div>
  );
}
