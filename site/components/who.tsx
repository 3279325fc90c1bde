import type { ReactNode } from 'react';
import type { SeenPart } from '#core/parts/parts.ts';
import type { PageInput } from '../render/page-input.ts';
import { WayLink } from './way-link.tsx';
import { useSpoken } from '../render/words.ts';

interface WhoProps {
  input: PageInput;
  /** Facts about the maker that stand together, with their places on the page. */
  facts: readonly { at: number; part: SeenPart }[];
  drawn: (part: SeenPart, at: number) => ReactNode;
}

/** What stands with the name; all other facts stand below it, each under a name of its own. */
const withName: readonly string[] = ['full-name', 'headline', 'pronouns'];

/** Who the maker is: the portrait, the name they go by with what they say of it, and the facts. */
export function Who({ input, facts, drawn }: WhoProps) {
  const { words, lang } = useSpoken();
  const of = (fits: (kind: string) => boolean) =>
    facts
      .filter(({ part }) => fits(part.kind))
      .map(({ at, part }) => <div key={part.id}>{drawn(part, at)}</div>);
  const portraits = facts.filter(({ part }) => part.kind === 'portrait');
  const isShown = portraits.some(({ part }) => part.kind === 'portrait' && part.form !== 'none');
  const others = of((kind) => kind !== 'portrait' && !withName.includes(kind));
  return (
    <div className="on-grid who">
      <h2 className="unseen" {...lang}>
        {words.whoIAm}
      </h2>
      {isShown && (
        <div className="me">
          {portraits.map(({ at, part }) => (
            <div key={part.id}>{drawn(part, at)}</div>
          ))}
        </div>
      )}
      <div className="is">
        <p className="maker">{input.by}</p>
        {withName.flatMap((name) => of((kind) => kind === name))}
        {input.toResume && (
          <p className="to-resume">
            <WayLink way={input.toResume} toRoot={input.toRoot} />
          </p>
        )}
      </div>
      {others.length > 0 && <div className="facts-of">{others}</div>}
    </div>
  );
}
