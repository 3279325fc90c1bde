import { commentLimits } from '#core/comments/comment.ts';
import type { AttachmentFault } from '#core/comments/attachment.ts';
import type { Id } from '#core/id.ts';
import type { SeenComment } from '#core/comments/comments-for.ts';
import type { PublicWords } from '#core/public-words/public-words.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import {
  type CommentForm,
  type Comments,
  commentField,
  type PictureOnPage,
  type PlaceOnPage,
  attachField,
  fileField,
  type NotAttached,
  pointField,
  tokenField,
  withoutField,
} from './comment-form.ts';
import { PointedPicture, pictureName } from './pointed-picture.tsx';
import { PointingForm, PointedFields } from './pointing-form.tsx';
import { Paragraphs } from '../components/paragraphs.tsx';
import { trapField } from '../messages/write-form.tsx';
import { useSpoken } from '../render/words.ts';

/** What a browser offers to choose from; what comes is looked into all the same. */
const attachable = 'image/*,.pdf,.docx,.odt,.md,.txt,.pptx,.odp';

const dayIn = ({ dates }: PublicWords) =>
  new Intl.DateTimeFormat(dates, { dateStyle: 'long', timeZone: 'UTC' });

/** A file is put to what its reader has said, which is safe by then whatever becomes of the file. */
function Attach({ id, fault }: { id: Id; fault: AttachmentFault | null }) {
  const { words, lang } = useSpoken();
  const { attach } = words.comments;
  const field = `file-of-${id}`;
  return (
    <details open={fault !== null} {...lang}>
      <summary>{attach.add}</summary>
      <form className="write" method="post" encType="multipart/form-data">
        <input type="hidden" name={attachField} value={id} />
        <div className="one">
          <label htmlFor={field}>{attach.file}</label>
          <input
            type="file"
            id={field}
            name={fileField}
            accept={attachable}
            aria-invalid={fault ? true : undefined}
            aria-describedby={fault ? `${field}-fault` : undefined}
          />
          {fault && (
            <p className="fault" id={`${field}-fault`} role="alert">
              {attach.faults[fault]}
            </p>
          )}
          <p className="why">{attach.why}</p>
        </div>
        <p className="do">
          <button type="submit">{attach.send}</button>
        </p>
      </form>
    </details>
  );
}

