import { Paragraphs } from '../../components/paragraphs.tsx';
import type { PartViewProps } from '../part-drawing.ts';

/** What the maker thinks of it now; the questions behind it are theirs. */
export function ReflectionPart({ part }: PartViewProps<'reflection'>) {
  return part.texts.length > 0 ? (
    <div className="on-grid reflection">
      <h2>Looking back</h2>
      {part.texts.map((text, at) => (
        <div key={at}>
          <Paragraphs text={text} />
        </div>
      ))}
    </div>
  ) : null;
}
