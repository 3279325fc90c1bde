import { useEffect, useRef, useState } from 'react';
import { firstSeconds, wordsReadIn } from '#core/preview/ten-seconds.ts';
import { plural } from '#core/words/plural.ts';
import { Button } from '../../../ui/button.tsx';
import { Segments } from '../../../ui/segments.tsx';
import { useWidthOf } from '../../../ui/use-width-of.ts';
import { firstScreen, type FirstScreen } from './first-screen.ts';
import { isPage } from './frame-facts.ts';
import { PageFrame } from './page-frame.tsx';
import { screens } from './screens.ts';

const shown = { phone: screens.phone, desktop: screens.desktop };

const Told = ({ name, lines, none }: { name: string; lines: readonly string[]; none: string }) => (
  <div>
    <dt className="text-s text-ink-3">{name}</dt>
    <dd className="text-base leading-6">{lines.length === 0 ? none : lines.join(' · ')}</dd>
  </div>
);

/**
 * Ten seconds of the page as whoever comes in sees it, then it is covered: what its maker could not tell now, a reader cannot either.
 */
export function TenSeconds({ src, of }: { src: string; of: string }) {
  const room = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const space = useWidthOf(room);
  const [on, setOn] = useState<keyof typeof shown>('desktop');
  const [state, setState] = useState<'before' | 'running' | 'over'>('before');
  const [loaded, setLoaded] = useState(false);
  const [stood, setStood] = useState<FirstScreen | null>(null);
  useEffect(() => {
    if (state !== 'running') return;
    const timer = setTimeout(() => setState('over'), firstSeconds * 1000);
    return () => clearTimeout(timer);
  }, [state]);
  const { width, height } = shown[on];
  const scale = Math.min(1, (space - (space > 900 ? 340 : 0)) / width, 620 / height);
  const play = () => {
    const page = frame.current?.contentDocument ?? null;
    page?.defaultView?.scrollTo(0, 0);
    if (isPage(page)) setStood(firstScreen(page));
    setState('running');
  };
  return (
    <div ref={room} className="flex flex-wrap items-start gap-6">
      {space > 0 && (
        <div className="relative">
          <div inert={state !== 'running'}>
            <PageFrame
              key={`${on} ${src}`}
              title={`${of}, first screen`}
              {...{ src, width, height, scale, frame }}
              onLoad={({ contentDocument: page }) => setLoaded(isPage(page))}
            />
          </div>
          {state !== 'running' && (
            <div className="absolute inset-0 grid place-items-center rounded-s border border-line bg-sunk p-6">
              <p className="max-w-xs text-center text-base leading-6 text-ink-2">
                {state === 'over'
                  ? 'Covered.'
                  : loaded
                    ? 'The page lies under this.'
                    : 'The page is being fetched.'}
              </p>
            </div>
          )}
        </div>
      )}
      <div className="grid w-full max-w-[18rem] gap-4">
        <Segments
          label="Screen"
          className="justify-self-start"
          value={on}
          options={[
            { value: 'desktop', name: 'Desktop' },
            { value: 'phone', name: 'Phone' },
          ]}
          onChange={(next) => {
            setOn(next);
            setLoaded(false);
            setState('before');
          }}
        />
        <Button
          look="go"
          className="justify-self-start"
          disabled={!loaded || state === 'running'}
          onClick={play}
        >
          {state === 'over' ? 'Once more' : 'Press play'}
        </Button>
        <p role="status" className="text-base leading-6">
          {state === 'running'
            ? `You have ${firstSeconds} seconds, as somebody who comes in has.`
            : state === 'over'
              ? 'They are over. Say it without looking:'
              : ''}
        </p>
        {state === 'before' && (
          <p className="note">
            You see what this reader sees first, for ten seconds. Better still, let somebody press who does
            not know it.
          </p>
        )}
        {state === 'over' && (
          <>
            <ol className="grid list-decimal gap-1 pl-5 text-base leading-6">
              <li>Whose work is it?</li>
              <li>What is it, and what did they do themselves?</li>
              <li>Where would you press next?</li>
            </ol>
            {stood && (
              <dl className="grid gap-3 border-t border-line pt-4">
                <Told name="Names that stood there" lines={stood.headings} none="None" />
                <div>
                  <dt className="text-s text-ink-3">Words</dt>
                  <dd className="text-base leading-6">
                    {plural(stood.words, 'word')}. In ten seconds about {wordsReadIn(firstSeconds)} are read.
                  </dd>
                </div>
                <Told
                  name="Pictures"
                  lines={stood.pictures.map((text) => text || 'one without words')}
                  none="None that says anything"
                />
                <Told name="Ways on" lines={stood.ways} none="None without scrolling" />
              </dl>
            )}
          </>
        )}
      </div>
    </div>
  );
}
