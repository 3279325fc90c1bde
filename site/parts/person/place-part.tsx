import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';
import { Fact } from './fact.tsx';

export function PlacePart({ part }: PartViewProps<'place'>) {
  return (
    <Fact name={useSpoken().words.where}>
      <p>{part.text}</p>
    </Fact>
  );
}
