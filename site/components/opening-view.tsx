import type { PageInput } from '../render/page-input.ts';
import { focusAt, PictureView } from './picture-view.tsx';
import { useSpoken } from '../render/words.ts';
import { Rows } from './rows.tsx';
import { useSlots } from './slots.ts';
import { widthInLetters } from '#core/words/width-in-letters.ts';
import { openingVeils } from '#core/look/words-over.ts';
import { useProperties } from '../render/declarations.ts';
import { veilProperties } from '../render/veil-properties.ts';

/** From how many letters on a title is set smaller, so that the work below it stays in sight. */
const longTitle = 36;

/** The top of a page: a full picture with the title on it, a strip of pictures below the title, or words only. */
export function OpeningView({ input }: { input: PageInput }) {
  const slots = useSlots();
  const attach = useProperties();
  const { words } = useSpoken();
  const { page, toRoot } = input;
  const pictures = page.opening.pictures.flatMap((id) => input.pictures[id] ?? []);
  const layout = pictures.length === 0 ? 'words' : page.opening.layout;
  const [first] = pictures;

  const title = <h1>{page.title || words.untitled}</h1>;
  const long = widthInLetters(page.title) > longTitle ? ' long' : '';
  const summary = page.summary ? <p className="lead">{page.summary}</p> : null;
  const say = (
    <div className="on-grid say">
      {input.up && (
        <p className="kicker">
          <a href={toRoot + input.up.path || './'}>{input.up.title}</a>
        </p>
      )}
      {slots.title ? slots.title(title) : title}
      {slots.summary ? slots.summary(summary) : summary}
    </div>
  );
  if (layout === 'full' && first)
    return (
      <div className={`opening full${long}`}>
        <PictureView
          picture={first}
          toRoot={toRoot}
          sizes="100vw"
          first
          properties={{ '--focus-at': focusAt(first) }}
        />
        <div
          {...attach(
            veilProperties(
              openingVeils(
                first,
                {
                  title: widthInLetters(page.title || words.untitled),
                  summary: widthInLetters(page.summary),
                  hasKicker: input.up !== null,
                },
                input.look,
              ),
            ),
            'say-over',
          )}
        >
          {say}
        </div>
      </div>
    );
  return (
    <div className={`opening ${layout === 'words' ? 'words' : 'with-strip'}${long}`}>
      {say}
      {layout === 'strip' && (
        <div className="wrap">
          <Rows items={pictures} pictureOf={(picture) => picture} className="strip" strip>
            {(picture, sizes) => <PictureView picture={picture} toRoot={toRoot} sizes={sizes} first />}
          </Rows>
        </div>
      )}
    </div>
  );
}
