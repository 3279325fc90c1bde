import { useId, useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';

/** A place for the words of an old résumé. */
export function PasteDialog({
  start,
  onText,
  onClose,
}: {
  /** What was pasted before, and not taken in. */
  start: string;
  onText: (text: string) => void;
  onClose: () => void;
}) {
  const id = useId();
  const [text, setText] = useState(start);
  return (
    <Dialog title="Paste a résumé" onClose={onClose}>
      <label className="field-name" htmlFor={id}>
        Its words <em>with its headings and line ends</em>
      </label>
      <textarea
        id={id}
        className="input"
        rows={12}
        value={text}
        maxLength={60_000}
        onChange={({ target }) => setText(target.value)}
      />
      <Button look="ink" className="mt-3" disabled={text.trim() === ''} onClick={() => onText(text)}>
        Look for entries
      </Button>
    </Dialog>
  );
}
