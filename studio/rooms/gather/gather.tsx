import { MapPin, Tags, Trash2, Upload as UploadIcon, X } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { createProject, deleteMaterials } from '#contract/sites.ts';
import { findMaterials } from '#core/content/find-materials.ts';
import {
  type Grouping,
  groupMaterials,
  type MaterialGroup,
  type Order,
  sortMaterials,
} from '#core/content/group-materials.ts';
import type { Material } from '#core/content/material.ts';
import type { Warning } from '#core/gallery/picture-quality.ts';
import { usedMaterials } from '#core/content/where-used.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUploads } from '../../api/uploads-context.tsx';
import { DropFiles } from '../../ui/drop-files.tsx';
import { countKinds, kindLabel } from '../../ui/kind-names.ts';
import { materialName, MaterialPicture, hasPicture, shapeOf } from '../../ui/material-picture.tsx';
import { oneAtATime } from '../../ui/one-at-a-time.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { UploadList } from '../../ui/upload-list.tsx';
import { Capture } from './capture.tsx';
import { FactsOfMany } from './facts-of-many.tsx';
import { Sorting } from './sorting.tsx';
import { useLooks } from './use-looks.ts';
import { warningNames } from './warning-words.ts';
import { Meter } from './meter.tsx';
import { MaterialFacts } from './material-facts.tsx';

function Tile({
  material,
  number,
  chosenAs,
  current,
  used,
  alike,
  warnings,
  onToggle,
  onLook,
}: {
  material: Material;
  number: number;
  chosenAs: number;
  current: boolean;
  used: boolean;
  /** How many look-alikes it has. */
  alike: number;
  warnings: readonly Warning[];
  onToggle: (range: boolean) => void;
  onLook: () => void;
}) {
  const shown = shapeOf(material);
  const ratio = Math.min(2.2, Math.max(0.6, shown.widthPx / shown.heightPx));
  const name = materialName(material);
  const looks = [
    kindLabel(material),
    ...(alike > 0 ? [`${alike + 1} alike`] : []),
    ...warnings.map((one) => warningNames[one]),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <li
      className="tile"
      style={{ '--r': ratio } as React.CSSProperties}
      data-chosen={chosenAs > 0 || undefined}
    >
      <button type="button" className="tile-picture" onClick={onLook} aria-pressed={current}>
        <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />
        {material.kind === 'picture' && material.facts.hasGps && (
          <span className="gps" title="Has a place in it. Removed when published.">
            <MapPin size={13} aria-hidden="true" />
            <span className="sr-only">Has a place in it; removed when published</span>
          </span>
        )}
        <span className="sr-only">
          {hasPicture(material) && name}: look at it{looks && '; '}
        </span>
        {looks && <span className="tile-looks">{looks}</span>}
      </button>
      <label className="tile-choose">
        <input
          type="checkbox"
          checked={chosenAs > 0}
          onChange={(event) => onToggle((event.nativeEvent as MouseEvent).shiftKey)}
        />
        <span className="sr-only">Choose {name}</span>
        {chosenAs > 0 && <span aria-hidden="true">{chosenAs}</span>}
      </label>
      <p className="tile-words">
        <span className="font-mono">{String(number).padStart(2, '0')}</span>
        <span className="truncate">{material.title || (used ? '' : 'no title')}</span>
        <span className="ml-auto">{used ? 'used' : 'not used'}</span>
      </p>
    </li>
  );
}

const megabyte = 1024 * 1024;

