import { Link } from 'react-router';
import { materialsOn } from '#core/pages/materials-on.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { type EvidenceMap, keyOfProof, type ProvingPage } from '#core/resume/evidence-map/evidence-map.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { useSite } from '../../../api/site-context.tsx';
import { HeightGlyph } from '../../../ui/height-glyph.tsx';
import { heightNames } from '../../../ui/height-names.ts';
import { MaterialPicture } from '../../../ui/material-picture.tsx';
import { partInWords } from '../../../parts/part-in-words.ts';

/** The pages that prove something, each with what of it does; a proposed one is marked. */
export function ProofCards({
  map,
  pages,
  proposed,
}: {
  map: EvidenceMap;
  pages: readonly ProvingPage[];
  proposed: ReadonlySet<string>;
}) {
  const { state } = useSite();
  const skillsBy = (key: string) =>
    map.rows
      .filter(({ proofs }) => proofs.some(({ proof }) => keyOfProof(proof) === key))
      .map(({ entry }) => entry.title);
  return (
    <ul className="proof-cards" aria-label="What shows them">
      {pages.map(({ page, things }) => {
        const cover = page.cover.picture ?? materialsOn(page)[0];
        const picture = state.materials.find(({ id }) => id === cover);
        return (
          <li key={page.id}>
            <ul aria-label={pageName(page)}>
              {things.map(({ part: id, opens }) => {
                const key = keyOfProof({ page: page.id, part: id });
                const part = page.parts.find((one) => one.id === id);
                const { height } = effectiveHeight(state, {
                  page: page.id,
                  ...(id !== null && { part: id }),
                });
                const skills = skillsBy(key);
                return (
                  <li key={key} data-proposed={proposed.has(key) || undefined} data-low={!opens || undefined}>
                    <i
                      className="knot"
                      data-kind={part ? (part.kind === 'document' ? 'document' : 'part') : 'page'}
                      data-knot={`proof ${key}`}
                      aria-hidden="true"
                    />
                    <span className="min-w-0 flex-1 truncate">
                      {part ? partInWords(part, state.materials) : 'The page'}
                      <span className="sr-only">
                        {skills.length > 0 ? `, shows ${skills.join(', ')}` : ', proposed'}
                      </span>
                    </span>
                    <span className="height" title={heightNames[height]}>
                      <HeightGlyph height={height} />
                      <span className={opens ? 'sr-only' : ''}>{heightNames[height]}</span>
                    </span>
                  </li>
                );
              })}
            </ul>
            <Link to={`/${state.site.id}/projects/${page.id}`} className="of">
              {picture && <MaterialPicture material={picture} size={480} alt="" shows="sign" />}
              <span>{pageName(page)}</span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
