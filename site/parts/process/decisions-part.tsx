import { useContext } from 'react';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import { WayLink } from '../../components/way-link.tsx';
import { WaysContext } from '../../render/ways.ts';
import { LanguageContext, useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** What was decided, why, what was turned down and what it led to; a column in which nothing stands is left out. */
export function DecisionsPart({ part: { title, rows }, toRoot }: PartViewProps<'decisions'>) {
  const { words, lang } = useSpoken();
  const language = useContext(LanguageContext);
  const ways = useContext(WaysContext);
  const ofSeveral = new Set(rows.map(({ page }) => page)).size > 1;
  const own = words.process;
  const heading = title || own.decisions;
  const has = {
    why: rows.some(({ why }) => why),
    turnedDown: rows.some(({ turnedDown }) => turnedDown),
    ledTo: rows.some(({ ledTo }) => ledTo),
  };
  const th = (said: string) => (
    <th scope="col" {...lang}>
      {said}
    </th>
  );
  return (
    <div className="on-grid rows-and-columns">
      <h2 {...(!title && lang)}>{heading}</h2>
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls has to be reached */}
      <section className="table" aria-label={heading} tabIndex={0}>
        <table>
          <thead>
            <tr>
              {th(own.when)}
              {th(own.decided)}
              {has.why && th(own.why)}
              {has.turnedDown && th(own.turnedDown)}
              {has.ledTo && th(own.ledTo)}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, page, date, decided, why, turnedDown, ledTo, addressed }) => {
              const when = roughDateForReaders(date, language);
              const way = ofSeveral ? ways[page] : undefined;
              return (
                <tr key={id}>
                  <td>
                    {addressed ? <a href={`#${partAnchor(id)}`}>{when}</a> : when}
                    {way && (
                      <>
                        , <WayLink way={way} toRoot={toRoot} />
                      </>
                    )}
                  </td>
                  <td>{decided}</td>
                  {has.why && <td>{why}</td>}
                  {has.turnedDown && <td>{turnedDown}</td>}
                  {has.ledTo && (
                    <td>{ledTo && (ledTo.title || roughDateForReaders(ledTo.date, language))}</td>
                  )}
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
    </div>
  );
}
