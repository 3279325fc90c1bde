import { type FormEvent, useId, useState } from 'react';
import { type Framing, framingSchema, originOf } from '#core/embed/framing.ts';
import { Button } from '../../ui/button.tsx';
import { Segments } from '../../ui/segments.tsx';

const choices = [
  { value: 'nobody', name: 'Nowhere' },
  { value: 'named', name: 'On named sites' },
  { value: 'anybody', name: 'Anywhere' },
] as const;

/** Where the open site may be shown inside other pages. */
export function FramingField({
  framing,
  onChange,
}: {
  framing: Framing;
  onChange: (framing: Framing) => void;
}) {
  const id = useId();
  const [naming, setNaming] = useState(false);
  const [typed, setTyped] = useState(framing.by === 'named' ? framing.origins.join('\n') : '');
  const [problem, setProblem] = useState('');
  const by = naming ? 'named' : framing.by;
  const choose = (chosen: Framing['by']) => {
    setNaming(chosen === 'named');
    setProblem('');
    if (chosen !== 'named') onChange({ by: chosen });
  };
  const allow = (event: FormEvent) => {
    event.preventDefault();
    const lines = typed.split('\n').filter((line) => line.trim() !== '');
    const wrong = lines.find((line) => originOf(line) === null);
    if (wrong !== undefined) return setProblem(`“${wrong.trim()}” names no site. Write it as example.edu.`);
    const origins = [...new Set(lines.flatMap((line) => originOf(line) ?? []))];
    const parsed = framingSchema.safeParse({ by: 'named', origins });
    if (!parsed.success) return setProblem(parsed.error.issues[0]?.message ?? 'This cannot be kept.');
    setProblem('');
    setNaming(false);
    setTyped(origins.join('\n'));
    onChange(parsed.data);
  };
  return (
    <div className="grid gap-2">
      <div>
        <p className="field-name">The open site, inside other pages</p>
        <Segments label="The open site, inside other pages" value={by} options={choices} onChange={choose} />
      </div>
      {by === 'named' && (
        <form onSubmit={allow} noValidate>
          <label className="field-name" htmlFor={id}>
            Sites that may show it <em>one a line, as example.edu</em>
          </label>
          <div className="flex items-start gap-2">
            <textarea
              id={id}
              className="input min-w-0 flex-1 font-mono text-xs leading-xs"
              rows={3}
              spellCheck={false}
              value={typed}
              aria-invalid={problem !== '' || undefined}
              aria-describedby={problem ? `${id}-problem` : undefined}
              onChange={(event) => setTyped(event.target.value)}
            />
            <Button type="submit">Allow these</Button>
          </div>
          {problem && (
            <p id={`${id}-problem`} className="field-problem" role="alert">
              {problem}
            </p>
          )}
        </form>
      )}
    </div>
  );
}
