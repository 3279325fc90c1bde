import { firstLook, type Look } from '#core/look/look.ts';
import { type SiteStarterKey, siteStarterKeys, siteStarterOf } from '#core/sites/site-starters.ts';
import { fetched } from '../ui/fetched.tsx';

const StarterExample = fetched(() => import('./starter-example.tsx').then((module) => module.StarterExample));

interface StarterChooserProps {
  value: SiteStarterKey | null;
  /** What choosing none is called; it cannot be left out without it. */
  none?: { name: string; suits: string };
  look?: Look;
  onChange: (starter: SiteStarterKey | null) => void;
}

/** Sites to begin with, each with pages of an example to look at before one is taken. */
export function StarterChooser({ value, none, look = firstLook, onChange }: StarterChooserProps) {
  const options = [
    ...(none ? [{ key: null, ...none }] : []),
    ...siteStarterKeys.map((key) => ({ key, ...siteStarterOf(key) })),
  ];
  return (
    <div className="grid items-start gap-4 md:grid-cols-[minmax(0,17rem)_minmax(0,1fr)]">
      <fieldset className="grid gap-1">
        <legend className="field-name">Begins as</legend>
        {options.map(({ key, name, suits }) => (
          <label
            key={key ?? 'none'}
            className="grid cursor-pointer grid-cols-[auto_minmax(0,1fr)] gap-x-2.5 rounded-m border border-line px-3 py-2 has-checked:border-edge has-checked:bg-raised has-checked:shadow-1"
          >
            <input
              type="radio"
              name="starter"
              className="accent-(--ink)"
              checked={value === key}
              onChange={() => onChange(key)}
            />
            <b className="font-strong">{name}</b>
            <span className="note col-start-2">{suits}</span>
          </label>
        ))}
      </fieldset>
      {value && <StarterExample key={value} starter={value} look={look} />}
    </div>
  );
}
