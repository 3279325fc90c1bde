import { Plus, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { TextField } from '../../ui/text-field.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { newId } from '../new-id.ts';

/** Questions that help to look back; a maker picks those that fit, or writes their own. */
const questions = [
  'What went well, and why?',
  'What would you do differently next time?',
  'What did it teach you?',
  'Which decision was the hardest?',
  'What did others say, and what did you make of it?',
  'What comes next?',
];

/** Below a selected reflection: the questions its maker picked, with room to answer each. */
export function ReflectionPanel({ part, onChange }: PartPanelProps<'reflection'>) {
  const [own, setOwn] = useState('');
  const { answers } = part;
  const set = (next: typeof answers) => onChange({ ...part, answers: next });
  // What was asked is answered next, and what was taken off is asked again: the focus goes where its maker goes on.
  const panel = useRef<HTMLDivElement>(null);
  const [next, setNext] = useState<string | null>(null);
  useEffect(() => {
    if (next !== null) panel.current?.querySelector<HTMLElement>(next)?.focus();
  }, [next]);
  const ask = (question: string) => {
    const id = newId();
    set([...answers, { id, question, text: '' }]);
    setNext(`[data-answer="${id}"] textarea`);
  };
  const left = questions.filter((question) => !answers.some((one) => one.question === question));
  return (
    <div ref={panel} className="grid gap-3">
      {answers.map(({ id, question, text }) => (
        <div key={id} data-answer={id} className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-2">
          <TextField
            label={question}
            value={text}
            most={6000}
            rows={4}
            onChange={(next) => set(answers.map((one) => (one.id === id ? { ...one, text: next } : one)))}
          />
          <IconButton
            small
            label={`Take off “${question}”`}
            onClick={() => {
              set(answers.filter((one) => one.id !== id));
              setNext('li button');
            }}
          >
            <X size={16} aria-hidden="true" />
          </IconButton>
        </div>
      ))}
      {answers.length < 12 && (
        <div>
          <p className="field-name">
            Questions <em>to guide you; readers see only what you answer</em>
          </p>
          <ul className="flex flex-wrap gap-2">
            {left.map((question) => (
              <li key={question}>
                <Button small onClick={() => ask(question)}>
                  <Plus size={14} aria-hidden="true" />
                  {question}
                </Button>
              </li>
            ))}
          </ul>
          <form
            className="mt-2 flex flex-wrap gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              if (own.trim() === '') return;
              ask(own.trim());
              setOwn('');
            }}
          >
            <input
              className="input max-w-sm"
              aria-label="A question of your own"
              placeholder="A question of your own"
              value={own}
              maxLength={300}
              onChange={(event) => setOwn(event.target.value)}
            />
            <Button type="submit" small>
              Ask it
            </Button>
          </form>
        </div>
      )}
    </div>
  );
}
