import type { HandedIn } from './handed-in.ts';
import type { ArrivedMail } from './mail-box.ts';

const style = `
  :root { color-scheme: light; font: 17px/1.55 Georgia, serif; }
  body { margin: 0; background: #f4f1e8; color: #23302a; }
  main { max-width: 44rem; margin: 0 auto; padding: 2.5rem 1.5rem 4rem; }
  h1 { font-size: 2rem; line-height: 1.15; margin: 0 0 .6rem; }
  img { width: 100%; height: auto; display: block; margin: 1.4rem 0; }
  .player { margin: 0; background: #101814; height: 100vh; display: grid; }
  .player video { width: 100%; height: 100vh; object-fit: contain; }
`;

interface StandInPage {
  title: string;
  site: string;
  description: string;
  /** Address of the picture that stands for the page. */
  picture: string;
  /** Address of its oEmbed reply, of a clip's page. */
  oembed?: string;
  body: string;
}

const quoted = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;');

/** A small web page as anybody might have put it on the web. */
export const standInPage = ({ title, site, description, picture, oembed, body }: StandInPage): string =>
  `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${quoted(title)} | ${quoted(site)}</title>
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="description" content="${quoted(description)}">
<meta property="og:title" content="${quoted(title)}"><meta property="og:site_name" content="${quoted(site)}">
<meta property="og:image" content="${quoted(picture)}">
${oembed ? `<link rel="alternate" type="application/json+oembed" href="${quoted(oembed)}">` : ''}
<style>${style}</style></head><body><main>${body}</main></body></html>
`;

/** What the stand-in mail server got, the newest first. */
export const inboxPage = (mails: readonly ArrivedMail[]): string =>
  `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Inbox</title><meta name="viewport" content="width=device-width, initial-scale=1">
<style>${style} article { border-top: 1px solid; padding: 1rem 0 } dl { display: grid; grid-template-columns: 6rem 1fr; margin: 0 } dd { margin: 0 } pre { font: inherit; white-space: pre-wrap; overflow-wrap: anywhere }</style></head>
<body><main><h1>Inbox</h1><p>Mails that the demo sent. None of them left this machine. Reload to see what came since.</p>
${mails.length === 0 ? '<p>Nothing has come yet.</p>' : ''}
${mails
  .map(
    ({ to, from, replyTo, subject, text }) =>
      `<article><h2>${quoted(subject)}</h2><dl><dt>To</dt><dd>${quoted(to.join(', '))}</dd><dt>From</dt><dd>${quoted(from)}</dd><dt>Answers to</dt><dd>${quoted(replyTo)}</dd></dl><pre>${quoted(text)}</pre></article>`,
  )
  .join('\n')}</main></body></html>
`;

/** What a clip host shows inside other pages. */
export const playerPage = (title: string, clip: string, still: string): string =>
  `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${quoted(title)}</title><style>${style}</style></head>
<body class="player"><video controls playsinline src="${clip}" poster="${still}"></video></body></html>
`;

/** A class's box for links: what was handed in, and the form for the next one. */
export const classBoxPage = (box: readonly HandedIn[], problem: string): string =>
  `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Class box, stand-in</title>
<meta name="viewport" content="width=device-width, initial-scale=1"><style>${style}
label { display: block; margin: .8rem 0; } input { font: inherit; width: 100%; box-sizing: border-box; padding: .4rem; }
li { margin: .8rem 0; overflow-wrap: anywhere; }</style></head><body><main>
<h1>Waste as a Material: hand in here</h1>
<p>A stand-in for the box of a class. What is put in is opened as a tutor opens it: without an account, in a new window.</p>
<form method="post" action="/class-box"><label>Your name <input name="who" required maxlength="80"></label>
<label>Link <input name="link" required maxlength="2000"></label>
${problem === '' ? '' : `<p role="alert">${quoted(problem)}</p>`}
<button>Hand in</button></form>
<h2>Handed in</h2>
${
  box.length === 0
    ? '<p>Nothing yet.</p>'
    : `<ol>${box
        .map(
          ({ who, link, opens }) =>
            `<li><b>${quoted(who)}</b>: <a href="${quoted(link)}" target="_blank" rel="noopener noreferrer">${quoted(link)}</a><br>${quoted(opens)}</li>`,
        )
        .join('')}</ol>`
}
</main></body></html>
`;
