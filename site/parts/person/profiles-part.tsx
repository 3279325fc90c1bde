import { hostOf } from '#core/links/host-of.ts';
import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';
import { Fact } from './fact.tsx';

/** Where else the maker can be found, and with what. */
export function ProfilesPart({ part }: PartViewProps<'profiles'>) {
  const { words, lang } = useSpoken();
  return (
    <Fact name={words.elsewhere}>
      <ul>
        {part.list.map(({ name, to, is }, at) => (
          <li key={at}>
            <a href={to} rel="me noopener">
              {name.trim() || hostOf(to)}
            </a>
            <span className="meta" {...lang}>
              , {words.profiles[is]}
            </span>
          </li>
        ))}
      </ul>
    </Fact>
  );
}
