import { Columns3, GitCommitHorizontal, Milestone } from 'lucide-react';
import { en } from '#core/public-words/en.ts';
import { drawnMoments } from '#core/moments/drawn-moments.ts';
import { useSite } from '../../api/site-context.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Segments } from '../../ui/segments.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { ChooseMoments } from './choose-moments.tsx';
import { MomentsPanel } from './moments-panel.tsx';
import { PhaseField } from './phase-field.tsx';

const forms = [
  { value: 'story', name: 'Story', icon: Milestone },
  { value: 'line', name: 'Line', icon: GitCommitHorizontal },
  { value: 'columns', name: 'By phase', icon: Columns3 },
] as const;
const spacings = [
  { value: 'true', name: 'True time' },
  { value: 'even', name: 'Even' },
] as const;

/** Below a selected process: which moments it draws, how, and what readers are told of them. */
export function ProcessPanel({ part, page, onChange }: PartPanelProps<'process'>) {
  const { state } = useSite();
  const kept = state.pages.find(({ id }) => id === page.id);
  return (
    <MomentsPanel
      of="process"
      usual={en.process.title}
      {...{ page, title: part.title, pages: part.pages }}
      onTitle={(title) => onChange({ ...part, title })}
      onPages={(pages) => onChange({ ...part, pages, chosen: [] })}
      above={
        <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
          <div className="grid gap-1">
            <span className="field-name">Drawn as</span>
            <Segments
              label="Form of the process"
              value={part.form}
              options={[...forms]}
              onChange={(form) => onChange({ ...part, form })}
            />
          </div>
          <div className="grid gap-1">
            <span className="field-name">Distance</span>
            <Segments
              label="Distance between moments"
              value={part.spacing}
              options={[...spacings]}
              onChange={(spacing) => onChange({ ...part, spacing })}
            />
          </div>
          <PhaseField
            phase={part.phase}
            none="All phases"
            onChange={(phase) => onChange({ ...part, phase })}
          />
        </div>
      }
      below={
        <>
          <fieldset className="grid gap-1.5">
            <legend className="field-name">Readers are told</legend>
            <CheckField
              name="what was decided, why, what was turned down and what was asked next"
              checked={part.reasons}
              onChange={(reasons) => onChange({ ...part, reasons })}
            />
            <CheckField
              name="with whom it was done"
              checked={part.company}
              onChange={(company) => onChange({ ...part, company })}
            />
            <CheckField
              name="how long it took"
              checked={part.time}
              onChange={(time) => onChange({ ...part, time })}
            />
          </fieldset>
          {kept && (
            <ChooseMoments
              {...{ part, onChange }}
              all={drawnMoments(state.pages, kept, { ...part, chosen: [] })}
            />
          )}
        </>
      }
    />
  );
}
