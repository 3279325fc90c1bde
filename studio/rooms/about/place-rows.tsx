import { exactnesses, type Exactness } from '#core/parts/place.ts';
import type { Height } from '#core/access/height.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { Field } from '../../ui/field.tsx';
import { exactnessWords } from '../../parts/person/place-panel.tsx';
import { ItemHeight } from './item-height.tsx';
import { type PersonSteps, useOnly } from './use-person.ts';

/** The more exactly it says where somebody is, the lower it begins. */
const begins: Record<Exactness, Height> = {
  street: 'private',
  town: 'invited',
  region: 'public',
  country: 'public',
};

function PlaceRow({ page, steps, exactness }: { page: ShownPage; steps: PersonSteps; exactness: Exactness }) {
  const { part, isThere } = useOnly(page, 'place', { exactness, height: begins[exactness] });
  const { name, asked } = exactnessWords[exactness];
  return (
    <li className="about-row">
      <Field
        label={name}
        value={part.text}
        maxLength={120}
        placeholder={asked}
        onChange={(event) => steps.change({ ...part, text: event.target.value })}
      />
      {isThere && <ItemHeight {...{ page, part, steps }} />}
    </li>
  );
}

/** Where the maker is, from the street to none: each as high as they choose, and each reader gets the most exact they may. */
export function PlaceRows({ page, steps }: { page: ShownPage; steps: PersonSteps }) {
  const said = page.parts.filter((part) => part.kind === 'place' && !isEmptyPart(part));
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">
        Place <em>readers get the most exact one that they may have</em>
      </legend>
      <ul className="grid gap-1.5">
        {exactnesses.map((exactness) => (
          <PlaceRow key={exactness} {...{ page, steps, exactness }} />
        ))}
      </ul>
      {said.length === 0 && <p className="note">None is said, and none is needed.</p>}
    </fieldset>
  );
}
