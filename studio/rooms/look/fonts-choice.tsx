import { useEffect } from 'react';
import { fontPairNames, type FontPairName } from '#core/look/font-pair-names.ts';
import { type FontPair, fontPairs } from '#core/look/font-pairs.ts';
import { fetchFonts } from '../../ui/fetch-fonts.ts';

interface FontsChoiceProps {
  fonts: FontPairName;
  usual: FontPairName;
  onChoose: (fonts: FontPairName | null) => void;
}

/** Pairs of fonts, each written in itself. */
export function FontsChoice({ fonts, usual, onChoose }: FontsChoiceProps) {
  useEffect(() => void Promise.all(fontPairNames.map(fetchFonts)), []);
  return (
    <fieldset className="grid gap-1">
      <legend className="field-name">Fonts</legend>
      {fontPairNames.map((name) => {
        const pair: FontPair = fontPairs[name];
        return (
          <label key={name} className="look-fonts">
            <input
              type="radio"
              name="fonts"
              value={name}
              checked={name === fonts}
              onChange={() => onChoose(name === usual ? null : name)}
            />
            <span
              className="look-sample"
              style={{
                fontFamily: pair.display,
                fontWeight: pair.properties['display-wght'],
                fontStretch: pair.properties['display-wdth'],
              }}
            >
              {pair.label}
            </span>
            <span className="note" style={{ fontFamily: pair.text }}>
              {pair.manner}
              {name === usual ? ', the theme’s own' : ''}
            </span>
          </label>
        );
      })}
    </fieldset>
  );
}
