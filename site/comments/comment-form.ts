import type { AttachmentFault } from '#core/comments/attachment.ts';
import type { SeenComment } from '#core/comments/comments-for.ts';
import type { TypedComment } from '#core/comments/typed-comment.ts';
import type { Id } from '#core/id.ts';

/** A part of the page, by what stands over it or at its beginning. */
export interface PlaceOnPage {
  part: Id;
  title: string;
}

/** A picture of the page, as its reader gets it. */
export interface PictureOnPage {
  /** Path of its file below the entrance. */
  file: string;
  /** Address of a file wide enough to be shown small, as the page has it. */
  src: string;
  alt: string;
  widthPx: number;
  heightPx: number;
  /** The innermost part or moment that it stands in; null above all of them. */
  part: Id | null;
}

/** A form by which a comment is written, and how far it is. */
export interface CommentForm extends TypedComment {
  /** Names what is sent, so that it arrives once however often it is sent. */
  token: string;
  /** What the maker would like to hear; empty for nothing of their own. */
  asks: string;
  /** An answer can be told by mail. */
  mails: boolean;
  /** Its writer is to point at a picture, and then comes back to what they typed. */
  pointing: boolean;
  /** Why nothing was taken, where it is not for a fault of a field. */
  problem: string | null;
}

/** Why a file was not put to a comment. */
export interface NotAttached {
  comment: Id;
  fault: AttachmentFault;
}

/** What is said of a page, and how to say something. */
export interface Comments {
  shown: readonly SeenComment[];
  /** null: nobody writes here. */
  form: CommentForm | null;
  places: readonly PlaceOnPage[];
  pictures: readonly PictureOnPage[];
  /** null: every file that was sent lies there. */
  notAttached: NotAttached | null;
}

/** Name of what names a comment on its way. */
export const tokenField = 'token';
/** How wide a picture stands where somebody points at it, in CSS pixels: by this it is known where they pressed. */
export const pickWidth = 280;
/** The pictures that are offered to somebody who points: those of what they speak of, where it has any, else all of the page. */
export function picturesOffered<P extends Pick<PictureOnPage, 'part'>>(
  pictures: readonly P[],
  part: Id | null,
): readonly P[] {
  const there = part === null ? [] : pictures.filter((one) => one.part === part);
  return there.length > 0 ? there : pictures;
}
/** Names of what leads to the pictures, of each of them, and of what leads back. */
export const pointField = 'pointing';
export const pickField = (at: number): string => `pick-${at}`;
export const backField = 'back';
/** Names what lets the picture out again. */
export const withoutField = 'without';
/** Tells a comment from a message to the maker, where both can be sent from a page. */
export const commentField = 'comment';
/** Names the comment to which a file is put, and the file. The name is sent first: a file is not looked at before it is known whose it is. */
export const attachField = 'attach';
export const fileField = 'file';
