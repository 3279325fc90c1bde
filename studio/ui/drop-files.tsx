import { type DragEvent, type ReactNode, useEffect } from 'react';
import { useDropzone } from 'react-dropzone';

/** Where something was let go of, in px of the window. */
export interface Point {
  x: number;
  y: number;
}

interface DropFilesProps {
  /** `at`: where they were let go of; null when they were pasted or picked. */
  onFiles: (files: File[], at: Point | null) => void;
  /** Gets words that are pasted outside of every field, or a link that is dropped. */
  onText?: (text: string, at: Point | null) => void;
  /** Gets what is pasted outside of every field with its structure: words of a document or a web page. */
  onHtml?: (html: string, files: File[]) => void;
  /** Told where files or a link are while they are dragged over; null when they have left. Then nothing is laid over the place. */
  onOver?: (at: Point | null) => void;
  /** Gets what opens the file picker. */
  children: (pick: () => void) => ReactNode;
  className?: string;
}

/** Words pasted there belong to the field. */
const takesText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.closest('input, textarea, select, [role="dialog"]') !== null);

const pointOf = ({ clientX, clientY }: { clientX: number; clientY: number }): Point => ({
  x: clientX,
  y: clientY,
});

/**
 * A place that takes files by drop, by paste anywhere in the room, or by the picker. What kind of file it is is
 * told by the server from its content, so nothing is turned away by name here.
 */
export function DropFiles({ onFiles, onText, onHtml, onOver, children, className = '' }: DropFilesProps) {
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    onDrop: (files, _, event) => {
      if (files.length > 0) onFiles(files, 'clientX' in event ? pointOf(event as DragEvent) : null);
    },
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
        onFiles(files, null);
      } else if (onText && text.trim() !== '' && !takesText(event.target)) {
        event.preventDefault();
        onText(text, null);
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
        onDragOver: (event: DragEvent) => onOver?.(pointOf(event)),
        onDragLeave: (event: DragEvent) => {
          const to = event.relatedTarget;
          if (!(to instanceof Node && event.currentTarget.contains(to))) onOver?.(null);
        },
        onDrop: (event: DragEvent) => {
          onOver?.(null);
          const link = event.dataTransfer.getData('text/uri-list').split(/\r?\n/, 1)[0];
          if (onText && link && event.dataTransfer.files.length === 0) onText(link, pointOf(event));
        },
      })}
      className={`relative ${className}`}
    >
      <input {...getInputProps({ 'aria-label': 'Choose files' })} />
      {children(open)}
      {isDragActive && !onOver && (
        <div className="pointer-events-none absolute inset-2 z-20 grid place-items-center border-2 border-dashed border-sky bg-[#e3ecf5d9]">
          <p className="font-head text-2xl font-bold text-sky">Let go to add them</p>
        </div>
      )}
    </div>
  );
}
