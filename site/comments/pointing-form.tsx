import { extents, markOf, pointText } from '#core/comments/mark.ts';
import type { TypedComment } from '#core/comments/typed-comment.ts';
import { useSpoken } from '../render/words.ts';
import {
  backField,
  commentField,
  type CommentForm,
  pickField,
  type PictureOnPage,
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
      <p>
        <label>
          <input type="checkbox" name="without" value="1" /> {comments.without}
        </label>
      </p>
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
    ...{ quote: typed.quote, part: typed.part ?? '' },
    ...{ picture: typed.picture, point: pointText(typed.point), extent: typed.extent },
  };
  return (
    <form className="write remark pointing" id="remark" method="post" action="#remark" {...lang}>
      <h3>{comments.point}</h3>
      <p>{comments.pointing}</p>
      {Object.entries(kept).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {pictures.map((picture, at) => (
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
      <button type="submit" name={backField} value="1">
        {comments.back}
      </button>
    </form>
  );
}
