import { useState } from 'react';

interface ShownProps {
  title: string;
  src: string;
}

/** A page in small, as a picture: nothing in it can be pressed or reached. It is loaded once it is in sight. */
function Small({ title, src }: ShownProps) {
  return (
    <figure className="min-w-0 flex-1">
      <figcaption className="mb-1 flex items-baseline justify-between gap-2 text-s">
        <b>{title}</b>
        <a className="link" href={src} target="_blank" rel="noreferrer">
          Open<span className="sr-only">: {title}</span>
        </a>
      </figcaption>
      <div className="aspect-[5/4] overflow-hidden rounded-s border border-line bg-sunk" inert>
        {/* Three times as wide as its place, so that it is laid out as on a wide window. */}
        <iframe
          {...{ title, src }}
          loading="lazy"
          tabIndex={-1}
          sandbox="allow-same-origin"
          className="pointer-events-none h-[300%] w-[300%] origin-top-left scale-[0.3333] border-0"
        />
      </div>
    </figure>
  );
}

interface BeforeAfterProps {
  site: string;
  page: string;
  title: string;
  kind: 'added' | 'changed' | 'removed';
}

/** What readers have of a page beside what they would get, unfolded when asked for. */
export function BeforeAfter({ site, page, title, kind }: BeforeAfterProps) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-1" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="link w-fit cursor-pointer">
        {kind === 'changed' ? 'Before and after' : 'See it'}
        <span className="sr-only">: {title}</span>
      </summary>
      {open && (
        <div className="mt-2 flex gap-3 phone:flex-col">
          {kind !== 'added' && (
            <Small title="Readers have now" src={`/studio/release/${site}/now/visitors/${page}`} />
          )}
          {kind !== 'removed' && (
            <Small title="After publishing" src={`/studio/see/${site}/visitors/${page}`} />
          )}
        </div>
      )}
    </details>
  );
}
