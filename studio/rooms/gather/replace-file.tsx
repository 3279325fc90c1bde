import { useRef, useState } from 'react';
import type { Material } from '#core/materials/material.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { replaceFile } from '../../api/upload-file.ts';
import { Button } from '../../ui/button.tsx';

/** Another file for the same material: its words, facts, fixes and places stay. */
export function ReplaceFile({ material }: { material: Material }) {
  const { state, run } = useSite();
  const undoNotice = useUndoNotice();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const replace = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    const done = await run(() => replaceFile(state.site.id, material.id, file));
    setBusy(false);
    if (done) undoNotice('The file is another one now; everything said about it stays.');
  };
  return (
    <>
      <Button small disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Being read' : 'Replace the file'}
      </Button>
      <input
        ref={input}
        type="file"
        className="hidden"
        aria-label="Another file"
        onChange={(event) => {
          void replace(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}
