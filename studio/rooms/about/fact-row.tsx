import type { ComponentType } from 'react';
import type { ShownPage } from '#core/pages/page.ts';
import type { PartKind } from '#core/parts/parts.ts';
import type { PartPanelProps } from '../../parts/part-settings.ts';
import { ItemHeight } from './item-height.tsx';
import { type PersonSteps, useOnly } from './use-person.ts';

interface FactRowProps<K extends PartKind> {
  page: ShownPage;
  steps: PersonSteps;
  kind: K;
  Panel: ComponentType<PartPanelProps<K>>;
}

/** One fact about the maker, with who may have it. */
export function FactRow<K extends PartKind>({ page, steps, kind, Panel }: FactRowProps<K>) {
  const { part, isThere } = useOnly(page, kind);
  return (
    <div className="about-row">
      <Panel part={part} page={page} onChange={steps.change} onReplace={() => undefined} />
      {isThere && <ItemHeight {...{ page, steps }} part={part as never} />}
    </div>
  );
}
