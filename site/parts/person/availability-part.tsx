import { useContext } from 'react';
import { daysForReaders } from '#core/about/days-for-readers.ts';
import { LanguageContext, useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';
import { Fact } from './fact.tsx';

export function AvailabilityPart({ part }: PartViewProps<'availability'>) {
  const { words, lang } = useSpoken();
  const days = daysForReaders(part.from, part.to, useContext(LanguageContext));
  return (
    <Fact name={words.freeFor}>
      <p>{part.text}</p>
      {days && (
        <p className="meta" {...lang}>
          {days}
        </p>
      )}
    </Fact>
  );
}
