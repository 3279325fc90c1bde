import { Columns3, GitCommitHorizontal, Milestone } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { en } from '#core/public-words/en.ts';
import { drawnMoments } from '#core/moments/drawn-moments.ts';
import { phaseName } from '#core/moments/phases.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Field } from '../../ui/field.tsx';
import { Segments } from '../../ui/segments.tsx';
import { SelectField } from '../../ui/select.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { ChooseMoments } from './choose-moments.tsx';
import { PagesWithMoments } from './pages-with-moments.tsx';

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
  const { site = '' } = useParams();
  const { state } = useSite();
  const kept = state.pages.find(({ id }) => id === page.id);
  return (
    <div className="grid gap-3">
      <Field
        label="Heading of the process"
        hint="if it needs another one"
        placeholder={en.process.title}
        value={part.title}
        maxLength={120}
        onChange={({ target }) => onChange({ ...part, title: target.value })}
      />
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
        <SelectField
          name="Phase"
          value={part.phase ?? ''}
          options={[
            { value: '', name: 'All phases' },
            ...state.site.phases.map((phase) => ({
              value: phase.id,
              name: phaseName(phase, en.process.phases, 'Phase without a name'),
            })),
          ]}
          onChange={(phase) => onChange({ ...part, phase: phase === '' ? null : phase })}
        />
      </div>
      <PagesWithMoments
        page={page}
        pages={part.pages}
        onChange={(pages) => onChange({ ...part, pages, chosen: [] })}
      />
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
      <p>
        <Button asChild small>
          <Link to={`/${site}/projects/${page.id}/moments`}>Moments of this page</Link>
        </Button>
      </p>
    </div>
  );
}
