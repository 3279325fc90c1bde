import { type DragEvent, type ReactNode, useEffect } from 'react';
import { useDropzone } from 'react-dropzone';

interface DropFilesProps {
  onFiles: (files: File[]) => void;
  /** Gets words that are pasted outside of every field, or a link that is dropped. */
  onText?: (text: string) => void;
  /** Gets what is pasted outside of every field with its structure: words of a document or a web page. */
  onHtml?: (html: string, files: File[]) => void;
  /** Gets what opens the file picker. */
  children: (pick: () => void) => ReactNode;
  className?: string;
}

/** Words pasted there belong to the field. */
const takesText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.closest('input, textarea, select, [role="dialog"]') !== null);

/**
 * A place that takes files by drop, by paste anywhere in the room, or by the picker. What kind of file it is is
 * told by the server from its content, so nothing is turned away by name here.
 */
export function DropFiles({ onFiles, onText, onHtml, children, className = '' }: DropFilesProps) {
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    onDrop: (files) => files.length > 0 && onFiles(files),
    noClick: true,
    noKeyboard: true,
    multiple: true,
  });
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      // An editor has taken it already.
      if (event.defaultPrevented) return;
      const files = [...(event.clipboardData?.files ?? [])];
      const text = event.clipboardData?.getData('text/plain') ?? '';
      const html = event.clipboardData?.getData('text/html') ?? '';
      // Some programs add a picture of the words to the words.
      if (
        onHtml &&
        html !== '' &&
        text.trim() !== '' &&
        !takesText(event.target) &&
        /\n|<(h\d|li|p|tr)\b/i.test(html)
      ) {
        event.preventDefault();
        onHtml(html, files);
      } else if (files.length > 0) {
        event.preventDefault();
        onFiles(files);
      } else if (onText && text.trim() !== '' && !takesText(event.target)) {
        event.preventDefault();
        onText(text);
      }
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [onFiles, onHtml, onText]);
  return (
    <div
      {...getRootProps({
        role: undefined,
        tabIndex: undefined,
        onDrop: (event: DragEvent) => {
          const link = event.dataTransfer.getData('text/uri-list').split(/\r?\n/, 1)[0];
          if (onText && link && event.dataTransfer.files.length === 0) onText(link);
        },
      })}
      className={`relative ${className}`}
    >
      <input {...getInputProps({ 'aria-label': 'Choose files' })} />
      {children(open)}
      {isDragActive && (
        <div className="pointer-events-none absolute inset-2 z-20 grid place-items-center border-2 border-dashed border-sky bg-[#e3ecf5d9]">
          <p className="font-head text-2xl font-bold text-sky">Let go to add them</p>
        </div>
      )}
    </div>
  );
}
