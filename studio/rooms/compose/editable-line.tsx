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

/** Goes on to the next such line of the page; the last one keeps the focus. */
function goOn(from: HTMLElement): void {
  const lines = [...document.querySelectorAll<HTMLElement>('.editable-line')];
  const next = lines[lines.indexOf(from) + 1];
  if (!next) return;
  next.focus();
  document.getSelection()?.selectAllChildren(next);
  document.getSelection()?.collapseToEnd();
}

/** A line of text edited where it stands on the page. Enter goes on to the next one; pasted text loses its line breaks. */
export function EditableLine({ value, onChange, label, placeholder, most }: EditableLineProps) {
  const element = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    // Only what came from elsewhere (undo, another tab) is written in; what is being typed stays untouched.
    if (element.current && element.current.textContent !== value) element.current.textContent = value;
  }, [value]);
  return (
    <span
      ref={element}
      className="editable-line inline-block min-w-[4ch] max-w-full whitespace-pre-wrap rounded-[2px] cursor-text py-[3px] -my-[3px] data-empty:before:[content:attr(data-placeholder)] data-empty:before:opacity-72 hover:shadow-[0_0_0_1px_currentcolor] focus:outline-none focus:shadow-[0_0_0_2px_#fffdf8,0_0_0_4px_#be3d16]"
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
          goOn(event.currentTarget);
        }
      }}
    />
  );
}
