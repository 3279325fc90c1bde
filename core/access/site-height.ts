import { type Height, lowest } from './height.ts';

/** As high as anything of somebody under 18 flies: strangers and search engines find nothing of it. */
export const highestUnderAge: Height = 'unlisted';

/** The height of a site by itself: held down as long as its maker says that they are under 18. */
export const siteHeight = ({ height, underAge }: { height: Height; underAge: boolean }): Height =>
  underAge ? lowest([height, highestUnderAge]) : height;
