import { cut } from '#core/words/cut.ts';
import { oneLine } from '#core/words/one-line.ts';
import { useEffect, useRef } from 'react';

interface EditableLineProps {
  value: string;
  onChange: (value: string) => void;
  label: string;
  placeholder: string;
  most: number;
}

/** A line of text edited where it stands on the page. Enter leaves it; pasted text loses its line breaks. */
export function EditableLine({ value, onChange, label, placeholder, most }: EditableLineProps) {
  const element = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    // Only what came from elsewhere (undo, another tab) is written in; what is being typed stays untouched.
    if (element.current && element.current.textContent !== value) element.current.textContent = value;
  }, [value]);
  return (
    <span
      ref={element}
      className="editable-line"
      contentEditable="plaintext-only"
      suppressContentEditableWarning
      role="textbox"
      tabIndex={0}
      aria-label={label}
      data-placeholder={placeholder}
      data-empty={value === '' || undefined}
      onInput={(event) => {
        const typed = oneLine(event.currentTarget.textContent);
        if (typed.length > most) event.currentTarget.textContent = cut(typed, most);
        onChange(cut(typed, most));
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          event.currentTarget.blur();
        }
      }}
    />
  );
}
