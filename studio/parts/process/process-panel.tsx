import { Columns3, GitCommitHorizontal, Milestone } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { en } from '#core/public-words/en.ts';
import { drawnMoments } from '#core/moments/drawn-moments.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { phaseName } from '#core/moments/phases.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { isShown, shownOn } from '#core/pages/page.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Field } from '../../ui/field.tsx';
import { Segments } from '../../ui/segments.tsx';
import { SelectField } from '../../ui/select.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { ChooseMoments } from './choose-moments.tsx';

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
  const withMoments = state.pages
    .filter(isShown)
    .filter((one) => !one.archived && momentsOf(shownOn(one).parts).length > 0);
  const chosen = new Set(part.pages);
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
      <fieldset className="grid gap-1.5">
        <legend className="field-name">Moments of</legend>
        <CheckField
          name={rulesOfPage(page).isFront ? 'All pages of the site' : 'This page and what hangs below it'}
          checked={part.pages === null}
          onChange={(all) => onChange({ ...part, pages: all ? null : [page.id], chosen: [] })}
        />
        {part.pages !== null &&
          withMoments.map((one) => (
            <CheckField
              key={one.id}
              name={`${pageName(one)}, ${plural(momentsOf(one.parts).length, 'moment')}`}
              checked={chosen.has(one.id)}
              onChange={(wanted) =>
                onChange({
                  ...part,
                  pages: wanted ? [...chosen, one.id] : [...chosen].filter((id) => id !== one.id),
                })
              }
            />
          ))}
      </fieldset>
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
