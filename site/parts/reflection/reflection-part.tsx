import { Paragraphs } from '../../components/paragraphs.tsx';
import type { PartViewProps } from '../part-drawing.ts';

/** What the maker thinks of it now; the questions behind it are theirs. */
export function ReflectionPart({ part }: PartViewProps<'reflection'>) {
  return part.texts.length > 0 ? (
    <div className="reflection">
      <h2>Looking back</h2>
      {part.texts.map((text, at) => (
        <Paragraphs key={at} text={text} />
      ))}
    </div>
  ) : null;
}
