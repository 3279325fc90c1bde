import { wallLabels } from '#core/sites/wall-labels.ts';
import { useSite } from '../../api/site-context.tsx';
import { wallLabelNames } from '../../ui/arrangement-names.ts';
import { SelectField } from '../../ui/select.tsx';

/** What is said of work on the wall, and where. */
export function WallLooks() {
  const { state, changeSite } = useSite();
  const { wall, wallLabels: labels, wallDates, wallTags } = state.site;
  const plain = wall === 'list' || wall === 'groups';
  return (
    <div className="grid gap-2">
      <SelectField
        name="The name of each stands"
        value={labels}
        options={wallLabels.map((value) => ({ value, name: wallLabelNames[value] }))}
        onChange={(value) => changeSite({ wallLabels: value }, 'Where names stand on the wall')}
      />
      {((wall === 'list' && labels !== 'below') || (plain && labels === 'outside')) && (
        <p className="note">
          {wall === 'list'
            ? 'In a list, names stand beside their pictures.'
            : 'By groups, each name stays with its picture.'}
        </p>
      )}
      <div className="flex flex-wrap gap-x-4">
        <label className="check">
          <input
            type="checkbox"
            checked={wallDates}
            onChange={(event) => changeSite({ wallDates: event.target.checked }, 'Dates on the wall')}
          />
          With dates
        </label>
        <label className="check">
          <input
            type="checkbox"
            checked={wallTags}
            onChange={(event) => changeSite({ wallTags: event.target.checked }, 'Tags on the wall')}
          />
          With tags
        </label>
      </div>
    </div>
  );
}
