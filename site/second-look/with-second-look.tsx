import { renderToStaticMarkup } from 'react-dom/server';
import { languageOf } from '../comments/with-comments.tsx';
import { SpokenContext, spokenIn } from '../render/words.ts';
import { DraftMark, type SecondLookOnPage, SecondLookView } from './second-look-view.tsx';

/**
 * A page of a draft, marked as one, with the list at its end. The rest of it stays as it would be published.
 *
 * @param html as it would be published
 * @param sheet address of the style sheet of what is added
 */
export function withSecondLook(html: string, look: SecondLookOnPage, sheet: string): string {
  const drawn = (element: React.ReactElement) =>
    renderToStaticMarkup(<SpokenContext value={spokenIn(languageOf(html))}>{element}</SpokenContext>);
  const end = html.lastIndexOf('</main>');
  // The way past the menu stays the first thing on the page.
  const past = /<a class="skip"[^>]*>[^<]*<\/a>/.exec(html);
  const head = html.indexOf('</head>');
  if (end < 0 || !past || head < 0) throw new Error('A page of a draft has no place for what is said of it.');
  const start = past.index + past[0].length;
  return [
    html.slice(0, head),
    drawn(
      <>
        <meta name="robots" content="noindex" />
        <link rel="stylesheet" href={sheet} />
      </>,
    ),
    html.slice(head, start),
    drawn(<DraftMark {...look} />),
    // Nobody writes to a maker by a draft: its forms are there to be looked at.
    html.slice(start, end).replaceAll('<form class="write"', '<form inert="" class="write"'),
    drawn(<SecondLookView {...look} />),
    html.slice(end),
  ].join('');
}
