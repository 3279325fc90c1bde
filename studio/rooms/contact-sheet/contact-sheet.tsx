import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ArrowLeft, Monitor, Smartphone, Sparkle, Undo2 } from 'lucide-react';
import { type KeyboardEvent, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { makeContactSheet } from '#contract/pictures.ts';
import { homes } from '#core/materials/group-materials.ts';
import type { Material } from '#core/materials/material.ts';
import { byRank } from '#core/pages/by-rank.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { usedMaterials } from '#core/materials/where-used.ts';
import { frames } from '#core/gallery/row-shares.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Loading } from '../../ui/states.tsx';
import { LookCloser } from './look-closer.tsx';
import { OrderList } from './order-list.tsx';
import { noteWords, reasonWords } from './reason-words.ts';
import { RowPreview } from './row-preview.tsx';
import { SheetCell } from './sheet-cell.tsx';
import { useChoice } from './use-choice.ts';
import './contact-sheet.css';
import { Button } from '../../ui/button.tsx';

/** How many pictures are proposed, unless the maker wants another number. */
const usualSize = 6;

/** The contact sheet of a gallery: candidates compared, a varied set proposed, adjusted and put on the page. */
export function ContactSheet() {
  const { page: pageId, part: partId } = useParams();
  const { state } = useSite();
  const page = state.pages.filter(isShown).find(({ id }) => id === pageId);
  const part = page?.parts.find(({ id }) => id === partId);
  if (!page || part?.kind !== 'gallery')
    return (
      <div className="grid gap-3 p-6">
        <h1>This gallery is not here any more</h1>
        <p>It was taken off. Undo in the strip above brings it back.</p>
        <p>
          <Button asChild>
            <Link to={`/${state.site.id}/projects`}>To the projects</Link>
          </Button>
        </p>
      </div>
    );
  return <Sheet key={part.id} page={page} part={part} />;
}

function Sheet({ page, part }: { page: ShownPage; part: PartOf<'gallery'> }) {
  const { state, changePage } = useSite();
  const navigate = useNavigate();
  const [withLoose, setWithLoose] = useState(false);
  const [size, setSize] = useState(usualSize);
  const [focused, setFocused] = useState<string | null>(null);
  const [closer, setCloser] = useState<string | null>(null);
  const choice = useChoice(part.pictures);
  const { chosen } = choice;

  const candidates = useMemo(() => {
    const homeOf = homes([...state.pages].sort(byRank));
    const used = usedMaterials(state.pages);
    const opening = new Set(page.opening.pictures);
    return state.materials.filter((one) => {
      if (one.kind !== 'picture') return false;
      if (part.pictures.includes(one.id)) return true;
      if (opening.has(one.id)) return false;
      const home = homeOf(one);
      return home === null ? withLoose && !used.has(one.id) : home.id === page.id;
    });
  }, [page.id, page.opening.pictures, part.pictures, state.materials, state.pages, withLoose]);
  const byId = useMemo(() => new Map(candidates.map((one) => [one.id, one])), [candidates]);
  const ids = useMemo(() => candidates.map(({ id }) => id), [candidates]);
  const opening = page.opening.pictures;
  const gallery = `/${state.site.id}/projects/${page.id}?part=${part.id}`;
  const { data: sheet } = useQuery({
    queryKey: ['contact-sheet', state.site.id, ids.join(), size, opening.join()],
    queryFn: () =>
      call(makeContactSheet, { params: { site: state.site.id }, body: { candidates: ids, size, opening } }),
    enabled: ids.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

  if (candidates.length === 0)
    return (
      <div className="grid max-w-xl gap-3 p-6">
        <h1>Contact sheet</h1>
        <p>There are no pictures for this project yet. Gather some, or take in the loose ones.</p>
        <p className="flex gap-2">
          <Button asChild look="go">
            <Link to={`/${state.site.id}/gather`}>To Gather</Link>
          </Button>
          <Button onClick={() => setWithLoose(true)}>Take in the loose ones</Button>
        </p>
      </div>
    );
  if (!sheet) return <Loading what="Comparing the pictures" />;

  const reasons = new Map(sheet.picks.map(({ id, reason }) => [id, reason]));
  const grouped = new Set(sheet.groups.flat());
  const alone = candidates.filter(({ id }) => !grouped.has(id));
  const inOrder = [...sheet.groups.flat(), ...alone.map(({ id }) => id)];
  const numberOf = (id: string) => String(inOrder.indexOf(id) + 1).padStart(2, '0');
  const suggested = sheet.picks.map(({ id }) => id);
  const pictures = chosen.flatMap((id) => byId.get(id) ?? []);
  const stop = focused !== null && byId.has(focused) ? focused : inOrder[0];

  const focusOn = (id: string | undefined) => {
    if (id === undefined) return;
    setFocused(id);
    document.getElementById(`cell-${id}`)?.focus();
  };
  const onKey = (event: KeyboardEvent) => {
    const id = stop;
    if (id === undefined || event.ctrlKey || event.metaKey) return;
    const at = chosen.indexOf(id);
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (by !== undefined && event.altKey && at >= 0)
      choice.place(id, Math.min(chosen.length - 1, Math.max(0, at + by)));
    else if (by !== undefined && !event.altKey) focusOn(inOrder[inOrder.indexOf(id) + by]);
    else if (event.key === 'Home') focusOn(inOrder[0]);
    else if (event.key === 'End') focusOn(inOrder.at(-1));
    else if (/^[1-9]$/.test(event.key)) choice.place(id, Number(event.key) - 1);
    else if (event.key.toLowerCase() === 'z') setCloser(id);
    else return;
    event.preventDefault();
  };
  const cell = (material: Material) => {
    const reason = reasons.get(material.id);
    const note = sheet.notes[material.id];
    return (
      <SheetCell
        key={material.id}
        material={material}
        number={numberOf(material.id)}
        place={chosen.indexOf(material.id) + 1}
        words={reason ? reasonWords(reason) : note ? noteWords(note, numberOf) : ''}
        proposed={reason !== undefined}
        tabStop={material.id === stop}
        onToggle={() => choice.toggle(material.id)}
        onFocus={() => setFocused(material.id)}
      />
    );
  };
  const put = () => {
    changePage(
      page.id,
      {
        parts: page.parts.map((one) =>
          one.id === part.id ? { ...part, pictures: pictures.map(({ id }) => id) } : one,
        ),
      },
      `Gallery in ${page.title || 'a page'}`,
      `${part.id} contact sheet ${Date.now()}`,
    );
    void navigate(gallery);
  };

  return (
    <div className="flex flex-col min-h-full">
      <header className="flex flex-wrap items-center gap-x-3.5 gap-y-2 px-6 pt-4 pb-3 narrow:px-4">
        <Button asChild look="bare" small className="max-w-[180px] overflow-hidden">
          <Link to={gallery}>
            <ArrowLeft size={16} aria-hidden="true" />
            {pageName(page)}
          </Link>
        </Button>
        <h1>Contact sheet</h1>
        <span className="note min-w-0 flex-[1_1_80px] truncate">
          {part.title ? `for the gallery “${part.title}”` : 'for a gallery'}
        </span>
        <p className="ml-auto" aria-live="polite">
          <b className="text-xl">{pictures.length}</b> chosen{' '}
          <span className="note">of {candidates.length}</span>
        </p>
        <label className="flex items-center gap-2 text-ink-2">
          Propose
          <input
            className="input w-16"
            type="number"
            min={1}
            max={Math.min(60, candidates.length)}
            value={size}
            onChange={(event) => setSize(Math.min(60, Math.max(1, Number(event.target.value) || 1)))}
          />
        </label>
        <Button onClick={() => choice.set(suggested)}>
          <Sparkle size={16} aria-hidden="true" />
          Use the proposed {suggested.length}
        </Button>
        <Button look="go" disabled={pictures.length === 0} onClick={put}>
          Put on the page
        </Button>
      </header>
      {/* Arrows move inside the sheet, as in any grid; each picture is a button of its own. */}
      {/* eslint-disable-next-line jsx-a11y/no-static-element-interactions -- keys of the buttons inside */}
      <div className="pt-1 pb-5 px-6 flex-1 narrow:px-4" onKeyDown={onKey}>
        <div className="flex flex-wrap gap-x-5 gap-y-3.5 mb-3.5">
          {sheet.groups.map((group, at) => (
            <section
              key={group[0]}
              className="bracket relative max-w-full px-1.5 pt-7"
              aria-label={`Look-alikes ${at + 1}: ${plural(group.length, 'picture')}`}
            >
              <p className="absolute left-4 top-0 py-0 px-2 bg-paper text-s leading-5 font-firm text-straw-ink">
                <span>{group.length} look alike: keep one or two</span>
              </p>
              <ul className="flex flex-wrap gap-3">{group.flatMap((id) => byId.get(id) ?? []).map(cell)}</ul>
            </section>
          ))}
        </div>
        {alone.length > 0 && (
          <section aria-label="Like no other">
            {sheet.groups.length > 0 && <p className="note">Like no other</p>}
            <ul className="mt-1.5 flex flex-wrap gap-3">{alone.map(cell)}</ul>
          </section>
        )}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_150px_minmax(220px,300px)] gap-6 pt-3.5 pb-4.5 px-6 bg-sunk border-t border-t-line narrow:grid-cols-[minmax(0,1fr)_120px] narrow:px-4">
        <RowPreview
          pictures={pictures}
          frame={frames.wide}
          title={
            <>
              <Monitor size={15} aria-hidden="true" /> Desktop, {frames.wide.widthPx} wide
            </>
          }
        />
        <RowPreview
          phone
          pictures={pictures}
          frame={frames.narrow}
          title={
            <>
              <Smartphone size={15} aria-hidden="true" /> Phone, 390 wide
            </>
          }
        />
        <OrderList pictures={pictures} onOrder={choice.set} />
      </div>
      <footer className="flex flex-wrap items-center gap-x-5 gap-y-1 py-2 px-6 border-t border-t-line text-s text-ink-2 narrow:px-4">
        <label className="check">
          <input
            type="checkbox"
            checked={withLoose}
            onChange={(event) => setWithLoose(event.target.checked)}
          />
          With the loose pictures
        </label>
        <Button look="bare" small disabled={!choice.back} onClick={() => choice.back?.()}>
          <Undo2 size={15} aria-hidden="true" /> Step back
        </Button>
        <p className="narrow:hidden">
          <kbd className="kbd">←</kbd> <kbd className="kbd">→</kbd> move <kbd className="kbd ml-2">Space</kbd>{' '}
          choose <kbd className="kbd ml-2">Alt</kbd> <kbd className="kbd">←</kbd> <kbd className="kbd">→</kbd>{' '}
          change order <kbd className="kbd ml-2">1</kbd>–<kbd className="kbd">9</kbd> set place{' '}
          <kbd className="kbd ml-2">Z</kbd> look closer
        </p>
      </footer>
      {closer !== null && (
        <LookCloser
          pictures={(sheet.groups.find((group) => group.includes(closer)) ?? [closer]).flatMap(
            (id) => byId.get(id) ?? [],
          )}
          numberOf={numberOf}
          onClose={() => {
            setCloser(null);
            focusOn(closer);
          }}
        />
      )}
    </div>
  );
}
