import { ExternalLink, PenLine } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { createPage } from '#contract/pages.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { AvailabilityPanel } from '../../parts/person/availability-panel.tsx';
import { LanguagesPanel } from '../../parts/person/languages-panel.tsx';
import { LinePanel } from '../../parts/person/line-panel.tsx';
import { ProfilesPanel } from '../../parts/person/profiles-panel.tsx';
import { pathBelow } from '#core/pages/path-below.ts';
import { Begun } from '../../ui/begun.tsx';
import { Button } from '../../ui/button.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { MakerNameField } from '../../ui/maker-name-field.tsx';
import { SaveWords } from '../../ui/save-words.tsx';
import { FactRow } from './fact-row.tsx';
import { Flying } from './flying.tsx';
import { InYourWords } from './in-your-words.tsx';
import { PlaceRows } from './place-rows.tsx';
import { Portraits } from './portraits.tsx';
import { UnderAge } from './under-age.tsx';
import { usePerson } from './use-person.ts';
import './about.css';

/** Before there is a page about the maker: what the room is for, and the first step. */
function NoPage() {
  const { state, run } = useSite();
  const [busy, setBusy] = useState(false);
  const start = async () => {
    setBusy(true);
    await run(() =>
      call(createPage, {
        params: { site: state.site.id },
        body: { kind: 'about', title: 'About', materials: [] },
      }),
    );
    setBusy(false);
  };
  return (
    <div className="grid grid-cols-[minmax(0,36rem)_minmax(0,1fr)] items-start gap-x-14 gap-y-10 px-6 py-12 compact:grid-cols-[minmax(0,1fr)] phone:px-4">
      <div className="grid content-start gap-4">
        <h1>About you</h1>
        <p className="text-base leading-6 text-ink-2">
          One page says who is behind the work: a name you choose, a portrait if you like, where you are, and
          a few sentences of your own. Each of these flies as high as you let it.
        </p>
        <Button look="go" className="w-fit" disabled={busy} onClick={() => void start()}>
          Start the page about you
        </Button>
        <p className="note">
          Or go to the{' '}
          <Link className="link" to="resume">
            Résumé desk
          </Link>
          .
        </p>
      </div>
      <div className="grid max-w-xl grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-4 compact:hidden">
        <Begun name="A portrait, if you like" className="row-span-3 min-h-72" />
        <Begun name="A name you choose" className="h-20" />
        <Begun name="Where you are" className="h-12" />
        <Begun name="A few sentences of your own" className="min-h-32" />
        <Begun name="What you are free for, and when" className="col-span-2 h-14" />
      </div>
    </div>
  );
}

function PageAbout({ page }: { page: ShownPage }) {
  const { state, changePage } = useSite();
  const steps = usePerson(page);
  const row = { page, steps };
  return (
    <div className="about-room">
      <div className="grid content-start gap-5 px-5 py-5 phone:px-4">
        <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
          <h1 className="mr-auto">About you</h1>
          <SaveWords />
        </div>
        <HeightRow
          of="the page about you"
          effective={effectiveHeight(state, { page: page.id })}
          onChange={(height) =>
            changePage(page.id, { height }, 'Height of About', `${page.id} height ${Date.now()}`)
          }
        />
        <Portraits {...row} />
        <MakerNameField />
        <FactRow {...row} kind="full-name" Panel={LinePanel} />
        <FactRow {...row} kind="headline" Panel={LinePanel} />
        <FactRow {...row} kind="pronouns" Panel={LinePanel} />
        <PlaceRows {...row} />
        <FactRow {...row} kind="availability" Panel={AvailabilityPanel} />
        <FactRow {...row} kind="languages" Panel={LanguagesPanel} />
        <FactRow {...row} kind="profiles" Panel={ProfilesPanel} />
      </div>
      <div className="about-words px-5 py-5 phone:px-4">
        <div className="mb-3 flex flex-wrap gap-2">
          <Button asChild small>
            <Link to={`../projects/${page.id}`}>
              <PenLine size={15} aria-hidden="true" />
              Compose the page
            </Link>
          </Button>
          <Button asChild small>
            <a
              href={`/studio/see/${state.site.id}/maker/${pathBelow(state.pages, page)}`}
              target="_blank"
              rel="noreferrer"
            >
              <ExternalLink size={15} aria-hidden="true" />
              Read the page
            </a>
          </Button>
        </div>
        <p className="mb-4">
          <Link className="link" to="resume">
            Résumé desk
          </Link>{' '}
          <span className="note">what you did, typed once, in versions that fit their pages</span>
        </p>
        <InYourWords {...row} />
      </div>
      <div className="px-5 py-5 phone:px-4">
        <Flying {...row} />
        <UnderAge />
      </div>
    </div>
  );
}

/** About you: who is behind the work, each thing as high as its maker lets it. */
export function About() {
  const { state } = useSite();
  const page = state.pages.filter(isShown).find(({ kind, archived }) => kind === 'about' && !archived);
  return page ? <PageAbout key={page.id} page={page} /> : <NoPage />;
}
