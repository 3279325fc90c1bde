import { effectiveHeight } from '#core/access/effective-height.ts';
import type { ShownPage } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { itemName } from './item-name.ts';
import type { PersonSteps } from './use-person.ts';

/** How high one thing about the maker flies, to be chosen. */
export function ItemHeight({ page, part, steps }: { page: ShownPage; part: Part; steps: PersonSteps }) {
  const { state } = useSite();
  return (
    <HeightRow
      compact
      of={itemName(part)}
      effective={effectiveHeight(state, { page: page.id, part: part.id })}
      onChange={(height) => steps.change({ ...part, height })}
    />
  );
}
