import { useRef, useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { useWidthOf } from '../../../ui/use-width-of.ts';
import { isPage } from './frame-facts.ts';
import { PageFrame } from './page-frame.tsx';

/** A4 in CSS pixels of 1/96 inch, and what of it is printed on: see `@page` in site/styles/print.css. */
const perMm = 96 / 25.4;
const paper = { width: 210 * perMm, height: 297 * perMm };
const margin = { across: 11 * perMm, along: 15 * perMm };
const printed = { width: paper.width - 2 * margin.across, height: paper.height - 2 * margin.along };

/** The page as it is printed, on one strip of paper, with where a sheet of A4 is about full. */
export function Paper({ src, of }: { src: string; of: string }) {
  const room = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const space = useWidthOf(room);
  const [long, setLong] = useState<number>(printed.height);
  const scale = Math.min(1, space / paper.width);
  const sheets = Math.ceil(long / printed.height);
  const measure = ({ contentDocument: page }: HTMLIFrameElement) => {
    if (!isPage(page)) return;
    // What is fetched only once it is in sight is printed too.
    for (const picture of page.images) picture.loading = 'eager';
    const read = () => setLong(Math.max(printed.height, page.body.scrollHeight));
    read();
    void Promise.all([...page.images].map((one) => one.decode().catch(() => undefined))).then(read);
  };
  return (
    <div ref={room} className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button onClick={() => frame.current?.contentWindow?.print()}>Open the print window</Button>
        <p className="note">
          About {sheets === 1 ? 'one sheet' : `${sheets} sheets`} of A4. The lines show where a sheet is about
          full; your printer breaks between lines and pictures.
        </p>
      </div>
      {space > 0 && (
        <div
          className="relative max-w-full bg-white shadow-2"
          style={{
            width: paper.width * scale,
            padding: `${margin.along * scale}px ${margin.across * scale}px`,
          }}
        >
          <PageFrame
            className=""
            title={`${of}, as printed`}
            {...{ src, scale }}
            width={printed.width}
            height={long}
            frame={frame}
            onLoad={measure}
          />
          {Array.from({ length: sheets - 1 }, (_, at) => (
            <span
              key={at}
              aria-hidden="true"
              className="absolute inset-x-0 border-t border-dashed border-edge pr-2 text-right text-xs text-ink-3"
              style={{ top: (margin.along + printed.height * (at + 1)) * scale }}
            >
              {at + 2}
            </span>
          ))}
        </div>
      )}
    </div>
  );
}