/** Gather: everything collected, and the facts of each. */
export function Gather() {
  const { state, run } = useSite();
  const { add } = useUploads();
  const navigate = useNavigate();
  const { materials, pages, site } = state;
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [lookingAt, setLookingAt] = useState<string | null>(null);
  const [query, setQuery] = useState('');
  const [by, setBy] = useState<Grouping>('project');
  const [order, setOrder] = useState<Order>('added');
  const looks = useLooks(site.id, materials);
  const [editingMany, setEditingMany] = useState(false);
  const used = useMemo(() => usedMaterials(pages), [pages]);
  const groups = useMemo(
    () => groupMaterials(findMaterials(sortMaterials(materials, order), query), pages, by, looks.groups),
    [by, looks.groups, materials, order, pages, query],
  );
  const inOrder = useMemo(() => groups.flatMap((group) => group.materials), [groups]);
  const numbers = useMemo(() => new Map(inOrder.map(({ id }, at) => [id, at + 1])), [inOrder]);
  const current = materials.find(({ id }) => id === lookingAt) ?? null;

  const onFiles = useCallback(
    (files: File[]) => {
      const here = new Set(materials.map(({ id }) => id));
      // What has just come is chosen, ready to become a project; what was here already stays as it was.
      void add(files).then((ids) =>
        setChosen((old) => [...new Set([...old, ...ids.filter((id) => !here.has(id))])]),
      );
    },
    [add, materials],
  );

  const toggle = (id: string, range: boolean) =>
    setChosen((old) => {
      const last = old.at(-1);
      if (range && last) {
        const ids = inOrder.map((one) => one.id);
        const [from, to] = [ids.indexOf(last), ids.indexOf(id)].sort((a, b) => a - b);
        return [...new Set([...old, ...ids.slice(from ?? 0, (to ?? 0) + 1)])];
      }
      return old.includes(id) ? old.filter((one) => one !== id) : [...old, id];
    });

  const start = useMemo(
    () =>
      oneAtATime(async (pictures: readonly string[]) => {
        const made = await run(() =>
          call(createProject, { params: { site: site.id }, body: { title: '', materials: [...pictures] } }),
        );
        if (made) void navigate(`/${site.id}/projects/${made.page}`);
      }),
    [navigate, run, site.id],
  );
  const bin = async () => {
    const inUse = chosen.filter((id) => used.has(id)).length;
    const gone = await run(() =>
      call(deleteMaterials, { params: { site: site.id }, body: { materials: [...chosen] } }),
    );
    if (!gone) return;
    setChosen([]);
    setLookingAt(null);
    toast(
      `${chosen.length} deleted${inUse > 0 ? `, ${inUse} of them taken off pages` : ''}. Undo brings everything back.`,
    );
  };

  const section = ({ key, title, materials: list }: MaterialGroup) => {
    const inUse = list.filter(({ id }) => used.has(id)).length;
    return (
      <section key={key} aria-labelledby={`group-${key}`}>
        <div className="mt-2 mb-1 flex items-baseline gap-3">
          <h2 id={`group-${key}`} className="text-[1.0625rem]">
            {title}
          </h2>
          <span className="note">
            {countKinds(list)}; {inUse === 0 ? 'none' : inUse} used
          </span>
          <button
            type="button"
            className="link ml-auto text-[0.8125rem]"
            onClick={() => setChosen((old) => [...new Set([...old, ...list.map(({ id }) => id)])])}
          >
            Choose all
          </button>
        </div>
        <ul className="tiles">
          {list.map((material) => (
            <Tile
              key={material.id}
              material={material}
              number={numbers.get(material.id) ?? 0}
              chosenAs={chosen.indexOf(material.id) + 1}
              current={material.id === lookingAt}
              used={used.has(material.id)}
              alike={looks.alikeOf.get(material.id)?.length ?? 0}
              warnings={looks.warnings[material.id] ?? []}
              onToggle={(range) => toggle(material.id, range)}
              onLook={() => setLookingAt(material.id)}
            />
          ))}
        </ul>
      </section>
    );
  };

  return (
    <DropFiles onFiles={onFiles} className={`gather ${current ? 'with-facts' : ''}`}>
      {(pick) => (
        <>
          <div className="gather-main">
            <div className="flex flex-wrap items-center gap-x-6 gap-y-3 px-4 pt-5 pb-4 md:px-6">
              <h1>Gather</h1>
              <button type="button" className="drop-line" onClick={pick}>
                <UploadIcon size={20} aria-hidden="true" />
                <span>
                  <b>Drop anything here</b>, paste it, or <u>choose</u>
                  <small>
                    Pictures, PDF, DOCX, ODT, text, slides, sound, clips; up to{' '}
                    {Math.round(state.limits.fileBytes / megabyte)} MB each
                  </small>
                </span>
              </button>
              <Capture />
              <Meter materials={materials} totalBytes={state.limits.totalBytes} />
              <SaveWords />
            </div>
            <UploadList />
            <div className="px-4 pb-28 md:px-6">
              {materials.length === 0 && (
                <div className="max-w-lg py-10">
                  <p className="text-base leading-6 text-ink-2">
                    Everything you collect lives here: photos of the work, sketches, the bad first try. Add a
                    handful now; nothing is shown to anybody from this room.
                  </p>
                </div>
              )}
              {materials.length > 0 && (
                <Sorting
                  query={query}
                  onQuery={setQuery}
                  by={by}
                  onBy={setBy}
                  order={order}
                  onOrder={setOrder}
                />
              )}
              <p className="sr-only" role="status">
                {query && `${inOrder.length} of ${materials.length} found`}
              </p>
              {groups.map(section)}
              {query && inOrder.length === 0 && (
                <p className="py-6 text-ink-2">
                  Nothing has “{query}” in its title, caption, alt text, tags, maker or file name.
                </p>
              )}
            </div>
            {chosen.length > 0 && (
              <div className="chosen-bar" role="region" aria-label="Chosen materials">
                <b aria-live="polite">{chosen.length} chosen</b>
                <button type="button" className="btn go" onClick={() => void start(chosen)}>
                  Start a project
                </button>
                <button type="button" className="btn" onClick={() => setEditingMany(true)}>
                  <Tags size={16} aria-hidden="true" />
                  Facts of these
                </button>
                <button type="button" className="btn danger" onClick={() => void bin()}>
                  <Trash2 size={16} aria-hidden="true" />
                  Delete
                </button>
                <button type="button" className="btn bare ml-auto" onClick={() => setChosen([])}>
                  <X size={16} aria-hidden="true" />
                  None
                </button>
              </div>
            )}
          </div>
          {editingMany && (
            <FactsOfMany
              materials={materials.filter(({ id }) => chosen.includes(id))}
              onClose={() => setEditingMany(false)}
            />
          )}
          {current && (
            <MaterialFacts
              material={current}
              warnings={looks.warnings[current.id] ?? []}
              alike={materials.filter(({ id }) => looks.alikeOf.get(current.id)?.includes(id))}
              onLook={setLookingAt}
              onClose={() => setLookingAt(null)}
            />
          )}
        </>
      )}
    </DropFiles>
  );
}
