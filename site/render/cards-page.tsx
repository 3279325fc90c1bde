import { renderToStaticMarkup } from 'react-dom/server';

/** Cards of 85 by 55 mm (ISO/IEC 7810, ID-1, is as wide), ten on a sheet of A4, cut along the thin lines. */
export const cardsStyle = `@page{size:A4;margin:0}
html,body{margin:0;background:#fff}
.hint{font:16px/1.5 system-ui,sans-serif;max-width:44rem;margin:1.5rem auto;padding:0 1rem;color:#222}
.cards{display:grid;grid-template-columns:85mm 85mm;grid-auto-rows:55mm;width:170mm;margin:11mm 20mm;padding:0;list-style:none}
.card{box-sizing:border-box;display:grid;grid-template-columns:32mm minmax(0,1fr);gap:4mm;align-items:center;padding:5mm;border:.15mm dashed #bbb;background:var(--paper);color:var(--ink);overflow:hidden;print-color-adjust:exact;-webkit-print-color-adjust:exact;break-inside:avoid}
.card img{width:32mm;height:32mm;background:#fff}
.card b{display:block;font:600 15pt/1.1 var(--font-display);overflow-wrap:anywhere}
.card p{margin:1.2mm 0 0;font:9pt/1.25 var(--font-text);display:-webkit-box;-webkit-line-clamp:3;-webkit-box-orient:vertical;overflow:hidden}
.card .type{font-size:7.5pt}.card .type strong{display:block;font:700 12pt/1.2 var(--font-text);letter-spacing:.06em}
@media print{.hint{display:none}}
@media screen{.cards{margin-inline:auto;box-shadow:0 0 2mm #0003}}
@media (max-width:180mm){.cards{grid-template-columns:85mm;width:85mm}}`;

interface CardsProps {
  title: string;
  summary: string;
  language: string;
  theme: string;
  /** Path of the look's sheet below the page. */
  css: string;
  /** The code as an image, by its data. */
  qr: string;
  short: { code: string; at: string } | null;
  /** The address as it is typed; empty where it cannot be. */
  address: string;
}

/** A sheet of ten equal cards, to be printed by the browser. */
export function renderCards({
  title,
  summary,
  language,
  theme,
  css,
  qr,
  short,
  address,
}: CardsProps): string {
  const card = (
    <>
      <img src={qr} alt="" />
      <div>
        <b>{title}</b>
        {summary !== '' && <p>{summary}</p>}
        {short ? (
          <p className="type">
            <strong>{short.code}</strong>
            {short.at.replace(/^https?:\/\//, '')}
          </p>
        ) : (
          address !== '' && <p className="type">{address}</p>
        )}
      </div>
    </>
  );
  const body = renderToStaticMarkup(
    <>
      <p className="hint" lang="en">
        Ten cards on a sheet of A4. Print it at 100 per cent, with backgrounds, and cut along the dashed
        lines.
      </p>
      <ul className="cards">
        {Array.from({ length: 10 }, (_, at) => (
          <li key={at} className="card">
            {card}
          </li>
        ))}
      </ul>
    </>,
  );
  const head = renderToStaticMarkup(
    <>
      <meta charSet="utf-8" />
      <meta name="viewport" content="width=device-width, initial-scale=1" />
      <title>{`Cards for ${title}`}</title>
      <link rel="stylesheet" href={css} />
    </>,
  );
  return `<!doctype html>\n<html lang="${language}" data-theme="${theme}"><head>${head}<style>${cardsStyle}</style></head><body>${body}</body></html>\n`;
}
