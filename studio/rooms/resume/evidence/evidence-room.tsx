import { ArrowLeft } from 'lucide-react';
import { useMemo, useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import {
  type EvidenceMap,
  evidenceMap,
  keyOfProof,
  withProposed,
} from '#core/resume/evidence-map/evidence-map.ts';
import { proposedProofs, sentenceIndex } from '#core/resume/evidence-map/proposed-proofs.ts';
import { writtenSentences } from '#core/resume/evidence-map/written-sentences.ts';
import { proofOpens } from '#core/resume/proof-opens.ts';
import type { Verdict } from '#core/resume/evidence.ts';
import { useSite } from '../../../api/site-context.tsx';
import { SaveWords } from '../../../ui/save-words.tsx';
import { Select } from '../../../ui/select.tsx';
import { useResume, type Version, versionsOf } from '../use-resume.ts';
import { ProofCards } from './proof-cards.tsx';
import { SkillPanel } from './skill-panel.tsx';
import { SkillTable } from './skill-table.tsx';
import { Strings } from './strings.tsx';
import { useKnots } from './use-knots.ts';
import { verdictWords } from './verdict-words.ts';
import './evidence.css';

function Picture({ page, version, map }: { page: ShownPage; version: Version; map: EvidenceMap }) {
  const { state } = useSite();
  const steps = useResume(page);
  const [asked, setAsked] = useSearchParams();
  const box = useRef<HTMLDivElement>(null);
  const knots = useKnots(box);
  // Read when a page or a material changes, and not when another skill is looked at.
  const index = useMemo(() => {
    const materials = new Map(state.materials.map((one) => [one.id, one]));
    const others = state.pages
      .filter(isShown)
      .filter(({ kind, archived }) => kind !== 'resume' && kind !== 'about' && !archived);
    return sentenceIndex(others.flatMap((one) => writtenSentences(one, materials)));
  }, [state.pages, state.materials]);
  const row =
    map.rows.find(({ entry }) => entry.id === asked.get('skill')) ??
    map.rows.find(({ verdict }) => verdict !== 'shown') ??
    map.rows[0];
  const proposals = row
    ? proposedProofs(row.entry.title, index, [...row.proofs.map(({ proof }) => proof), ...row.entry.refused])
    : [];
  const opens = proofOpens(state, { page: page.id, version: version.id });
  const pages = withProposed(
    map.pages,
    state,
    proposals.map(({ proof }) => proof),
    opens,
  );
  if (!row)
    return (
      <p className="px-5 py-10 text-ink-2">
        This version has no skills. Add one at the{' '}
        <Link className="link" to="../resume" relative="path">
          Résumé desk
        </Link>
        , or tick one there.
      </p>
    );
  const select = (skill: string) =>
    setAsked(
      (now) => {
        const next = new URLSearchParams(now);
        next.set('skill', skill);
        return next;
      },
      { replace: true },
    );
  return (
    <div className="evidence" ref={box}>
      <div className="min-w-0">
        <SkillTable map={map} selected={row.entry.id} onSelect={select} />
        <SkillPanel key={row.entry.id} {...{ page, version, row, proposals, steps }} />
        <ul className="evidence-key" aria-hidden="true">
          <li data-kind="page">a page or a part of one</li>
          <li data-kind="document">a document</li>
          <li data-kind="low">too low for these readers</li>
          <li data-kind="proposed">proposed</li>
        </ul>
      </div>
      <Strings map={map} knots={knots} selected={row.entry.id} proposals={proposals} />
      <ProofCards
        map={map}
        pages={pages}
        proposed={new Set(proposals.map(({ proof }) => keyOfProof(proof)))}
      />
    </div>
  );
}

/** How many skills there are of each verdict, in words. */
function summary({ rows }: EvidenceMap): string {
  const said = (Object.keys(verdictWords) as Verdict[]).flatMap((verdict) => {
    const all = rows.filter((row) => row.verdict === verdict).length;
    return all === 0 ? [] : [`${all} ${verdictWords[verdict]}`];
  });
  return said.join(', ');
}

/** What shows the skills of a version, worked out again when the site changes; null without a version. */
function useMap(page: ShownPage | undefined, version: Version | undefined): EvidenceMap | null {
  const { state } = useSite();
  return useMemo(() => (page && version ? evidenceMap(state, page, version) : null), [state, page, version]);
}

/** Skills and evidence: what shows each skill of a version to the version's readers. */
export function EvidenceRoom() {
  const { state } = useSite();
  const [asked, setAsked] = useSearchParams();
  const page = state.pages.filter(isShown).find(({ kind, archived }) => kind === 'resume' && !archived);
  const versions = page ? versionsOf(page) : [];
  const version = versions.find(({ id }) => id === asked.get('version')) ?? versions[0];
  const map = useMap(page, version);
  return (
    <div className="grid content-start">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line px-5 py-3">
        <Link className="link inline-flex items-center gap-1.5" to="../resume" relative="path">
          <ArrowLeft size={15} aria-hidden="true" />
          Résumé desk
        </Link>
        <h1>Skills and evidence</h1>
        {map && <p className="text-ink-2">{summary(map)}</p>}
        <span className="ml-auto flex flex-wrap items-center gap-3">
          <SaveWords />
          {version && (
            <Select
              label="As readers see it who get"
              className="input w-auto"
              value={version.id}
              options={versions.map(({ id, name }) => ({ value: id, name: name || 'Version' }))}
              onChange={(id) => setAsked({ version: id }, { replace: true })}
            />
          )}
        </span>
      </header>
      {page && version && map ? (
        <Picture key={version.id} {...{ page, version, map }} />
      ) : (
        <p className="px-5 py-10 text-ink-2">
          There is no résumé yet.{' '}
          <Link className="link" to="../resume" relative="path">
            Start it at the desk
          </Link>
          , and its skills stand here with what shows them.
        </p>
      )}
    </div>
  );
}
