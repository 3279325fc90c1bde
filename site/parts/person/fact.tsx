import type { ReactNode } from 'react';
import { useSpoken } from '../../render/words.ts';

/** One fact about the maker, under its name. */
export function Fact({ name, children }: { name: string; children: ReactNode }) {
  const { lang } = useSpoken();
  return (
    <div className="person-fact">
      <h3 {...lang}>{name}</h3>
      {children}
    </div>
  );
}
