import { pressedPoint } from '#core/comments/mark.ts';
import type { TypedComment } from '#core/comments/typed-comment.ts';
import {
  backField,
  type CommentForm,
  pickField,
  type PictureOnPage,
  picturesOffered,
  pickWidth,
  pointField,
  withoutField,
} from '#site/comments/comment-form.ts';
import { formField } from '../http/form-field.ts';

/**
 * What is shown next where somebody points at a picture before they send a comment: the pictures to press one of, or the form once more,
 * with what was pressed. A browser says by itself where a picture in a form was pressed, so that it needs no script.
 *
 * @param pictures of the page, in its order
 * @returns null where the comment is to be sent
 */
export function pointingStep(
  fields: unknown,
  typed: TypedComment['typed'],
  pictures: readonly PictureOnPage[],
): Pick<CommentForm, 'typed' | 'pointing'> | null {
  if (formField(fields, pointField) !== '') return { typed, pointing: true };
  if (formField(fields, backField) !== '') return { typed, pointing: false };
  if (formField(fields, withoutField) !== '')
    return { typed: { ...typed, picture: '', point: null, extent: 'all' }, pointing: false };
  for (const [at, { file, widthPx, heightPx }] of picturesOffered(pictures, typed.part).entries()) {
    const [x, y] = ['x', 'y'].map((axis) => formField(fields, `${pickField(at)}.${axis}`));
    if (!x || !y) continue;
    const shown = { width: pickWidth, height: (pickWidth * heightPx) / widthPx };
    const pressed = { x: Number(x), y: Number(y) };
    const point = Number.isFinite(pressed.x + pressed.y) ? pressedPoint(pressed, shown) : null;
    return { typed: { ...typed, picture: file, point, extent: point ? 'point' : 'all' }, pointing: false };
  }
  return null;
}
