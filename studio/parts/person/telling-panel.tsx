import { questionIds } from '#core/about/halves.ts';
import { questions } from '#core/about/questions.ts';
import { isWork } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { Select } from '../../ui/select.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** One half: our questions in the margin, the maker's sentences in the type that readers get. */
export function TellingPanel({ part, onChange }: PartPanelProps<'telling'>) {
  const { state } = useSite();
  const work = state.pages.filter((page) => isWork(page) && !page.archived);
  const set = (id: string, more: { text?: string; proof?: string | null }) => {
    const known = part.answers.find((one) => one.id === id) ?? { id, text: '', proof: null };
    const next = { ...known, ...more };
    const others = part.answers.filter((one) => one.id !== id);
    onChange({ ...part, answers: next.text === '' && next.proof === null ? others : [...others, next] });
  };
  return (
    <ul className="grid">
      {questionIds[part.half].map((id) => {
        const asked = questions[id] ?? '';
        const answer = part.answers.find((one) => one.id === id);
        return (
          <li
            key={id}
            className="grid grid-cols-[minmax(0,8.5rem)_minmax(0,1fr)] gap-x-3 border-t border-dashed border-t-edge py-2.5 first:border-t-0 phone:grid-cols-[minmax(0,1fr)]"
          >
            <label htmlFor={`${part.id}-${id}`} className="pt-1.5 text-s leading-s text-ink-2">
              {asked}
            </label>
            <div className="grid gap-1">
              <textarea
                id={`${part.id}-${id}`}
                className="told-answer input"
                rows={2}
                maxLength={600}
                placeholder="One sentence will do."
                value={answer?.text ?? ''}
                onChange={(event) => set(id, { text: event.target.value })}
              />
              {answer && answer.text.trim() !== '' && work.length > 0 && (
                <Select
                  label={`What proves “${asked}”`}
                  className="input min-h-8 max-w-60 text-s"
                  value={answer.proof ?? ''}
                  options={[
                    { value: '', name: 'No page proves it' },
                    ...work.map((page) => ({ value: page.id, name: `Shown in ${pageName(page)}` })),
                  ]}
                  onChange={(proof) => set(id, { proof: proof === '' ? null : proof })}
                />
              )}
            </div>
          </li>
        );
      })}
    </ul>
  );
}
