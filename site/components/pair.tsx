import { Children, type ReactNode } from 'react';
import { useProperties } from '../render/declarations.ts';
import { useSlots } from './slots.ts';

interface PairProps {
  /** How much of the width the first of the two gets. */
  share: number;
  /** Id of the part that stands beside the other. */
  second: string;
  children: ReactNode;
}

/** Two parts beside each other; below each other where there is no room. */
export function Pair({ share, second, children }: PairProps) {
  const attach = useProperties();
  const slots = useSlots();
  const [one, other] = Children.toArray(children);
  return (
    <div
      {...attach({ '--share': `${share}fr`, '--rest': `${Math.round((1 - share) * 1000) / 1000}fr` }, 'pair')}
    >
      <div className="half">{one}</div>
      <div className="half">{other}</div>
      {slots.share?.(second, share)}
    </div>
  );
}
