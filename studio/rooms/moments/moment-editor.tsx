import { ArrowLeft, Plus, Trash2, X } from 'lucide-react';
import { useState } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { compareRoughDates } from '#core/dates/rough-date.ts';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { readSpentTime, spentTime } from '#core/moments/spent-time.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { type Moment, mostInMoment } from '#core/parts/moment.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import { PhaseField } from '../../parts/process/phase-field.tsx';
import { Button } from '../../ui/button.tsx';
import { DateField } from '../../ui/date-field.tsx';
import { Field } from '../../ui/field.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { materialName, MaterialPicture } from '../../ui/material-picture.tsx';
import { SelectField } from '../../ui/select.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { RoughDateField } from '../../ui/rough-date-field.tsx';
import { SkillsShown } from './skills-shown.tsx';
import type { MomentSteps } from './use-moments.ts';

interface MomentEditorProps {
  page: ShownPage;
  moment: Moment;
  steps: MomentSteps;
  onGone: () => void;
}

/** What there is to see of it: one in front, the others behind. */
function Materials({ moment, onChange }: { moment: Moment; onChange: (materials: string[]) => void }) {
  const { state } = useSite();
  const shown = moment.materials.flatMap((id) => state.materials.find((one) => one.id === id) ?? []);
  const [front, ...others] = shown;
  return (
    <div className="grid content-start gap-2">
      {front && (
        <figure className="group relative">
          <MaterialPicture material={front} className="max-h-64 w-full bg-sunk object-contain" />
          <IconButton
            small
            className="absolute top-1 right-1 bg-raised"
            label={`Take ${materialName(front)} out of the moment`}
            onClick={() => onChange(moment.materials.filter((id) => id !== front.id))}
          >
            <X size={15} aria-hidden="true" />
          </IconButton>
        </figure>
      )}
      <ul className="flex flex-wrap gap-2" aria-label="Behind it">
        {others.map((material) => (
          <li key={material.id} className="relative">
            <MaterialPicture material={material} size={480} className="h-18 w-24 object-cover" shows="name" />
            <span className="absolute top-0.5 right-0.5 flex gap-0.5 bg-raised">
              <IconButton
                small
                label={`Put ${materialName(material)} in front`}
                onClick={() =>
                  onChange([material.id, ...moment.materials.filter((id) => id !== material.id)])
                }
              >
                <ArrowLeft size={14} aria-hidden="true" />
              </IconButton>
              <IconButton
                small
                label={`Take ${materialName(material)} out of the moment`}
                onClick={() => onChange(moment.materials.filter((id) => id !== material.id))}
              >
                <X size={14} aria-hidden="true" />
              </IconButton>
            </span>
          </li>
        ))}
        {moment.materials.length < mostInMoment && (
          <li>
            <PickMaterials
              kind="any"
              title="What there is to see of this moment"
              most={mostInMoment - moment.materials.length}
              without={moment.materials}
              onPick={(ids) => onChange([...moment.materials, ...ids])}
            >
              <Button small>
                <Plus size={15} aria-hidden="true" /> Pictures and files
              </Button>
            </PickMaterials>
          </li>
        )}
      </ul>
    </div>
  );
}

/** One moment. Only its date has to be there. */
export function MomentEditor({ page, moment, steps, onGone }: MomentEditorProps) {
  const { state } = useSite();
  const undoNotice = useUndoNotice();
  const [asked, setAsked] = useState(false);
  const change = (more: Partial<Moment>) => steps.change({ ...moment, ...more });
  const later = momentsOf(page.parts)
    .filter(({ id, date }) => id !== moment.id && compareRoughDates(moment.date, date) <= 0)
    .sort((a, b) => compareRoughDates(a.date, b.date));
  const text = (label: string, key: 'happened' | 'decided' | 'why' | 'turnedDown' | 'next', rows = 2) => (
    <TextField
      label={label}
      value={moment[key]}
      most={4000}
      rows={rows}
      onChange={(value) => change({ [key]: value })}
    />
  );
  return (
    <section aria-label={moment.title || 'Moment without a name'} className="moment-sheet">
      <Materials moment={moment} onChange={(materials) => change({ materials })} />
      <div className="grid content-start gap-4">
        <header className="flex items-end gap-2">
          <div className="flex-1">
            <Field
              label="What it was"
              hint="a few words"
              value={moment.title}
              maxLength={160}
              onChange={({ target }) => change({ title: target.value })}
            />
          </div>
          <IconButton
            label="Take this moment off"
            onClick={() => {
              steps.remove(moment);
              onGone();
            }}
          >
            <Trash2 size={16} aria-hidden="true" />
          </IconButton>
        </header>
        <RoughDateField key={moment.id} date={moment.date} onChange={(date) => change({ date })} />
        {text('What happened', 'happened', 3)}
        {asked || moment.decided || moment.why || moment.turnedDown || moment.next ? (
          <div className="moment-reasons">
            {text('Decided', 'decided')}
            {text('Why', 'why')}
            {text('Turned down', 'turnedDown')}
            {text('Next question', 'next')}
            {moment.decided && later.length > 0 && (
              <SelectField
                name="What it led to"
                value={moment.ledTo ?? ''}
                options={[
                  { value: '', name: 'Not said' },
                  ...later.map(({ id, title, date }) => ({
                    value: id,
                    name: title || roughDateForReaders(date, 'en'),
                  })),
                ]}
                onChange={(id) => change({ ledTo: id === '' ? null : id })}
              />
            )}
          </div>
        ) : (
          <button type="button" className="link w-fit" onClick={() => setAsked(true)}>
            What was decided, and why
          </button>
        )}
        <div className="flex flex-wrap items-end gap-x-4 gap-y-3">
          <PhaseField phase={moment.phase} none="None" onChange={(phase) => change({ phase })} />
          <div className="w-36">
            <DateField
              label="Time spent"
              hint=""
              value={moment.minutes === null ? null : String(moment.minutes)}
              read={(typed) => readSpentTime(typed)?.toString() ?? null}
              inWords={(minutes) => spentTime(Number(minutes))}
              wrong="Write hours and minutes: 3 h 30, 3:30, 90 min."
              empty="not said"
              onChange={(minutes) => change({ minutes: minutes === null ? null : Number(minutes) })}
            />
          </div>
          <div className="min-w-40 flex-1">
            <Field
              label="With whom"
              value={moment.with}
              maxLength={160}
              onChange={({ target }) => change({ with: target.value })}
            />
          </div>
        </div>
        <SelectField
          name="Kept on"
          value={page.id}
          options={state.pages
            .filter(isShown)
            .filter(({ id, archived }) => id === page.id || !archived)
            .map((one) => ({ value: one.id, name: pageName(one) }))}
          onChange={(to) => {
            if (to === page.id) return;
            void steps.moveTo(moment, to).then((moved) => {
              if (!moved) return;
              onGone();
              const there = state.pages.find(({ id }) => id === to);
              undoNotice(`It is kept on ${there ? pageName(there) : 'the other page'} now.`);
            });
          }}
        />
        <SkillsShown page={page} moment={moment} />
        <HeightRow
          of={`the moment ${moment.title}`}
          effective={effectiveHeight(state, { page: page.id, part: moment.id })}
          onChange={(height) => change({ height })}
        />
      </div>
    </section>
  );
}
