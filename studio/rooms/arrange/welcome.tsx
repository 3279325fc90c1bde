import { Link } from 'react-router';
import { isShown } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { CoverField } from '../../pages/cover-field.tsx';
import { OpeningChoice } from '../../pages/opening-choice.tsx';

/** What stands first on the front page, whatever hangs below it; and the picture that stands for the whole site. */
export function Welcome() {
  const { state, changeSite, changePage } = useSite();
  const { welcome } = state.site;
  const front = state.pages.filter(isShown).find((page) => rulesOfPage(page).isFront);
  if (!front) return null;
  return (
    <>
      <div role="group" aria-labelledby="welcome-name" className="grid gap-2 border-t border-t-line pt-3">
        <p className="field-name" id="welcome-name">
          Welcome
        </p>
        <label className="check">
          <input
            type="checkbox"
            checked={welcome}
            onChange={(event) => changeSite({ welcome: event.target.checked }, 'Welcome on the front page')}
          />
          The front page begins with a welcome, before all work
        </label>
        {welcome ? (
          <div>
            <OpeningChoice
              opening={front.opening}
              onChange={(opening) =>
                changePage(front.id, { opening }, 'Opening of the front page', `${front.id} opening`)
              }
            />
            <p className="note mt-2">
              Its words are changed{' '}
              <Link to={`/${state.site.id}/projects/${front.id}`}>on the front page itself</Link>.
            </p>
          </div>
        ) : (
          <p className="note">
            The work begins right below the menu. The title is kept for people who hear the page.
          </p>
        )}
      </div>
      <div className="border-t border-t-line pt-3">
        <CoverField
          page={front}
          name="Cover of the site"
          without="Where a link to the site is shown, it is the first work’s cover."
        />
      </div>
    </>
  );
}
