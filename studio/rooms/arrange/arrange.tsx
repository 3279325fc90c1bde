import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { createPage, deletePage, sendPage } from '#contract/pages.ts';
import type { Id } from '#core/id.ts';
import { landingAt, pickedUp, treeRows, withoutPutAway } from '#core/pages/carrying.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { type PagePlace, placed } from '#core/pages/page-places.ts';
import { pagesBelow } from '#core/pages/pages-below.ts';
import { type PageNode, pageTree } from '#core/pages/page-tree.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { PutAway } from '../../pages/put-away.tsx';
import { Segments } from '../../ui/segments.tsx';
import { notice } from '../../ui/notice.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { useDeleting } from '../../ui/use-deleting.tsx';
import { useStable } from '../../ui/use-stable.ts';
import { CarryBar } from './carry-bar.tsx';
import { EveryPage } from './every-page.tsx';
import { FrontWall } from './front-wall.tsx';
import { heightWords, placeWords } from './landing-words.ts';
import { MenuPreview } from './menu-preview.tsx';
import { PageSettings } from './page-settings.tsx';
import { asIfPublic, idsIn, menuFor } from './reader-menus.ts';
import { SendDialog } from './send-dialog.tsx';
import { TieSomething } from './tie-something.tsx';
import { Tree } from './tree.tsx';
import { type Step, stepped, useCarrying } from './use-carrying.ts';
import './arrange.css';

const views = [
  { value: 'string', name: 'String' },
  { value: 'menu', name: 'Menu' },
  { value: 'wall', name: 'Wall' },
  { value: 'every', name: 'Every page' },
] as const;

/** Of each page of a tree, those right below it. */
function rightBelow(tree: readonly PageNode<Page>[], map = new Map<Id, readonly Page[]>()) {
  for (const { page, below } of tree) {
    map.set(
      page.id,
      below.map((one) => one.page),
    );
    rightBelow(below, map);
  }
  return map;
}

