import { ArrowLeftRight } from 'lucide-react';
import { liesOver } from '#core/parts/lies-over.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import { AltTexts } from '../../materials/alt-texts.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { Button } from '../../ui/button.tsx';

/** Below a selected comparison: its two pictures and what they are called. */
export function ComparePanel({ part, onChange }: PartPanelProps<'compare'>) {
  const { state } = useSite();
  const set = (change: Partial<PartOf<'compare'>>) => onChange({ ...part, ...change });
  const factsOf = (id: string | null) => {
    const material = state.materials.find((one) => one.id === id);
    return material?.kind === 'picture' ? material.facts : null;
  };
  const before = factsOf(part.before);
  const after = factsOf(part.after);
  const isApart = before !== null && after !== null && !liesOver(before, after);
  const sides = [
    { side: 'before', name: 'beforeName', title: 'The first' },
    { side: 'after', name: 'afterName', title: 'The second' },
  ] as const;
  return (
    <div className="grid gap-3">
      <div className="grid gap-3 sm:grid-cols-2">
        {sides.map(({ side, name, title }) => {
          const picture = state.materials.find(({ id }) => id === part[side]);
          return (
            <div key={side} className="grid content-start gap-2">
              <label className="block">
                <span className="field-name">
                  {title} <em>what it is called</em>
                </span>
                <input
                  className="input"
                  value={part[name]}
                  maxLength={60}
                  onChange={(event) => set({ [name]: event.target.value })}
                />
              </label>
              <p className="flex flex-wrap items-center gap-2">
                <PickMaterials
                  title={`${title} picture`}
                  most={1}
                  onPick={([id]) => id && set({ [side]: id })}
                >
                  <Button small>
                    {picture ? (
                      <>
                        Another picture
                        <span className="sr-only"> in place of {materialName(picture)}</span>
                      </>
                    ) : (
                      `Choose ${title.toLowerCase()} picture`
                    )}
                  </Button>
                </PickMaterials>
                <span className="note min-w-0 truncate">{picture && materialName(picture)}</span>
              </p>
              <AltTexts of={[part[side]]} />
            </div>
          );
        })}
      </div>
      <p className="flex flex-wrap items-center gap-3">
        <Button small onClick={() => set({ before: part.after, after: part.before })}>
          <ArrowLeftRight size={15} aria-hidden="true" />
          Change sides
        </Button>
        <span className="note">
          {isApart
            ? 'Their shapes differ too much for a slider: readers get both beside each other, whole.'
            : 'Readers get a slider, on paper both pictures beside each other.'}
        </span>
      </p>
    </div>
  );
}
