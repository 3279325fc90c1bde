import { Crop } from 'lucide-react';
import { useState } from 'react';
import { useSite } from '../../api/site-context.tsx';
import { CoarseNote } from '../../materials/coarse-note.tsx';
import { FixDialog } from '../../materials/fixes/fix-dialog.tsx';
import { MaterialWords } from '../../materials/material-words.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { Segments } from '../../ui/segments.tsx';
import { Button } from '../../ui/button.tsx';

const widths = [
  { width: 'text', name: 'In the text' },
  { width: 'wide', name: 'Wide' },
  { width: 'full', name: 'Full width' },
  { width: 'window', name: 'Window' },
] as const;

/** Below a selected picture: which one, how wide, and its words. */
export function PicturePanel({ part, onChange }: PartPanelProps<'picture'>) {
  const { state } = useSite();
  const [fixing, setFixing] = useState(false);
  const material = state.materials.find(({ id }) => id === part.material);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-3">
        <Segments
          label="Width of the picture"
          value={part.width}
          options={widths.map(({ width, name }) => ({ value: width, name }))}
          onChange={(width) => onChange({ ...part, width })}
        />
        <PickMaterials
          title="Choose a picture"
          most={1}
          onPick={([id]) => id && onChange({ ...part, material: id })}
        >
          <Button small>{material ? 'Another picture' : 'Choose a picture'}</Button>
        </PickMaterials>
        {material && (
          <Button small onClick={() => setFixing(true)}>
            <Crop size={15} aria-hidden="true" />
            Fix it
          </Button>
        )}
        {material && fixing && <FixDialog material={material} onClose={() => setFixing(false)} />}
      </div>
      {material && (
        <div className="grid gap-2 sm:grid-cols-2">
          <MaterialWords material={material} brief />
          <CoarseNote material={material} place={part.width} />
        </div>
      )}
      <WebAddressField
        key={part.id}
        label="A click leads to"
        hint="a web address; empty: it opens large"
        value={part.link}
        onChange={(link) => onChange({ ...part, link })}
      />
    </div>
  );
}
