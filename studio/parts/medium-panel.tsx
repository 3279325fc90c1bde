import { TextQuote } from 'lucide-react';
import { useState } from 'react';
import { isCovered } from '#core/access/covered.ts';
import { bringPictures, getDocument } from '#contract/materials.ts';
import { slideFormats } from '#core/materials/document.ts';
import { partsFromPieces } from '#core/words/parts-from-pieces.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { kindNames } from '../ui/kind-names.ts';
import { MaterialWords } from '../materials/material-words.tsx';
import { PickMaterials } from '../materials/pick-materials.tsx';
import type { PartPanelProps } from './part-settings.ts';
import { Button } from '../ui/button.tsx';
import { newId } from './new-id.ts';

/** Below a selected document, sound or clip: which one, and what readers may do with it. */
export function MediumPanel({
  part,
  page,
  onChange,
  onReplace,
}: PartPanelProps<'document'> | PartPanelProps<'sound'> | PartPanelProps<'clip'>) {
  const { state, run } = useSite();
  const [busy, setBusy] = useState(false);
  const material = state.materials.find(({ id }) => id === part.material);
  const name = kindNames[part.kind];
  const shownBy = state.materials.find(({ id }) => id === material?.shownBy) ?? null;
  const covered = material?.kind === 'document' && isCovered({ fixes: material.fixes, shownBy });
  const slides =
    material?.kind === 'document' && slideFormats.some((format) => format === material.facts.format);
  const words = material?.kind === 'document' && material.facts.pages.length === 0 && !slides;

  const makeWords = async () => {
    if (!material) return;
    setBusy(true);
    const params = { site: state.site.id, material: material.id };
    const brought = await run(() => call(bringPictures, { params }));
    const content = brought && (await call(getDocument, { params }).catch(() => null));
    setBusy(false);
    if (!brought || !content) return;
    const parts = partsFromPieces(content.pieces, brought.pictures, page.title, () => newId());
    if (parts.length > 0) onReplace(parts);
  };

  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <PickMaterials
          kind={part.kind}
          title={`Choose a ${name}`}
          most={1}
          onPick={([id]) => id && onChange({ ...part, material: id })}
        >
          <Button small>{material ? `Another ${name}` : `Choose a ${name}`}</Button>
        </PickMaterials>
        {words && (
          <Button small disabled={busy} onClick={() => void makeWords()}>
            <TextQuote size={15} aria-hidden="true" />
            Make words of it
          </Button>
        )}
        {part.kind === 'document' && material && (
          <label className="check">
            <input
              type="checkbox"
              checked={part.download && !covered}
              disabled={covered}
              onChange={(event) => onChange({ ...part, download: event.target.checked })}
            />
            Readers may download the file
          </label>
        )}
      </div>
      {covered && (
        <p className="note">
          The file itself still shows what is blacked out, so it cannot be offered for download. The pages
          below are safe to show.
        </p>
      )}
      {slides && material.shownBy === null && (
        <p className="note">
          Slides are kept for download. To show them here, add a PDF of the same slides and choose it under
          “Shown by” in their facts.
        </p>
      )}
      {part.kind === 'document' && part.download && !covered && (
        <p className="note">
          The file goes out as it is, with whatever its program wrote into it, for example your name.
        </p>
      )}
      {material && (
        <div className="grid gap-2 sm:grid-cols-2">
          <MaterialWords material={material} brief />
        </div>
      )}
    </div>
  );
}
