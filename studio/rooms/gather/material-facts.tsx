import { MapPin, X } from 'lucide-react';
import { useRef } from 'react';
import { Link } from 'react-router';
import type { Warning } from '#core/gallery/picture-quality.ts';
import { whereUsed } from '#core/materials/where-used.ts';
import { slideFormats } from '#core/materials/document.ts';
import type { Material, MaterialContent } from '#core/materials/material.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { fileSize } from '#core/words/file-size.ts';
import { warningSentences } from '../../materials/warning-words.ts';
import { ClipStill } from './clip-still.tsx';
import { FactsHead } from './facts-head.tsx';
import { LinkFactsOf } from './link-facts.tsx';
import { NoteWords } from './note-words.tsx';
import { DateField } from '../../ui/date-field.tsx';
import { ProjectField } from './project-field.tsx';
import { TranscriptField } from './transcript-field.tsx';
import { ReplaceFile } from './replace-file.tsx';
import { ProvenanceFields } from './provenance-fields.tsx';
import { TagField } from '../../ui/tag-field.tsx';
import { MaterialWords } from '../../materials/material-words.tsx';
import { useSite } from '../../api/site-context.tsx';
import { useWholeWords } from '../../api/use-whole-words.ts';
import { WordsOnTheWay } from '../../materials/words-on-the-way.tsx';
import { duration } from '../../ui/kind-names.ts';
import { MaterialPicture, materialName } from '../../ui/material-picture.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { SelectField } from '../../ui/select.tsx';
import { SideSheet } from '../../ui/side-sheet.tsx';

/** How large or long it is. */
function measure(material: Material): string {
  switch (material.kind) {
    case 'picture':
      return `${material.facts.widthPx} × ${material.facts.heightPx}`;
    case 'document': {
      const { pages, words } = material.facts;
      const many = pages.length === 1 ? '1 page' : `${pages.length} pages`;
      return `${pages.length > 0 ? `${many}, ` : ''}${words} words`;
    }
    case 'sound':
      return duration(material.facts.seconds);
    case 'clip':
      return `${material.facts.widthPx} × ${material.facts.heightPx}, ${duration(material.facts.seconds)}`;
    case 'link':
      return '';
    case 'note': {
      const words = material.transcript.split(/\s+/).filter(Boolean).length;
      return words === 1 ? '1 word' : `${words} words`;
    }
  }
}

