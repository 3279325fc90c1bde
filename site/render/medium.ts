import type { SeenMaterial } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import type { ClipFacts, SoundFacts } from '#core/materials/material.ts';
import type { LinkForm } from '#core/parts/link.ts';
import type { RichText } from '#core/words/rich-text.ts';
import type { Picture } from './picture.ts';

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

/** A JPEG of the size of share pictures, by its whole address: programs that show links know no other way to find it. */
export interface SharedPicture {
  url: string;
  alt: string;
}

/** What whoever draws a page knows of files: where they are, and what is in documents. */
export interface MediaSources {
  /** Pictures by the names `picturesOf` gives them. */
  pictures: Readonly<Record<string, Picture>>;
  /** What was read out of a document, by the hash of its file. */
  content(original: string): DocumentContent | undefined;
  /** Where a file can be fetched from this page's entrance. */
  file(material: SeenMaterial, as: 'download' | 'play' | 'captions'): string;
  /** What is shown where a link to a page is passed on, where it is shown by that picture or by none. */
  share?(page: Id, picture: Id | null): SharedPicture | null;
}
