import { memo, useMemo } from 'react';
import { asTheThemeComes } from '#core/look/look.ts';
import { themeDefaults } from '#core/look/theme-defaults.ts';
import { themeNames, type ThemeName } from '#core/look/theme-names.ts';
import { themes } from '#site/themes/themes.ts';
import type { PageInput } from '#site/render/page-input.ts';
import { DrawnPage } from './drawn-page.tsx';

/** The maker's own front page as it would be in a theme as that comes, very small. */
const Thumb = memo(function Thumb({ theme, input }: { theme: ThemeName; input: PageInput }) {
  const look = useMemo(() => ({ theme, ...asTheThemeComes }), [theme]);
  const inIt = useMemo(
    () => ({ ...input, manner: themeDefaults[theme].menu, wall: themeDefaults[theme].wall }),
    [input, theme],
  );
  return (
    <div className="look-thumb" aria-hidden="true">
      <DrawnPage input={inIt} look={look} />
    </div>
  );
});

interface ThemesChoiceProps {
  theme: ThemeName;
  input: PageInput | null;
  onChoose: (theme: ThemeName) => void;
}

/** The themes, each drawn with what hangs on the maker's own front page. */
export function ThemesChoice({ theme, input, onChoose }: ThemesChoiceProps) {
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">Theme</legend>
      <div className="grid grid-cols-2 gap-2">
        {themeNames.map((name) => (
          <label key={name} className="look-theme" title={themes[name].suits}>
            <input
              type="radio"
              name="theme"
              value={name}
              checked={name === theme}
              aria-label={themes[name].label}
              aria-describedby="theme-suits"
              onChange={() => onChoose(name)}
            />
            {input ? <Thumb theme={name} input={input} /> : <span className="look-thumb" />}
            <span>{themes[name].label}</span>
          </label>
        ))}
      </div>
      <p className="note" id="theme-suits">
        {themes[theme].suits}
      </p>
    </fieldset>
  );
}
