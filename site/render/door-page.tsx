import { renderToStaticMarkup } from 'react-dom/server';
import type { DoorWords } from '#core/public-words/door-words.ts';
import { closedPageStyle } from './closed-page.tsx';

/** The field in which the password is sent. */
export const passwordField = 'password';

/** As the page for what is closed, with a field to type in. */
export const doorPageStyle = `${closedPageStyle}h1{font-size:1.9rem}form{display:grid;gap:.4rem;margin:1.4rem 0 1rem;max-width:22rem}label{font-weight:600}input,button{font:inherit;min-height:2.75rem;padding:.3rem .8rem;border:1px solid #6b746f;border-radius:6px}input{background:#fff;color:inherit}button{justify-self:start;margin-top:.6rem;border-color:#101814;background:#101814;color:#fff;cursor:pointer}:focus-visible{outline:3px solid #2a63a8;outline-offset:2px}.wrong{border-left:4px solid #b3261e;padding-left:.8rem}`;

interface Said {
  /** The form was sent, and this came of it. */
  fault: string | null;
}

const page = (words: DoorWords, title: string, body: string): string =>
  `<!doctype html>\n<html lang="${words.language}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex"><title>${title}</title><style>${doorPageStyle}</style></head><body>${body}</body></html>\n`;

/** What stands before a pass with a password: the same for all of them, and for every address below it. */
export function renderDoorPage(words: DoorWords, { fault }: Said): string {
  const main = renderToStaticMarkup(
    <main>
      <h1>{words.asks}</h1>
      {fault !== null && (
        <p className="wrong" role="alert" id="fault">
          {fault}
        </p>
      )}
      {/* It is sent to the address it stands at. */}
      <form method="post">
        <label htmlFor="password">{words.password}</label>
        <input
          id="password"
          name={passwordField}
          type="password"
          autoComplete="off"
          required
          maxLength={200}
          {...(fault !== null && { 'aria-invalid': true, 'aria-describedby': 'fault' })}
        />
        <button type="submit">{words.open}</button>
      </form>
      <p>{words.whom}</p>
    </main>,
  );
  return page(words, words.asks, main);
}

/** What stands there while what a pass opens is made for the first time. */
export function renderMakingPage(words: DoorWords): string {
  const main = renderToStaticMarkup(
    <main>
      <h1>{words.making}</h1>
      <p role="status">{words.wait}</p>
    </main>,
  );
  return page(words, words.making, main);
}

/** Where somebody who commented ends mails about that. @param stopped it is done */
export function renderMailsDoor(words: DoorWords, stopped: boolean): string {
  const main = renderToStaticMarkup(
    <main>
      <h1>{words.mails}</h1>
      {stopped ? (
        <p role="status">{words.mailsStopped}</p>
      ) : (
        <form method="post">
          <p>{words.mailsWhy}</p>
          <button type="submit">{words.mailsStop}</button>
        </form>
      )}
    </main>,
  );
  return page(words, words.mails, main);
}

/** Where codes from print are typed. */
export function renderShortDoor(words: DoorWords): string {
  const main = renderToStaticMarkup(
    <main>
      <h1>
        <label htmlFor="code">{words.code}</label>
      </h1>
      <form method="get" action="/k">
        <input
          id="code"
          name="code"
          type="text"
          required
          maxLength={40}
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          aria-describedby="code-hint"
        />
        <p id="code-hint">{words.codeHint}</p>
        <button type="submit">{words.open}</button>
      </form>
    </main>,
  );
  return page(words, words.code, main);
}
