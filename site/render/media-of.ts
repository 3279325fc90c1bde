import { isCovered } from '#core/access/covered.ts';
import type { SeenMaterial, SeenMaterialOf, SeenPart } from '#core/access/seen-by.ts';
import { pagePicture, picturesOf, piecePicture } from '#core/gallery/picture-source.ts';
import type { Id } from '#core/id.ts';
import { hostOf } from '#core/links/host-of.ts';
import { slideFormats } from '#core/materials/document.ts';
import { framedBy } from '#core/materials/link.ts';
import { uncoveredText } from '#core/materials/uncovered-words.ts';
import type { LinkForm } from '#core/parts/link.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import { rulesOf } from '#core/parts/parts.ts';
import { captionLines, isWebVtt } from '#core/words/web-vtt.ts';
import { drawingOf } from '../parts/parts.ts';
import type { DocumentMedium, LinkMedium, MediaSources, Medium } from './medium.ts';

function documentMedium(
  material: SeenMaterialOf<'document'>,
  download: boolean,
  sources: MediaSources,
): DocumentMedium {
  const { id, title, caption, facts, original } = material;
  const shown = material.shownBy ?? material;
  const words = sources.content(shown.original)?.pages ?? [];
  const slides = slideFormats.some((format) => format === facts.format);
  const pieces = slides ? [] : (sources.content(original)?.pieces ?? []);
  return {
    kind: 'document',
    title,
    caption,
    format: facts.format,
    slides,
    pages: shown.facts.pages.flatMap((_, page) => {
      const picture = sources.pictures[pagePicture(shown.id, page)];
      return picture ? [{ picture, text: uncoveredText(words[page] ?? [], page, shown.fixes.blackOut) }] : [];
    }),
    pieces: pieces.flatMap((piece): DocumentMedium['pieces'] => {
      if (piece.type === 'words') return [{ type: 'words', text: { type: 'doc', content: piece.blocks } }];
      const picture = sources.pictures[piecePicture(id, piece.picture)];
      return picture ? [{ type: 'picture', picture }] : [];
    }),
    download: download && !isCovered(material) ? sources.file(material, 'download') : null,
  };
}

/** A link in the form its maker chose, and as a card where what it leads to cannot be shown in place. */
function linkMedium(
  material: SeenMaterialOf<'link'>,
  wanted: LinkForm,
  pictures: MediaSources['pictures'],
): LinkMedium {
  const { facts, title, caption, transcript } = material;
  const frame = wanted === 'in-place' ? framedBy(facts) : null;
  const host = hostOf(facts.url) ?? facts.url;
  const [still] = picturesOf(material, undefined);
  return {
    kind: 'link',
    form: wanted === 'in-place' && frame === null ? 'card' : wanted,
    title: title || facts.title || host,
    caption,
    url: facts.url,
    host,
    still: still ? (pictures[still.id] ?? null) : null,
    frame,
    plays: facts.player !== null,
    transcript: captionLines(transcript),
  };
}

interface Wanted {
  /** Readers may download its file. */
  download: boolean;
  /** Of a link. */
  form: LinkForm;
}

function mediumOf(
  material: Exclude<SeenMaterial, { kind: 'picture' }>,
  { download, form }: Wanted,
  sources: MediaSources,
): Medium {
  if (material.kind === 'document') return documentMedium(material, download, sources);
  if (material.kind === 'link') return linkMedium(material, form, sources.pictures);
  const { title, caption, transcript } = material;
  const recording = {
    title,
    caption,
    transcript: captionLines(transcript),
    url: sources.file(material, 'play'),
    captions: isWebVtt(transcript) ? sources.file(material, 'captions') : null,
  };
  return material.kind === 'sound'
    ? { ...recording, kind: 'sound', ...material.facts }
    : {
        ...recording,
        kind: 'clip',
        alt: material.alt,
        still: material.shownBy ? (sources.pictures[material.shownBy.id] ?? null) : null,
        ...material.facts,
      };
}

/** What a part shows that is more than words and pictures, by its material; null where there is nothing of it. */
export function mediaOf(
  part: SeenPart,
  materials: Readonly<Record<Id, SeenMaterial>>,
  sources: MediaSources,
): Record<Id, Medium> | null {
  const downloads = rulesOf(part).downloads(part);
  const form = drawingOf(part).linkForm(part);
  const media: Record<Id, Medium> = {};
  for (const id of materialsOf(part)) {
    const material = materials[id];
    if (material && material.kind !== 'picture')
      media[id] = mediumOf(material, { download: downloads.includes(id), form }, sources);
  }
  return Object.keys(media).length > 0 ? media : null;
}
