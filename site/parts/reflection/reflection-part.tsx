import { Paragraphs } from '../../components/paragraphs.tsx';
import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** What the maker thinks of it now; the questions behind it are theirs. */
export function ReflectionPart({ part }: PartViewProps<'reflection'>) {
  const { words, lang } = useSpoken();
  return part.texts.length > 0 ? (
    <div className="on-grid reflection">
      <h2 {...lang}>{words.lookingBack}</h2>
      {part.texts.map((text, at) => (
        <div key={at}>
          <Paragraphs text={text} />
        </div>
      ))}
    </div>
  ) : null;
}
