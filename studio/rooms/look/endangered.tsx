import { useMemo } from 'react';
import { Link } from 'react-router';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { type FontPair, fontPairs } from '#core/look/font-pairs.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { themeDefaults } from '#core/look/theme-defaults.ts';
import { endangeredPlaces } from '#core/look/endangered-places.ts';
import { isPicture } from '#core/materials/material.ts';
import { isShown } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { widthInLetters } from '#core/words/width-in-letters.ts';
import { themes } from '#site/themes/themes.ts';
import { useSite } from '../../api/site-context.tsx';
import { ratioWords } from '../../ui/ratio-words.ts';

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
    const byId = new Map(materials.filter(isPicture).map((one) => [one.id, one]));
    const shown = pages.filter(isShown).filter(({ archived }) => !archived);
    const choice = { look, labels: site.wallLabels, openingsOver: overPictures };
    const found = endangeredPlaces(shown, choice, (id) => {
      const picture = byId.get(id);
      if (!picture) return null;
      const light = lights.get(id);
      return {
        ...(light !== undefined && { light }),
        ...shownSize(picture.facts, picture.fixes),
        focus: picture.fixes.focus ?? middle,
      };
    });
    return found.slice(0, 3).flatMap((place) => {
      const page = shown.find(({ id }) => id === place.page);
      return page ? [{ ...place, page }] : [];
    });
  }, [overPictures, pages, materials, lights, look, site.wallLabels]);
  const pair: FontPair = fontPairs[fontsOf(look)];
  const long = pages.filter(
    (page) => isShown(page) && !page.archived && widthInLetters(page.title) > fewWords,
  );
  const texture = look.ground.texture ?? themeDefaults[look.theme].texture;
  return (
    <div className="grid gap-2">
      <h3>Where it is tightest</h3>
      {places.length === 0 ? (
        <p className="note">
          {overPictures
            ? 'No words lie over a picture on your pages.'
            : `In ${label}, the words of an opening never lie over its picture.`}
        </p>
      ) : (
        <ul className="grid gap-1 text-s leading-s">
          {places.map(({ page, where, words, without, through, alpha, needs }) => (
            <li key={`${page.id} ${where}`}>
              <Link className="link" to={`/${site.id}/projects/${page.id}`}>
                {pageName(page)}
              </Link>
              {where === 'wall' && ' on the wall'}: {words} words over its picture reach {ratioWords(without)}{' '}
              at the worst pixels,{' '}
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
