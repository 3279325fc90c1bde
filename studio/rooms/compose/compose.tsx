import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { ArrowLeft, BookOpen, Images, ListTree, Monitor, Smartphone, Tablet } from 'lucide-react';
import { type ReactNode, useCallback, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { movePart } from '#contract/sites.ts';
import { webAddressIn } from '#contract/web-address.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { SeenPart } from '#core/access/seen-by.ts';
import { movedPart, placeAfter, standingBeside } from '#core/content/beside.ts';
import type { Opening, Page } from '#core/content/page.ts';
import { isEmptyPart, materialsOf, type Part } from '#core/content/part.ts';
import { usedMaterials } from '#core/content/where-used.ts';
import { PageView } from '#site/components/page-view.tsx';
import { type Slots, SlotsContext } from '#site/components/slots.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useTypedIn } from '../../api/use-typed-in.ts';
import { useUploads } from '../../api/uploads-context.tsx';
import { DropFiles } from '../../ui/drop-files.tsx';
import { useActions } from '../../ui/finder/actions-context.tsx';
import { isForStudio } from '../../ui/finder/single-keys.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { UploadList } from '../../ui/upload-list.tsx';
import { PageState } from '../projects/page-state.tsx';
import { CaseFactsColumn } from './case-facts.tsx';
import { composeInput } from './compose-input.ts';
import { EditableLine } from './editable-line.tsx';
import { OpeningPanel } from './opening-panel.tsx';
import { PartFrame } from './part-frame.tsx';
import { PartPanel } from './part-panel.tsx';
import { emptyWords, partDetail, partNames } from './part-words.ts';
import { ShareHandle } from './share-handle.tsx';
import './site-look.css';
import { Tail } from './tail.tsx';
import { kinds, nameOf, type Tied, TieLine } from './tie-line.tsx';
import { Tray } from './tray.tsx';
import { useDocuments } from './use-documents.ts';
import { useParts } from './use-parts.ts';
import { usePasting } from './use-pasting.ts';
import { usePlacing } from './use-placing.ts';
import { WordsEditor } from './words-editor.tsx';

const widths = [
  { name: 'Desktop', px: null, icon: Monitor },
  { name: 'Tablet', px: 760, icon: Tablet },
  { name: 'Phone', px: 390, icon: Smartphone },
] as const;

/** Compose: one page, edited where it stands, in the site's own look. */
export function Compose() {
  const { page: id } = useParams();
  const { state } = useSite();
  const page = state.pages.find((one) => one.id === id);
  if (!page)
    return (
      <div className="grid gap-3 p-6">
        <h1>This page is not here any more</h1>
        <p>It was deleted. Undo in the strip above brings it back.</p>
        <p>
          <Link className="btn" to={`/${state.site.id}/projects`}>
            To the projects
          </Link>
        </p>
      </div>
    );
  return <ComposePage key={page.id} page={page} />;
}

function ComposePage({ page }: { page: Page }) {
  const { state, changePage, changeMaterial, now, run, seen } = useSite();
  const { add } = useUploads();
  const { link } = useTypedIn();
  const parts = useParts(page);
  const [selected, setSelected] = useState<string | null>(null);
  const [clickedAt, setClickedAt] = useState<{ x: number; y: number } | null>(null);
  const [width, setWidth] = useState<(typeof widths)[number]['name']>('Desktop');
  const [tyingAt, setTyingAt] = useState<number | null>(null);
  const [sheet, setSheet] = useState<'facts' | 'tray' | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));

  const documents = useMemo(() => {
    const here = new Set(page.parts.flatMap(materialsOf));
    const own = state.materials.filter((one) => one.kind === 'document' && here.has(one.id));
    const shownBy = new Set(own.map((one) => one.shownBy));
    return [...own, ...state.materials.filter(({ id }) => shownBy.has(id))];
  }, [page.parts, state.materials]);
  const contents = useDocuments(state.site.id, documents);
  const input = useMemo(() => composeInput(state, page, contents), [state, page, contents]);
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
  const select = (part: string | null, at: { x: number; y: number } | null = null) => {
    setClickedAt(at);
    setSelected(part);
  };
  const selectAndShow = (part: string) => {
    select(part);
    requestAnimationFrame(() =>
      document
        .getElementById(part === 'opening' ? 'opening-frame' : `part-${part}`)
        ?.scrollIntoView({ block: 'center' }),
    );
  };
  const selectedAt = page.parts.findIndex((part) => part.id === selected);
  const after =
    selectedAt < 0 ? (selected === 'opening' ? 0 : page.parts.length) : placeAfter(page.parts, selectedAt);
  const beside = standingBeside(page.parts);
  const { place, drop } = usePlacing({ page, parts, selected, setOpening, show: selectAndShow });
  const onText = (text: string) => {
    const address = webAddressIn(text);
    if (address === null) return;
    void link(address).then((added) => {
      if (added.material === null) toast.error(added.problem);
      else place([added.material]);
    });
  };
  const paste = usePasting();
  const placeAfterPart = (id: string | null, made: readonly Part[]) => {
    if (made.length === 0) return;
    const list = now().pages.find((one) => one.id === page.id)?.parts ?? [];
    const there = list.findIndex((one) => one.id === id);
    selectAndShow(parts.insertParts(made, there < 0 ? list.length : placeAfter(list, there)));
  };
  const tie = (kind: Tied, at: number) =>
    selectAndShow(kind === 'side-by-side' ? parts.insertPair(at) : parts.insert(kind, at));
  const tieLine = (at: number) => (
    <TieLine at={at} open={tyingAt === at} onOpen={(open) => setTyingAt(open ? at : null)} onTie={tie} />
  );
  const tieAfter = useEffectEvent(() => setTyingAt(after));
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '/' || !isForStudio(event)) return;
      event.preventDefault();
      tieAfter();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  useActions([
    ...kinds.map((kind) => ({
      name: `Tie in: ${nameOf(kind)}`,
      also: 'part add insert',
      run: () => tie(kind, after),
    })),
    ...page.parts.map((part, at) => ({
      name: `Go to part ${at + 1}: ${partNames[part.kind]}`,
      also: partDetail(part),
      run: () => selectAndShow(part.id),
    })),
  ]);

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
    toast(`It stands at the end of ${there?.title || 'the other page'} now. Undo brings it back.`);
  };

  /** @param seen the part as readers get it */
  const frame = (part: Part, at: number, seen: SeenPart, shown: ReactNode) => {
    const isSelected = selected === part.id;
    const common = {
      part,
      at,
      count: page.parts.length,
      selected: isSelected,
      effective: effectiveHeight(state, { page: page.id, part: part.id }),
      onSelect: (point: { x: number; y: number } | null) => select(part.id, point),
      onMove: (by: number) => parts.order(movedPart(page.parts, at, at + by), part.id),
      isBeside: typeof beside[at] === 'number',
      mayBeBeside: at > 0 && typeof beside[at - 1] !== 'number' && typeof beside[at + 1] !== 'number',
      onBeside: (isBeside: boolean) => parts.stand(part.id, isBeside ? 0.5 : null),
      onRemove: () => {
        parts.remove(part.id);
        select(null);
      },
      onCopy: () => selectAndShow(parts.copy(part.id)),
      others: state.pages.filter(
        (one) => one.id !== page.id && one.kind !== 'heading' && one.kind !== 'link',
      ),
      onMoveTo: (to: string) => void moveTo(part.id, to),
      onHeight: (height: Part['height']) => parts.change({ ...part, height }),
    };
    const empty = <p className="part-empty">{part.prompt ?? emptyWords[part.kind]}</p>;
    const drawn = isEmptyPart(part) || (seen.kind === 'credits' && seen.credits.length === 0) ? empty : shown;
    if (part.kind === 'words' && isSelected)
      return (
        <WordsEditor
          text={part.text}
          at={clickedAt}
          onPaste={(html, files, intoWords) =>
            void paste({
              html,
              files,
              pageTitle: page.title,
              intoWords,
              place: (made) => placeAfterPart(part.id, made),
            })
          }
          onSlash={() => setTyingAt(placeAfter(page.parts, at))}
          onChange={(text) => parts.change({ ...part, text })}
        >
          {(tools, words) => (
            <PartFrame {...common} tools={tools}>
              {words}
            </PartFrame>
          )}
        </WordsEditor>
      );
    const onReplace = (by: Part[]) => {
      parts.replace(part.id, by);
      select(by[0]?.id ?? null);
    };
    const panel =
      part.kind === 'words' ? undefined : (
        <PartPanel part={part} page={page} onChange={parts.change} onReplace={onReplace} />
      );
    return (
      <PartFrame {...common} panel={panel}>
        {drawn}
      </PartFrame>
    );
  };

  const name = page.title || 'a page';
  const slots: Slots = {
    title: () => (
      <h1>
        <EditableLine
          value={page.title}
          label="Title"
          placeholder={page.kind === 'home' ? 'What you make, in one sentence' : 'Title of the project'}
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
          placeholder={page.kind === 'home' ? 'A second line, if you like' : 'What it is, in one line'}
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
      return part ? frame(part, at, seen, shown) : null;
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
          ? `after ${partNames[selectedPart.kind]}`
          : 'at the end';
  const px = widths.find((one) => one.name === width)?.px;
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={drop}>
      <DropFiles
        onFiles={(files) => void add(files).then(place)}
        onText={onText}
        onHtml={(html, files) =>
          void paste({ html, files, pageTitle: page.title, place: (made) => placeAfterPart(selected, made) })
        }
        className={`compose sheet-${sheet ?? 'none'}`}
      >
        {() => (
          <>
            <div className="compose-bar">
              <Link
                to={`/${state.site.id}/projects`}
                className="btn bare sm"
                aria-label="Back to the projects"
              >
                <ArrowLeft size={16} aria-hidden="true" />
                <span className="max-md:hidden">Projects</span>
              </Link>
              <h1 className="min-w-0 truncate text-xl">
                {page.kind === 'home' ? 'Front page' : page.title || 'Untitled project'}
              </h1>
              <span className="max-sm:hidden">
                <PageState page={page} />
              </span>
              <span className="ml-auto">
                <SaveWords />
              </span>
              <div className="seg max-md:hidden" role="group" aria-label="Width of the page">
                {widths.map(({ name: one, icon: Icon }) => (
                  <button
                    key={one}
                    type="button"
                    aria-pressed={width === one}
                    aria-label={one}
                    onClick={() => setWidth(one)}
                  >
                    <Icon size={16} aria-hidden="true" />
                  </button>
                ))}
              </div>
              <a
                className="btn sm max-md:hidden"
                href={`/studio/see/${state.site.id}/maker/${page.kind === 'home' ? '' : `${page.slug}/`}`}
                target="_blank"
                rel="noreferrer"
              >
                <BookOpen size={16} aria-hidden="true" />
                Read as visitors
              </a>
            </div>
            <Tail
              page={page}
              materials={state.materials}
              selected={selected}
              onSelect={selectAndShow}
              onOrder={parts.order}
              onRemove={parts.remove}
            />
            <div className="compose-page">
              <UploadList />
              <div className="page-sheet" style={px ? { maxWidth: px } : undefined} data-width={width}>
                {input ? (
                  <SlotsContext value={slots}>
                    <div
                      onClickCapture={(event) => {
                        // Links of the page lead nowhere while it is composed; the studio's own do.
                        const link = (event.target as HTMLElement).closest('.site a');
                        if (link && !link.closest('.studio-ui')) event.preventDefault();
                      }}
                    >
                      <PageView input={input} within />
                    </div>
                  </SlotsContext>
                ) : (
                  <p className="p-6">This page cannot be drawn. Undo the last step.</p>
                )}
              </div>
            </div>
            <CaseFactsColumn page={page} />
            <Tray
              loose={loose}
              total={state.materials.length}
              where={where}
              onPlace={(material) => place([material])}
            />
            <div className="compose-sheets">
              <button
                type="button"
                aria-expanded={sheet === 'tray'}
                onClick={() => setSheet(sheet === 'tray' ? null : 'tray')}
              >
                <Images size={17} aria-hidden="true" /> Not used {loose.length}
              </button>
              <button
                type="button"
                aria-expanded={sheet === 'facts'}
                onClick={() => setSheet(sheet === 'facts' ? null : 'facts')}
              >
                <ListTree size={17} aria-hidden="true" /> {page.kind === 'home' ? 'Height' : 'Case facts'}
              </button>
              <a
                href={`/studio/see/${state.site.id}/maker/${page.kind === 'home' ? '' : `${page.slug}/`}`}
                target="_blank"
                rel="noreferrer"
              >
                <BookOpen size={17} aria-hidden="true" /> Read it
              </a>
            </div>
          </>
        )}
      </DropFiles>
    </DndContext>
  );
}
