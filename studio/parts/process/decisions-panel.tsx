import { en } from '#core/public-words/en.ts';
import type { PartPanelProps } from '../part-settings.ts';
import { MomentsPanel } from './moments-panel.tsx';

/** Below a selected table of decisions: its heading, and of which pages it tells. */
export function DecisionsPanel({ part, page, onChange }: PartPanelProps<'decisions'>) {
  return (
    <MomentsPanel
      of="table"
      usual={en.process.decisions}
      {...{ page, title: part.title, pages: part.pages }}
      onTitle={(title) => onChange({ ...part, title })}
      onPages={(pages) => onChange({ ...part, pages })}
      below={
        <p className="note">
          A moment stands in it once it says what was decided, for whoever may have the moment.
        </p>
      }
    />
  );
}
