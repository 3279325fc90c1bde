import { backs, hairs, heads, mouths } from '#core/about/drawn-portrait-choice.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import { useSite } from '../../api/site-context.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { SelectField } from '../../ui/select.tsx';
import { Segments } from '../../ui/segments.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { CutPortrait } from './cut-portrait.tsx';

const forms = [
  { value: 'photo', name: 'A picture' },
  { value: 'drawn', name: 'Cut from paper' },
  { value: 'letters', name: 'Letters' },
  { value: 'none', name: 'None' },
] as const;

const named = <T extends string>(values: readonly T[], names: Partial<Record<T, string>> = {}) =>
  values.map((value) => ({ value, name: names[value] ?? value }));

/** One way in which the maker is shown. */
export function PortraitPanel({ part, onChange }: PartPanelProps<'portrait'>) {
  const { state } = useSite();
  const { form, material, face, letters, drawing } = part;
  const picture = materialsById(state.materials).get(material ?? '');
  const draw = (more: Partial<typeof drawing>) => onChange({ ...part, drawing: { ...drawing, ...more } });
  return (
    <div className="grid gap-3">
      <Segments
        label="How you are shown"
        value={form}
        options={forms}
        onChange={(value) => onChange({ ...part, form: value })}
      />
      {form === 'photo' && (
        <div className="flex flex-wrap items-center gap-3">
          {picture && <MaterialPicture material={picture} className="size-22 rounded-m object-cover" />}
          <div className="grid gap-2">
            <PickMaterials
              title="Choose a picture of yourself"
              most={1}
              onPick={([id]) => id && onChange({ ...part, material: id })}
            >
              <Button small>{picture ? 'Another picture' : 'Choose a picture'}</Button>
            </PickMaterials>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={face}
                onChange={(event) => onChange({ ...part, face: event.target.checked })}
              />
              My face can be recognised
            </label>
          </div>
        </div>
      )}
      {form === 'drawn' && (
        <div className="grid grid-cols-[auto_minmax(0,1fr)] items-start gap-4">
          <CutPortrait drawing={drawing} className="size-30" />
          <div className="grid grid-cols-2 gap-2">
            <SelectField
              name="Head"
              value={drawing.head}
              options={named(heads)}
              onChange={(head) => draw({ head })}
            />
            <SelectField
              name="Hair"
              value={drawing.hair}
              options={named(hairs)}
              onChange={(hair) => draw({ hair })}
            />
            <SelectField
              name="Mouth"
              value={drawing.mouth}
              options={named(mouths)}
              onChange={(mouth) => draw({ mouth })}
            />
            <SelectField
              name="Ground"
              value={drawing.back}
              options={named(backs)}
              onChange={(back) => draw({ back })}
            />
            <label className="col-span-full flex items-center gap-2">
              <input
                type="checkbox"
                checked={drawing.glasses}
                onChange={(event) => draw({ glasses: event.target.checked })}
              />
              Glasses
            </label>
          </div>
          <p className="note col-span-full">On the page it has the colours of your look.</p>
        </div>
      )}
      {form === 'letters' && (
        <Field
          label="Letters"
          hint="up to three"
          value={letters}
          maxLength={3}
          onChange={(event) => onChange({ ...part, letters: event.target.value })}
        />
      )}
      {form === 'none' && <p className="note">Readers who get this one are shown no portrait.</p>}
    </div>
  );
}
