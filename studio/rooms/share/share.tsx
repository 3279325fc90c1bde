import { RefreshCw } from 'lucide-react';
import { Link } from 'react-router';
import { renewLink } from '#contract/sites.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { reaches } from '#core/access/height.ts';
import { shownOn } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { call, Refusal } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { CopyLink } from '../../ui/copy-link.tsx';
import { DifferenceList } from '../../ui/difference-list.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { HeightGauge } from '../../ui/height-gauge.tsx';
import { heightNames } from '../../ui/height-names.ts';
import { liveWords, nothingWaits } from '../../ui/live-words.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { SiteAddressField } from '../../ui/site-address-field.tsx';
import { MakerNameField } from '../../ui/maker-name-field.tsx';
import { SiteNameField } from '../../ui/site-name-field.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';
import { Button } from '../../ui/button.tsx';
import { CodesSection } from './codes-section.tsx';
import { EmbedSection } from './embed-section.tsx';
import { FolderSection } from './folder-section.tsx';
import { FormerAddresses } from './former-addresses.tsx';
import { HandInsSection } from './hand-ins-section.tsx';
import { HeightsDialog } from './heights-dialog.tsx';
import { ListedField } from './listed-field.tsx';
import { OutsiderSection } from './outsider-section.tsx';
import { PassesSection } from './passes-section.tsx';
import { Releases } from './releases.tsx';
import { VisitsSection } from './visits-section.tsx';
import { SetTimes } from './set-times.tsx';

function Links() {
  const { state, setLive } = useSite();
  const { live, site, pages } = state;
  const renew = async (thing: string) => {
    try {
      setLive(await call(renewLink, { params: { site: site.id, thing } }));
      notice('The link is new. The old one opens nothing from now on.');
    } catch (error) {
      problemNotice(error instanceof Refusal ? error.message : 'That did not work. Try again.');
    }
  };
  const pageLinks = Object.entries(live.pageLinkPaths);
  const nameOf = (id: string): string => {
    const page = pages.find((one) => one.id === id);
    const version = pages.flatMap((one) => shownOn(one).parts).find((part) => part.id === id);
    if (version?.kind === 'version') return `Résumé: ${version.name || 'a version'}`;
    return page?.title ?? 'A page';
  };
  return (
    <section aria-labelledby="links" className="grid gap-3">
      <h2 id="links" className="text-[1.0625rem]">
        Links
      </h2>
      {!live.addressPath && !live.siteLinkPath && pageLinks.length === 0 && (
        <p className="note">Nothing can be opened by a link now. {liveWords(live).sentence}.</p>
      )}
      {live.addressPath && <CopyLink path={live.addressPath} label="Public address" />}
      {live.siteLinkPath && (
        <div>
          <p className="field-name">
            Link to the whole site <em>anyone who has it</em>
          </p>
          <CopyLink path={live.siteLinkPath} label="Link to the whole site" />
          <Button look="bare" small className="mt-1" onClick={() => void renew(site.id)}>
            <RefreshCw size={14} aria-hidden="true" /> Make a new link; the old one stops
          </Button>
        </div>
      )}
      {pageLinks.map(([id, path]) => (
        <div key={id}>
          <p className="field-name">
            {nameOf(id)} <em>its own link, in no list</em>
          </p>
          <CopyLink path={path} label="Link to one page" />
          <Button look="bare" small className="mt-1" onClick={() => void renew(id)}>
            <RefreshCw size={14} aria-hidden="true" /> Make a new link; the old one stops
          </Button>
        </div>
      ))}
    </section>
  );
}

/** Share: how high everything flies, what publishing changes, and the links. */
export function Share() {
  const { state, changeSite, changePage } = useSite();
  const { site, pages, live } = state;
  const listed = pages.filter((page) => rulesOfPage(page).opens);
  const effective = effectiveHeight(state, {});
  const loweredNow = live.release !== null && !reaches(effective.height, live.readersReach);
  return (
    <div className="grid min-h-full grid-cols-[300px_minmax(0,1fr)] max-[900px]:grid-cols-[minmax(0,1fr)]">
      <section
        className="border-r border-line max-[900px]:border-r-0 max-[900px]:border-b"
        aria-labelledby="share-title"
      >
        <div className="flex items-baseline gap-3 px-5 pt-5 pb-3">
          <h1 id="share-title">Share</h1>
          <span className="note">The whole site flies at</span>
        </div>
        <HeightGauge
          height={site.height}
          onChange={(height) => {
            changeSite({ height }, 'Height of the site');
          }}
        />
        <div className="grid gap-4 p-5">
          <p className="note">
            Lowering works at once. Raising works with the next publish.
            {loweredNow && ' Readers are shut out while this is being saved.'}
          </p>
          {effective.heldBy && (
            <p className="note">
              You said that you are under 18, so it flies at {heightNames[effective.height]}.{' '}
              <Link className="link" to="../about">
                Change that in About you
              </Link>
            </p>
          )}
          <SiteNameField />
          <MakerNameField />
          {effective.height === 'public' && (
            <>
              <SiteAddressField />
              <FormerAddresses />
              <CheckField
                name="Let search engines find it"
                checked={site.searchEngines}
                onChange={(searchEngines) => changeSite({ searchEngines }, 'Search engines')}
              />
              <ListedField site={site.id} />
            </>
          )}
          <label className="flex items-start gap-3">
            <input
              type="checkbox"
              className="mt-0.5 h-5 w-5 accent-[var(--ink)]"
              checked={site.linkPictures}
              onChange={(event) =>
                changeSite({ linkPictures: event.target.checked }, 'Pictures of Unlisted links')
              }
            />
            <span>
              Show a picture where an Unlisted link is passed on
              <span className="note block">
                Chats fetch it from an address of its own, without the link’s key. It is open while a page it
                shows is.
              </span>
            </span>
          </label>
          <SaveWords />
        </div>
      </section>
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-8 px-4 py-6 pb-28 md:px-8 xl:grid-cols-2">
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-8">
          <section aria-labelledby="changes">
            <h2 id="changes" className="mb-1">
              Publishing will change
            </h2>
            {live.waiting.length > 0 ? (
              <DifferenceList list={live.waiting} />
            ) : (
              <p className="note">{nothingWaits(live, site.height)}</p>
            )}
          </section>
          <OutsiderSection />
          <section aria-labelledby="pages">
            <h2 id="pages" className="mb-2 text-[1.0625rem]">
              Who can see each page <em className="text-s font-plain text-ink-3 not-italic">its height</em>
            </h2>
            <p className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
              <HeightsDialog pages={listed} />
              <Link className="link" to="who">
                Who gets what, for each kind of reader
              </Link>
            </p>
            <ul className="grid grid-cols-[minmax(0,1fr)] gap-2">
              {listed.map((page) => (
                <li
                  key={page.id}
                  className="grid items-center gap-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,16rem)]"
                >
                  <b className="truncate">{pageName(page)}</b>
                  <HeightRow
                    effective={effectiveHeight(state, { page: page.id })}
                    of={pageName(page)}
                    onChange={(height) =>
                      changePage(page.id, { height }, `Height of ${pageName(page)}`, `${page.id} height`)
                    }
                  />
                </li>
              ))}
            </ul>
          </section>
        </div>
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-8">
          <Links />
          <PassesSection />
          <CodesSection />
          <EmbedSection />
          <FolderSection />
          <HandInsSection />
          <VisitsSection />
          <SetTimes />
          <Releases />
        </div>
      </div>
    </div>
  );
}
