import { commentLimits } from '#core/comments/comment.ts';
import type { SeenComment } from '#core/comments/comments-for.ts';
import type { TypedComment } from '#core/comments/typed-comment.ts';
import type { Id } from '#core/id.ts';
import type { PublicWords } from '#core/public-words/public-words.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import { Paragraphs } from '../components/paragraphs.tsx';
import { trapField } from '../messages/write-form.tsx';
import { useSpoken } from '../render/words.ts';

/** A part of the page, by what stands over it or at its beginning. */
export interface PlaceOnPage {
  part: Id;
  title: string;
}

/** A form by which a comment is written, and how far it is. */
export interface CommentForm extends TypedComment {
  /** Names what is sent, so that it arrives once however often it is sent. */
  token: string;
  /** What the maker would like to hear; empty for nothing of their own. */
  asks: string;
  /** Why nothing was taken, where it is not for a fault of a field. */
  problem: string | null;
}

/** What is said of a page, and how to say something. */
export interface Comments {
  shown: readonly SeenComment[];
  /** null: nobody writes here. */
  form: CommentForm | null;
  places: readonly PlaceOnPage[];
}

/** Name of what names a comment on its way. */
export const tokenField = 'token';
/** Tells a comment from a message to the maker, where both can be sent from a page. */
export const commentField = 'comment';

const dayIn = ({ dates }: PublicWords) =>
  new Intl.DateTimeFormat(dates, { dateStyle: 'long', timeZone: 'UTC' });

function OneComment({ comment, place }: { comment: SeenComment; place: PlaceOnPage | undefined }) {
  const { words, lang } = useSpoken();
  const { comments } = words;
  const { id, name, at, answer, resolved, stands } = comment;
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
      {comment.changed && (
        <p className="why" {...lang}>
          {comments.changed}
        </p>
      )}
      <Paragraphs text={comment.words} />
      {answer !== null && (
        <div className="back">
          <p className="who" {...lang}>
            <b>{comments.answer}</b>
          </p>
          <Paragraphs text={answer} />
        </div>
      )}
      {(resolved || stands !== 'shown') && (
        <p className="why" {...lang}>
          {[stands === 'shown' ? '' : comments[stands], resolved ? comments.resolved : '']
            .filter(Boolean)
            .join(' ')}
        </p>
      )}
    </li>
  );
}

function Form({ form, places }: { form: CommentForm; places: readonly PlaceOnPage[] }) {
  const { words, lang } = useSpoken();
  const { comments } = words;
  const { typed, faults, problem, token, asks } = form;
  const first = (['quote', 'name', 'words'] as const).find((field) => faults[field]);
  const field = (name: 'quote' | 'name' | 'words') => ({
    id: `remark-${name}`,
    name,
    defaultValue: typed[name],
    required: name !== 'quote',
    maxLength: commentLimits[name],
    autoFocus: name === first,
    'aria-invalid': faults[name] ? true : undefined,
    'aria-describedby': faults[name] ? `remark-${name}-fault` : undefined,
  });
  const said = {
    quote: faults.quote && comments.faults.quote[faults.quote],
    name: faults.name && comments.faults.name[faults.name],
    words: faults.words && comments.faults.words[faults.words],
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
      {asks === '' ? (
        <p className="why">{comments.prompts}</p>
      ) : (
        <div className="back asks">
          <p className="who">
            <b>{comments.asks}</b>
          </p>
          <Paragraphs text={asks} />
        </div>
      )}
      {(problem || first) && (
        <div className="not-yet" role="alert">
          <h4>{words.write.notYet}</h4>
          {problem && <p>{problem}</p>}
        </div>
      )}
      <input type="hidden" name={tokenField} value={token} />
      <input type="hidden" name={commentField} value="1" />
      {places.length > 0 && (
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
      <div className="unseen" aria-hidden="true">
        <label htmlFor="remark-trap">{words.write.trap}</label>
        <input type="text" id="remark-trap" name={trapField} tabIndex={-1} autoComplete="off" />
      </div>
      <p className="why">{comments.why}</p>
      <button type="submit">{comments.send}</button>
    </form>
  );
}

/** What readers say of a page, at its end. It needs no script. */
export function CommentsView({ shown, form, places }: Comments) {
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
                comment={comment}
                place={places.find(({ part }) => part === comment.part)}
              />
            ))}
          </ol>
        )}
        {form && <Form form={form} places={places} />}
      </div>
    </section>
  );
}
