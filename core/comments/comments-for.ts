import type { Id } from '../id.ts';
import { attachmentLimits } from './attachment.ts';
import type { Comment, CommentedPicture } from './comment.ts';

/** Who opens a page: with which pass, and from which device of those that wrote something. */
export interface CommentReader {
  pass: Id | null;
  writer: string | null;
}

/** A comment as a reader has it: no more is told of it than what is here. */
export interface SeenComment extends Pick<
  Comment,
  'id' | 'part' | 'name' | 'words' | 'quote' | 'at' | 'answer' | 'resolved' | 'thanked'
> {
  /** The picture it is about, as this reader gets it: null for none, or where they do not. Without its mark where another file is shown. */
  picture: Pick<CommentedPicture, 'file' | 'mark'> | null;
  /**
   * What does not stand on the page any more as it was, as this reader gets it: words, which are then not quoted, or a picture.
   */
  changed: 'words' | 'picture' | null;
  /** Written on this device: how it stands is told. */
  mine: boolean;
  /** Names of the files that lie with it; told to whoever sent them, and to nobody else. */
  attached: readonly string[];
  /** Another file can be put to it, from this page. */
  mayAttach: boolean;
  /** `shown`: others see it as well. */
  stands: 'shown' | 'waiting' | 'kept' | 'refused';
}

const isMine = ({ pass, writer }: Comment, reader: CommentReader): boolean =>
  reader.writer !== null && writer === reader.writer && pass !== null && pass === reader.pass;

function isShown({ state, pass }: Comment, reader: CommentReader): boolean {
  switch (state) {
    case 'page':
      return true;
    case 'pass':
      return pass !== null && pass === reader.pass;
    case 'waiting':
    case 'kept':
    case 'refused':
      return false;
  }
}

/**
 * The comments a reader gets on a page, the oldest first. Nobody but whoever wrote one sees it before its maker shows it, and nobody sees
 * one about a part that they do not get: what opens the part opens what is said of it.
 *
 * @param page the page, and what stands on it as this reader gets it: parts, words, and the file of each picture. What they do not get is
 *   not quoted to them, and not shown.
 */
export function commentsFor(
  comments: readonly Comment[],
  reader: CommentReader,
  page: {
    id: Id;
    has: (part: Id) => boolean;
    says: (quote: string) => boolean;
    shows: (material: Id) => string | null;
  },
): SeenComment[] {
  return comments
    .filter(({ page: on, part }) => (part === null ? on === page.id : page.has(part)))
    .filter((comment) => isShown(comment, reader) || isMine(comment, reader))
    .sort((a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1))
    .map((comment) => {
      const mine = isMine(comment, reader);
      const { id, part, name, words, at, answer, resolved, thanked, state } = comment;
      const stands = state === 'page' || state === 'pass' ? 'shown' : state;
      const isUnsaid = comment.quote !== '' && !page.says(comment.quote);
      const file = comment.picture && page.shows(comment.picture.material);
      const isOther = comment.picture !== null && file !== comment.picture.file;
      return {
        ...{ id, part, name, words, at, answer, resolved, thanked, stands },
        quote: isUnsaid ? '' : comment.quote,
        picture:
          comment.picture && file !== null ? { file, mark: isOther ? null : comment.picture.mark } : null,
        changed: isUnsaid ? 'words' : isOther ? 'picture' : null,
        mine,
        attached: mine ? comment.attachments.map(({ fileName }) => fileName) : [],
        mayAttach: mine && comment.page === page.id && comment.attachments.length < attachmentLimits.each,
      };
    });
}
