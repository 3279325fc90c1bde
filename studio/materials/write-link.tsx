import { useState } from 'react';
import { useTypedIn } from '../api/use-typed-in.ts';
import { WriteDialog } from './write-dialog.tsx';

/** Gathers a link: a page, or a clip at its host. */
export function WriteLink({
  onAdded,
  onClose,
}: {
  onAdded: (material: string, duplicate: boolean) => void;
  onClose: () => void;
}) {
  const { link } = useTypedIn();
  const [address, setAddress] = useState('');
  const keep = async () => {
    const added = await link(address);
    if (added.material === null) return added.problem;
    onAdded(added.material, added.duplicate);
    return '';
  };
  return (
    <WriteDialog
      title="Add a link"
      keep="Add the link"
      busyWords="Reading the page."
      onKeep={keep}
      onClose={onClose}
    >
      {({ id, invalid }) => (
        <label className="block">
          <span className="field-name">
            Web address <em>of a page, or of a clip at its host</em>
          </span>
          <input
            className="input"
            inputMode="url"
            autoComplete="off"
            spellCheck={false}
            placeholder="https://"
            value={address}
            aria-invalid={invalid}
            aria-describedby={invalid ? id : undefined}
            onChange={(event) => setAddress(event.target.value)}
          />
        </label>
      )}
    </WriteDialog>
  );
}
