import type { PartInPlaceProps } from '../part-settings.ts';
import { WordsEditor } from './words-editor.tsx';

/** A words part, written in the page itself. */
export function WordsInPlace({ part, at, onChange, onTie, onPaste, children }: PartInPlaceProps<'words'>) {
  return (
    <WordsEditor
      text={part.text}
      at={at}
      onPaste={onPaste}
      onSlash={onTie}
      onChange={(text) => onChange({ ...part, text })}
    >
      {children}
    </WordsEditor>
  );
}
