import { useId } from 'react';
import { CopyButton } from '../../ui/copy-button.tsx';

/** HTML to put into another page, with a button that copies it. */
export function EmbedCodeField({ name, code }: { name: string; code: string }) {
  const id = useId();
  return (
    <div>
      <label className="field-name" htmlFor={id}>
        {name} <em>HTML</em>
      </label>
      <div className="flex items-start gap-2">
        <textarea
          id={id}
          className="input min-w-0 flex-1 font-mono text-xs leading-xs"
          rows={2}
          readOnly
          spellCheck={false}
          value={code}
          onFocus={(event) => event.target.select()}
        />
        <CopyButton text={code} of={name} />
      </div>
    </div>
  );
}
