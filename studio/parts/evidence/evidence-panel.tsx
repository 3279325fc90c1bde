import { evidenceAsked } from '#core/check/lists/evidence-asked.ts';
import { evidenceCount } from '#core/parts/evidence-count.ts';
import { useSite } from '../../api/site-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import { AltTexts } from '../../materials/alt-texts.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import { TextField } from '../../ui/text-field.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { Button } from '../../ui/button.tsx';

const prompts = [
  { field: 'what', label: 'What is it?', hint: 'for somebody who was not there' },
  { field: 'why', label: 'Why did you choose it?', hint: 'out of everything you have' },
  { field: 'shows', label: 'What does it show about you?', hint: 'a skill, a habit, a way to decide' },
] as const;

/** Below selected evidence: the thing itself, three prompted answers, and how much of it the project has. */
export function EvidencePanel({ part, page, onChange }: PartPanelProps<'evidence'>) {
  const { state, changeSite } = useSite();
  const material = state.materials.find(({ id }) => id === part.material);
  const { count: wanted, list } = evidenceAsked(state.site);
  const asks = list ? `“${list.name || 'A list'}” asks for` : 'you wish for';
  const has = evidenceCount(page.parts);
  return (
    <div className="grid gap-3">
      <p className="flex flex-wrap items-center gap-3">
        <PickMaterials
          kind="any"
          title="Choose the thing itself"
          most={1}
          onPick={([id]) => id && onChange({ ...part, material: id })}
        >
          <Button small>{material ? 'Another thing' : 'Choose the thing itself'}</Button>
        </PickMaterials>
        <span className="note min-w-0 truncate">{material && materialName(material)}</span>
      </p>
      <AltTexts of={[part.material]} />
      <div className="grid gap-3">
        {prompts.map(({ field, label, hint }) => (
          <TextField
            key={field}
            label={label}
            hint={hint}
            rows={2}
            most={1200}
            value={part[field]}
            onChange={(text) => onChange({ ...part, [field]: text })}
          />
        ))}
      </div>
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[0.8125rem]">
        <span role="status">
          {wanted > 0 ? `${has} of the ${wanted} ${asks} are` : `${has} ${has === 1 ? 'is' : 'are'}`} complete
          in this project
        </span>
        {wanted > 0 && (
          <meter min={0} max={wanted} value={Math.min(has, wanted)} aria-label="Evidence in this project" />
        )}
        <label className="ml-auto flex items-center gap-2">
          <span>
            Wished for in each project <em className="text-ink-3 not-italic">0 for no wish</em>
          </span>
          <input
            type="number"
            className="input w-16"
            min={0}
            max={20}
            value={state.site.evidenceWanted}
            onChange={(event) => {
              const many = event.target.valueAsNumber;
              if (Number.isInteger(many) && many >= 0 && many <= 20)
                changeSite({ evidenceWanted: many }, 'Evidence wished for');
            }}
          />
        </label>
      </p>
    </div>
  );
}
