import { WordsView } from '../../components/words-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

export function WordsPart({ part }: PartViewProps<'words'>) {
  return (
    <div className="on-grid words">
      <WordsView text={part.text} />
    </div>
  );
}
