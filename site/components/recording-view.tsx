import type { ClipMedium, SoundMedium } from '../render/medium.ts';
import { Transcript } from './transcript.tsx';

const captionOf = ({ title, caption }: { title: string; caption: string }) =>
  title || caption ? (
    <figcaption>
      {title && <b>{title}</b>} {caption}
    </figcaption>
  ) : null;

/** A sound with its words. Nothing of it is fetched before somebody plays it. */
export function SoundView({ medium, toRoot }: { medium: SoundMedium; toRoot: string }) {
  return (
    <figure className="sound">
      {/* eslint-disable-next-line jsx-a11y/media-has-caption -- its words stand below it */}
      <audio controls preload="none" src={toRoot + medium.url} aria-label={medium.title || 'Sound'} />
      {captionOf(medium)}
      <Transcript lines={medium.transcript} of="What is said" />
    </figure>
  );
}

/** A clip with its captions, in its own proportions. */
export function ClipView({ medium, toRoot }: { medium: ClipMedium; toRoot: string }) {
  const poster = medium.still?.fallback.at(-1);
  return (
    <figure className="clip">
      {/* eslint-disable-next-line jsx-a11y/media-has-caption -- there are captions if its maker gave any */}
      <video
        controls
        playsInline
        preload={medium.still ? 'none' : 'metadata'}
        poster={poster ? toRoot + poster.url : undefined}
        src={toRoot + medium.url}
        width={medium.widthPx}
        height={medium.heightPx}
        aria-label={medium.alt || medium.title || 'Clip'}
      >
        {medium.captions && (
          <track kind="captions" src={toRoot + medium.captions} srcLang="en" label="Captions" default />
        )}
      </video>
      {captionOf(medium)}
      <Transcript lines={medium.transcript} of="What is said and shown" />
    </figure>
  );
}
