import { useRef, useState } from 'react';
import { plural } from '#core/words/plural.ts';
import { useWidthOf } from '../../../ui/use-width-of.ts';
import { type FrameFacts, frameFacts, isPage } from './frame-facts.ts';
import { PageFrame } from './page-frame.tsx';
import { type ScreenName, screens, screensOf } from './screens.ts';

interface WidthsProps {
  src: string;
  /** What is shown and for whom, for people who hear the room. */
  of: string;
  /** One of the screens, or `all`. */
  width: string;
  /** Somebody went on to another page in one of them, by where it stands below the way in. */
  onFollow: (below: string) => void;
}

/** Where a preview stands below its reader's way in: `/studio/see/<site>/<reader>/…`. */
const belowReader = (pathname: string): string => decodeURI(pathname).split('/').slice(5).join('/');

const inWords = ({ screens: long, stops, beyond }: FrameFacts): string =>
  [
    long === 1 ? 'on one screen' : `${long} screens long`,
    `${plural(stops, 'stop')} by keyboard`,
    ...(beyond > 0 ? [`reaches ${beyond} pixels beyond its width`] : []),
  ].join(' · ');

const gap = 24;
/** Drawn smaller than this nothing on it can be told apart, so it goes on below. */
const leastScale = 0.24;

/** The page on screens of several widths, beside each other in one scale, or one of them as large as there is room. */
export function Widths({ src, of, width, onFollow }: WidthsProps) {
  const room = useRef<HTMLDivElement>(null);
  const space = useWidthOf(room);
  /** Where each of them was sent by itself, and not by a link on it; in whichever manner. */
  const sent = useRef(new Map<string, string>());
  const [facts, setFacts] = useState<Partial<Record<ScreenName, FrameFacts>>>({});
  const shown = screensOf(width);
  const all = shown.reduce((sum, name) => sum + screens[name].width, 0);
  const scale = Math.min(1, Math.max(leastScale, (space - 2 - gap * (shown.length - 1)) / all));
  return (
    <div ref={room} className="flex flex-wrap items-start gap-6">
      {space > 0 &&
        shown.map((name) => {
          const { title, width: wide, height } = screens[name];
          const told = facts[name];
          return (
            <figure key={name} className="min-w-0" style={{ width: Math.floor(wide * scale) }}>
              <PageFrame
                title={`${of}, ${title.toLowerCase()}`}
                {...{ src, scale, height }}
                width={wide}
                onLoad={(frame) => {
                  const page = frame.contentDocument;
                  if (isPage(page)) {
                    const read = frameFacts(page);
                    setFacts((before) => ({ ...before, [name]: read }));
                    const below = belowReader(page.location.pathname);
                    const first = sent.current.get(name) ?? below;
                    sent.current.set(name, first);
                    if (below !== first) onFollow(below);
                  }
                }}
              />
              <figcaption className="pt-2 text-s leading-5">
                <b>{title}</b> <span className="text-ink-3">{wide} wide</span>
                {told && (
                  <span className={`block ${told.beyond > 0 ? 'text-clay' : 'text-ink-2'}`}>
                    {inWords(told)}
                  </span>
                )}
              </figcaption>
            </figure>
          );
        })}
    </div>
  );
}