/** Arrange: where every page stands, what readers find in the menu, and what hangs on the front page. */
export function Arrange() {
  const { state, changePage, run } = useSite();
  const undoNotice = useUndoNotice();
  const { pages } = state;
  const site = state.site.id;
  const navigate = useNavigate();
  const [folded, setFolded] = useState<ReadonlySet<Id>>(new Set());
  const [view, setView] = useState<(typeof views)[number]['value']>('string');
  const [settings, setSettings] = useState<Id | null>(null);
  const [sending, setSending] = useState<Id | null>(null);
  const deleting = useDeleting();
  const [tied, setTied] = useState<Id | null>(null);
  useEffect(() => {
    if (tied !== null) document.querySelector(`[data-page="${tied}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [tied]);

  const tree = useMemo(() => withoutPutAway(pageTree(pages)), [pages]);
  const below = useMemo(() => rightBelow(tree), [tree]);
  const rows = useMemo(() => treeRows(tree, folded), [tree, folded]);
  const inMenu = useMemo(
    () =>
      idsIn(
        menuFor(asIfPublic({ site: state.site, pages: state.pages, materials: state.materials }), {
          kind: 'stranger',
        }),
      ),
    [state.site, state.pages, state.materials],
  );
  const standing = useMemo(() => pages.filter((page) => below.has(page.id)), [pages, below]);

  const put = (page: Page, to: PagePlace) => {
    const change = placed(standing, page.id, to);
    changePage(page.id, change, `Place of ${pageName(page)}`, `${page.id} place`);
  };
  const carrying = useCarrying(rows, put);
  const { carried } = carrying;
  const draft = useMemo(() => {
    const moved = carried
      ? pages.map((page): Page =>
          page.id === carried.page.id ? { ...page, ...placed(standing, page.id, carried.to) } : page,
        )
      : pages;
    return { site: state.site, pages: moved, materials: state.materials };
    // Only where it would land matters, and not each move of the hand.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pages, standing, state.site, state.materials, carried?.page.id, carried?.to.gap, carried?.to.depth]);

  // The string answers at once; what readers find follows as soon as there is time.
  const seenLater = useDeferredValue(draft);

  const pageOf = (id: Id) => pages.find((page) => page.id === id);
  const nameOf = (id: Id) => {
    const page = pageOf(id);
    return page ? pageName(page) : 'this page';
  };
  const { onFold, ...actions } = useStable({
    onFold: (id: Id) =>
      setFolded((now) => {
        const next = new Set(now);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    onCarry: (id: Id) => carrying.pick(id, 'steps'),
    onStep: (id: Id, step: Step) => {
      const up = pickedUp(rows, id);
      const page = pageOf(id);
      if (!up || !page) return;
      const to = landingAt(up.rest, up.carrying);
      const wanted = stepped({ page, rest: up.rest, from: up.carrying, to, by: 'steps' }, step);
      if (wanted) put(page, landingAt(up.rest, wanted));
      else notice(`${pageName(page)} can go no further that way.`);
    },
    onSettings: (id: Id) => setSettings(id),
    onInMenu: (id: Id, wanted: boolean) =>
      changePage(
        id,
        { inMenu: wanted },
        `${nameOf(id)} ${wanted ? 'in the menu' : 'left out of the menu'}`,
        `${id} in menu`,
      ),
    onCopy: (id: Id, withBelow: boolean) => {
      const body = { title: '', materials: [], copyOf: id, withBelow };
      void run(() => call(createPage, { params: { site }, body })).then((made) => {
        if (made) notice('The copy is Private until you raise it.');
      });
    },
    onSend: (id: Id) => setSending(id),
    onPutAway: (id: Id) => {
      changePage(id, { archived: true }, `${nameOf(id)} put away`, `${id} archived`);
      undoNotice('Put away; nobody can open it once that is saved. The list below has it.');
    },
    onDelete: (id: Id, below: 'delete' | 'keep') => {
      const inside = below === 'delete' ? pagesBelow(pages, id) : [];
      const name =
        inside.length > 0 ? `${nameOf(id)} and ${plural(inside.length, 'page')} below it` : nameOf(id);
      void deleting.ask([id, ...inside.map((page) => page.id)], name, async (readers) => {
        const done = await run(() =>
          call(deletePage, { params: { site, page: id }, body: { readers, below } }),
        );
        if (done) undoNotice(`Deleted: ${name}.`);
      });
    },
  });
  const opened = settings === null ? undefined : pageOf(settings);
  const sent = sending === null ? undefined : pageOf(sending);
  const sentence = carried
    ? `${placeWords(carried, pages)} ${heightWords(state, carried.page.id, carried.to.parent)}`
    : '';
  const aside = (which: 'menu' | 'wall' | 'every') => (view === which ? '' : 'compact:hidden');

  return (
    <div className="arrange grid min-h-full grid-cols-[minmax(0,1fr)_minmax(0,376px)] compact:grid-cols-[minmax(0,1fr)]">
      <div className={`flex min-w-0 flex-col ${view === 'string' ? '' : 'compact:min-h-0'}`}>
        <div className="flex flex-wrap items-center gap-x-3 gap-y-2 px-6 pt-5 pb-2 phone:px-4">
          <h1>Arrange</h1>
          <p className="note mr-auto max-xl:hidden">
            One string, from the front page down. Its order is the menu’s order.
          </p>
          <span className="max-xl:mr-auto">
            <SaveWords />
          </span>
          <TieSomething
            onTied={(id, kind, name) => {
              setTied(id);
              if (kind === 'project') void navigate(`/${site}/projects/${id}`);
              else
                notice(
                  `${name} is tied at the end of the string.${state.live.release ? ' It is Private until you raise it.' : ''}`,
                );
            }}
          />
        </div>
        <Segments
          label="What to arrange"
          className="mx-6 mb-2 hidden! self-start compact:inline-flex! phone:mx-4"
          value={view}
          options={views}
          onChange={setView}
        />
        <div className={`px-6 pb-6 phone:px-4 ${view === 'string' ? '' : 'compact:hidden'}`}>
          <div className="slip-heads" aria-hidden="true">
            <span>Who can open it</span>
            <span>State</span>
            <span>In the menu</span>
          </div>
          <Tree rows={rows} below={below} carrying={carrying} onFold={onFold} inMenu={inMenu} {...actions} />
          <PutAway pages={pages.filter(({ archived }) => archived)} noun="page" />
        </div>
        <CarryBar
          carried={carried}
          sentence={sentence}
          onStep={carrying.step}
          onDrop={carrying.drop}
          onPutBack={carrying.putBack}
        />
      </div>
      <aside
        className={`grid grid-cols-[minmax(0,1fr)] content-start gap-7 border-l border-l-line bg-[color-mix(in_oklab,var(--paper),var(--paper-raised))] px-5 py-5 compact:border-l-0 phone:px-4 ${view === 'string' ? 'compact:hidden' : ''}`}
        aria-label="What readers find"
      >
        <div className={aside('menu')}>
          <MenuPreview draft={seenLater} />
        </div>
        <div className={aside('wall')}>
          <FrontWall />
        </div>
        <div className={aside('every')}>
          <EveryPage />
        </div>
      </aside>
      {deleting.dialog}
      {opened && <PageSettings page={opened} onClose={() => setSettings(null)} />}
      {sent && (
        <SendDialog
          page={sent}
          onClose={() => setSending(null)}
          onSend={(to, title) => {
            setSending(null);
            const gone = [sent.id, ...pagesBelow(pages, sent.id).map((page) => page.id)];
            void deleting.ask(gone, `${pageName(sent)} here`, async (readers) => {
              const done = await run(() =>
                call(sendPage, { params: { site, page: sent.id }, body: { to, readers } }),
              );
              if (done)
                undoNotice(`${pageName(sent)} is on ${title} now, Private. Undo brings it back here.`);
            });
          }}
        />
      )}
    </div>
  );
}
