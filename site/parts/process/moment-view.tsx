import { useContext } from 'react';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { daysOfDate, precisionOf } from '#core/dates/rough-date.ts';
import type { SeenMoment } from '#core/moments/seen-moment.ts';
import { spentTime } from '#core/moments/spent-time.ts';
import type { Told } from '#core/moments/told-in-time.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import { Caption } from '../../components/caption.tsx';
import { LargeLink } from '../../components/large-link.tsx';
import { MediumView } from '../../components/medium-view.tsx';
import { Paragraphs } from '../../components/paragraphs.tsx';
import { PictureView } from '../../components/picture-view.tsx';
import { Rows } from '../../components/rows.tsx';
import { WayLink } from '../../components/way-link.tsx';
import type { Medium } from '../../render/medium.ts';
import type { Picture } from '../../render/picture.ts';
import { WaysContext } from '../../render/ways.ts';
import { LanguageContext, useSpoken } from '../../render/words.ts';

export interface MomentProps {
  told: Told<SeenMoment>;
  heading: 'h3' | 'h4';
  /** Moments of several pages stand here, and each says of which it is. */
  ofSeveral: boolean;
  pictures: Readonly<Record<string, Picture>>;
  media: Readonly<Record<string, Medium>>;
  toRoot: string;
}

const aloneSizes = '(min-width: 1344px) 660px, (min-width: 704px) 46vw, 92vw';

/** Its date for programs: a day, a month or a year; HTML has no shape for others. */
function machineDate(date: string): string | undefined {
  const precision = precisionOf(date);
  if (precision === 'between') return undefined;
  return precision === 'season' ? daysOfDate(date).first.slice(0, 4) : date;
}

function Shown({ told: { moment }, pictures, media, toRoot }: MomentProps) {
  const shown = moment.materials.flatMap((id) => pictures[id] ?? []);
  const others = moment.materials.flatMap((id) => (media[id] ? [{ id, medium: media[id] }] : []));
  const [only] = shown;
  if (!only && others.length === 0) return null;
  const inside = (picture: Picture, sizes: string) => (
    <>
      <LargeLink picture={picture} toRoot={toRoot}>
        <PictureView picture={picture} toRoot={toRoot} sizes={sizes} />
      </LargeLink>
      <Caption picture={picture} />
    </>
  );
  return (
    <div className={`shown ${shown.length === 1 ? 'alone' : 'several'}`}>
      {only && shown.length === 1 && <figure>{inside(only, aloneSizes)}</figure>}
      {shown.length > 1 && (
        <Rows items={shown} pictureOf={(picture) => picture}>
          {inside}
        </Rows>
      )}
      {others.map(({ id, medium }) => (
        <div key={id} className="half">
          <MediumView medium={medium} toRoot={toRoot} />
        </div>
      ))}
    </div>
  );
}

/** One moment in the list of a process. */
export function MomentView(props: MomentProps) {
  const { told, heading: Heading, ofSeveral, toRoot } = props;
  const { words, lang } = useSpoken();
  const language = useContext(LanguageContext);
  const ways = useContext(WaysContext);
  const { moment, later } = told;
  const way = ofSeveral ? ways[moment.page] : undefined;
  const reasons = [
    ['decided', words.process.decided, moment.decided],
    ['why', words.process.why, moment.why],
    ['turned-down', words.process.turnedDown, moment.turnedDown],
    ['next', words.process.next, moment.next],
    ['with', words.with, moment.with],
    ['spent', words.process.spent, moment.minutes === null ? '' : spentTime(moment.minutes)],
  ].filter(([, , said]) => said);
  return (
    <>
      <p className="date">
        <time dateTime={machineDate(moment.date)}>{roughDateForReaders(moment.date, language)}</time>
        {later !== null && later > 0 && (
          <span className="later" {...lang}>
            {words.process.later(later)}
          </span>
        )}
        {way && (
          <span className="of-page">
            <WayLink way={way} toRoot={toRoot} />
          </span>
        )}
      </p>
      <div className="told">
        <Heading
          {...(moment.addressed && { id: partAnchor(moment.id) })}
          {...(moment.title === '' && { className: 'unnamed', ...lang })}
        >
          {moment.title || words.process.untitled}
        </Heading>
        <Paragraphs text={moment.happened} />
        {reasons.length > 0 && (
          <dl>
            {reasons.map(([key, name, said = '']) => (
              <div key={key}>
                <dt {...lang}>{name}</dt>
                <dd>
                  <Paragraphs text={said} />
                </dd>
              </div>
            ))}
          </dl>
        )}
      </div>
      <Shown {...props} />
    </>
  );
}
