import { useContext } from 'react';
import type { ClipMedium, SoundMedium } from '../render/medium.ts';
import { useProperties } from '../render/declarations.ts';
import { LanguageContext, useSpoken } from '../render/words.ts';
import { PictureView } from './picture-view.tsx';
import { Transcript } from './transcript.tsx';

const captionOf = ({ title, caption }: { title: string; caption: string }) =>
  title || caption ? (
    <>
      {title && <b>{title}</b>} {caption}
    </>
  ) : null;

/** A sound with its words. Nothing of it is fetched before somebody plays it. */
export function SoundView({ medium, toRoot }: { medium: SoundMedium; toRoot: string }) {
  const { words } = useSpoken();
  return (
    <figure className="on-grid sound">
      {captionOf(medium) && <figcaption>{captionOf(medium)}</figcaption>}
      <div>
        {/* eslint-disable-next-line jsx-a11y/media-has-caption -- its words stand below it */}
        <audio controls preload="none" src={toRoot + medium.url} aria-label={medium.title || words.sound} />
        <Transcript lines={medium.transcript} of={words.said} />
      </div>
    </figure>
  );
}

/**
 * A clip with its captions, in its own proportions. Its still is a picture behind it and not its poster: a poster has one
 * size for every screen and is fetched at once, far down the page too.
 */
export function ClipView({ medium, toRoot }: { medium: ClipMedium; toRoot: string }) {
  const language = useContext(LanguageContext);
  const attach = useProperties();
  const { words } = useSpoken();
  const { still, widthPx, heightPx } = medium;
  const said = captionOf(medium);
  const isTold = said !== null || medium.transcript.length > 0;
  const shape = widthPx < heightPx ? 'upright' : isTold ? 'told' : 'alone';
  return (
    <figure className={`on-grid clip ${shape}`}>
      <div {...attach({ '--ar': widthPx / heightPx }, 'screen')}>
        {still && (
          <PictureView picture={still} toRoot={toRoot} sizes="(min-width: 1100px) 1000px, 92vw" decorative />
        )}
        {/* eslint-disable-next-line jsx-a11y/media-has-caption -- there are captions if its maker gave any */}
        <video
          controls
          playsInline
          preload={still ? 'none' : 'metadata'}
          src={toRoot + medium.url}
          width={widthPx}
          height={heightPx}
          aria-label={medium.alt || medium.title || words.clip}
        >
          {medium.captions && (
            <track
              kind="captions"
              src={toRoot + medium.captions}
              srcLang={language}
              label={words.captions}
              default
            />
          )}
        </video>
      </div>
      {isTold && (
        <figcaption>
          {said && <p>{said}</p>}
          <Transcript lines={medium.transcript} of={words.saidAndShown} />
        </figcaption>
      )}
    </figure>
  );
}
