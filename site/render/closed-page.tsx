import { renderToStaticMarkup } from 'react-dom/server';

/** The letters of such pages, below the studio's files. Named anew when they are cut otherwise: browsers keep it for a year. */
export const doorTypeFile = 'door-type-1.woff2';

/**
 * What everybody gets who may not see what they asked for, and who asked for what never existed: the same bytes,
 * with no name, no title and no hint. It carries its own style; where its letters do not come, the system's do.
 */
export const closedPageStyle = `@font-face{font-family:Door;font-weight:400 600;font-display:swap;src:url(/studio/assets/${doorTypeFile}) format("woff2")}:root{color-scheme:light}body{box-sizing:border-box;margin:0;min-height:100vh;display:grid;place-content:center;padding:2rem;background:#f9faf8;color:#101814;font:1.15rem/1.55 Door,Georgia,serif}main{max-width:32rem}h1{font-size:2.3rem;line-height:1.1;font-weight:400;letter-spacing:-.02em;margin:0 0 1rem}p{margin:0 0 .8rem}`;

export function renderClosedPage(): string {
  const main = renderToStaticMarkup(
    <main>
      <h1>Nothing is open here.</h1>
      <p>
        The link may be mistyped, may have been switched off, or may not be open yet. Nothing is wrong at your
        end.
      </p>
      <p>If somebody gave you this link, ask them for a new one.</p>
    </main>,
  );
  return `<!doctype html>\n<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex"><title>Nothing is open here</title><style>${closedPageStyle}</style></head><body>${main}</body></html>\n`;
}
