import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { createPage } from '#contract/pages.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { isShown, isWork, type ShownPage } from '#core/pages/page.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { Segments } from '../../ui/segments.tsx';
import { EntryEditor } from './entry-editor.tsx';
import { EntryList } from './entry-list.tsx';
import { OnPaper } from './on-paper.tsx';
import { entriesOf, useResume, versionsOf } from './use-resume.ts';
import { VersionSettings } from './version-settings.tsx';
import './resume.css';
import { newId } from '../../parts/new-id.ts';

/** Before there is a résumé: what the desk is for, and the first step. */
function NoResume({ page }: { page: ShownPage | undefined }) {
  const { state, run, changePage } = useSite();
  const [busy, setBusy] = useState(false);
  const work = state.pages.filter(isWork).filter(({ archived }) => !archived);
  /** The projects that are there, and a first version with all of them. */
  const begin = (id: string) => {
    const entries = work.map((one) => ({
      ...newPart('entry', newId()),
      section: 'projects',
      page: one.id,
    })) as Part[];
    const version = {
      ...newPart('version', newId()),
      ...{ name: 'For anyone', height: 'public', entries: entries.map((entry) => entry.id) },
    } as Part;
    const parts = page?.parts ?? [];
    changePage(id, { parts: [version, ...entries, ...parts] }, 'Résumé begun', `${id} begin`);
  };
  const start = async () => {
    if (page) return begin(page.id);
    setBusy(true);
    const made: { id?: string } = {};
    await run(async () => {
      const patch = await call(createPage, {
        params: { site: state.site.id },
        body: { kind: 'resume', title: 'Résumé', materials: [] },
      });
      made.id = patch.page;
      return patch;
    });
    setBusy(false);
    if (made.id) begin(made.id);
  };
  return (
    <div className="grid max-w-xl content-start gap-4 px-6 py-16 md:px-14">
      <h1>Résumé desk</h1>
      <p className="text-base leading-6 text-ink-2">
        What you did is typed once. From it you make versions: for a workshop, for a course, for anyone. Each
        says what proves it, fits the pages you want, and opens for whom you let it.
      </p>
      <Button look="go" className="w-fit" disabled={busy} onClick={() => void start()}>
        {work.length === 0
          ? 'Start the résumé'
          : work.length === 1
            ? 'Start with your project'
            : `Start with your ${work.length} projects`}
      </Button>
    </div>
  );
}

function Desk({ page }: { page: ShownPage }) {
  const steps = useResume(page);
  const versions = versionsOf(page);
  const [shown, setShown] = useState<string | null>(null);
  const [selected, setSelected] = useState<string | null>(null);
  const version = versions.find(({ id }) => id === shown) ?? versions[0];
  const entry = entriesOf(page).find(({ id }) => id === selected);
  if (!version) return null;
  return (
    <div className="grid min-h-full grid-rows-[auto_minmax(0,1fr)]">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line px-5 py-3">
        <Link className="link inline-flex items-center gap-1.5" to=".." relative="path">
          <ArrowLeft size={15} aria-hidden="true" />
          About you
        </Link>
        <h1>Résumé desk</h1>
        {versions.length > 1 && (
          <Segments
            label="Version on show"
            value={version.id}
            options={versions.map(({ id, name }) => ({ value: id, name: name || 'Version' }))}
            onChange={setShown}
          />
        )}
        <span className="ml-auto flex items-center gap-4">
          <Link className="link" to={`../evidence?version=${version.id}`} relative="path">
            Skills and evidence
          </Link>
          <SaveWords />
        </span>
      </header>
      <div className="resume-desk">
        <div role="region" aria-label="What there is" className="px-5 py-5 phone:px-4">
          <EntryList {...{ page, version, steps, selected }} onSelect={setSelected} />
        </div>
        <div role="region" aria-label="On paper" className="resume-paper">
          <OnPaper {...{ page, version, steps }} />
        </div>
        <div
          role="region"
          aria-label={entry ? 'What is being written' : 'What the version is'}

          className="px-5 py-5 phone:px-4"
        >
          {entry ? (
            <div className="grid gap-4">
              <button type="button" className="link w-fit" onClick={() => setSelected(null)}>
                This version
              </button>
              <EntryEditor
                key={entry.id}
                {...{ page, version, steps, entry }}
                onGone={() => setSelected(null)}
              />
            </div>
          ) : (
            <VersionSettings key={version.id} {...{ page, version, steps }} onShow={setShown} />
          )}
        </div>
      </div>
    </div>
  );
}

/** The résumé: entries typed once, versions of them, and how each stands on paper. */
export function ResumeDesk() {
  const { state } = useSite();
  const page = state.pages.filter(isShown).find(({ kind, archived }) => kind === 'resume' && !archived);
  return page && versionsOf(page).length > 0 ? <Desk key={page.id} page={page} /> : <NoResume page={page} />;
}
