import { Plus, X } from 'lucide-react';
import { profileKinds } from '#core/about/profile-kinds.ts';
import type { Profile } from '#core/parts/profiles.ts';
import { en } from '#core/public-words/en.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Select } from '../../ui/select.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** Where else the maker can be found, and with what. */
export function ProfilesPanel({ part, onChange }: PartPanelProps<'profiles'>) {
  const set = (list: Profile[]) => onChange({ ...part, list });
  const change = (at: number, more: Partial<Profile>) =>
    set(part.list.map((one, n) => (n === at ? { ...one, ...more } : one)));
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">
        Links <em>where else you are</em>
      </legend>
      <ul className="grid gap-3 empty:hidden">
        {part.list.map(({ name, to, is }, at) => (
          <li key={at} className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-1 gap-y-2">
            <input
              className="input"
              aria-label={`Name of link ${at + 1}`}
              placeholder="Name"
              value={name}
              maxLength={80}
              onChange={(event) => change(at, { name: event.target.value })}
            />
            <Select
              label={`What is behind link ${at + 1}`}
              value={is}
              options={profileKinds.map((value) => ({ value, name: en.profiles[value] }))}
              onChange={(value) => change(at, { is: value })}
            />
            <IconButton
              small
              label={`Take off ${name || `link ${at + 1}`}`}
              onClick={() => set(part.list.filter((_, n) => n !== at))}
            >
              <X size={15} aria-hidden="true" />
            </IconButton>
            <div className="col-span-full">
              <WebAddressField
                label={`Address of ${name || `link ${at + 1}`}`}
                hint=""
                value={to}
                onChange={(address) => change(at, { to: address })}
              />
            </div>
          </li>
        ))}
      </ul>
      {part.list.length < 12 && (
        <Button small className="w-fit" onClick={() => set([...part.list, { name: '', to: '', is: 'work' }])}>
          <Plus size={15} aria-hidden="true" />
          Add a link
        </Button>
      )}
    </fieldset>
  );
}
