import { isCovered } from '#core/access/covered.ts';
import type { Id } from '#core/content/id.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import { rulesOf } from '#core/parts/parts.ts';
import { drawingOf } from '../parts/parts.ts';
import type { SeenMaterial, SeenMaterialOf, SeenPart } from '#core/access/seen-by.ts';
import { type DocumentContent, slideFormats } from '#core/content/document.ts';
import type { ClipFacts, SoundFacts } from '#core/content/material.ts';
import { framedBy } from '#core/content/link.ts';
import type { LinkForm } from '#core/parts/link.ts';
import type { RichText } from '#core/content/rich-text.ts';
import { uncoveredText } from '#core/content/uncovered-words.ts';
import { captionLines, isWebVtt } from '#core/words/web-vtt.ts';
import { pagePicture, picturesOf, piecePicture } from '#core/gallery/picture-source.ts';
import { hostOf } from '#core/links/host-of.ts';
import type { Picture } from './page-input.ts';

/** A document in place: pages as pictures with their words beside them, or its words themselves. */
export interface DocumentMedium {
  kind: 'document';
  title: string;
  caption: string;
  format: string;
  /** Slides, whose own file is for downloading only. */
  slides: boolean;
  pages: { picture: Picture; text: string }[];
  pieces: ({ type: 'words'; text: RichText } | { type: 'picture'; picture: Picture })[];
  /** Where the file itself can be fetched; null unless the maker offers it. */
  download: string | null;
}

interface Recording {
  title: string;
  caption: string;
  /** What is said, one line a cue; for those who cannot hear, or would rather read. */
  transcript: string[];
  url: string;
  /** Captions as WebVTT; null when there are none with times. */
  captions: string | null;
}
export type SoundMedium = Recording & { kind: 'sound' } & SoundFacts;
export type ClipMedium = Recording & {
  kind: 'clip';
  alt: string;
  /** The still that stands for it until it is played. */
  still: Picture | null;
} & ClipFacts;

/** A link: a card, a button, or what it leads to, shown in place once a reader asks for it. */
export interface LinkMedium {
  kind: 'link';
  form: LinkForm;
  title: string;
  caption: string;
  url: string;
  host: string;
  still: Picture | null;
  /** What the reader's browser fetches from elsewhere when asked; null where nothing can be shown in place. */
  frame: { url: string; widthPx: number; heightPx: number } | null;
  /** It is played, rather than read. */
  plays: boolean;
  transcript: string[];
}

/** What a part shows that is more than words and pictures. */
export type Medium = DocumentMedium | SoundMedium | ClipMedium | LinkMedium;

/** What whoever draws a page knows of files: where they are, and what is in documents. */
export interface MediaSources {
  /** Pictures by the names `picturesOf` gives them. */
  pictures: Readonly<Record<string, Picture>>;
  /** What was read out of a document, by the hash of its file. */
  content(original: string): DocumentContent | undefined;
  /** Where a file can be fetched from this page's entrance. */
  file(material: SeenMaterial, as: 'download' | 'play' | 'captions'): string;
}

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
