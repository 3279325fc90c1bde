import { heightsOf } from '../access/heights-of.ts';
import { type Height, heightLevel, lowest } from '../access/height.ts';
import { siteHeight } from '../access/site-height.ts';
import type { Id } from '../id.ts';
import { withGroundPicture } from '../look/ground-picture.ts';
import { noCover } from '../pages/cover.ts';
import { isShown, type Page } from '../pages/page.ts';
import { withHeld } from '../parts/held-in.ts';
import { withoutMaterial } from '../parts/without-material.ts';
import type { Draft } from '../sites/site.ts';
import { type Ceilings, contactCeiling } from './ceilings.ts';

/** How high the site itself may be opened. It is closed at the door, so no release has to be made for it. */
export const siteReach = ({ site }: Pick<Draft, 'site'>, ceilings: Ceilings): Height =>
  lowest([siteHeight(site), ceilings.get(site.id) ?? 'public']);

/**
 * A released copy with nothing above its ceiling, and nothing else changed: no words, no pictures, no raised height. The
 * ceilings go by the thing and not by its place, so what was closed stays closed wherever the release has it. The site's
 * own height is left as it is (`siteReach`).
 *
 * @returns the lowered copy, or null when nothing in it lies above its ceiling
 */
export function narrowed(released: Draft, ceilings: Ceilings): Draft | null {
  if (ceilings.size === 0) return null;
  let lower = false;
  const heights = heightsOf(released);
  const lowerOf = <T extends { id: Id; height: Height }>(thing: T, effective: Height): T => {
    const ceiling = ceilings.get(thing.id) ?? 'public';
    // What stands in something that is as low already is no higher than it.
    if (heightLevel(effective) <= heightLevel(ceiling)) return thing;
    lower = true;
    return { ...thing, height: ceiling };
  };
  const closed = new Set(
    released.materials.flatMap(({ id }) => (ceilings.get(id) === 'private' ? [id] : [])),
  );
  if (closed.size > 0) lower = true;
  const { contact, underAge } = released.site;
  const silenced = ceilings.has(contactCeiling) && contact !== '' && !underAge;
  if (silenced) lower = true;
  const pages = released.pages.map((page) => {
    const ofParts = heights.parts.get(page.id);
    const inside: Page = !isShown(page)
      ? page
      : {
          ...page,
          cover: page.cover.picture !== null && closed.has(page.cover.picture) ? noCover : page.cover,
          opening: { ...page.opening, pictures: page.opening.pictures.filter((id) => !closed.has(id)) },
          parts: page.parts.map((part) =>
            withHeld(
              lowerOf([...closed].reduce(withoutMaterial, part), ofParts?.get(part.id) ?? 'private'),
              (held) => lowerOf(held, ofParts?.get(held.id) ?? 'private'),
            ),
          ),
        };
    return lowerOf(inside, heights.pages.get(page.id) ?? 'private');
  });
  if (!lower) return null;
  // What stands for another material, like the still of a clip, is gone with it.
  const materials = released.materials
    .filter(({ id }) => !closed.has(id))
    .map((one) => (one.shownBy !== null && closed.has(one.shownBy) ? { ...one, shownBy: null } : one));
  const look = withGroundPicture(released.site.look, (id) => !closed.has(id));
  const site = { ...released.site, look, contact: silenced ? '' : contact };
  return { ...released, site, pages, materials };
}
