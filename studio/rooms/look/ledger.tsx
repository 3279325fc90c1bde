import { Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Look } from '#core/look/look.ts';
import { coloursOf, schemeOf } from '#core/look/look-rules.ts';
import type { MeasuredPair, Why } from '#core/look/palette.ts';
import type { Scheme } from '#core/look/theme-colours.ts';
import { plural } from '#core/words/plural.ts';
import { groundWords, textWords } from './pair-words.ts';
import { ratioWords } from '../../ui/ratio-words.ts';

const schemeWords: Record<Scheme, string> = { light: 'Light', dark: 'Dark' };

const nameOf = ({ text, ground, printed }: MeasuredPair): string =>
  `${textWords[text] ?? text} ${printed ? 'printed over' : 'on'} ${groundWords[ground] ?? ground}`;

const Sample = ({ pair }: { pair: MeasuredPair }) => (
  <span
    className="look-swatch"
    style={{ background: pair.colours.ground, color: pair.colours.text }}
    aria-hidden="true"
  >
    {pair.kind === 'interface' ? (
      <span className="block h-4 w-10 rounded-s border-2 border-current" />
    ) : (
      'Low water'
    )}
  </span>
);

const whyWords: Record<Exclude<Why, 'here'>, string> = {
  elsewhere: 'was too near another ground',
  alike: 'was too near another colour',
  picture: 'was made clearer for the picture below',
};

/** What was done to a colour, in each scheme in which something was. */
function Changed({ pairs }: { pairs: readonly (readonly [Scheme, MeasuredPair])[] }) {
  const moved = pairs.flatMap(([scheme, pair]) =>
    pair.before ? [{ scheme, pair, before: pair.before }] : [],
  );
  if (moved.length === 0) return <>Nothing</>;
  return (
    <>
      {moved.map(({ scheme, pair, before }) => (
        <span key={scheme} className="block">
          {pairs.length > 1 ? `${schemeWords[scheme]}: ` : ''}
          <span className="look-dot" style={{ background: before.text }} aria-hidden="true" /> {before.text}{' '}
          {before.why === 'here' ? `was ${ratioWords(before.ratio)}` : whyWords[before.why]}, moved to{' '}
          <span className="look-dot" style={{ background: pair.colours.text }} aria-hidden="true" />{' '}
          {pair.colours.text}
        </span>
      ))}
    </>
  );
}

/** Every pair of colours of a look with what it reaches, what it needs, and what was changed to get there. */
export function Ledger({ look }: { look: Look }) {
  const [all, setAll] = useState(false);
  const scheme = schemeOf(look);
  const shown = useMemo(() => {
    const schemes: readonly Scheme[] = scheme === 'device' ? ['light', 'dark'] : [scheme];
    const palettes = schemes.map((one) => [one, coloursOf(look, one).pairs] as const);
    return (palettes[0]?.[1] ?? []).map((first, at) => ({
      name: nameOf(first),
      needs: first.needs,
      pairs: palettes.flatMap(([one, pairs]) => {
        const pair = pairs[at];
        return pair ? [[one, pair] as const] : [];
      }),
    }));
  }, [look, scheme]);
  const moved = shown.filter(({ pairs }) => pairs.some(([, { before }]) => before));
  const held = shown.filter(({ pairs }) => pairs.every(([, { ratio, needs }]) => ratio >= needs));
  const everyday = new Set(['Words on the page', 'Quiet words on the page', 'Links on the page']);
  const rows = all ? shown : shown.filter((one) => everyday.has(one.name) || moved.includes(one));
  const schemes = shown[0]?.pairs.map(([one]) => one) ?? [];
  return (
    <section aria-labelledby="ledger-title" className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 id="ledger-title">What can be read</h2>
        <p className="flag ok" role="status">
          <Check size={15} aria-hidden="true" />
          {held.length} of {shown.length} pairs hold
        </p>
        <p className="note mr-auto">
          {moved.length === 0
            ? 'No colour had to be moved.'
            : `${plural(new Set(moved.flatMap(({ pairs }) => pairs.map(([one, { text }]) => `${one} ${text}`))).size, 'colour')} moved to get there.`}
        </p>
        <button type="button" className="link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Only the everyday ones' : `All ${shown.length} pairs`}
        </button>
      </div>
      <div
        className="overflow-x-auto"
        role="region"
        aria-label="Pairs of colours"
        // What scrolls has to be reached by keys.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
      >
        <table className="look-ledger">
          <thead>
            <tr>
              <th scope="col">Pair</th>
              <th scope="col">Sample</th>
              {schemes.map((one) => (
                <th key={one} scope="col" className="text-right!">
                  {schemeWords[one]}
                </th>
              ))}
              <th scope="col" className="text-right!">
                Needs
              </th>
              <th scope="col">What was changed</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, needs, pairs }) => (
              <tr key={name + String(needs)}>
                <th scope="row">{name}</th>
                <td className="whitespace-nowrap">
                  {pairs.map(([one, pair]) => (
                    <Sample key={one} pair={pair} />
                  ))}
                </td>
                {pairs.map(([one, { ratio }]) => (
                  <td key={one} className="text-right font-firm">
                    {ratioWords(ratio)}
                  </td>
                ))}
                <td className="text-right">{needs}</td>
                <td>
                  <Changed pairs={pairs} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="note">
        Ratios are those of WCAG 2.2. Words need {look.comfort === 'AA' ? '4.5' : '7'}, frames and signs 3.
        Whoever asks their device for more contrast gets the colours of AAA.
      </p>
    </section>
  );
}
