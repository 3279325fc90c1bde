import type { Id } from '../id.ts';
import type { Comment } from './comment.ts';

/** Who opens a page: with which pass, and from which device of those that wrote something. */
export interface CommentReader {
  pass: Id | null;
  writer: string | null;
}

/** A comment as a reader has it: no more is told of it than what is here. */
export interface SeenComment extends Pick<
  Comment,
  'id' | 'part' | 'name' | 'words' | 'quote' | 'at' | 'answer' | 'resolved'
> {
  /** What it quotes does not stand on the page any more, as this reader gets it; then it is not quoted. */
  changed: boolean;
  /** Written on this device: how it stands is told. */
  mine: boolean;
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
 * @param page the page, and whether a part, or some words, stand on it as this reader gets it: what they do not get is not quoted to them
 */
export function commentsFor(
  comments: readonly Comment[],
  reader: CommentReader,
  page: { id: Id; has: (part: Id) => boolean; says: (quote: string) => boolean },
): SeenComment[] {
  return comments
    .filter(({ page: on, part }) => (part === null ? on === page.id : page.has(part)))
    .filter((comment) => isShown(comment, reader) || isMine(comment, reader))
    .sort((a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1))
    .map((comment) => {
      const { id, part, name, words, at, answer, resolved, state } = comment;
      const stands = state === 'page' || state === 'pass' ? 'shown' : state;
      const changed = comment.quote !== '' && !page.says(comment.quote);
      return {
        ...{ id, part, name, words, at, answer, resolved, stands, changed },
        quote: changed ? '' : comment.quote,
        mine: isMine(comment, reader),
      };
    });
}
