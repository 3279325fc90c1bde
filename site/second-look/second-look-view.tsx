import { partAnchor } from '#core/parts/part-anchor.ts';
import {
  type AskedLine,
  type LookAnswer,
  type LookAnswers,
  lookProgress,
  mostWords,
} from '#core/second-look/second-look.ts';
import { atAsBefore, atHere, fieldsOf, markOf } from '#core/second-look/typed-answers.ts';
import type { PlaceOnPage } from '../comments/comment-form.ts';
import { useSpoken } from '../render/words.ts';

/** Tells what is sent by this form from what other forms of the page send. */
export const lookField = 'second-look';
/** Where the list stands on a page. */
export const lookAnchor = 'second-look';

/** What somebody sees of a second look around a page of the draft. */
export interface SecondLookOnPage {
  who: string;
  endsAt: Date;
  lines: readonly AskedLine[];
  answers: LookAnswers;
  /** What was kept before, where what is shown was not: a form tells by it what was changed. */
  before: LookAnswers;
  /** The page they are on, and the parts of it; null: one that nobody made. */
  page: string | null;
  places: readonly PlaceOnPage[];
  /** Just now. */
  kept: boolean;
  /** Lines whose words are too long. */
  tooLong: readonly string[];
  /** Why nothing was kept, where it is for no line. */
  problem: string | null;
}

/** Above a page of a draft: what it is, for whom, and the way to the list. */
export function DraftMark({ who, endsAt, lines }: SecondLookOnPage) {
  const { words, lang } = useSpoken();
  const day = new Intl.DateTimeFormat(words.dates, { dateStyle: 'long', timeZone: 'UTC' });
  return (
    <aside className="look-mark" {...lang}>
      <p>{words.secondLook.draft(who, day.format(endsAt))}</p>
      {lines.length > 0 && <a href={`#${lookAnchor}`}>{words.secondLook.toList}</a>}
    </aside>
  );
}

interface LineProps extends Pick<SecondLookOnPage, 'page' | 'places'> {
  line: AskedLine;
  answer: LookAnswer | undefined;
  before: LookAnswer | undefined;
  isTooLong: boolean;
}

function Line({ line, answer, before, page, places, isTooLong }: LineProps) {
  const { words, lang } = useSpoken();
  const { secondLook } = words;
  const names = fieldsOf(line.id);
  const asked = answer?.says === 'unsure' ? answer : null;
  const isHere = !asked?.at || asked.at.page === page;
  const fault = `${names.words}-fault`;
  return (
    <li>
      <fieldset>
        <legend>{line.text}</legend>
        <input type="hidden" name={names.had} value={markOf(before)} />
        <div className="look-says" {...lang}>
          {(['yes', 'unsure'] as const).map((says) => (
            <label key={says}>
              <input type="radio" name={names.says} value={says} defaultChecked={answer?.says === says} />{' '}
              {secondLook[says]}
            </label>
          ))}
        </div>
        <div className="look-asks" {...lang}>
          <label>
            {secondLook.words}
            <textarea
              rows={2}
              name={names.words}
              maxLength={mostWords}
              defaultValue={asked?.words ?? ''}
              aria-invalid={isTooLong || undefined}
              aria-describedby={isTooLong ? fault : undefined}
              {...{ autoFocus: isTooLong }}
            />
          </label>
          {isTooLong && (
            <p className="look-fault" id={fault}>
              {secondLook.tooLong}
            </p>
          )}
          <label>
            {secondLook.where}
            <select
              name={names.at}
              defaultValue={asked?.at && !isHere ? atAsBefore : (asked?.at?.part ?? atHere)}
            >
              {asked?.at && !isHere && <option value={atAsBefore}>{asked.at.about}</option>}
              <option value={atHere}>{secondLook.here}</option>
              {places.map(({ part, title }) => (
                <option key={part} value={part}>
                  {title}
                </option>
              ))}
            </select>
          </label>
          {asked?.at?.part && isHere && (
            <a href={`#${partAnchor(asked.at.part)}`} className="look-at">
              {asked.at.about}
            </a>
          )}
        </div>
      </fieldset>
    </li>
  );
}

/** At the end of a page of a draft: the list that is ticked. It needs no script. */
export function SecondLookView(look: SecondLookOnPage) {
  const { who, lines, answers, before, page, places, kept, tooLong, problem } = look;
  const { words, lang } = useSpoken();
  const { secondLook } = words;
  const { answered, of } = lookProgress(lines, answers);
  return (
    <section id={lookAnchor} className="on-grid look" aria-labelledby="second-look-title">
      <h2 id="second-look-title" {...lang}>
        {secondLook.title(who)}
      </h2>
      <form method="post" action={`?#${lookAnchor}`} noValidate>
        <p className="look-why" {...lang}>
          {lines.length === 0 ? secondLook.nothing : secondLook.why}
        </p>
        {(kept || problem) && (
          <p className={kept ? 'look-kept' : 'look-fault'} role={kept ? 'status' : 'alert'} {...lang}>
            {kept ? secondLook.kept(answered, of) : problem}
          </p>
        )}
        <input type="hidden" name={lookField} value="1" />
        {lines.length > 0 && (
          <>
            <ol>
              {lines.map((line) => (
                <Line
                  key={line.id}
                  {...{ line, page, places }}
                  answer={answers[line.id]}
                  before={before[line.id]}
                  isTooLong={tooLong.includes(line.id)}
                />
              ))}
            </ol>
            <button type="submit" {...lang}>
              {secondLook.save}
            </button>
          </>
        )}
      </form>
    </section>
  );
}
