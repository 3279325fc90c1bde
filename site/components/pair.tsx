import { Children, type ReactNode } from 'react';
import type { quarterShares } from '#core/parts/beside.ts';
import { useSlots } from './slots.ts';

interface PairProps {
  /** How much of the width the first of the two gets. */
  share: (typeof quarterShares)[number];
  /** Id of the part that stands beside the other. */
  second: string;
  children: ReactNode;
}

/** Two parts beside each other on the quarters of the page; below each other where there is no room. */
export function Pair({ share, second, children }: PairProps) {
  const slots = useSlots();
  const [one, other] = Children.toArray(children);
  return (
    <div className="on-grid pair" data-share={share * 100}>
      <div className="half">{one}</div>
      <div className="half">{other}</div>
      {slots.share?.(second, share)}
    </div>
  );
}
