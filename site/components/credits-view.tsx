import { Fragment } from 'react';
import type { CreditPiece } from '#core/credits/credit.ts';
import { useSpoken } from '../render/words.ts';

/** Who made what is shown here and is not the maker's own: title, author, source, licence, each with its link. */
export function CreditsView({ credits }: { credits: readonly CreditPiece[][] }) {
  const { words, lang } = useSpoken();
  return (
    <div className="on-grid credits">
      <h2 {...lang}>{words.credits}</h2>
      <ul>
        {credits.map((pieces, at) => (
          <li key={at}>
            {pieces.map((piece, n) => {
              const next = pieces[n + 1];
              // Who and what belong together; source and licence are sentences of their own.
              const own = ['source', 'licence'].includes(next?.kind ?? 'source');
              const ended = piece.text.endsWith('.');
              return (
                <Fragment key={n}>
                  {piece.url ? <a href={piece.url}>{piece.text}</a> : piece.text}
                  {own ? `${ended ? '' : '.'}${next ? ' ' : ''}` : ', '}
                </Fragment>
              );
            })}
          </li>
        ))}
      </ul>
    </div>
  );
}