function OneComment({
  comment,
  place,
  pictures,
  writes,
  notAttached,
}: {
  /** Something can be sent from this page. */
  writes: boolean;
  notAttached: NotAttached | null;
  comment: SeenComment;
  place: PlaceOnPage | undefined;
  pictures: readonly PictureOnPage[];
}) {
  const { words, lang } = useSpoken();
  const { comments } = words;
  const { id, name, at, answer, resolved, thanked, stands, attached, mayAttach } = comment;
  const fault = notAttached?.comment === id ? notAttached.fault : null;
  const picture = pictures.find(({ file }) => file === comment.picture?.file);
  return (
    <li id={`comment-${id}`}>
      <p className="who">
        <b>{name}</b>, <time dateTime={at.toISOString()}>{dayIn(words).format(at)}</time>
      </p>
      {place && (
        <p className="why" {...lang}>
          {comments.on} <a href={`#${partAnchor(place.part)}`}>{place.title}</a>
        </p>
      )}
      {comment.quote !== '' && <blockquote>{comment.quote}</blockquote>}
      {picture && comment.picture && (
        <PointedPicture
          picture={picture}
          name={pictureName(picture, pictures, comments.picture)}
          mark={comment.picture.mark}
        />
      )}
      {comment.changed && (
        <p className="why" {...lang}>
          {comments.changed[comment.changed]}
        </p>
      )}
      <Paragraphs text={comment.words} />
      {attached.length > 0 && (
        <p className="why" {...lang}>
          {comments.attach.attached(attached.join(', '))}
        </p>
      )}
      {answer !== null && (
        <div className="back">
          <p className="who" {...lang}>
            <b>{comments.answer}</b>
          </p>
          <Paragraphs text={answer} />
        </div>
      )}
      {(resolved || thanked || stands !== 'shown') && (
        <p className="why" {...lang}>
          {[
            stands === 'shown' ? '' : comments[stands],
            resolved ? comments.resolved : '',
            thanked ? comments.thanked : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </p>
      )}
      {writes && (mayAttach || fault) && <Attach id={id} fault={fault} />}
    </li>
  );
}

function Form({ form, places, pictures }: Pick<Comments, 'places' | 'pictures'> & { form: CommentForm }) {
  const { words, lang } = useSpoken();
  const { comments } = words;
  const { typed, faults, problem, token, asks, mails } = form;
  if (form.pointing) return <PointingForm form={form} pictures={pictures} />;
  const chosen = pictures.find(({ file }) => file === typed.picture);
  const first = (['quote', 'name', 'words', 'to'] as const).find((field) => faults[field]);
  const field = (name: 'quote' | 'name' | 'words' | 'to') => ({
    id: `remark-${name}`,
    name,
    defaultValue: typed[name],
    required: name === 'name' || name === 'words',
    maxLength: commentLimits[name],
    autoFocus: name === first,
    'aria-invalid': faults[name] ? true : undefined,
    'aria-describedby': faults[name] ? `remark-${name}-fault` : undefined,
  });
  const said = {
    quote: faults.quote && comments.faults.quote[faults.quote],
    name: faults.name && comments.faults.name[faults.name],
    words: faults.words && comments.faults.words[faults.words],
    to: faults.to && comments.faults.to[faults.to],
  };
  const fault = (name: keyof typeof said) =>
    said[name] ? (
      <p className="fault" id={`remark-${name}-fault`}>
        {said[name]}
      </p>
    ) : null;
  return (
    <form className="write remark" id="remark" method="post" noValidate {...lang}>
      <h3>{comments.write}</h3>
      {asks !== '' && (
        <div className="back asks">
          <p className="who">
            <b>{comments.asks}</b>
          </p>
          <Paragraphs text={asks} />
        </div>
      )}
      <p className="why">{comments.prompts}</p>
      {(problem || first) && (
        <div className="not-yet" role="alert">
          <h4>{words.write.notYet}</h4>
          {problem && <p>{problem}</p>}
        </div>
      )}
      <input type="hidden" name={tokenField} value={token} />
      <input type="hidden" name={commentField} value="1" />
      {chosen && <PointedFields typed={typed} picture={chosen} pictures={pictures} />}
      {places.length > 0 && !chosen && (
        <div className="one">
          <label htmlFor="remark-part">{comments.about}</label>
          <select id="remark-part" name="part" defaultValue={typed.part ?? ''}>
            <option value="">{comments.wholePage}</option>
            {places.map(({ part, title }) => (
              <option key={part} value={part}>
                {title}
              </option>
            ))}
          </select>
        </div>
      )}
      <div className="one">
        <label htmlFor="remark-quote">{comments.quote}</label>
        <input type="text" autoComplete="off" {...field('quote')} />
        {fault('quote')}
      </div>
      <div className="one">
        <label htmlFor="remark-name">{words.write.name}</label>
        <input type="text" autoComplete="nickname" {...field('name')} />
        {fault('name')}
      </div>
      <div className="one">
        <label htmlFor="remark-words">{comments.words}</label>
        <textarea rows={5} {...field('words')} />
        {fault('words')}
      </div>
      {mails && (
        <div className="one">
          <label htmlFor="remark-to">{comments.to}</label>
          <input type="email" autoComplete="email" {...field('to')} />
          {fault('to')}
          <p className="why">{comments.toWhy}</p>
        </div>
      )}
      <div className="unseen" aria-hidden="true">
        <label htmlFor="remark-trap">{words.write.trap}</label>
        <input type="text" id="remark-trap" name={trapField} tabIndex={-1} autoComplete="off" />
      </div>
      <p className="why">{comments.why}</p>
      <p className="do">
        <button type="submit">{comments.send}</button>
        {pictures.length > 0 && (
          <button type="submit" name={pointField} value="1" formAction="#remark" className="quiet">
            {comments.point}
          </button>
        )}
        {chosen && (
          <button type="submit" name={withoutField} value="1" formAction="#remark" className="quiet">
            {comments.without}
          </button>
        )}
      </p>
    </form>
  );
}

/** What readers say of a page, at its end. It needs no script. */
export function CommentsView({ shown, form, places, pictures, notAttached }: Comments) {
  const { words, lang } = useSpoken();
  return (
    <section id="remarks" className="on-grid remarks" aria-labelledby="remarks-title">
      <h2 id="remarks-title" {...lang}>
        {words.comments.title}
      </h2>
      <div>
        {shown.length > 0 && (
          <ol>
            {shown.map((comment) => (
              <OneComment
                key={comment.id}
                {...{ comment, pictures, notAttached }}
                writes={form !== null}
                place={places.find(({ part }) => part === comment.part)}
              />
            ))}
          </ol>
        )}
        {form && <Form {...{ form, places, pictures }} />}
      </div>
    </section>
  );
}
