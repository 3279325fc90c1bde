import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { useCallback, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { movePart } from '#contract/pages.ts';
import { webAddressIn } from '#contract/web-address.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { drawnWith } from '#core/composition/placed-parts.ts';
import { movedPart, placeAfter, standingBeside } from '#core/parts/beside.ts';
import { standingParts } from '#core/moments/moments-of.ts';
import type { Opening } from '#core/pages/opening.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import type { Part } from '#core/parts/parts.ts';
import { wordsTaking } from '#core/parts/words-taking.ts';
import { usedMaterials } from '#core/materials/where-used.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { GonePage } from '../../pages/gone-page.tsx';
import { pageWords } from '../../pages/page-words.ts';
import { PageView } from '#site/components/page-view.tsx';
import { type Slots, SlotsContext } from '#site/components/slots.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { useWholeWords } from '../../api/use-whole-words.ts';
import { useTypedIn } from '../../api/use-typed-in.ts';
import { useUploads } from '../../api/uploads-context.tsx';
import { DropFiles, type Point } from '../../ui/drop-files.tsx';
import { useActions } from '../../ui/finder/actions-context.tsx';
import { isForStudio } from '../../ui/finder/single-keys.ts';
import { UploadList } from '../../ui/upload-list.tsx';
import { useKeptChoice } from '../../ui/use-kept-choice.ts';
import { useShared } from '../../ui/use-shared.ts';
import { useStable } from '../../ui/use-stable.ts';
import { CaseFactsColumn } from './case-facts.tsx';
import { ComposeBar, type PageWidth, pageWidths } from './compose-bar.tsx';
import { composeInput } from './compose-input.ts';
import { ComposeSheets, type Sheet } from './compose-sheets.tsx';
import { ComposedPart } from './composed-part.tsx';
import { EditableLine } from './editable-line.tsx';
import { useLights } from '../../pages/use-lights.ts';
import { InTheme } from '../../ui/in-theme.tsx';
import { LayPart } from './lay-part.tsx';
import { OpeningPanel } from './opening-panel.tsx';
import { useFetchAhead } from '../../ui/fetched.tsx';
import { settingsOf } from '../../parts/parts.ts';
import { ShareHandle } from './share-handle.tsx';
import '../../ui/site-look.css';
import { Tail } from './tail.tsx';
import { kinds, nameOf, type Tied, TieLine } from './tie-line.tsx';
import { TieString } from './tie-string.tsx';
import { Tray } from './tray.tsx';
import { FilesOver, placeAt, toPlace } from './use-drop-place.ts';
import { WordsOnTheWay } from '../../materials/words-on-the-way.tsx';
import { useDocuments } from '../../materials/use-documents.ts';
import { useParts } from './use-parts.ts';
import { htmlOfPlainText, usePasting } from './use-pasting.ts';
import { usePlacing } from './use-placing.ts';
import type { PartInPlaceProps } from '../../parts/part-settings.ts';
import { problemNotice } from '../../ui/notice.ts';
import './compose.css';

/** From how far on a press is a pull. Always the same: with another one, all that can be pulled would be drawn anew. */
const pulled = { activationConstraint: { distance: 6 } };

/** Compose: one page, edited where it stands, in the site's own look. */
export function Compose() {
  const { page: id } = useParams();
  const { state } = useSite();
  const kept = state.pages.filter(isShown).find((one) => one.id === id);
  const page = useMemo(() => kept && { ...kept, parts: standingParts(kept.parts) }, [kept]);
  if (!page) return <GonePage />;
  return <ComposePage key={page.id} page={page} />;
}

/** Brings a part, or the opening, into sight. */
function showPart(part: string): void {
  document
    .getElementById(part === 'opening' ? 'opening-frame' : `part-${part}`)
    ?.scrollIntoView({ block: 'center' });
}

/** Where a part that was just tied in is filled in: the first field or button below it, else its tools. */
const firstIn = (part: string): HTMLElement | null =>
  ['.part-panel', '[role="toolbar"]']
    .map((where) =>
      document.querySelector<HTMLElement>(
        `#part-${CSS.escape(part)} ${where} :is(input, textarea, select, button, a):not([disabled])`,
      ),
    )
    .find((found) => found !== null) ?? null;

function ComposePage({ page }: { page: ShownPage }) {
  const { state, changePage, changeMaterial, now, run, seen } = useSite();
  const undoNotice = useUndoNotice();
  const { add } = useUploads();
  const { link } = useTypedIn();
  const parts = useParts(page);
  const navigate = useNavigate();
  const [address] = useSearchParams();
  const wanted = address.get('part');
  const [selected, setSelected] = useState<string | null>(wanted);
  const [clickedAt, setClickedAt] = useState<Point | null>(null);
  const [width, setWidth] = useState<PageWidth>('Desktop');
  const [tyingAt, setTyingAt] = useState<number | null>(null);
  const [sheet, setSheet] = useState<Sheet>(null);
  const [laying, setLaying] = useState<string | null>(null);
  const [factsAre, setFactsAre] = useKeptChoice('case facts', ['open', 'folded']);
  const [trayIs, setTrayIs] = useKeptChoice('tray', ['open', 'folded']);
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [filesOver, setFilesOver] = useState<string | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, pulled));

  const documents = useMemo(() => {
    const here = new Set(page.parts.flatMap(materialsOf));
    const own = state.materials.filter((one) => one.kind === 'document' && here.has(one.id));
    const shownBy = new Set(own.map((one) => one.shownBy));
    return [...own, ...state.materials.filter(({ id }) => shownBy.has(id))];
  }, [page.parts, state.materials]);
  const contents = useDocuments(state.site.id, documents);
  const lights = useLights();
  const words = useWholeWords(useMemo(() => page.parts.flatMap(materialsOf), [page.parts]));
  // What did not change stays the same thing, so that one more letter draws one part again and not sixty.
  const composed = useShared(
    useMemo(() => composeInput(state, page, contents, lights), [state, page, contents, lights]),
  );
  const pageHeight = effectiveHeight(state, { page: page.id });
  const heights = useShared(
    page.parts.map((part) => effectiveHeight(state, { page: page.id, part: part.id })),
  );
  const beside = standingBeside(page.parts);
  const others = useMemo(
    () => state.pages.filter((one) => one.id !== page.id && rulesOfPage(one).opens && !one.archived),
    [page.id, state.pages],
  );
  const loose = useMemo(() => {
    const used = usedMaterials(state.pages);
    return state.materials.filter(({ id }) => !used.has(id));
  }, [state.materials, state.pages]);
  const selectedPart = page.parts.find((part) => part.id === selected);
  const setOpening = useCallback(
    (opening: Opening) =>
      changePage(
        page.id,
        { opening },
        `Opening of ${page.title || 'a page'}`,
        `${page.id} opening ${opening.pictures.join(' ')}`,
      ),
    [changePage, page.id, page.title],
  );
  const select = (part: string | null, at: Point | null = null) => {
    setClickedAt(at);
    setSelected(part);
  };
  const selectAndShow = (part: string) => {
    select(part);
    requestAnimationFrame(() => showPart(part));
  };
  // Led here by its address: from a contact sheet, say.
  useEffect(() => {
    if (wanted === null) return;
    const frame = requestAnimationFrame(() => showPart(wanted));
    return () => cancelAnimationFrame(frame);
  }, [wanted]);
  const selectedAt = page.parts.findIndex((part) => part.id === selected);
  const after =
    selectedAt < 0 ? (selected === 'opening' ? 0 : page.parts.length) : placeAfter(page.parts, selectedAt);
  const { here, placeCalled, put } = usePlacing({ page, parts, selected, setOpening, show: selectAndShow });
  /** Where something was let go of, or where the maker is; settled before anything is sent or fetched. */
  const whereAt = (at: Point | null) => (at && placeCalled(placeAt(at))) ?? here();
  const paste = usePasting();
  const partsNow = () =>
    standingParts(
      now()
        .pages.filter(isShown)
        .find((one) => one.id === page.id)?.parts ?? [],
    );
  /** Pasted while no field has the focus: into the words its maker means, else as parts after what is selected. */
  const pasteHere = (html: string, files: readonly File[]) => {
    const taking = wordsTaking(page.parts, selected);
    void paste({
      html,
      files,
      pageTitle: page.title,
      ...(taking && {
        intoWords: (blocks) => {
          // As it is by then: what can read pasted words is fetched first.
          const part = partsNow().find(({ id }) => id === taking.id);
          if (part?.kind !== 'words') return;
          parts.change({ ...part, text: { type: 'doc', content: [...part.text.content, ...blocks] } });
          selectAndShow(part.id);
        },
      }),
      place: (made) => placeAfterPart(taking?.id ?? selected, made),
    });
  };
  const onText = (text: string, at: Point | null) => {
    const address = webAddressIn(text);
    if (address === null) return pasteHere(htmlOfPlainText(text), []);
    const where = whereAt(at);
    void link(address).then((added) => {
      if (added.material === null) problemNotice(added.problem);
      else put([added.material], where);
    });
  };
  const onFiles = (files: File[], at: Point | null) => {
    const where = whereAt(at);
    void add(files).then((materials) => put(materials, where));
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const material = String(active.id).replace(/^tray /, '');
    const where = placeCalled(over ? String(over.id) : null);
    if (!where) return;
    put(picked.includes(material) ? picked : [material], where);
    setPicked([]);
  };
  const placeAfterPart = (id: string | null, made: readonly Part[]) => {
    if (made.length === 0) return;
    const list = partsNow();
    const there = list.findIndex((one) => one.id === id);
    selectAndShow(parts.insertParts(made, there < 0 ? list.length : placeAfter(list, there)));
  };
  const tie = (kind: Tied, at: number) => {
    const made = kind === 'side-by-side' ? parts.insertPair(at) : parts.insert(kind, at);
    selectAndShow(made);
    // Its maker goes on in it; the words editor takes the focus for itself.
    requestAnimationFrame(() => firstIn(made)?.focus({ preventScroll: true }));
  };
  const moveTo = async (part: string, to: string) => {
    const moved = await run(() =>
      call(movePart, {
        params: { site: state.site.id, page: page.id, part },
        body: { to, seen: seen(page.id), seenThere: seen(to) },
      }),
    );
    if (!moved) return;
    select(null);
    const there = state.pages.find(({ id }) => id === to);
    undoNotice(`It stands at the end of ${there?.title || 'the other page'} now.`);
  };
  const placeOf = (part: string) => page.parts.findIndex(({ id }) => id === part);
  const actions = useStable({
    select,
    show: selectAndShow,
    tie,
    openLine: (at: number | null) => setTyingAt(at),
    moveBy: (part: string, by: number) => {
      const from = placeOf(part);
      if (from + by >= 0 && from + by < page.parts.length)
        parts.order(movedPart(page.parts, from, from + by), part);
    },
    moveTo: (part: string, to: string) => void moveTo(part, to),
    lay: setLaying,
    remove: parts.remove,
    tieAfter: (part: string) => setTyingAt(placeAfter(page.parts, placeOf(part))),
    paste: (part: string, ...[html, files, intoWords]: Parameters<PartInPlaceProps['onPaste']>) =>
      void paste({
        html,
        files,
        pageTitle: page.title,
        intoWords,
        place: (made) => placeAfterPart(part, made),
      }),
  });
  const tieLine = (at: number) => (
    <TieLine at={at} open={tyingAt === at} onOpen={actions.openLine} onTie={actions.tie} />
  );
  const tieAfterAll = () => {
    setTyingAt(page.parts.length);
    requestAnimationFrame(() => document.querySelector('.tie-open')?.scrollIntoView({ block: 'center' }));
  };
  /** After the part that is selected or has the focus; at the end without one. */
  const tieHere = useEffectEvent(() => {
    const focused = placeOf(document.activeElement?.closest('.part')?.id.replace(/^part-/, '') ?? '');
    setTyingAt(selected === null && focused >= 0 ? placeAfter(page.parts, focused) : after);
  });
  /** Leaves what is selected; the focus stays on it, so that it goes on from there. */
  const leave = useEffectEvent(() => {
    if (selected === null) return false;
    const frame = selected === 'opening' ? 'opening-frame' : `part-${selected}`;
    // Drawn at once: a key pressed right after it must not lose the focus to it.
    flushSync(() => select(null));
    document
      .getElementById(frame)
      ?.querySelector<HTMLElement>(':scope > .part-pick, :scope > .opening-button > button')
      ?.focus({ preventScroll: true });
    return true;
  });
  // The panels are fetched once the page stands, so that none has to be waited for.
  useFetchAhead();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : null;
      const isElsewhere = target?.closest('[role="dialog"], [role="menu"]');
      // The editor of words takes Escape for itself and does nothing with it.
      const isTaken = event.defaultPrevented && !target?.closest('.words-editor');
      if (event.key === 'Escape' && !isTaken && !isElsewhere) {
        if (leave()) event.preventDefault();
      } else if (event.key === '/' && isForStudio(event)) {
        event.preventDefault();
        tieHere();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  useActions(() => [
    ...kinds.map((kind) => ({
      name: `Tie in: ${nameOf(kind)}`,
      also: 'part add insert',
      run: () => tie(kind, after),
    })),
    { name: 'Moments of this page', also: 'process line', run: () => void navigate('moments') },
    ...page.parts.map((part, at) => ({
      name: `Go to part ${at + 1}: ${settingsOf(part).name}`,
      also: settingsOf(part).detail(part),
      run: () => selectAndShow(part.id),
    })),
  ]);

  const name = page.title || 'a page';
  const slots: Slots = {
    title: () => (
      <h1>
        <EditableLine
          value={page.title}
          label="Title"
          placeholder={pageWords(page).title}
          most={160}
          onChange={(title) => changePage(page.id, { title }, `Title of ${name}`, `${page.id} title`)}
        />
      </h1>
    ),
    summary: () => (
      <p className="lead">
        <EditableLine
          value={page.summary}
          label="One-line summary"
          placeholder={pageWords(page).summary}
          most={400}
          onChange={(summary) => changePage(page.id, { summary }, `Summary of ${name}`, `${page.id} summary`)}
        />
      </p>
    ),
    opening: (shown) => (
      <OpeningPanel
        opening={page.opening}
        selected={selected === 'opening'}
        onSelect={() => select(selected === 'opening' ? null : 'opening')}
        onChange={setOpening}
      >
        {shown}
      </OpeningPanel>
    ),
    before: tieLine,
    part: (seen, shown, at) => {
      const part = page.parts.find((one) => one.id === seen.id);
      if (!part) return null;
      return (
        <ComposedPart
          part={part}
          at={at}
          count={page.parts.length}
          effective={heights[at] ?? pageHeight}
          isBeside={typeof beside[at] === 'number'}
          mayBeBeside={
            at > 0 &&
            ![part, page.parts[at - 1]].some((one) => one && drawnWith(one)) &&
            typeof beside[at - 1] !== 'number' &&
            typeof beside[at + 1] !== 'number'
          }
          bare={composed?.bare.includes(part.id) ?? true}
          shown={shown}
          selected={selected === part.id ? { page, clickedAt, others } : null}
          parts={parts}
          actions={actions}
        />
      );
    },
    share: (second, share) => <ShareHandle share={share} onChange={(next) => parts.stand(second, next)} />,
    caption: (picture) => (
      <EditableLine
        value={picture.caption}
        label="Caption"
        placeholder="Caption"
        most={600}
        onChange={(caption) => changeMaterial(picture.id, { caption }, 'Caption', `${picture.id} caption`)}
      />
    ),
    end: <div className="wrap">{tieLine(page.parts.length)}</div>,
  };

  const where =
    selected === 'opening'
      ? 'in the opening'
      : selectedPart?.kind === 'gallery'
        ? 'in this gallery'
        : selectedPart
          ? `after ${settingsOf(selectedPart).name}`
          : 'at the end';
  const px = pageWidths.find((one) => one.name === width)?.px;
  return (
    <DndContext sensors={sensors} collisionDetection={toPlace} onDragEnd={onDragEnd}>
      <DropFiles
        onFiles={onFiles}
        onText={onText}
        onHtml={pasteHere}
        onOver={(at) => setFilesOver(at && placeAt(at))}
        className={`compose grid h-full [grid-template:minmax(48px,auto)_minmax(0,1fr)_auto/228px_minmax(0,1fr)_236px] compact:[grid-template:minmax(48px,auto)_auto_minmax(0,1fr)_auto/minmax(0,1fr)] short:compact:[grid-template:minmax(38px,auto)_auto_minmax(0,1fr)_auto/minmax(0,1fr)] ${factsAre === 'folded' ? 'min-[1021px]:grid-cols-[228px_minmax(0,1fr)_52px]' : ''}`}
      >
        {() => (
          <>
            <ComposeBar page={page} width={width} onWidth={setWidth} />
            <Tail
              page={page}
              materials={state.materials}
              selected={selected}
              actions={actions}
              onOrder={parts.order}
              onTie={tieAfterAll}
            />
            <div className="compose-page overflow-auto [scroll-padding-block:56px_24px] bg-sunk pt-3.5 pb-10 px-5 relative compact:pt-2 compact:pb-10 compact:px-2">
              {words.error && (
                <div className="mb-3 bg-raised p-3 shadow-1">
                  <WordsOnTheWay of="the recordings and notes here" {...words} />
                </div>
              )}
              <div
                className="page-sheet mx-auto shadow-2 bg-white"
                style={px ? { maxWidth: px } : undefined}
                data-width={width}
              >
                {composed ? (
                  <FilesOver value={filesOver}>
                    <SlotsContext value={slots}>
                      <div
                        onClickCapture={(event) => {
                          // Links of the page lead nowhere while it is composed; the studio's own do.
                          const link = (event.target as HTMLElement).closest('.site a');
                          if (link && !link.closest('.studio-ui')) event.preventDefault();
                        }}
                      >
                        <InTheme look={state.site.look}>
                          <PageView input={composed.input} within />
                        </InTheme>
                      </div>
                    </SlotsContext>
                  </FilesOver>
                ) : (
                  <p className="p-6">This page cannot be drawn. Undo the last step.</p>
                )}
              </div>
              <div className="sticky -bottom-7 z-7 *:max-h-[40dvh] *:overflow-auto *:shadow-3">
                <UploadList quiet />
              </div>
            </div>
            <CaseFactsColumn
              page={page}
              folded={factsAre === 'folded'}
              risen={sheet === 'facts'}
              onFold={(folded) => setFactsAre(folded ? 'folded' : 'open')}
            />
            <Tray
              loose={loose}
              total={state.materials.length}
              where={where}
              picked={picked}
              onPicked={setPicked}
              onPlace={(materials) => {
                put(materials, here());
                setPicked([]);
              }}
              folded={trayIs === 'folded'}
              risen={sheet === 'tray'}
              onFold={(folded) => setTrayIs(folded ? 'folded' : 'open')}
            />
            {selected !== null && (
              <TieString selected={selected} order={page.parts.map(({ id }) => id).join(' ')} />
            )}
            <LayPart page={page} part={laying} onChange={parts.change} onClose={() => setLaying(null)} />
            <ComposeSheets page={page} loose={loose.length} sheet={sheet} onSheet={setSheet} />
          </>
        )}
      </DropFiles>
    </DndContext>
  );
}