/** Everything known about one material, at the side of Gather. */
export function MaterialFacts({
  material,
  warnings,
  alike,
  onLook,
  onClose,
}: {
  material: Material;
  warnings: readonly Warning[];
  /** Its look-alikes. */
  alike: readonly Material[];
  onLook: (id: string) => void;
  onClose: () => void;
}) {
  const { state, changeMaterial } = useSite();
  const player = useRef<HTMLVideoElement>(null);
  const change = (part: Partial<MaterialContent>, what: string) =>
    changeMaterial(
      material.id,
      part,
      `${what}: ${materialName(material)}`,
      `${material.id} ${Object.keys(part).join(' ')}`,
    );
  const slides =
    material.kind === 'document' && slideFormats.some((format) => format === material.facts.format);
  const fromFile = material.kind !== 'link' && material.kind !== 'note';
  const words = useWholeWords([material.id]);
  const uses = whereUsed(state.pages, material.id);
  return (
    <SideSheet
      at="narrow"
      className="facts-side sticky top-0 flex h-[calc(100dvh-var(--strip))] flex-col self-start overflow-auto border-l border-l-line bg-raised narrow:top-auto narrow:h-auto narrow:border-l-0"
      aria-label={`Facts of ${materialName(material)}`}
    >
      <div className="relative flex-none bg-sunk">
        <FactsHead key={material.id} material={material} player={player} />
        <IconButton className="absolute top-2 right-2 bg-raised" label="Close the facts" onClick={onClose}>
          <X size={18} aria-hidden="true" />
        </IconButton>
      </div>
      <div className="grid gap-3 p-4">
        {warnings.map((warning) => (
          <p key={warning} className="note">
            {warningSentences[warning]}
          </p>
        ))}
        {alike.length > 0 && (
          <div>
            <p className="field-name">Looks like</p>
            <ul className="flex flex-wrap gap-2">
              {alike.map((other) => (
                <li key={other.id}>
                  <button
                    type="button"
                    className="block h-14 w-20"
                    aria-label={`Look at ${materialName(other)}`}
                    onClick={() => onLook(other.id)}
                  >
                    <MaterialPicture material={other} alt="" className="h-full w-full object-cover" />
                  </button>
                </li>
              ))}
            </ul>
          </div>
        )}
        {material.kind === 'note' ? (
          words.whole ? (
            <NoteWords note={material} onChange={(part) => change(part, 'Note')} />
          ) : (
            <WordsOnTheWay {...words} />
          )
        ) : (
          <MaterialWords material={material} />
        )}
        {material.kind === 'link' && <LinkFactsOf key={`${material.id} link`} link={material} />}
        {material.kind === 'clip' && <ClipStill material={material} player={player} />}
        {(material.kind === 'sound' ||
          material.kind === 'clip' ||
          (material.kind === 'link' && material.facts.player)) &&
          (words.whole ? (
            <TranscriptField
              key={`${material.id} transcript`}
              transcript={material.transcript}
              onChange={(transcript) => change({ transcript }, 'Words')}
            />
          ) : (
            <WordsOnTheWay {...words} />
          ))}
        {slides && (
          <SelectField
            name="Shown by"
            hint="a PDF of the same slides"
            value={material.shownBy ?? ''}
            options={[
              { value: '', name: 'nothing: kept for download' },
              ...state.materials
                .filter((one) => one.kind === 'document' && one.facts.format === 'pdf')
                .map((one) => ({ value: one.id, name: materialName(one) })),
            ]}
            onChange={(pdf) => change({ shownBy: pdf || null }, 'Shown by')}
          />
        )}
        <DateField
          key={`${material.id} taken`}
          label={{ note: 'Written on', link: 'Date' }[material.kind as string] ?? 'Taken on'}
          value={material.takenOn}
          onChange={(takenOn) => change({ takenOn }, 'Date')}
        />
        <ProjectField
          pages={state.pages}
          value={material.project ?? ''}
          onChange={(project) => change({ project }, 'Project')}
        />
        <TagField
          key={`${material.id} tags`}
          tags={material.tags}
          onChange={(tags) => change({ tags }, 'Tags')}
        />
        {material.kind !== 'note' && (
          <ProvenanceFields
            value={material.provenance}
            ownTitle={material.title}
            onChange={(part) =>
              change({ provenance: { ...material.provenance, ...part } }, 'Whose work it is')
            }
          />
        )}
        <dl className="grid grid-cols-[5.5rem_1fr] gap-y-1 text-[0.8125rem] leading-[1.25rem] [&_dt]:text-ink-3">
          <dt>Used in</dt>
          <dd>
            {uses.length === 0
              ? 'nothing yet'
              : uses.map(({ page }) => (
                  <Link key={page.id} className="link mr-2" to={`../projects/${page.id}`}>
                    {pageName(page)}
                  </Link>
                ))}
          </dd>
          {material.kind !== 'link' && (
            <>
              <dt>Size</dt>
              <dd>
                {(words.whole || material.kind !== 'note') && measure(material)}
                {fromFile && `, ${fileSize(material.bytes)} ${material.facts.format.toUpperCase()}`}
              </dd>
            </>
          )}
          {fromFile && (
            <>
              <dt>File</dt>
              <dd className="break-all">{material.fileName}</dd>
            </>
          )}
        </dl>
        {fromFile && (
          <p>
            <ReplaceFile key={`${material.id} file`} material={material} />
          </p>
        )}
        {material.kind === 'picture' && material.facts.hasGps && (
          <p className="flag straw">
            <MapPin size={15} aria-hidden="true" />
            Has the place where it was taken. Removed when published.
          </p>
        )}
      </div>
    </SideSheet>
  );
}
