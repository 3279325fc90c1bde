import { Link2 } from 'lucide-react';
import { useState } from 'react';
import type { LinkForm } from '#core/parts/link.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { framedBy } from '#core/materials/link.ts';
import { useSite } from '../../api/site-context.tsx';
import { linkSentence } from '../../materials/link-words.ts';
import { MaterialWords } from '../../materials/material-words.tsx';
import { WriteLink } from '../../materials/write-link.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { Segments } from '../../ui/segments.tsx';
import { Button } from '../../ui/button.tsx';

const forms: readonly { form: LinkForm; name: string }[] = [
  { form: 'in-place', name: 'In place' },
  { form: 'card', name: 'Card' },
  { form: 'button', name: 'Button' },
];
const sides = ['left', 'centre', 'right'] as const;

/** Below a selected link: where it leads, and in which form it stands on the page. */
export function LinkPanel({ part, onChange }: PartPanelProps<'link'>) {
  const { state } = useSite();
  const [adding, setAdding] = useState(false);
  const link = state.materials.find(({ id }) => id === part.material);
  const facts = link?.kind === 'link' ? link.facts : null;
  const set = (change: Partial<PartOf<'link'>>) => onChange({ ...part, ...change });
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <Button small onClick={() => setAdding(true)}>
          <Link2 size={15} aria-hidden="true" />
          {facts ? 'Another address' : 'Give an address'}
        </Button>
        <PickMaterials
          kind="link"
          title="Choose a link"
          most={1}
          onPick={([material]) => material && set({ material })}
        >
          <Button small>From Gather</Button>
        </PickMaterials>
        <Segments
          label="Form of the link"
          value={part.form}
          options={forms.map(({ form, name }) => ({ value: form, name }))}
          onChange={(form) => set({ form })}
        />
        {part.form === 'button' && (
          <Segments
            label="Where the button stands"
            value={part.align}
            options={sides.map((align) => ({
              value: align,
              name: align[0]?.toUpperCase() + align.slice(1),
            }))}
            onChange={(align) => set({ align })}
          />
        )}
      </div>
      {facts && (part.form === 'in-place' || facts.state !== 'read') && (
        <p className="note">{linkSentence(facts)}</p>
      )}
      {facts && part.form === 'in-place' && framedBy(facts) && (
        <p className="note">“Read as visitors” shows how it opens.</p>
      )}
      {link && (
        <div className="grid gap-2 sm:grid-cols-2">
          <MaterialWords material={link} />
        </div>
      )}
      {adding && <WriteLink onAdded={(material) => set({ material })} onClose={() => setAdding(false)} />}
    </div>
  );
}
