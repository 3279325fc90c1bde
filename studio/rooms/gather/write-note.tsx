import { useState } from 'react';
import { useTypedIn } from '../../api/use-typed-in.ts';
import { WriteDialog } from '../../materials/write-dialog.tsx';

/** Gathers a note: a decision, a question, what somebody said. */
export function WriteNote({
  pasted = '',
  onAdded,
  onClose,
}: {
  /** Words it starts with. */
  pasted?: string;
  onAdded: (material: string, duplicate: boolean) => void;
  onClose: () => void;
}) {
  const { note } = useTypedIn();
  const [text, setText] = useState(pasted);
  const keep = async () => {
    const added = await note(text);
    if (added.material === null) return added.problem;
    onAdded(added.material, false);
    return '';
  };
  return (
    <WriteDialog title="Write a note" keep="Keep the note" busyWords="" onKeep={keep} onClose={onClose}>
      {({ id, invalid }) => (
        <label className="block">
          <span className="field-name">
            Words <em>for you alone, until you put them on a page</em>
          </span>
          <textarea
            className="input"
            rows={7}
            maxLength={200_000}
            value={text}
            aria-invalid={invalid}
            aria-describedby={invalid ? id : undefined}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
      )}
    </WriteDialog>
  );
}
