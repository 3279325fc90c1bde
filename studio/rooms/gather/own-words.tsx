import { useQuery } from '@tanstack/react-query';
import type { Material } from '#core/materials/material.ts';
import { WordsView } from '#site/components/words-view.tsx';
import { useSite } from '../../api/site-context.tsx';
import { documentQuery } from '../../materials/document-query.ts';
import { WordsOnTheWay } from '../../materials/words-on-the-way.tsx';
import './own-words.css';

/** A document's own words, to be read where it is gathered. */
export function OwnWords({ material }: { material: Material }) {
  const { state } = useSite();
  const { data: content, error, refetch } = useQuery(documentQuery(state.site.id, material));
  const pieces = content?.pieces ?? [];
  return (
    <details className="own-words max-h-[50dvh] overflow-auto bg-raised px-4 py-3">
      <summary className="cursor-pointer font-firm">Read it</summary>
      {!content && <WordsOnTheWay error={error} again={() => void refetch()} />}
      {content && pieces.length === 0 && <p className="note">There are no words in it.</p>}
      {pieces.map((piece, at) =>
        piece.type === 'words' ? (
          <WordsView key={at} text={{ type: 'doc', content: piece.blocks }} />
        ) : (
          <img
            key={at}
            src={`/api/materials/${material.id}/preview/480?piece=${piece.picture}`}
            alt={piece.alt}
            loading="lazy"
          />
        ),
      )}
      {content && content.leftOut > 0 && (
        <p className="note">
          {content.leftOut === 1 ? '1 picture' : `${content.leftOut} pictures`} in it cannot be shown and{' '}
          {content.leftOut === 1 ? 'was' : 'were'} left out.
        </p>
      )}
    </details>
  );
}
