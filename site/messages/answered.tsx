import { renderToStaticMarkup } from 'react-dom/server';
import type { Message } from '#core/messages/message.ts';
import { SpokenContext, spokenIn, useSpoken } from '../render/words.ts';
import { formId, placeField, WriteForm, type WriteState } from './write-form.tsx';

/** What stands in the place of a form once something was sent by it. */
export type Answer =
  ({ kind: 'again' } & WriteState) | { kind: 'over'; message: Message; token: string } | { kind: 'sent' };

/** Where whoever sent something goes on, on a page that is loaded anew and has no script to take them there. */
const here = { tabIndex: -1, autoFocus: true };

/** The message once more, before it goes: only now is it sent. */
function ReadOver({ place, message, token }: { place: string; message: Message; token: string }) {
  const { words, lang } = useSpoken();
  const { write } = words;
  return (
    <form className="write" id={formId(place)} method="post" {...lang}>
      <h3 {...here}>{write.look}</h3>
      <dl>
        <dt>{write.name}</dt>
        <dd>{message.name}</dd>
        <dt>{write.from}</dt>
        <dd>{message.from}</dd>
        <dt>{write.words}</dt>
        <dd className="lines">{message.words}</dd>
      </dl>
      <p className="why">{write.answerGoes}</p>
      {Object.entries({ ...message, token, [placeField]: place }).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <p className="do">
        <button type="submit" name="do" value="send">
          {write.send}
        </button>
        <button type="submit" name="do" value="change" className="quiet">
          {write.change}
        </button>
      </p>
    </form>
  );
}

function Sent({ place }: { place: string }) {
  const { words, lang } = useSpoken();
  return (
    <div className="write" id={formId(place)} role="status" {...lang}>
      <h3 {...here}>{words.write.sent}</h3>
      <p>{words.write.sentMore}</p>
    </div>
  );
}

const attribute = (html: string, name: string): string =>
  new RegExp(`<html[^>]* ${name}="([^"]*)"`).exec(html)?.[1] ?? '';

/**
 * A released page with what happened in the place of a form on it: the rest of the page stays as it is, byte by byte, so that its
 * content security policy holds.
 *
 * @param html as the release has it
 * @param place of the form
 * @returns null where no such form stands on it
 */
export function answered(html: string, place: string, answer: Answer): string | null {
  const open = `<form class="write" id="${formId(place)}"`;
  const from = html.indexOf(open);
  const to = html.indexOf('</form>', from);
  if (from < 0 || to < 0) return null;
  const spoken = spokenIn(attribute(html, 'lang') || 'en');
  const { write } = spoken.words;
  const drawn = renderToStaticMarkup(
    <SpokenContext value={spoken}>
      {answer.kind === 'again' ? (
        <WriteForm place={place} state={answer} />
      ) : answer.kind === 'over' ? (
        <ReadOver place={place} {...answer} />
      ) : (
        <Sent place={place} />
      )}
    </SpokenContext>,
  );
  // Who hears the page hears its title first.
  const said = { again: write.notYet, over: write.look, sent: write.sent }[answer.kind];
  const title = renderToStaticMarkup(<title>{`${said}: `}</title>).slice(0, -'</title>'.length);
  return `${html.slice(0, from)}${drawn}${html.slice(to + '</form>'.length)}`.replace('<title>', () => title);
}
