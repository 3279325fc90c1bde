import { Paragraphs } from '../../components/paragraphs.tsx';
import type { PartViewProps } from '../part-drawing.ts';

export function QuotePart({ part }: PartViewProps<'quote'>) {
  return (
    <figure className="on-grid quote">
      <blockquote>
        <Paragraphs text={part.text} />
      </blockquote>
      {part.by && <figcaption>{part.by}</figcaption>}
    </figure>
  );
}
