import { X } from 'lucide-react';
import { Link } from 'react-router';
import { mostProofs } from '#core/parts/entry.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { keyOfProof, type SkillRow } from '#core/resume/evidence-map/evidence-map.ts';
import type { ProposedProof } from '#core/resume/evidence-map/proposed-proofs.ts';
import type { Proof } from '#core/resume/proof.ts';
import { useSite } from '../../../api/site-context.tsx';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { ProofField } from '../proof-field.tsx';
import { partInWords } from '../../../parts/part-in-words.ts';
import { entriesOf, type ResumeSteps, type Version } from '../use-resume.ts';
import { verdictMeaning, verdictWords } from './verdict-words.ts';

/** A sentence with the words that were found in it standing out. */
function Found({ sentence, shared }: Pick<ProposedProof, 'sentence' | 'shared'>) {
  const words = new Set(shared);
  return (
    <q>
      {sentence
        .split(/([\p{L}\p{M}\p{N}]+)/u)
        .map((piece, at) => (words.has(piece) ? <mark key={at}>{piece}</mark> : piece))}
    </q>
  );
}

/** One skill: what shows it, what may, and what else could be tied to it. */
export function SkillPanel({
  page,
  version,
  row,
  proposals,
  steps,
}: {
  page: ShownPage;
  version: Version;
  row: SkillRow;
  proposals: readonly ProposedProof[];
  steps: ResumeSteps;
}) {
  const { state } = useSite();
  const entry = entriesOf(page).find(({ id }) => id === row.entry.id);
  if (!entry) return null;
  const isFull = entry.proofs.length >= mostProofs;
  const of = (proof: Proof) => {
    const at = state.pages.filter(isShown).find(({ id }) => id === proof.page);
    const part = at?.parts.find(({ id }) => id === proof.part);
    if (!at || (proof.part !== null && !part)) return null;
    return part ? `${partInWords(part, state.materials)}, on ${pageName(at)}` : pageName(at);
  };
  return (
    <section aria-labelledby="skill-title" className="skill-panel">
      <div>
        <h2 id="skill-title" className="text-l">
          {entry.title || 'Skill without a name'}{' '}
          <span className="verdict" data-verdict={row.verdict}>
            {verdictWords[row.verdict]}
          </span>
        </h2>
        <p className="note">{verdictMeaning[row.verdict]}</p>
      </div>
      {row.proofs.length > 0 && (
        <ul className="grid">
          {row.proofs.map(({ proof, kind, opens }) => {
            const name = of(proof) ?? 'Something that is gone';
            return (
              <li key={keyOfProof(proof)} className="flex items-center gap-2 border-b border-line py-1">
                <span className="min-w-0 flex-1">
                  {kind === 'gone' ? (
                    name
                  ) : (
                    <Link to={`/${state.site.id}/projects/${proof.page}`}>{name}</Link>
                  )}
                  {kind !== 'gone' && !opens && (
                    <small className="text-ink-3"> too low for these readers</small>
                  )}
                </span>
                <IconButton small label={`Untie ${name}`} onClick={() => steps.untie(entry, proof)}>
                  <X size={15} aria-hidden="true" />
                </IconButton>
              </li>
            );
          })}
        </ul>
      )}
      {!isFull &&
        proposals.map((proposal) => (
          <div key={keyOfProof(proposal.proof)} className="proposal">
            <p>
              Your words on <b>{of(proposal.proof)}</b> may show it:
            </p>
            <blockquote>
              <Found {...proposal} />
            </blockquote>
            <p className="flex flex-wrap gap-2">
              <Button look="ink" small onClick={() => steps.tie(entry, proposal.proof)}>
                Tie it
              </Button>
              <Button look="bare" small onClick={() => steps.refuse(entry, proposal.proof)}>
                Not this one
              </Button>
            </p>
          </div>
        ))}
      {!isFull && (
        <ProofField
          label="Tie another proof"
          none={row.proofs.length === 0 ? 'Tie a proof…' : 'Tie another proof…'}
          proof={null}
          page={page.id}
          version={version}
          onChange={(proof) => {
            const known = row.proofs.some((one) => proof && keyOfProof(one.proof) === keyOfProof(proof));
            if (proof && !known) steps.tie(entry, proof);
          }}
        />
      )}
    </section>
  );
}
