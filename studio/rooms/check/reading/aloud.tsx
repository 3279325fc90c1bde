import { useRef, useState } from 'react';
import { languageName } from '../../../ui/language-field.tsx';
import { isPage } from './frame-facts.ts';
import { PageFrame } from './page-frame.tsx';
import { screens } from './screens.ts';
import { type SpokenLine, spokenLines } from './spoken-lines.ts';

const names: Readonly<Record<SpokenLine['kind'], string>> = {
  heading: 'Heading',
  link: 'Link',
  button: 'Button',
  picture: 'Picture',
  field: 'Field',
  landmark: 'Part',
  list: 'List',
  table: 'Table',
  clip: 'Clip or sound',
  words: '',
};
const none: Partial<Record<SpokenLine['kind'], string>> = {
  picture: 'nothing is said of it',
  clip: 'it has no name',
  button: 'it has no name',
  field: 'it has no name',
  heading: 'it has no words',
  table: 'it has no name',
};

/** What a screen reader says of the page, line by line; a line shows where it stands. */
export function Aloud({ src, of }: { src: string; of: string }) {
  const [lines, setLines] = useState<SpokenLine[] | null>(null);
  const marked = useRef<HTMLElement | null>(null);
  const { width, height } = screens.phone;
  const show = (element: Element) => {
    const one = element as HTMLElement;
    if (marked.current) marked.current.style.outline = '';
    one.style.outline = '4px solid #c8401c';
    marked.current = one;
    one.scrollIntoView({ block: 'center' });
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-8 md:grid-cols-[minmax(0,1fr)_auto]">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
        <p className="note">
          The order of the page, which is what a screen reader follows. Press a line to see where it stands.
        </p>
        {lines === null ? (
          <p className="text-base text-ink-2">The page is being read.</p>
        ) : lines.length === 0 ? (
          <p className="text-base text-ink-2">Nothing of this page is said: this reader gets none.</p>
        ) : (
          <ol className="grid grid-cols-[minmax(0,1fr)] border-t border-line">
            {lines.map((line, at) => {
              const { kind, text, level, language, element } = line;
              return (
                <li key={at} className="border-b border-line">
                  <button
                    type="button"
                    className="grid w-full grid-cols-[6.5rem_minmax(0,1fr)] gap-3 px-1 py-1.5 text-left text-base leading-6 hover:bg-sunk"
                    onClick={() => show(element)}
                  >
                    <span className="text-s leading-6 text-ink-3">
                      {names[kind]}
                      {level !== undefined && ` ${level}`}
                      {language !== undefined && ` ${languageName(language)}`}
                    </span>
                    {text === '' ? (
                      <span className="text-clay">{none[kind] ?? ''}</span>
                    ) : (
                      <span
                        lang={language}
                        className={
                          kind === 'heading' ? 'font-[650]' : kind === 'landmark' ? 'text-ink-3' : ''
                        }
                      >
                        {text}
                      </span>
                    )}
                  </button>
                </li>
              );
            })}
          </ol>
        )}
      </div>
      <div className="md:sticky md:top-4">
        <PageFrame
          title={`${of}, phone`}
          {...{ src, width }}
          height={Math.min(height, 760)}
          scale={0.8}
          onLoad={({ contentDocument: page }) => {
            marked.current = null;
            setLines(isPage(page) ? spokenLines(page) : []);
          }}
        />
      </div>
    </div>
  );
}
