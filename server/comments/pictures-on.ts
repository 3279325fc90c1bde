import { type Element, isTag } from 'domhandler';
import { DomUtils, parseDocument } from 'htmlparser2';
import { LRUCache } from 'lru-cache';
import type { Id } from '#core/id.ts';
import type { FileTree } from '#core/release/manifest.ts';
import type { PictureOnPage } from '#site/comments/comment-form.ts';
import { anchoredIn } from './anchored-in.ts';

const known = new LRUCache<string, readonly PictureOnPage[]>({ max: 500 });
/** So wide a file looks sharp where a picture is shown small, in pixels. */
const smallPx = 560;

/** The smallest file of a picture that is wide enough to be shown small. */
function smaller({ attribs }: Element, src: string): string {
  const fitting = (attribs['srcset'] ?? '')
    .split(', ')
    .map((one) => one.split(' '))
    .find(([, width]) => Number.parseInt(width ?? '', 10) >= smallPx);
  return fitting?.[0] ?? src;
}

const isMain = ({ name }: Element) => name === 'main';

/** The path below the entrance, of an address that a page writes relative to itself. */
const pathOf = (src: string): string => src.replace(/^(?:\.{1,2}\/)+/, '');

function imagesOn(hash: string, html: string): readonly PictureOnPage[] {
  const before = known.get(hash);
  if (before) return before;
  const main = DomUtils.findOne(isMain, parseDocument(html).children, true);
  const images = main ? DomUtils.findAll((one) => isTag(one) && one.name === 'img', [main]) : [];
  const found = new Map<string, PictureOnPage>();
  for (const image of images) {
    const { src = '', alt = '', width = '', height = '' } = image.attribs;
    const file = pathOf(src);
    if (found.has(file) || !(Number(width) > 0) || !(Number(height) > 0)) continue;
    found.set(file, {
      ...{
        file,
        src: smaller(image, src),
        alt,
        widthPx: Number(width),
        heightPx: Number(height),
      },
      part: anchoredIn(image.parent),
    });
  }
  const pictures = [...found.values()];
  known.set(hash, pictures);
  return pictures;
}

/** The materials that a file of a release shows: one, or several that are alike to the last byte. */
export const materialsOf = (tree: FileTree, file: string): readonly Id[] =>
  (Object.hasOwn(tree, file) && tree[file]?.of) || [];

/**
 * The pictures on a released page in their order, once each, as its reader gets them.
 *
 * @param tree all that this reader may fetch
 * @param page of it
 */
export const picturesOn = (tree: FileTree, page: { hash: string }, html: string): PictureOnPage[] =>
  imagesOn(page.hash, html).filter(({ file }) => materialsOf(tree, file).length > 0);
