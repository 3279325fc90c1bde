import { useProperties } from '../render/declarations.ts';
import type { LinkMedium } from '../render/medium.ts';
import { useSpoken } from '../render/words.ts';
import { PictureView } from './picture-view.tsx';
import { Transcript } from './transcript.tsx';

interface LinkViewProps {
  medium: LinkMedium;
  align: 'left' | 'centre' | 'right';
  toRoot: string;
}

/** A link with what is known of the page it leads to. */
function LinkCard({ medium, toRoot }: Omit<LinkViewProps, 'align'>) {
  const { words, lang } = useSpoken();
  const { title, caption, url, host, still } = medium;
  return (
    <div className="on-grid linked">
      <p className="label" {...lang}>
        {words.linked}
      </p>
      <a className={still ? 'link-card with-picture' : 'link-card'} href={url}>
        {still && <PictureView picture={still} toRoot={toRoot} sizes="(min-width: 700px) 24vw, 46vw" />}
        <span className="link-words">
          <b>{title}</b>
          {caption && <span>{caption}</span>}
          <small>{host}</small>
        </span>
      </a>
    </div>
  );
}

/**
 * What a link leads to, in place: a still until a reader asks for it, so that nobody elsewhere learns of readers who do
 * not. Without a script it is a link to the page itself.
 */
function Framed({ medium, toRoot }: Omit<LinkViewProps, 'align'>) {
  const attach = useProperties();
  const { words, lang } = useSpoken();
  const [from, which] = words.comesFrom;
  const { title, caption, url, host, still, frame, plays, transcript } = medium;
  if (!frame) return null;
  return (
    <figure
      {...attach(
        { '--ar': +(frame.widthPx / frame.heightPx).toFixed(4) },
        plays ? 'on-grid framed plays' : 'on-grid framed',
      )}
    >
      <a className="frame-opener" href={url} data-frame={frame.url} data-title={title}>
        {still && <PictureView picture={still} toRoot={toRoot} sizes="(min-width: 1100px) 1000px, 92vw" />}
        <span className="frame-say" {...lang}>
          {plays ? words.playFrom(host) : words.showFrom(host)}
        </span>
      </a>
      <figcaption>
        <b>{title}</b> {caption}{' '}
        <small {...lang}>
          {from}
          <a href={url}>{host}</a>
          {which}
        </small>
        <Transcript lines={transcript} of={words.saidAndShown} />
      </figcaption>
    </figure>
  );
}

/** A link in the form its maker chose. */
export function LinkView({ medium, align, toRoot }: LinkViewProps) {
  switch (medium.form) {
    case 'in-place':
      return <Framed medium={medium} toRoot={toRoot} />;
    case 'card':
      return <LinkCard medium={medium} toRoot={toRoot} />;
    case 'button':
      return (
        <div className="on-grid linked">
          <p className={`link-button ${align}`}>
            <a href={medium.url}>{medium.title}</a>
          </p>
        </div>
      );
  }
}
