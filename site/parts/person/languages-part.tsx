import { useContext } from 'react';
import { languageInWords } from '#core/about/language-in-words.ts';
import { LanguageContext, useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';
import { Fact } from './fact.tsx';

export function LanguagesPart({ part }: PartViewProps<'languages'>) {
  const { words, lang } = useSpoken();
  const language = useContext(LanguageContext);
  return (
    <Fact name={words.languages}>
      <ul {...lang}>
        {part.list.map((one) => (
          <li key={one.language}>{languageInWords(one, language)}</li>
        ))}
      </ul>
    </Fact>
  );
}
