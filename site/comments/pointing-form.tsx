import { extents, markOf, pointText } from '#core/comments/mark.ts';
import type { TypedComment } from '#core/comments/typed-comment.ts';
import { useSpoken } from '../render/words.ts';
import {
  backField,
  commentField,
  type CommentForm,
  pickField,
  type PictureOnPage,
  picturesOffered,
  pickWidth,
  tokenField,
} from './comment-form.ts';
import { PointedPicture, pictureName } from './pointed-picture.tsx';

interface PointedFieldsProps {
  typed: TypedComment['typed'];
  picture: PictureOnPage;
  pictures: readonly PictureOnPage[];
}

/** The picture that a comment is about, and how much of it. */
export function PointedFields({ typed, picture, pictures }: PointedFieldsProps) {
  const { words } = useSpoken();
  const { comments } = words;
  const { point, extent } = typed;
  const can = extents.filter((one) => point !== null || (one !== 'point' && one !== 'around'));
  return (
    <>
      <PointedPicture
        picture={picture}
        name={pictureName(picture, pictures, comments.picture)}
        mark={markOf(extent, point)}
      />
      <input type="hidden" name="picture" value={picture.file} />
      <input type="hidden" name="point" value={pointText(point)} />
      <input type="hidden" name="part" value={typed.part ?? ''} />
      <div className="one">
        <label htmlFor="remark-extent">{comments.where}</label>
        <select id="remark-extent" name="extent" defaultValue={extent}>
          {can.map((one) => (
            <option key={one} value={one}>
              {comments.extents[one]}
            </option>
          ))}
        </select>
      </div>
    </>
  );
}

/**
 * The pictures of the page to press one of. What was typed goes along unseen; nothing here is a field, so that the Enter key presses
 * nothing by chance.
 */
export function PointingForm({ form, pictures }: { form: CommentForm; pictures: readonly PictureOnPage[] }) {
  const { words, lang } = useSpoken();
  const { comments } = words;
  const { typed, token } = form;
  const kept = {
    ...{ [tokenField]: token, [commentField]: '1', name: typed.name, words: typed.words },
    ...{ quote: typed.quote, part: typed.part ?? '', to: typed.to },
    ...{ picture: typed.picture, point: pointText(typed.point), extent: typed.extent },
  };
  return (
    // The form itself is no “write”, whose fields are as wide as they can be: by its width is told where a picture was pressed.
    <form id="remark" method="post" action="#remark" {...lang}>
      {Object.entries(kept).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <div>
        <h3>{comments.point}</h3>
        <p>{comments.pointing}</p>
        {picturesOffered(pictures, typed.part).map((picture, at) => (
          <input
            key={picture.file}
            type="image"
            name={pickField(at)}
            src={picture.src}
            alt={pictureName(picture, pictures, comments.picture)}
            width={pickWidth}
            height={Math.round((pickWidth * picture.heightPx) / picture.widthPx)}
          />
        ))}
        <p className="write">
          <button type="submit" name={backField} value="1">
            {comments.back}
          </button>
        </p>
      </div>
    </form>
  );
}
