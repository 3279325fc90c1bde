import { standsInMenu } from '../../menu/stands-in-menu.ts';
import { pageName, rulesOfPage } from '../../pages/page-kinds.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';

/**
 * Pages to which nothing of the site leads: at the top, in no menu, and not on the front page. Who has their address gets there, and
 * nobody else. Below another page they are led to by that one.
 */
export const offTheWay = ({ pages, offWall }: CheckedSite): NoticedOnSite[] =>
  pages.flatMap((page) => {
    const { opens, isFront, isWork } = rulesOfPage(page);
    if (!opens || isFront || page.parent !== null || page.height === 'private') return [];
    if (standsInMenu(page) || (isWork && !offWall.includes(page.id))) return [];
    // About leads to the résumé by itself.
    if (page.kind === 'resume' && pages.some(({ kind }) => kind === 'about')) return [];
    return {
      ...{ weight: 'nice' as const, page: page.id, part: null, material: null, of: '' },
      says: `Nothing on the site leads to ${pageName(page)}.`,
      why: 'It stands in no menu and not on the front page, so only who has its address gets there. Let it stand if that is meant; if not, put it into the menu in Arrange.',
    };
  });
